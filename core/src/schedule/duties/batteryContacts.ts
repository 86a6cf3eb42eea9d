import { commonPractice } from '../../care/knowledge/index.js';
import { sawAll, surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { recurringMark, recursFor } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=6', from: 'last-done' }],
  earlyDays: 30,
  lateDays: 30,
  minutes: 3,
} as const;

export const batteryContacts: DutyKind = {
  about: 'thing',
  kinds: ['slr-body', 'mirrorless-body', 'compact', 'film-camera', 'flash', 'drone', 'accessory'],
  settledBy: { seeing: 'cells' },
  name: 'Battery contacts',
  what: 'Battery out, look for bloom, wipe the contacts dry. A cell that has leaked is not touched with bare hands.',
  gravity: 'routine',
  setUp: 'brush',
  minutes: rhythm.minutes,
  doneBy: 'mark',
  rhythm,
  basis: commonPractice,
};

export const batteryContactsDue: Due<'thing'> = {
  appliesTo: (thing) => recursFor(thing, batteryContacts, { has: 'battery-contacts' }),
  dueFrom: (thing, context, code) => recurringMark(thing, code, rhythm, context, (d) => sawAll(d, surfacesOfSight('cells', thing))),
};
