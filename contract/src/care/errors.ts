import { errorTable } from '../problem.js';

export const careErrors = errorTable({
  'cleaning-not-found': { status: 404, title: 'This cleaning is not there', remedy: 'Start one from the thing’s plan.' },
  'cleaning-open': { status: 409, title: 'A cleaning of this thing is already open', remedy: 'Go on with it, or end it first.' },
  'cleaning-finished': { status: 409, title: 'This cleaning is finished', remedy: 'It is in the log; a finished one is not changed.' },
  'nothing-to-clean': { status: 422, title: 'There is nothing to clean', remedy: 'Look at it first; what is good enough is left alone.' },
  'already-touched': {
    status: 409,
    title: 'Something has been touched already',
    remedy: 'End the cleaning instead, so that the touches are counted.',
  },
});
