import { daysBetween, type Day } from '../day.js';
import { DayLoad, type Job, type Problem } from './problem.js';
import type { Placement } from './search.js';

/** A day after the due one costs twice a day before it: early is a little waste, late is a little risk (our choice). */
const LATE_COSTS = 2;

const penalty = ({ task, weight }: Job, day: Day): number => {
  const off = daysBetween(task.due, day);
  return weight * (off > 0 ? LATE_COSTS * off : -off);
};

/**
 * The same days, no more of them, but nearer to when things are due: first every task goes to whichever of the days in
 * use suits it best, the gravest first, then each day as a whole moves to the free one that suits its tasks best.
 */
export function settleNearDue({ slots, jobs }: Problem, placement: Placement): Placement {
  const slotOf = [...placement.slotOf];
  const loads = slots.map((s) => new DayLoad(s.minutes));
  slotOf.forEach((slot, j) => slot !== null && loads[slot]!.put(jobs[j]!));
  const order = jobs
    .map((_, j) => j)
    .sort((a, b) => jobs[b]!.weight - jobs[a]!.weight || jobs[a]!.task.due.localeCompare(jobs[b]!.task.due) || a - b);
  for (const j of order) {
    const job = jobs[j]!;
    const from = slotOf[j];
    // A day is not emptied for the sake of one task: the number of days is settled.
    if (from === null || from === undefined || loads[from]!.jobs.length === 1) continue;
    loads[from]!.remove(job);
    const to =
      bestOf(range(job), (i) => (loads[i]!.jobs.length > 0 && loads[i]!.takes(job) ? penalty(job, slots[i]!.day) : Infinity)) ?? from;
    loads[to]!.put(job);
    slotOf[j] = to;
  }
  for (let at = 0; at < slots.length; at++) {
    const here = slotOf.flatMap((slot, j) => (slot === at ? [j] : []));
    if (here.length === 0) continue;
    const [first, last] = [Math.max(...here.map((j) => jobs[j]!.first)), Math.min(...here.map((j) => jobs[j]!.last))];
    const minutes = loads[at]!.minutes;
    const cost = (i: number) => here.reduce((sum, j) => sum + penalty(jobs[j]!, slots[i]!.day), 0);
    const to = bestOf(range({ first, last }), (i) =>
      (i === at || loads[i]!.jobs.length === 0) && slots[i]!.minutes >= minutes ? cost(i) : Infinity,
    );
    if (to === null || to === at || cost(to) >= cost(at)) continue;
    for (const j of here) {
      loads[at]!.remove(jobs[j]!);
      loads[to]!.put(jobs[j]!);
      slotOf[j] = to;
    }
  }
  return { ...placement, slotOf };
}

const range = ({ first, last }: Pick<Job, 'first' | 'last'>): number[] =>
  Array.from({ length: Math.max(0, last - first + 1) }, (_, k) => first + k);

/** The candidate with the lowest price, the first of equals; null where none has one. */
function bestOf(candidates: readonly number[], price: (i: number) => number): number | null {
  let best: number | null = null;
  let least = Infinity;
  for (const i of candidates) {
    const p = price(i);
    if (p < least) [best, least] = [i, p];
  }
  return best;
}
