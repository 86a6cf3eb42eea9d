import { commonPractice } from '../../care/knowledge/index.js';
import type { Due, DutyKind } from './duty.js';
import { recurringMark, recursFor } from './recurring.js';

const rhythm = { triggers: [{ on: 'idleness', after: { months: 3 } }], earlyDays: 14, lateDays: 14, minutes: 4 } as const;

/** Using it is exercise: only what lies idle is turned by hand. */
export const exercise: DutyKind = {
  about: 'thing',
  kinds: ['lens', 'binocular', 'slr-body', 'mirrorless-body', 'compact', 'film-camera'],
  settledBy: { deed: 'tick' },
  name: 'Exercise it',
  what: 'Turn from end to end what turns on it, and let what ticks run through its speeds.',
  gravity: 'routine',
  setUp: 'desk',
  minutes: rhythm.minutes,
  doneBy: 'mark',
  rhythm,
  basis: commonPractice,
};

export const exerciseDue: Due<'thing'> = {
  appliesTo: (thing) => recursFor(thing, exercise),
  dueFrom: (thing, context, code) => recurringMark(thing, code, rhythm, context),
};
