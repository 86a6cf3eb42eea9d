import { benchState, type BenchEvent } from './bench.js';
import { canonical } from './canonical.js';
import type { Surface } from './knowledge/surfaces.js';
import type { CleaningPlan } from './types.js';

/** Whether two did the same in the same order. */
export const isSameBench = (a: readonly BenchEvent[], b: readonly BenchEvent[]): boolean => canonical(a) === canonical(b);

/** Whether the second begins with all of the first. */
const goesOnFrom = (first: readonly BenchEvent[], second: readonly BenchEvent[]): boolean =>
  first.length <= second.length && first.every((event, i) => canonical(event) === canonical(second[i]));

/** The surfaces something was done to or said of. */
function surfacesOf(plan: CleaningPlan, events: readonly BenchEvent[]): Set<Surface> {
  const found = events.map((event) => {
    if ('surface' in event) return event.surface;
    return 'step' in event ? plan.steps.find((s) => s.id === event.step)?.surface : undefined;
  });
  return new Set(found.filter((surface) => surface !== undefined));
}

/** Whether the second leaves these surfaces as the first did: touched as often by the same steps, and ended alike where they had ended. */
function keeps(plan: CleaningPlan, first: readonly BenchEvent[], second: readonly BenchEvent[], surfaces: ReadonlySet<Surface>): boolean {
  const [before, after] = [benchState(plan, first), benchState(plan, second)];
  const own = (ids: readonly string[]) => ids.filter((id) => plan.steps.some((s) => s.id === id && surfaces.has(s.surface)));
  return (
    canonical(own(before.done)) === canonical(own(after.done)) &&
    [...surfaces].every(
      (s) => before.contacts[s] === after.contacts[s] && (before.outcomes[s] === undefined || before.outcomes[s] === after.outcomes[s]),
    )
  );
}

/**
 * Makes one of a bench that was gone on with in two places. Where only one went on, it is that; where both did, at
 * different surfaces, what was done there and then what was done here, provided that every surface then stands as it did
 * where it was worked on.
 *
 * @param base the events both began from.
 * @returns null where the two cannot be one: a person chooses.
 */
export function benchTogether(
  plan: CleaningPlan,
  base: readonly BenchEvent[],
  mine: readonly BenchEvent[],
  theirs: readonly BenchEvent[],
): BenchEvent[] | null {
  if (isSameBench(theirs, base)) return [...mine];
  if (isSameBench(mine, base)) return [...theirs];
  // Somebody took back what the other went on from.
  if (!goesOnFrom(base, mine) || !goesOnFrom(base, theirs)) return null;
  if (goesOnFrom(mine, theirs)) return [...theirs];
  if (goesOnFrom(theirs, mine)) return [...mine];
  const [here, there] = [mine.slice(base.length), theirs.slice(base.length)].map((events) => events.filter((e) => e.type !== 'ready'));
  const [hereAt, thereAt] = [surfacesOf(plan, here!), surfacesOf(plan, there!)];
  if ([...hereAt].some((surface) => thereAt.has(surface)) || [...here!, ...there!].some((e) => e.type === 'stop')) return null;
  const together = [...theirs, ...here!];
  return keeps(plan, mine, together, hereAt) && keeps(plan, theirs, together, thereAt) ? together : null;
}
