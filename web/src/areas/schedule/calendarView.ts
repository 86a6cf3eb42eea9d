import { schedule } from '@bright-keeper/core';
import { monthWords } from '@bright-keeper/words';

type Duty = schedule.Duty;
type Day = schedule.Day;

export const VIEWS = ['agenda', 'month', 'year'] as const;
export type View = (typeof VIEWS)[number];

/** What of the agenda is looked at; nothing chosen shows all. */
export type Filter = { subject: schedule.SubjectKind | null; gravity: schedule.Gravity | null; code: schedule.DutyCode | null };

const oneOf = <T extends string>(values: readonly T[], given: string | null): T | null => values.find((v) => v === given) ?? null;
export const filterFrom = (params: URLSearchParams): Filter => ({
  subject: oneOf(schedule.SUBJECT_KINDS, params.get('subject')),
  gravity: oneOf(schedule.GRAVITIES, params.get('gravity')),
  code: oneOf(schedule.DUTY_CODES, params.get('duty')),
});
export const passes =
  ({ subject, gravity, code }: Filter) =>
  (duty: Duty): boolean =>
    (!subject || duty.subject.kind === subject) && (!gravity || duty.gravity === gravity) && (!code || duty.code === code);

/** The day a duty stands on: where the keeper put it, else its due day, and what is late stands on today. */
export const standsOn = ({ plannedOn, window, ahead }: Duty, today: Day): Day =>
  plannedOn ?? (ahead === 0 && window.due < today ? today : window.due);

/** A month ahead is folded: what is near stands open. */
export type Heading = { title: string; duties: Duty[]; near: boolean };
const WEEK = 7;
export const monthTitle = (day: Day): string => `${monthWords(Number(day.slice(5, 7)))} ${day.slice(0, 4)}`;

const NEAR = ['Overdue', 'This week', 'Next week'];
/** Overdue, this week, next week, then month by month; within each by day, the gravest of a day first. */
export function agendaHeadings(duties: readonly Duty[], today: Day): Heading[] {
  const monday = schedule.weekStart(today);
  const headingOf = (d: Duty): string => {
    if (d.ahead === 0 && d.urgency === 'overdue' && !d.plannedOn) return 'Overdue';
    const day = standsOn(d, today);
    if (day < schedule.addDays(monday, WEEK)) return 'This week';
    if (day < schedule.addDays(monday, 2 * WEEK)) return 'Next week';
    return monthTitle(day);
  };
  const byDay = [...duties].sort(
    (a, b) =>
      standsOn(a, today).localeCompare(standsOn(b, today)) ||
      schedule.gravityRank(a.gravity) - schedule.gravityRank(b.gravity) ||
      a.id.localeCompare(b.id),
  );
  const headings = new Map<string, Duty[]>([['Overdue', []]]);
  for (const duty of byDay) {
    const title = headingOf(duty);
    const there = headings.get(title);
    if (there) there.push(duty);
    else headings.set(title, [duty]);
  }
  return [...headings].flatMap(([title, list]) => (list.length > 0 ? [{ title, duties: list, near: NEAR.includes(title) }] : []));
}

/** The weeks that show a month, each from Monday. */
export function monthWeeks(month: Day): Day[][] {
  const { first, last } = schedule.monthOf(month);
  const weeks: Day[][] = [];
  for (let monday = schedule.weekStart(first); monday <= last; monday = schedule.addDays(monday, WEEK))
    weeks.push(Array.from({ length: WEEK }, (_, i) => schedule.addDays(monday, i)));
  return weeks;
}

/** Why a duty may not be put on a day; null where it may. */
export type Forbidden = 'over' | 'before-window' | 'after-window';
export function forbiddenOn({ window, urgency }: Pick<Duty, 'window' | 'urgency'>, day: Day, today: Day): Forbidden | null {
  if (day < today) return 'over';
  // What is overdue may be put on any day from now on.
  if (urgency === 'overdue') return null;
  if (day < window.earliest) return 'before-window';
  return day > window.latest ? 'after-window' : null;
}

/** Only the one at hand can be put on a day: what follows it hangs on when that is done. */
export const isMovable = ({ ahead, facts }: Duty): boolean => ahead === 0 && facts.says !== 'warming';

export type WeekLoad = { monday: Day; minutes: number; count: number; guessed: number };
/** The year from this week on, week by week: how much falls due. */
export function yearWeeks(duties: readonly Duty[], today: Day, weeks = 53): WeekLoad[] {
  const monday = schedule.weekStart(today);
  const loads = Array.from({ length: weeks }, (_, i): WeekLoad => ({
    monday: schedule.addDays(monday, i * WEEK),
    minutes: 0,
    count: 0,
    guessed: 0,
  }));
  for (const duty of duties) {
    const load = loads[Math.floor(schedule.daysBetween(monday, standsOn(duty, today)) / WEEK)];
    if (!load) continue;
    load.minutes += duty.minutes;
    load.count += 1;
    if (duty.estimate) load.guessed += 1;
  }
  return loads;
}

/** A week on one sheet: what is late, what stands on each day, and what may be done already if there is time. */
export type WeekSheet<Bench> = {
  late: Duty[];
  days: { day: Day; bench: Bench | null; duties: Duty[] }[];
  mayBeDone: Duty[];
};

/** What is done on a bench day stands there and nowhere else; what is over before today is not printed. */
export function weekSheet<Bench extends { day: Day; tasks: readonly { duty: Duty }[] }>(
  duties: readonly Duty[],
  benchDays: readonly Bench[],
  monday: Day,
  today: Day,
): WeekSheet<Bench> {
  const week = Array.from({ length: WEEK }, (_, i) => schedule.addDays(monday, i));
  const sunday = week.at(-1)!;
  const benches = benchDays.filter((b) => b.day >= monday && b.day <= sunday);
  const atBench = new Set(benches.flatMap((b) => b.tasks.map((t) => t.duty.id)));
  const own = duties.filter((d) => !atBench.has(d.id) && !d.snoozedUntil).sort(schedule.byConsequence);
  const isLate = (d: Duty) => d.ahead === 0 && d.urgency === 'overdue' && !d.plannedOn;
  const thisWeek = monday <= today && today <= sunday;
  return {
    late: thisWeek ? own.filter(isLate) : [],
    days: week.map((day) => ({
      day,
      bench: benches.find((b) => b.day === day) ?? null,
      duties: own.filter((d) => !isLate(d) && standsOn(d, today) === day),
    })),
    mayBeDone: own.filter((d) => d.ahead === 0 && !isLate(d) && d.window.earliest <= sunday && standsOn(d, today) > sunday),
  };
}
