import { ourChoice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { isGelSpent } from './gelSpent.js';
import { openFor } from './recurring.js';

/** Damp that lasts a week begins to count against fungus (our choice). */
const WITHIN_DAYS = 7;

/** The air itself, by the day's mean with hysteresis; what already alarms as fungus, or comes of spent gel, is not told twice. */
export const damp: DutyKind = {
  about: 'place',
  kinds: 'every',
  settledBy: { state: 'its air is dry enough' },
  name: 'Too damp',
  what: 'See what would bring it back into its band.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 5,
  doneBy: 'what-if',
  basis: ourChoice('The mean of a day decides, not a door that stood open.'),
};

export const dampDue: Due<'place'> = {
  appliesTo: ({ dampSince, assessment, gel }, { now }) =>
    dampSince !== null && (assessment?.level ?? 'safe') === 'safe' && !isGelSpent(gel, now),
  dueFrom: ({ id, dampSince, highPct }, { facts }) => [
    {
      window: openFor(localDay(dampSince!, facts.timeZone), WITHIN_DAYS),
      facts: { says: 'air', cause: 'damp', highPct, placeId: id, since: dampSince },
    },
  ],
};
