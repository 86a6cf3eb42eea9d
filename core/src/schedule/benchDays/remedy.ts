import { planBenchDays, type BenchPlan } from './planBenchDays.js';
import type { BenchOptions, BenchTask } from './problem.js';

/** The smallest change under which nothing slips any more. */
export type Remedy = { change: 'minutes'; minutesPerDay: number; more: number } | { change: 'weekday'; weekday: number };

const MINUTES_STEP = 5;
/** Beyond four hours at once nobody sees what they clean (our choice). */
const LONGEST_DAY = 240;
const WEEK = [6, 0, 5, 1, 2, 3, 4] as const;

const slipsNot = ({ late }: BenchPlan): boolean => late.every((l) => l.reason === 'over');

/**
 * Tries longer days, five minutes at a time by halving, then one weekday more; null where neither helps. Told in steps,
 * since each try is a plan of its own.
 */
export function* remedyInSteps(windows: readonly BenchTask[], options: BenchOptions): Generator<void, Remedy | null> {
  function* works(change: Partial<BenchOptions>): Generator<void, boolean> {
    yield;
    return slipsNot(planBenchDays(windows, { ...options, ...change }));
  }
  if (yield* works({})) return null;
  const { minutesPerDay, availableWeekdays } = options;
  if (minutesPerDay !== undefined) {
    const after = (steps: number) => ({ minutesPerDay: minutesPerDay + steps * MINUTES_STEP });
    let [low, high] = [0, Math.ceil((LONGEST_DAY - minutesPerDay) / MINUTES_STEP)];
    if (high > 0 && (yield* works(after(high)))) {
      while (high - low > 1) {
        const mid = Math.floor((low + high) / 2);
        if (yield* works(after(mid))) high = mid;
        else low = mid;
      }
      return { change: 'minutes', ...after(high), more: high * MINUTES_STEP };
    }
  }
  for (const weekday of availableWeekdays ? WEEK : [])
    if (!availableWeekdays!.includes(weekday) && (yield* works({ availableWeekdays: [...availableWeekdays!, weekday] })))
      return { change: 'weekday', weekday };
  return null;
}
