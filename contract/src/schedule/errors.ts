import { errorTable } from '../problem.js';

export const scheduleErrors = errorTable({
  'duty-not-found': { status: 404, title: 'This is not due any more', remedy: 'It may have been done already; look at Today again.' },
  'done-otherwise': {
    status: 409,
    title: 'This is not ticked off',
    remedy: 'Do it where it is done: start the look, the plan or the test it belongs to.',
  },
  'not-to-live-with': {
    status: 409,
    title: 'This is nothing to live with',
    remedy: 'Only what would go to a workshop can be lived with; the rest is done, renewed or kept apart.',
  },
  'entry-not-found': { status: 404, title: 'There is no such entry', remedy: 'It may have been taken back already.' },
  'not-undoable': {
    status: 409,
    title: 'This cannot be taken back',
    remedy: 'What was done stands; of what was told, the log of the thing says what can be taken back.',
  },
  'day-over': { status: 400, title: 'That day is over', remedy: 'Choose today or a later day.' },
  'outside-window': { status: 409, title: 'That day lies outside its window', remedy: 'Choose a day between its earliest and its latest.' },
  'moved-elsewhere': {
    status: 409,
    title: 'It was moved elsewhere in the meantime',
    remedy: 'Look where it lies now, and move it again if you want to.',
  },
  'not-away': { status: 409, title: 'It is not away', remedy: 'Look at its page: it may be back already.' },
  'no-such-cap': { status: 400, title: 'It has no such cap', remedy: 'Choose one of the caps on its page.' },
  'cap-missing-already': { status: 409, title: 'That is noted already', remedy: 'Tick it off when it has one again.' },
  'already-away': { status: 409, title: 'It is away already', remedy: 'Say first that it is back.' },
  'bad-rhythm': {
    status: 400,
    title: 'Nobody could keep this rhythm',
    remedy: 'Correct what is named below; the nearest that works is offered.',
  },
  'rhythm-not-found': { status: 404, title: 'No such rhythm was set', remedy: 'It may have been put back already.' },
  'feed-not-found': {
    status: 404,
    title: 'There is no calendar at this address',
    remedy: 'It may have been revoked: make a new address in Calendar.',
  },
  'calendar-not-found': { status: 404, title: 'There is no such calendar', remedy: 'It may have been removed already.' },
  'no-calendar': { status: 400, title: 'This is no iCalendar', remedy: 'Choose an .ics file, or the address of one.' },
  'not-nearby': {
    status: 400,
    title: 'Only calendars on this network are fetched',
    remedy: 'Give an address of this machine or its own network, or import the file instead.',
  },
  'calendar-too-large': {
    status: 422,
    title: 'That address answers with too much',
    remedy: 'A calendar has at most 4 MB. Check the address, or import a part of it as a file.',
  },
  'calendar-endless': {
    status: 422,
    title: 'This calendar cannot be read to its end',
    remedy: 'One of its events repeats in a way nobody can follow. Take that event out, or export fewer; nothing was kept.',
  },
  'calendar-silent': {
    status: 422,
    title: 'That address does not answer with a calendar',
    remedy: 'Check the address, or import the file instead.',
  },
});
