import { metOutdoors, type Outcome } from '../care/index.js';
import { hasSurface, surfacesOf } from '../care/kinds/index.js';
import { familyOf, holdsCells, natureOf, type Surface } from '../care/knowledge/index.js';
import { daysBetween } from './day.js';
import type { ThingFacts } from './facts.js';
import { isTicked, type DatedEntry, type JournalData } from './journal.js';

/**
 * What settles a duty: seeing certain surfaces (a look at them, or a clean that ended with an answer there), a deed of
 * its own, or the state of the world.
 */
export type SettledBy = { seeing: Sight } | { deed: 'tick' | 'frame' | 'gel' | 'salt-test' | 'wash' } | { state: string };

/** What has to be seen of a thing. The last three are told by what was found, left, or met. */
export type Sight =
  'inside' | 'faces' | 'cells' | 'sensor' | 'outside' | 'everything' | 'growth' | 'tacky' | 'what-was-left' | 'what-waited';

const glass = (own: readonly Surface[]): Surface[] => own.filter((s) => familyOf(s) === 'glass');

/** The surfaces of a sight that the design of a thing alone tells. */
const BY_DESIGN: Record<
  Exclude<Sight, 'growth' | 'tacky' | 'what-was-left' | 'what-waited'>,
  (own: readonly Surface[], thing: ThingFacts) => Surface[]
> = {
  // A torch through it; what has no inside to look into is looked at on its glass.
  inside: (own) => {
    const inner = own.filter((s) => familyOf(s) === 'inner');
    return inner.length > 0 ? inner : glass(own);
  },
  faces: (own) => [...glass(own), ...own.filter((s) => familyOf(s) === 'seal')],
  cells: (own) => own.filter(holdsCells),
  sensor: (own) => own.filter((s) => s === 'sensor-cover'),
  outside: (_, { kind, traits }) => metOutdoors(kind, traits),
  everything: (own) => [...own],
};

/** The surfaces that have to be seen; all of a thing where its design has none of that sight. */
export function surfacesOfSight(sight: keyof typeof BY_DESIGN, thing: ThingFacts): Surface[] {
  const own = surfacesOf(thing.kind, thing.traits);
  const asked = BY_DESIGN[sight](own, thing);
  return asked.length > 0 ? asked : own;
}

/** What was found on it, last, that is of such a nature: where a look at it has to go again. */
export const surfacesWith = ({ surfaces }: ThingFacts, nature: ReturnType<typeof natureOf>): Surface[] =>
  surfaces.filter((s) => s.findings.some((f) => f.severity > 0 && natureOf(f.soil) === nature)).map((s) => s.surface);

/** Ends at the bench that say nothing of what a surface looks like. */
const UNSEEN: readonly Outcome[] = ['left', 'not-reached'];

/**
 * The surfaces an entry has seen: those a look answered, and those a clean ended with an answer on. A look that an
 * earlier version wrote did not keep which, and counts for all.
 */
export function seenBy(data: JournalData): readonly Surface[] | 'all' {
  if (data.kind === 'look') return data.seen ?? 'all';
  if (data.kind === 'clean')
    return (Object.entries(data.outcomes) as [Surface, Outcome][]).filter(([, outcome]) => !UNSEEN.includes(outcome)).map(([s]) => s);
  return [];
}

/** Glances further apart than this are not one look (our choice). */
const ONE_LOOK_DAYS = 30;

export type Settled = {
  /** The entries that settled it, oldest first. */
  by: DatedEntry[];
  /** Of what is asked, seen since, as far as it counts together. */
  seen: Surface[];
};

/** When all of these surfaces were seen, through looks and cleans together, or it was ticked off; and what is seen of the next time. */
export function settledBy(
  asked: readonly Surface[],
  entries: readonly DatedEntry[],
  code: string,
  also: (data: JournalData) => boolean = () => false,
): Settled {
  const by: DatedEntry[] = [];
  let seen = new Map<Surface, DatedEntry>();
  for (const entry of entries) {
    const surfaces = seenBy(entry.data);
    if (surfaces !== 'all') for (const surface of surfaces) if (asked.includes(surface)) seen.set(surface, entry);
    const together = [...seen.values()].filter((e) => daysBetween(e.day, entry.day) <= ONE_LOOK_DAYS);
    const whole = asked.length > 0 && together.length === asked.length;
    if (surfaces !== 'all' && !whole && !isTicked(entry.data, code) && !also(entry.data)) continue;
    by.push(entry);
    seen = new Map();
  }
  return { by, seen: [...seen.keys()] };
}

/** Does the thing have all of these still? What was changed since is not asked for any more. */
export const stillThere = (thing: ThingFacts, surfaces: readonly Surface[]): Surface[] =>
  surfaces.filter((s) => hasSurface(thing.kind, thing.traits, s));

/** Has this one entry seen all of them? One that did not keep which it saw has not. */
export function sawAll(data: JournalData, surfaces: readonly Surface[]): boolean {
  const seen = seenBy(data);
  return seen !== 'all' && surfaces.every((s) => seen.includes(s));
}
