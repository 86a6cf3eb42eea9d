import { errorTable } from '../problem.js';

export const storageErrors = errorTable({
  'place-not-found': { status: 404, title: 'This place is not known', remedy: 'It may have been given up; look at Storage again.' },
  'timer-not-found': { status: 404, title: 'This timer is over', remedy: 'Look at Today again.' },
  'place-in-use': { status: 409, title: 'Things still lie in this place', remedy: 'Move them to another place first.' },
  'lay-elsewhere': { status: 409, title: 'It lay elsewhere then', remedy: 'Give a later day; nothing was changed.' },
  'place-in-itself': { status: 422, title: 'A place cannot stand in itself', remedy: 'Choose the room around it, or none.' },
});
