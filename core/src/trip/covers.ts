import { type Fitting, sameMount, threadsOf } from '../gear/index.js';
import { reach, type StepRing } from './rings.js';

/** A size of front cap, whether one lies spare, and which threads it closes: as it is, or on a ring that is there. */
export type CapSize = { sizeMm: number; owned: boolean; covers: { threadMm: number; byRing: boolean }[] };

/** All ways to take some of a list, the fewest first; of as few, those that come first in it. */
function* subsets<T>(all: readonly T[]): Generator<T[]> {
  for (let size = 0; size <= all.length; size += 1) yield* picks(all, size);
}
function* picks<T>(all: readonly T[], size: number, from = 0): Generator<T[]> {
  if (size === 0) return void (yield []);
  for (let i = from; i <= all.length - size; i += 1) for (const rest of picks(all, size - 1, i + 1)) yield [all[i]!, ...rest];
}

/**
 * The fewest sizes of front cap to have besides the spare ones, so that each thread can be closed when its own cap is lost: a
 * cap closes its own thread, and a smaller one on a ring that leads up to it. What closes the most threads comes first, and
 * every thread is closed by the cap that needs no ring where there is one.
 *
 * @param question sizes in mm: threads of lenses, rings and spare caps that are there.
 */
export function fewestCaps({
  threads: asked,
  rings,
  spare,
}: {
  threads: readonly number[];
  rings: readonly StepRing[];
  spare: readonly number[];
}): CapSize[] {
  const threads = [...new Set(asked)].sort((a, b) => a - b);
  const closedBy = new Map(threads.map((t) => [t, reach(t, rings, 'up')]));
  const isClosed = (thread: number, sizes: readonly number[]): boolean => sizes.some((size) => closedBy.get(thread)!.has(size));
  const owned = [...new Set(spare)].filter((size) => threads.some((t) => closedBy.get(t)!.has(size)));
  const open = threads.filter((t) => !isClosed(t, owned));
  const useOf = (size: number): number => open.filter((t) => closedBy.get(t)!.has(size)).length;
  // A size that no open thread leads up to closes nothing; of two that close the same the smaller needs fewer rings.
  const useful = [...new Set(open.flatMap((t) => [...closedBy.get(t)!]))].sort((a, b) => useOf(b) - useOf(a) || a - b);
  const bought = openGroups(open, closedBy).flatMap((group) => {
    const own = useful.filter((size) => group.some((t) => closedBy.get(t)!.has(size)));
    for (const sizes of subsets(own)) if (group.every((t) => isClosed(t, sizes))) return sizes;
    return own;
  });
  const sizes = [...owned, ...bought].sort((a, b) => a - b);
  const best = (t: number): number | undefined => (sizes.includes(t) ? t : sizes.find((size) => closedBy.get(t)!.has(size)));
  return sizes
    .map((sizeMm) => ({
      sizeMm,
      owned: owned.includes(sizeMm),
      covers: threads.filter((t) => best(t) === sizeMm).map((threadMm) => ({ threadMm, byRing: threadMm !== sizeMm })),
    }))
    .filter(({ covers }) => covers.length > 0);
}

/** Threads that some size could close together hang together; a shelf has many groups, and each is small. */
function openGroups(open: readonly number[], closedBy: ReadonlyMap<number, ReadonlySet<number>>): number[][] {
  const groups: number[][] = [];
  for (const thread of open) {
    const meets = groups.filter((group) => group.some((t) => [...closedBy.get(t)!].some((size) => closedBy.get(thread)!.has(size))));
    for (const group of meets) groups.splice(groups.indexOf(group), 1);
    groups.push([thread, ...meets.flat()]);
  }
  return groups;
}

/** Sizes of what small hardware has to fit the things that come along. */
export type SizesAlong = {
  caps: CapSize[];
  /** Mounts of lenses that want a rear cap, and of bodies that want one of theirs, as they are written. */
  rearCaps: string[];
  bodyCaps: string[];
};

const once = (mounts: readonly (string | undefined)[]): string[] =>
  mounts.filter((m) => m !== undefined).filter((m, i, all) => all.findIndex((other) => sameMount(other) === sameMount(m)) === i);

/**
 * What spare caps have to fit, of the things that come along, with the rings and spare caps of the shelf.
 *
 * @param spareCapsMm sizes of the front caps that belong to nothing.
 */
export function sizesAlong(along: readonly Fitting[], shelf: readonly Fitting[], spareCapsMm: readonly number[]): SizesAlong {
  const worn = along.filter(({ kind, particulars }) => kind !== 'accessory' && kind !== 'filter' && particulars.part === undefined);
  return {
    caps: fewestCaps({ threads: threadsOf(worn).threads, rings: threadsOf(shelf).rings, spare: spareCapsMm }),
    rearCaps: once(worn.map(({ particulars }) => particulars.mount)),
    bodyCaps: once(worn.filter(({ particulars }) => particulars.mount === undefined).map(({ particulars }) => particulars.takesMount)),
  };
}
