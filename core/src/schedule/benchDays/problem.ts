import { addDays, daysBetween, later, earlier, weekdayOf, type Day } from '../day.js';
import { GRAVITY_WEIGHT, gravityRank, type Gravity } from '../gravity.js';
import { setUpFacts, type SetUpId } from '../setUps.js';
import type { DueWindow } from '../dueWindows.js';

/** Something to be done on a bench day: a window with what it needs laid out and what waiting costs. */
export type BenchTask = DueWindow & {
  /** Tells tasks apart; the rule and the subject where it is left out. */
  id?: string;
  setUp?: SetUpId;
  gravity?: Gravity;
  /** Where it lies in the order of contamination within its set-up: what is dirtier comes first. */
  rank?: number;
  /** Fixed to this day by the keeper. */
  pinnedTo?: Day | null;
};

export type BenchOptions = {
  from: Day;
  to: Day;
  /** 0 = Sunday; all days where it is left out. */
  availableWeekdays?: readonly number[];
  /** No limit where it is left out. */
  minutesPerDay?: number;
  /** Days the keeper is not there. */
  away?: readonly { from: Day; to: Day }[];
  /** Minutes of single days that are shorter, for busy time of another calendar. */
  minutesOn?: Readonly<Record<Day, number>>;
};

/** Why a task is on no day: no day of its window is free, none has room left for it, or its window is over. */
export const LATE_REASONS = ['over', 'no-day', 'too-long', 'no-room', 'pinned-away'] as const;
export type LateReason = (typeof LATE_REASONS)[number];

export type Slot = { day: Day; minutes: number };
/** A task as the search sees it: on which slots it may lie, by index. */
export type Job = { task: BenchTask; first: number; last: number; minutes: number; setUp: SetUpId | null; weight: number };
export type Problem = { slots: Slot[]; jobs: Job[]; impossible: { window: BenchTask; reason: LateReason }[] };

export const taskId = (task: BenchTask): string => task.id ?? `${task.ruleId}/${task.subjectId}`;
export const gravityOf = (task: BenchTask): Gravity => task.gravity ?? 'routine';
export const setUpMinutes = (id: SetUpId | null): number => (id ? setUpFacts(id).minutes : 0);

/** The days the keeper can work on, each with its minutes. */
export function slotsOf({ from, to, availableWeekdays, minutesPerDay = Infinity, away = [], minutesOn = {} }: BenchOptions): Slot[] {
  const slots: Slot[] = [];
  for (let day = from; day <= to; day = addDays(day, 1)) {
    const free = !availableWeekdays || availableWeekdays.includes(weekdayOf(day));
    const here = !away.some((a) => a.from <= day && day <= a.to);
    const minutes = Math.min(minutesPerDay, minutesOn[day] ?? Infinity);
    if (free && here && minutes > 0) slots.push({ day, minutes });
  }
  return slots;
}

/** The first day there is time; null where there is none. */
export const firstFreeDay = (options: BenchOptions): Day | null => slotsOf(options)[0]?.day ?? null;

function checked({ from, to, availableWeekdays, minutesPerDay }: BenchOptions): void {
  if (daysBetween(from, to) < 0) throw new RangeError(`the span ends on ${to}, before it begins on ${from}`);
  if (minutesPerDay !== undefined && !(minutesPerDay > 0))
    throw new RangeError(`${minutesPerDay} minutes a day is no time; allow at least one`);
  const stray = availableWeekdays?.find((d) => !(Number.isInteger(d) && d >= 0 && d <= 6));
  if (stray !== undefined) throw new RangeError(`weekday ${stray} is none; 0 is Sunday, 6 is Saturday`);
}

/**
 * Windows on the days there are: what can lie nowhere is said at once, with its reason.
 *
 * @throws RangeError for a span that ends before it begins, a weekday that is none, a day without a minute, or a
 * window that ends before it begins.
 */
export function problemOf(tasks: readonly BenchTask[], options: BenchOptions): Problem {
  checked(options);
  const slots = slotsOf(options);
  const jobs: Job[] = [];
  const impossible: Problem['impossible'] = [];
  for (const task of tasks) {
    const { earliest, latest, pinnedTo } = task;
    if (earliest > latest) throw new RangeError(`the window of ${taskId(task)} ends on ${latest}, before it begins on ${earliest}`);
    const begins = later(pinnedTo ?? earliest, options.from);
    const ends = earlier(pinnedTo ?? latest, options.to);
    const first = slots.findIndex((s) => s.day >= begins);
    const last = slots.findLastIndex((s) => s.day <= ends);
    const setUp = task.setUp ?? null;
    const needs = task.minutes + setUpMinutes(setUp);
    const lies = first >= 0 && last >= first;
    if (latest < options.from && !pinnedTo) impossible.push({ window: task, reason: 'over' });
    else if (!lies) impossible.push({ window: task, reason: pinnedTo ? 'pinned-away' : 'no-day' });
    else if (!slots.slice(first, last + 1).some((s) => s.minutes >= needs)) impossible.push({ window: task, reason: 'too-long' });
    else jobs.push({ task, first, last, minutes: task.minutes, setUp, weight: GRAVITY_WEIGHT[gravityOf(task)] });
  }
  return { slots, jobs, impossible };
}

/** What a day holds: its jobs, the set-ups laid out for them, and the minutes of both. */
export class DayLoad {
  readonly jobs: Job[] = [];
  private readonly setUps = new Map<SetUpId, number>();
  minutes = 0;

  constructor(readonly room: number) {}

  added(job: Job): number {
    return job.minutes + (job.setUp && !this.setUps.has(job.setUp) ? setUpMinutes(job.setUp) : 0);
  }
  takes(job: Job): boolean {
    return this.minutes + this.added(job) <= this.room;
  }
  put(job: Job): void {
    this.minutes += this.added(job);
    if (job.setUp) this.setUps.set(job.setUp, (this.setUps.get(job.setUp) ?? 0) + 1);
    this.jobs.push(job);
  }
  remove(job: Job): void {
    this.jobs.splice(this.jobs.indexOf(job), 1);
    if (job.setUp) {
      const left = this.setUps.get(job.setUp)! - 1;
      if (left > 0) this.setUps.set(job.setUp, left);
      else this.setUps.delete(job.setUp);
    }
    this.minutes -= this.added(job);
  }
}

/** The order of work within a day: by set-up, within it what is dirtier first, then the gravest. */
export function inBenchOrder(a: BenchTask, b: BenchTask): number {
  const order = (t: BenchTask) => (t.setUp ? setUpFacts(t.setUp).order : Infinity);
  const [one, other] = [order(a), order(b)];
  return (
    (one === other ? 0 : one - other) ||
    (a.rank ?? 0) - (b.rank ?? 0) ||
    gravityRank(gravityOf(a)) - gravityRank(gravityOf(b)) ||
    a.due.localeCompare(b.due) ||
    taskId(a).localeCompare(taskId(b))
  );
}
