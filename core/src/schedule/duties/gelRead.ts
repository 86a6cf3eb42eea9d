import { isTicked } from '../journal.js';
import { commonPractice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { countedFrom, recurring, type Counted } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=WEEKLY;INTERVAL=2', from: 'last-done' }],
  earlyDays: 4,
  lateDays: 4,
  minutes: 1,
} as const;

/** Indicator gel is read by its colour; setting or drying it tells its state as well. */
export const gelRead: DutyKind = {
  about: 'place',
  kinds: 'every',
  settledBy: { deed: 'gel' },
  name: 'Read the indicator gel',
  what: 'What colour is it? Dry, turning or spent.',
  gravity: 'routine',
  setUp: 'desk',
  minutes: rhythm.minutes,
  doneBy: 'gel',
  rhythm,
  basis: commonPractice,
};

export const gelReadDue: Due<'place'> = {
  appliesTo: ({ indicatorSince }) => indicatorSince !== null,
  dueFrom: ({ id, indicatorSince }, context, code) => {
    const last = context.journal.last({ kind: 'place', id }, (d) => d.kind === 'gel' || isTicked(d, code));
    const counted: Counted = last
      ? countedFrom(last)
      : { on: localDay(indicatorSince!, context.facts.timeZone), at: null, because: { because: 'last-done' }, done: false };
    return recurring({ code, standard: rhythm, subject: { id }, counted, placeId: id }, context);
  },
};
