import { carriedHome } from '../../care/index.js';
import { commonPractice, happeningFacts, holds, natureOf, type Soil, type Surface } from '../../care/knowledge/index.js';
import type { DueBecause } from '../because.js';
import { addDays, earlier } from '../day.js';
import type { ThingFacts } from '../facts.js';
import type { DatedEntry } from '../journal.js';
import { settledBy, stillThere, surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';

/** A week is the most that anything put off outdoors waits for the bench (our choice). */
const LONGEST_WAIT_DAYS = 7;
/** Crystals and grains eat and grind for as long as they stay. */
const isHarmful = (soil: Soil): boolean => natureOf(soil) === 'soluble' || holds(soil, 'grains');

type Left = { because: DueBecause; withinDays: number; harmful: boolean; asked: Surface[] };

/** What one entry leaves for home, how long that may wait, and where it is looked for; null where it leaves nothing. */
function leftBy({ data }: DatedEntry, thing: ThingFacts): Left | null {
  if (data.kind === 'left-for-home')
    return {
      because: { because: 'left-in-the-field', surfaces: data.surfaces },
      withinDays: LONGEST_WAIT_DAYS,
      harmful: false,
      asked: stillThere(thing, data.surfaces),
    };
  if (data.kind !== 'outdoors') return null;
  const { leaves, homeWithinDays } = happeningFacts(data.happening);
  const because: DueBecause = { because: 'happened-outdoors', happening: data.happening };
  const met = carriedHome(thing.kind, thing.traits, data.happening).map((f) => f.surface);
  const asked = met.length > 0 ? met : surfacesOfSight('outside', thing);
  return { because, withinDays: homeWithinDays, harmful: leaves !== null && isHarmful(leaves.soil), asked };
}

/** What waits for home is not done by a clean in the field. */
const isOutdoorClean = ({ data }: DatedEntry): boolean => data.kind === 'clean' && data.place === 'field';
const union = (all: readonly (readonly Surface[])[]): Surface[] => [...new Set(all.flat())];

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
    const entries = journal.of({ kind: 'thing', id: thing.id }).filter((e) => !isOutdoorClean(e));
    const left = entries.flatMap((e, i) => {
      const by = leftBy(e, thing);
      if (!by) return [];
      // Each is settled by seeing just what it left, since it left it.
      const { by: done, seen } = settledBy(by.asked, entries.slice(i + 1), code);
      return done.length > 0 ? [] : [{ ...by, seen, day: e.day, latest: addDays(e.day, by.withinDays) }];
    });
    const first = left[0];
    if (!first) return [];
    // The last telling of the same cause stands; the earliest day of all of them holds.
    const because = left.map((l) => l.because).filter((b, i, all) => !all.slice(i + 1).some((other) => same(b, other)));
    return [
      {
        window: { earliest: first.day, due: first.day, latest: left.map((l) => l.latest).reduce(earlier) },
        facts: { says: 'rhythm', because, sight: { asked: union(left.map((l) => l.asked)), seen: union(left.map((l) => l.seen)) } },
        ...(left.some((l) => l.harmful) ? { gravity: 'harms' as const } : {}),
      },
    ];
  },
};
