import { planBenchDays, type BenchPlan } from './planBenchDays.js';
import type { BenchOptions, BenchTask } from './problem.js';

/** The smallest change under which nothing slips any more. */
export type Remedy = { change: 'minutes'; minutesPerDay: number; more: number } | { change: 'weekday'; weekday: number };

const MINUTES_STEP = 5;
/** Beyond four hours at once nobody sees what they clean (our choice). */
const LONGEST_DAY = 240;
const WEEK = [6, 0, 5, 1, 2, 3, 4] as const;

const slipsNot = ({ late }: BenchPlan): boolean => late.every((l) => l.reason === 'over');

/** Tries longer days, five minutes at a time by halving, then one weekday more; null where neither helps. */
export function smallestRemedy(windows: readonly BenchTask[], options: BenchOptions): Remedy | null {
  if (slipsNot(planBenchDays(windows, options))) return null;
  const { minutesPerDay, availableWeekdays } = options;
  if (minutesPerDay !== undefined) {
    const works = (minutes: number) => slipsNot(planBenchDays(windows, { ...options, minutesPerDay: minutes }));
    let [low, high] = [0, Math.ceil((LONGEST_DAY - minutesPerDay) / MINUTES_STEP)];
    if (high > 0 && works(minutesPerDay + high * MINUTES_STEP)) {
      while (high - low > 1) {
        const mid = Math.floor((low + high) / 2);
        if (works(minutesPerDay + mid * MINUTES_STEP)) high = mid;
        else low = mid;
      }
      return { change: 'minutes', minutesPerDay: minutesPerDay + high * MINUTES_STEP, more: high * MINUTES_STEP };
    }
  }
  if (!availableWeekdays) return null;
  const weekday = WEEK.find(
    (d) => !availableWeekdays.includes(d) && slipsNot(planBenchDays(windows, { ...options, availableWeekdays: [...availableWeekdays, d] })),
  );
  return weekday === undefined ? null : { change: 'weekday', weekday };
}
