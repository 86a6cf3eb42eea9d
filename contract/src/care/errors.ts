import { errorTable } from '../problem.js';

export const careErrors = errorTable({
  'cleaning-not-found': { status: 404, title: 'This cleaning is not there', remedy: 'Start one from the thing’s plan.' },
  'cleaning-open': { status: 409, title: 'A cleaning of this thing is already open', remedy: 'Go on with it, or end it first.' },
  'cleaning-finished': { status: 409, title: 'This cleaning is finished', remedy: 'It is in the log; a finished one is not changed.' },
  'cleaning-told-twice': {
    status: 409,
    title: 'This cleaning was gone on with elsewhere, and in another way',
    remedy: 'Look at both and choose which of them it was.',
  },
  'nothing-to-clean': { status: 422, title: 'There is nothing to clean', remedy: 'Look at it first; what is good enough is left alone.' },
  'nothing-put-off': { status: 422, title: 'Nothing waits for home', remedy: 'The plan leaves nothing undone out here.' },
  'not-to-be-opened': { status: 422, title: 'This is not to be opened by its owner', remedy: 'Hand it to a workshop, or live with it.' },
  'teardown-not-found': { status: 404, title: 'This record is not there', remedy: 'Start one from the thing’s page.' },
  'teardown-open': { status: 409, title: 'This thing is open already', remedy: 'Go on with its record, and close it first.' },
  'teardown-finished': { status: 409, title: 'This record is finished', remedy: 'It is kept; start a new one when it is opened again.' },
  'not-closed': { status: 409, title: 'Something is not back yet', remedy: 'Tick every stage as you put it back.' },
  'photo-not-found': { status: 404, title: 'There is no photograph of this stage', remedy: 'Take one before the next stage.' },
  'stage-not-found': {
    status: 404,
    title: 'This stage is not there',
    remedy: 'Wait until it is saved, then choose the photograph once more.',
  },
  'already-touched': {
    status: 409,
    title: 'Something has been touched already',
    remedy: 'End the cleaning instead, so that the touches are counted.',
  },
});
