import { ourChoice } from '../../care/knowledge/index.js';
import { surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { recurringLook, recursFor } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=6', from: 'last-done' }],
  earlyDays: 30,
  lateDays: 30,
  minutes: 2,
} as const;

export const filterLook: DutyKind = {
  about: 'thing',
  kinds: ['filter', 'port'],
  settledBy: { seeing: 'faces' },
  name: 'Look at both faces',
  what: 'Both faces under the lamp before it meets a lens again.',
  gravity: 'routine',
  setUp: 'torch-and-loupe',
  minutes: rhythm.minutes,
  doneBy: 'look',
  rhythm,
  basis: ourChoice('A filter is looked at whenever it is fitted; half a year catches the ones that lie in a case.'),
};

export const filterLookDue: Due<'thing'> = {
  appliesTo: (thing) => recursFor(thing, filterLook),
  dueFrom: (thing, context, code) => recurringLook(thing, code, rhythm, surfacesOfSight('faces', thing), context),
};
