import { ourChoice } from '../../care/knowledge/index.js';
import { addDays, later, localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';

/** Time to buy gel, to mend a seal or to move things, and near enough that it is worth a word (our choice). */
const AHEAD_DAYS = 30;
/** By then it is seen to: a week before it would be late (our choice). */
const BEFORE_DAYS = 7;

/** The season turns: what a place will do if nothing is done, before it does it. Where gel lies in it, drying that in time is the duty. */
export const leavesBand: DutyKind = {
  about: 'place',
  kinds: 'every',
  settledBy: { state: 'it stays within its band all season' },
  name: 'It will leave its band',
  what: 'See what would keep it there, before the season turns.',
  gravity: 'routine',
  setUp: 'desk',
  minutes: 10,
  doneBy: 'what-if',
  basis: ourChoice('The air of the same weeks last year, through what its own past says of the place: a month ahead there is time to act.'),
};

export const leavesBandDue: Due<'place'> = {
  appliesTo: ({ leaves, assessment, dampSince, drySince }, { facts, today }) =>
    leaves !== null &&
    // What alarms already is not told twice.
    dampSince === null &&
    drySince === null &&
    (assessment?.level ?? 'safe') === 'safe' &&
    localDay(leaves.at, facts.timeZone) <= addDays(today, AHEAD_DAYS),
  dueFrom: ({ id, leaves, highPct }, { facts, today }) => {
    const { side, at, earliest, latest } = leaves!;
    const dayOf = (instant: string) => localDay(instant, facts.timeZone);
    const day = dayOf(at);
    const due = later(today, addDays(day, -BEFORE_DAYS));
    return [
      {
        window: { earliest: today, due, latest: later(due, day) },
        facts: {
          says: 'air',
          cause: 'leaves-band',
          side,
          on: day,
          earliest: dayOf(earliest),
          latest: latest && dayOf(latest),
          highPct,
          placeId: id,
          since: null,
        },
      },
    ];
  },
};
