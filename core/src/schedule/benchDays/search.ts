import { DayLoad, type Job, type Slot } from './problem.js';

/** Which job lies on which slot; null where it is left out. */
export type Placement = { slotOf: (number | null)[]; cost: number; days: number };

/** A day saved never outweighs a task that slips. */
const better = (a: Placement, b: Placement | null): boolean => !b || a.cost < b.cost || (a.cost === b.cost && a.days < b.days);

/** Puts jobs on given days, those with the least choice and the most minutes first; what fits nowhere opens a day. */
export function placeGreedily(
  slots: readonly Slot[],
  jobs: readonly Job[],
  preferred: readonly number[],
  order: readonly number[],
): Placement {
  const loads = slots.map((s) => new DayLoad(s.minutes));
  const slotOf: (number | null)[] = new Array<number | null>(jobs.length).fill(null);
  const wanted = new Set(preferred);
  for (const j of order) {
    const job = jobs[j]!;
    const at = bestSlot(job, loads, wanted);
    if (at === null) continue;
    loads[at]!.put(job);
    slotOf[j] = at;
  }
  return emptied(slots, jobs, { slotOf, ...scoreOf(jobs, slotOf) });
}

/** A day that is in use, or meant to be, and needs the fewest minutes more; else the emptiest end of the window. */
function bestSlot(job: Job, loads: readonly DayLoad[], wanted: ReadonlySet<number>): number | null {
  let best: number | null = null;
  let least = Infinity;
  for (let i = job.first; i <= job.last; i++) {
    const load = loads[i]!;
    if (!load.takes(job)) continue;
    const used = load.jobs.length > 0;
    const price = (used ? 0 : wanted.has(i) ? 1000 : 100_000) + load.added(job) - job.minutes - (i - job.first) / 10_000;
    if (price < least) [best, least] = [i, price];
  }
  return best;
}

export function scoreOf(jobs: readonly Job[], slotOf: readonly (number | null)[]): { cost: number; days: number } {
  const used = new Set<number>();
  let cost = 0;
  slotOf.forEach((slot, j) => (slot === null ? (cost += jobs[j]!.weight) : used.add(slot)));
  return { cost, days: used.size };
}

/** Tries to empty each day onto the others, the least filled first. */
function emptied(slots: readonly Slot[], jobs: readonly Job[], placement: Placement): Placement {
  const slotOf = [...placement.slotOf];
  const loads = slots.map((s) => new DayLoad(s.minutes));
  slotOf.forEach((slot, j) => slot !== null && loads[slot]!.put(jobs[j]!));
  const byFilling = loads.flatMap((l, i) => (l.jobs.length > 0 ? [i] : [])).sort((a, b) => loads[a]!.minutes - loads[b]!.minutes);
  for (const from of byFilling) {
    const moved: [number, number][] = [];
    const leaving = slotOf.flatMap((slot, j) => (slot === from ? [j] : []));
    const goes = leaving.every((j) => {
      const job = jobs[j]!;
      for (let i = job.first; i <= job.last; i++) {
        if (i === from || loads[i]!.jobs.length === 0 || !loads[i]!.takes(job)) continue;
        loads[i]!.put(job);
        moved.push([j, i]);
        return true;
      }
      return false;
    });
    if (!goes) {
      for (const [j, i] of moved) loads[i]!.remove(jobs[j]!);
      continue;
    }
    for (const [j, i] of moved) {
      loads[from]!.remove(jobs[j]!);
      slotOf[j] = i;
    }
  }
  return { slotOf, ...scoreOf(jobs, slotOf) };
}

/** The orders a greedy is tried in: each finds what the others miss. */
export function greedyOrders(jobs: readonly Job[]): number[][] {
  const indices = jobs.map((_, i) => i);
  const by = (key: (job: Job) => number[]) =>
    [...indices].sort((a, b) => {
      const [one, other] = [key(jobs[a]!), key(jobs[b]!)];
      for (let k = 0; k < one.length; k++) if (one[k] !== other[k]) return one[k]! - other[k]!;
      return a - b;
    });
  return [
    by((j) => [-j.weight, j.last - j.first, -j.minutes]),
    by((j) => [j.last - j.first, -j.weight, -j.minutes]),
    by((j) => [j.last, -j.weight, -j.minutes]),
    by((j) => [-j.minutes, j.last - j.first]),
  ];
}

/** A keeper has a few hundred. */
const MOST_SEARCHED = 1500;

/**
 * Looks for something better than a placement by trying every one that could be, job by job from the one with the
 * least choice, until none is left or so many steps are made.
 *
 * @returns the best found, and whether nothing better can be.
 */
export function searchExactly(
  slots: readonly Slot[],
  jobs: readonly Job[],
  start: Placement,
  bound: number,
  steps: number,
): { placement: Placement; proven: boolean } {
  let best = start;
  let left = steps;
  const order = jobs.map((_, i) => i).sort((a, b) => spanOf(jobs[a]!) - spanOf(jobs[b]!) || jobs[b]!.minutes - jobs[a]!.minutes || a - b);
  const loads = slots.map((s) => new DayLoad(s.minutes));
  const slotOf: (number | null)[] = new Array<number | null>(jobs.length).fill(null);
  const done = () => best.cost === 0 && best.days <= bound;
  // So many deep it would not come to an end within any number of steps, and the stack would come to its own.
  if (jobs.length > MOST_SEARCHED) return { placement: best, proven: done() };

  const descend = (depth: number, cost: number, days: number): void => {
    if (left-- <= 0 || done()) return;
    if (cost > best.cost || (cost === best.cost && days >= best.days)) return;
    if (depth === order.length) {
      best = { slotOf: [...slotOf], cost, days };
      return;
    }
    const j = order[depth]!;
    const job = jobs[j]!;
    // Days that are in use come first: they cost nothing more.
    for (const fresh of [false, true])
      for (let i = job.first; i <= job.last; i++) {
        const load = loads[i]!;
        if ((load.jobs.length === 0) !== fresh || !load.takes(job)) continue;
        load.put(job);
        slotOf[j] = i;
        descend(depth + 1, cost, days + (fresh ? 1 : 0));
        load.remove(job);
        slotOf[j] = null;
      }
    descend(depth + 1, cost + job.weight, days);
  };
  descend(0, 0, 0);
  return { placement: best, proven: left > 0 || done() };
}

const spanOf = (job: Job): number => job.last - job.first;
export { better };
