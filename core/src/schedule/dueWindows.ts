import { addDays, addMonths, daysBetween, type Day } from './day.js';
import { rhythm, type Every, type TaskId } from './rhythms.js';

/** A rule applied to one subject: from when it counts, how often, and how far it may slip. */
export type CareRule = {
  id: string;
  subjectId: string;
  every: Every;
  /** The day the first interval begins when nothing has been done yet. */
  startsOn: Day;
  earlyDays: number;
  lateDays: number;
  minutes: number;
};
export type Done = { ruleId: string; subjectId: string; on: Day };
export type DueWindow = { ruleId: string; subjectId: string; earliest: Day; due: Day; latest: Day; minutes: number };

export const nextAfter = (day: Day, every: Every): Day => ('days' in every ? addDays(day, every.days) : addMonths(day, every.months));

function lastDone(rule: CareRule, history: readonly Done[], now: Day): Day {
  const days = history.filter((h) => h.ruleId === rule.id && h.subjectId === rule.subjectId && h.on <= now).map((h) => h.on);
  return days.reduce((latest, day) => (day > latest ? day : latest), rule.startsOn);
}

/**
 * When each rule falls due between two days: the first time reckoned from the last time it was done, and the
 * following ones as if each were done on its due day. What is overdue stays in, however early `from` lies.
 *
 * @throws RangeError when an interval is not positive, or a day is not `YYYY-MM-DD`.
 */
export function dueWindows(
  rules: readonly CareRule[],
  history: readonly Done[],
  { from, to, now }: { from: Day; to: Day; now: Day },
): DueWindow[] {
  const windows = rules.flatMap((rule) => {
    if (!(daysBetween('2000-01-01', nextAfter('2000-01-01', rule.every)) > 0))
      throw new RangeError(`rule ${rule.id}: every must be at least one day`);
    const found: DueWindow[] = [];
    for (
      let due = nextAfter(lastDone(rule, history, now), rule.every);
      addDays(due, -rule.earlyDays) <= to;
      due = nextAfter(due, rule.every)
    ) {
      const latest = addDays(due, rule.lateDays);
      const overdueFirst = found.length === 0 && due <= now;
      if (latest >= from || overdueFirst)
        found.push({
          ruleId: rule.id,
          subjectId: rule.subjectId,
          earliest: addDays(due, -rule.earlyDays),
          due,
          latest,
          minutes: rule.minutes,
        });
      // The next one counts from today when this one is late: it cannot be done in the past.
      if (due < now) due = now;
    }
    return found;
  });
  return windows.sort((a, b) => a.due.localeCompare(b.due) || a.subjectId.localeCompare(b.subjectId) || a.ruleId.localeCompare(b.ruleId));
}

/** The rule a task becomes for one thing. */
export function ruleFor(task: TaskId, subjectId: string, startsOn: Day): CareRule {
  const { every, windowDays, minutes } = rhythm(task);
  return { id: task, subjectId, every, startsOn, earlyDays: windowDays, lateDays: windowDays, minutes };
}

/** The one window a task has next, counted from the day it was last done. */
export function nextWindow(task: TaskId, subjectId: string, lastDoneOn: Day): DueWindow {
  const { id, earlyDays, lateDays, minutes, every } = ruleFor(task, subjectId, lastDoneOn);
  const due = nextAfter(lastDoneOn, every);
  return { ruleId: id, subjectId, earliest: addDays(due, -earlyDays), due, latest: addDays(due, lateDays), minutes };
}

export type Urgency = 'overdue' | 'due' | 'soon' | 'later';

/** Overdue past its window, due inside it from the due day on, soon inside it before that. */
export function urgencyOf({ earliest, due, latest }: Pick<DueWindow, 'earliest' | 'due' | 'latest'>, today: Day): Urgency {
  if (today > latest) return 'overdue';
  if (today >= due) return 'due';
  return today >= earliest ? 'soon' : 'later';
}
