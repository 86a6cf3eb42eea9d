import { commonPractice, happeningFacts, type Soil } from '../../care/knowledge/index.js';
import type { DueBecause } from '../because.js';
import { addDays, earlier } from '../day.js';
import { isTicked, type DatedEntry } from '../journal.js';
import type { Due, DutyKind } from './duty.js';

/** A week is the most that anything put off outdoors waits for the bench (our choice). */
const LONGEST_WAIT_DAYS = 7;
/** Crystals and grains eat and grind for as long as they stay. */
const HARMFUL: readonly Soil[] = ['salt', 'grit'];

const answers = ({ data }: DatedEntry, code: string): boolean =>
  data.kind === 'look' ||
  // What waits for home is not done by a clean in the field.
  (data.kind === 'clean' && data.place === 'home') ||
  isTicked(data, code);

/** What one entry leaves for home, and how long that may wait; null where it leaves nothing. */
function leftBy({ data }: DatedEntry): { because: DueBecause; withinDays: number; harmful: boolean } | null {
  if (data.kind === 'left-for-home')
    return { because: { because: 'left-in-the-field', surfaces: data.surfaces }, withinDays: LONGEST_WAIT_DAYS, harmful: false };
  if (data.kind !== 'outdoors') return null;
  const { leaves, homeWithinDays } = happeningFacts(data.happening);
  const because: DueBecause = { because: 'happened-outdoors', happening: data.happening };
  return { because, withinDays: homeWithinDays, harmful: leaves !== null && HARMFUL.includes(leaves.soil) };
}

const same = (a: DueBecause, b: DueBecause) => JSON.stringify(a) === JSON.stringify(b);

export const homeCare: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'what-waited' },
  name: 'Waited for home',
  what: 'What was put off in the field: look, and clean what asks for it.',
  gravity: 'worsens',
  setUp: 'air',
  minutes: 15,
  doneBy: 'look',
  basis: commonPractice,
};

export const homeCareDue: Due<'thing'> = {
  appliesTo: (thing) => thing.status === 'in-use',
  dueFrom: (thing, { journal }, code) => {
    const entries = journal.of({ kind: 'thing', id: thing.id });
    const since = entries.slice(entries.findLastIndex((e) => answers(e, code)) + 1);
    const left = since.flatMap((e) => {
      const by = leftBy(e);
      return by ? [{ ...by, day: e.day, latest: addDays(e.day, by.withinDays) }] : [];
    });
    const first = left[0];
    if (!first) return [];
    // The last telling of the same cause stands; the earliest day of all of them holds.
    const because = left.map((l) => l.because).filter((b, i, all) => !all.slice(i + 1).some((other) => same(b, other)));
    return [
      {
        window: { earliest: first.day, due: first.day, latest: left.map((l) => l.latest).reduce(earlier) },
        facts: { says: 'rhythm', because },
        ...(left.some((l) => l.harmful) ? { gravity: 'harms' as const } : {}),
      },
    ];
  },
};
