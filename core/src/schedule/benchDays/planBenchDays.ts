import type { Day } from '../day.js';
import { GRAVITY_WEIGHT } from '../gravity.js';
import type { SetUpId } from '../setUps.js';
import { fewestDays } from './lowerBound.js';
import {
  gravityOf,
  inBenchOrder,
  problemOf,
  setUpMinutes,
  taskId,
  type BenchOptions,
  type BenchTask,
  type LateReason,
  type Problem,
} from './problem.js';
import { settleNearDue } from './settle.js';
import { better, greedyOrders, placeGreedily, searchExactly, type Placement } from './search.js';

/** A day at the bench: its tasks in working order, and its minutes with every set-up counted once. */
export type BenchDay<T extends BenchTask = BenchTask> = { day: Day; tasks: T[]; minutes: number; setUps: SetUpId[]; because: DayBecause };
/** Why it is that day: a window closes then or before the next one, it was pinned, or it is where the most falls together. */
export type DayBecause =
  { because: 'window-closes'; taskId: string } | { because: 'pinned'; taskId: string } | { because: 'most-together'; tasks: number };

export type BenchPlan<T extends BenchTask = BenchTask> = {
  days: BenchDay<T>[];
  late: { window: T; reason: LateReason }[];
  /** No plan that puts as many tasks within their windows has fewer days than this. */
  fewest: number;
  /** Nothing better is possible: the days are as few as the bound, or every other way was tried. */
  proven: boolean;
};

/** So many steps of the exact search are taken here; what it leaves open is for a solver (our choice: about 30 ms). */
const STEPS = 30_000;

/**
 * The fewest days on which every window is met, within weekdays, minutes and absences. What cannot all fit slips by
 * gravity: what waits worst is kept. Tasks of a day are packed by set-up, in the order of contamination.
 *
 * @throws RangeError for windows or options that end before they begin.
 */
export function planBenchDays<T extends BenchTask>(windows: readonly T[], options: BenchOptions): BenchPlan<T> {
  const problem = problemOf(windows, options);
  return planFrom<T>(problem, solve(problem));
}

export type Solved = { placement: Placement; proven: boolean; bound: number };

function solve({ slots, jobs }: Problem): Solved {
  const cover = fewestDays(slots, jobs);
  let best: Placement | null = null;
  for (const order of greedyOrders(jobs))
    for (const preferred of [cover, []]) {
      const placement = placeGreedily(slots, jobs, preferred, order);
      if (better(placement, best)) best = placement;
    }
  if (best!.cost === 0 && best!.days <= cover.length) return { placement: best!, proven: true, bound: cover.length };
  const found = searchExactly(slots, jobs, best!, cover.length, STEPS);
  // What was left out needs no day: the bound holds for the rest.
  const { placement } = found;
  const kept = jobs.filter((_, j) => placement.slotOf[j] !== null);
  const bound = found.proven ? placement.days : placement.cost === 0 ? cover.length : fewestDays(slots, kept).length;
  return { placement, proven: found.proven, bound: Math.min(bound, placement.days) };
}

/** A placement as days: also for one that a solver found. */
export function planFrom<T extends BenchTask>(problem: Problem, { placement: found, proven, bound }: Solved): BenchPlan<T> {
  const { slots, jobs, impossible } = problem;
  const placement = settleNearDue(problem, found);
  const days: BenchDay<T>[] = slots.flatMap((slot, i) => {
    const here = jobs.filter((_, j) => placement.slotOf[j] === i);
    if (here.length === 0) return [];
    const tasks = here.map((j) => j.task as T).sort(inBenchOrder);
    const setUps = [...new Set(tasks.flatMap((t) => (t.setUp ? [t.setUp] : [])))];
    return [{ day: slot.day, tasks, setUps, minutes: minutesOf(here), because: becauseOf(slot.day, tasks, slots, i) }];
  });
  const noRoom = jobs.flatMap((j, k) => (placement.slotOf[k] === null ? [{ window: j.task as T, reason: 'no-room' as const }] : []));
  return { days, late: [...(impossible as { window: T; reason: LateReason }[]), ...noRoom], fewest: bound, proven };
}

function minutesOf(jobs: Problem['jobs']): number {
  const setUps = new Map(jobs.map((j) => [j.setUp, setUpMinutes(j.setUp)]));
  return jobs.reduce((sum, j) => sum + j.minutes, 0) + [...setUps.values()].reduce((sum, m) => sum + m, 0);
}

function becauseOf(day: Day, tasks: readonly BenchTask[], slots: Problem['slots'], at: number): DayBecause {
  const pinned = tasks.find((t) => t.pinnedTo === day);
  if (pinned) return { because: 'pinned', taskId: taskId(pinned) };
  const next = slots[at + 1]?.day;
  const closing = tasks.filter((t) => !next || t.latest < next).sort((a, b) => a.latest.localeCompare(b.latest))[0];
  return closing ? { because: 'window-closes', taskId: taskId(closing) } : { because: 'most-together', tasks: tasks.length };
}

const costOf = ({ late }: BenchPlan): number => late.reduce((sum, { window }) => sum + GRAVITY_WEIGHT[gravityOf(window)], 0);

/** Less slips, by gravity; where as much does, fewer days. */
export const isBetterPlan = (a: BenchPlan, b: BenchPlan): boolean =>
  costOf(a) < costOf(b) || (costOf(a) === costOf(b) && a.days.length < b.days.length);
