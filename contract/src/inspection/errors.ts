import { errorTable } from '../problem.js';

export const inspectionErrors = errorTable({
  'look-not-found': { status: 404, title: 'This look is not there', remedy: 'Start a new look from the thing’s page.' },
  'look-finished': { status: 409, title: 'This look is finished', remedy: 'Start a new look; a finished one is not changed.' },
  'look-stands': {
    status: 409,
    title: 'What was seen then is not changed any more',
    remedy: 'Nothing was changed. Notes may be corrected at any time; for what lies there now, look again.',
  },
  'look-told-twice': {
    status: 409,
    title: 'This look was gone on with elsewhere, and says something else there',
    remedy: 'Look at both and choose, surface by surface.',
  },
  'surface-not-there': {
    status: 422,
    title: 'This thing has no such surface',
    remedy: 'Leave the surface out, or correct the thing’s traits.',
  },
  'too-many-photos': { status: 422, title: 'This look has sixty photographs', remedy: 'Remove one before you add another.' },
  'nothing-looked-at': {
    status: 422,
    title: 'No surface has been looked at yet',
    remedy: 'Look at one surface at least, or drop this look.',
  },
});
