import { commonPractice } from '../../care/knowledge/index.js';
import { surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { recurringLook, recursFor } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=6', from: 'last-done' }],
  earlyDays: 30,
  lateDays: 30,
  minutes: 6,
} as const;

/** For what has no sensor to photograph: there the frame is the look. */
export const lookOver: DutyKind = {
  about: 'thing',
  kinds: ['slr-body', 'mirrorless-body', 'compact', 'phone', 'reflector', 'accessory', 'film-camera', 'flash', 'drone'],
  settledBy: { seeing: 'everything' },
  name: 'Look it over',
  what: 'Every surface under the lamp once.',
  gravity: 'routine',
  setUp: 'torch-and-loupe',
  minutes: rhythm.minutes,
  doneBy: 'look',
  rhythm,
  basis: commonPractice,
};

export const lookOverDue: Due<'thing'> = {
  appliesTo: (thing) => recursFor(thing, lookOver, { lacks: 'sensor-cover' }),
  dueFrom: (thing, context, code) => recurringLook(thing, code, rhythm, surfacesOfSight('everything', thing), context),
};
