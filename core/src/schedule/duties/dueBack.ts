import { ourChoice } from '../../care/knowledge/index.js';
import { addDays } from '../day.js';
import type { Due, DutyKind } from './duty.js';
import { awayOf } from './recurring.js';

const PATIENCE_DAYS = 7;

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
  basis: ourChoice('A week after the agreed day one asks.'),
};

export const dueBackDue: Due<'thing'> = {
  dueFrom: (thing, context) => {
    const away = awayOf(thing, context);
    if (!away?.until) return [];
    return [
      {
        window: { earliest: away.until, due: away.until, latest: addDays(away.until, PATIENCE_DAYS) },
        facts: { says: 'away', why: away.why, until: away.until },
      },
    ];
  },
};
