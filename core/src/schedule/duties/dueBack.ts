import { ourChoice } from '../../care/knowledge/index.js';
import { addDays } from '../day.js';
import type { AwayReason } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { awayOf } from './recurring.js';

const PATIENCE_DAYS = 7;
/** What is lent or at a workshop with no day agreed is asked for all the same, after so long. */
const FORGOTTEN_DAYS = 90;
const COMES_BACK: readonly AwayReason[] = ['loan', 'service'];

export const dueBack: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { state: 'it is back' },
  name: 'It is due back',
  what: 'Ask for it, or say that it is here again.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 2,
  doneBy: 'back',
  basis: ourChoice('A week after the agreed day one asks; where none was agreed, after three months.'),
};

export const dueBackDue: Due<'thing'> = {
  dueFrom: (thing, context) => {
    const away = awayOf(thing, context);
    if (!away) return [];
    const { why, since, to } = away;
    const until = away.until ?? (COMES_BACK.includes(why) ? addDays(since, FORGOTTEN_DAYS) : null);
    if (until === null) return [];
    return [
      {
        window: { earliest: until, due: until, latest: addDays(until, PATIENCE_DAYS) },
        facts: { says: 'away', why, until, agreed: away.until !== null, ...(to === undefined ? {} : { to }) },
      },
    ];
  },
};
