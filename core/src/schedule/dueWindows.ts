import { addDays, daysBetween, later, type Day } from './day.js';
import { nextAfter, rruleOf, type Every } from './recurrence.js';
import { firstCall, type Call, type Foretold, type Trigger, type Use } from './triggers.js';

/** A rule applied to one subject: what makes it due, from when it counts, and how far it may slip. */
export type CareRule = {
  id: string;
  subjectId: string;
  /** The day the first interval begins when nothing has been done yet. */
  startsOn: Day;
  earlyDays: number;
  lateDays: number;
  minutes: number;
} & ({ every: Every; triggers?: never } | { triggers: readonly Trigger[]; every?: never });

export type Done = { ruleId: string; subjectId: string; on: Day };
/** What happened to a subject, and what the air foretells for it. */
export type SubjectFacts = { subjectId: string; uses?: readonly Use[]; foretold?: readonly Foretold[]; fungusRisk?: boolean };

export type DueWindow = {
  ruleId: string;
  subjectId: string;
  earliest: Day;
  due: Day;
  latest: Day;
  minutes: number;
  /** Present where the day is a guess: between which days it is likely to lie. */
  estimate?: { from: Day; to: Day };
};

export type Span = { from: Day; to: Day; now: Day; zone?: string; facts?: readonly SubjectFacts[] };

/** The day it was last done, and how early that counts: what was never done has no early. */
function lastDone(rule: CareRule, history: readonly Done[], now: Day): { lastDone: Day; earlyDays: number } {
  const days = history.filter((h) => h.ruleId === rule.id && h.subjectId === rule.subjectId && h.on <= now).map((h) => h.on);
  return { lastDone: days.reduce(later, rule.startsOn), earlyDays: days.some((d) => d >= rule.startsOn) ? rule.earlyDays : 0 };
}

const triggersOf = (rule: CareRule): readonly Trigger[] =>
  rule.triggers ?? [{ on: 'calendar', rrule: rruleOf(rule.every), from: 'last-done' }];

/** The window around a call: exposure and climate say themselves how long it may wait. */
export function windowOf(
  call: Call,
  { earlyDays, lateDays }: { earlyDays: number; lateDays: number },
): { earliest: Day; due: Day; latest: Day } {
  const waits = call.by !== 'exposure' && call.by !== 'climate';
  return {
    earliest: waits ? addDays(call.due, -earlyDays) : call.due,
    due: call.due,
    latest: call.latest ? later(call.latest, call.due) : addDays(call.due, lateDays),
  };
}

/** The calls after the first, each as if the one before it were done on its due day: only calendars reach so far. */
export function* laterCalls(
  first: Call,
  { triggers, earlyDays }: { triggers: readonly Trigger[]; earlyDays: number },
  { today, fungusRisk }: { today: Day; fungusRisk: boolean },
): Generator<Call> {
  const calendars = triggers.filter((t) => t.on === 'calendar' || t.on === 'idleness');
  const spread = first.estimate && {
    before: daysBetween(first.estimate.from, first.due),
    after: daysBetween(first.due, first.estimate.to),
  };
  // What is late is done today at the soonest: it cannot be done in the past.
  let done = later(first.due, today);
  for (;;) {
    const from = done;
    const next = firstCall(calendars, { lastDone: from, earlyDays, today, zone: 'UTC', uses: [], foretold: [], fungusRisk });
    if (!next || next.due <= from) return;
    // What is counted on from a guess is as uncertain as that.
    yield spread ? { ...next, estimate: { from: addDays(next.due, -spread.before), to: addDays(next.due, spread.after) } } : next;
    done = next.due;
  }
}

/**
 * When each rule falls due between two days: the first time reckoned from the last time it was done, and the
 * following ones as if each were done on its due day. What is overdue stays in as one window, however many were
 * missed and however early `from` lies.
 *
 * @throws RangeError when an interval is not positive, a rule cannot be read, or a day is not `YYYY-MM-DD`.
 */
export function dueWindows(
  rules: readonly CareRule[],
  history: readonly Done[],
  { from, to, now, zone = 'UTC', facts = [] }: Span,
): DueWindow[] {
  const windows = rules.flatMap((rule) => {
    if (rule.every && !(daysBetween('2000-01-01', nextAfter('2000-01-01', rule.every)) > 0))
      throw new RangeError(`rule ${rule.id}: every must be at least one day`);
    const triggers = triggersOf(rule);
    const { uses = [], foretold = [], fungusRisk = false } = facts.find((f) => f.subjectId === rule.subjectId) ?? {};
    const first = firstCall(triggers, { ...lastDone(rule, history, now), today: now, zone, uses, foretold, fungusRisk });
    const found: DueWindow[] = [];
    const keep = (call: Call, isFirst: boolean): boolean => {
      const window = windowOf(call, rule);
      if (window.earliest > to) return false;
      if (window.latest >= from || (isFirst && call.due <= now))
        found.push({
          ruleId: rule.id,
          subjectId: rule.subjectId,
          ...window,
          minutes: rule.minutes,
          ...(call.estimate ? { estimate: call.estimate } : {}),
        });
      return true;
    };
    if (!first || !keep(first, true)) return found;
    for (const call of laterCalls(first, { triggers, earlyDays: rule.earlyDays }, { today: now, fungusRisk }))
      if (!keep(call, false)) break;
    return found;
  });
  return windows.sort((a, b) => a.due.localeCompare(b.due) || a.subjectId.localeCompare(b.subjectId) || a.ruleId.localeCompare(b.ruleId));
}

export type Urgency = 'overdue' | 'due' | 'soon' | 'later';

/** Overdue past its window, due inside it from the due day on, soon inside it before that. */
export function urgencyOf({ earliest, due, latest }: Pick<DueWindow, 'earliest' | 'due' | 'latest'>, today: Day): Urgency {
  if (today > latest) return 'overdue';
  if (today >= due) return 'due';
  return today >= earliest ? 'soon' : 'later';
}
