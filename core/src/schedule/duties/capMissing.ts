import { capsOf } from '../../care/kinds/index.js';
import { commonPractice } from '../../care/knowledge/index.js';
import { isTicked } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { openFor } from './recurring.js';

/** A cap costs little and is soon had (our choice). */
const WITHIN_DAYS = 7;

/** Caps on whenever it is not shooting: bare glass takes dust, fingers and knocks. One duty for all that are missing. */
export const capMissing: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { deed: 'tick' },
  name: 'Find or replace its cap',
  done: 'It has its caps again',
  what: 'One that fits, washed and dry, its inside blown out before it goes on.',
  gravity: 'worsens',
  setUp: 'desk',
  minutes: 5,
  doneBy: 'mark',
  basis: commonPractice,
};

export const capMissingDue: Due<'thing'> = {
  dueFrom: ({ id, kind, traits }, { journal }, code) => {
    const entries = journal.of({ kind: 'thing', id });
    const since = entries.slice(entries.findLastIndex(({ data }) => isTicked(data, code)) + 1);
    const noted = since.flatMap(({ data, day }) => (data.kind === 'cap-missing' ? [{ surface: data.surface, day }] : []));
    if (noted.length === 0) return [];
    // What its traits were changed to since may have no such cap.
    const caps = capsOf(kind, traits);
    const missing = noted.filter((m) => caps.includes(m.surface));
    const first = missing[0];
    if (!first) return [];
    const surfaces = [...new Set(missing.map((m) => m.surface))];
    return [{ window: openFor(first.day, WITHIN_DAYS), facts: { says: 'caps', missing: surfaces } }];
  },
};
