import { addDays, daysBetween, isDay, later, localDay, type Day } from './day.js';
import { checkRecurrence, nextAfter, plainEvery, recurAfter, RecurrenceError, type Every } from './recurrence.js';
import { HOURS_A_DAY, MS_PER_HOUR } from '../units.js';

/** What wears by use, and in what it is counted. */
export const USE_UNITS = ['outings', 'frames', 'lens-changes', 'hours'] as const;
export type UseUnit = (typeof USE_UNITS)[number];
/** What a thing meets outdoors that does not wait for a calendar. */
export const EXPOSURES = ['sand', 'salt', 'rain', 'dust', 'damp'] as const;
export type Exposure = (typeof EXPOSURES)[number];
/** What the air foretells. */
export const CLIMATE_SIGNS = ['early-warning', 'gel', 'damp'] as const;
export type ClimateSign = (typeof CLIMATE_SIGNS)[number];

/** What makes a recurring duty fall due; of several the first to come decides. */
export type Trigger =
  /** `from` is a fixed day, or `last-done`: counted anew each time it is done; `while` holds it back until fungus risk is raised. */
  | { on: 'calendar'; rrule: string; from: Day; while?: 'fungus-risk' }
  | { on: 'use'; of: UseUnit; count: number }
  | { on: 'exposure'; to: readonly Exposure[]; withinHours: number }
  /** So many days before the day the air foretells. */
  | { on: 'climate'; sign: ClimateSign; daysAhead: number }
  | { on: 'idleness'; after: Every };
export type TriggerKind = Trigger['on'];

/** One use of a thing: what was counted on a day, and what it met there. */
export type Use = {
  day: Day;
  /** The hour, where it is known. */
  at?: string;
  /** When it was written down: of a day on which it was done as well, what was written down after that came after it. */
  notedAt?: string;
  counts: Partial<Record<UseUnit, number>>;
  met: readonly Exposure[];
};
/** What the air foretells for a subject: the likeliest day, and between which days it lies. */
export type Foretold = { sign: ClimateSign; day: Day; from: Day; to: Day };

/** All a trigger may ask about its subject. */
export type TriggerFacts = {
  lastDone: Day;
  /** The hour it was done, where that is known: what was met later the same day is not covered by it. */
  lastDoneAt?: string;
  /** How many days before its due day doing it counts for it: an early one must not make a second. */
  earlyDays: number;
  today: Day;
  zone: string;
  uses: readonly Use[];
  foretold: readonly Foretold[];
  fungusRisk: boolean;
};

/** When a trigger says it is due, and by what. A guess says between which days it lies. */
export type Call = { due: Day; by: TriggerKind; latest?: Day; estimate?: { from: Day; to: Day }; count?: number; met?: Exposure };

/** Use is foretold from what was used in this time (our choice: a year, so that seasons even out). */
const USE_LOOK_BACK_DAYS = 365;
/** Beyond two years a rate of use says nothing (our choice). */
const FORESEEN_DAYS = 730;

function usedSince(uses: readonly Use[], { lastDone, lastDoneAt }: TriggerFacts): Use[] {
  return uses.filter((use) => {
    if (lastDoneAt && use.at) return use.at > lastDoneAt;
    // Of the same day the order is that of writing: asking once too often costs a tap, salt forgotten costs a lens.
    if (use.day === lastDone && lastDoneAt && use.notedAt) return use.notedAt > lastDoneAt;
    return use.day > lastDone;
  });
}

function calendarCall({ rrule, from, while: only }: Extract<Trigger, { on: 'calendar' }>, facts: TriggerFacts): Call | null {
  if (only === 'fungus-risk' && !facts.fungusRisk) return null;
  const due =
    from === 'last-done'
      ? recurAfter(rrule, facts.lastDone, facts.lastDone)
      : recurAfter(rrule, from, later(addDays(from, -1), addDays(facts.lastDone, facts.earlyDays)));
  return due ? { due, by: 'calendar' } : null;
}

/** Due on the day the count is reached; before that foretold from the last year's rate, with the spread of a count. */
function useCall({ of, count }: Extract<Trigger, { on: 'use' }>, facts: TriggerFacts): Call | null {
  const { uses, today } = facts;
  let used = 0;
  for (const use of usedSince(uses, facts)) {
    used += use.counts[of] ?? 0;
    if (used >= count) return { due: use.day, by: 'use', count: used };
  }
  const since = addDays(today, -USE_LOOK_BACK_DAYS);
  const lately = uses.filter((u) => u.day > since);
  const inYear = lately.reduce((sum, u) => sum + (u.counts[of] ?? 0), 0);
  const left = count - used;
  const daysFor = (amount: number) => Math.ceil((amount * USE_LOOK_BACK_DAYS) / inYear);
  if (!(inYear > 0) || daysFor(left) > FORESEEN_DAYS) return null;
  // Counts scatter by their root: so many more or fewer outings are nothing unusual.
  const spread = Math.sqrt(left);
  const [soonest, latest] = [daysFor(Math.max(0, left - spread)), daysFor(left + spread)];
  return {
    due: addDays(today, daysFor(left)),
    by: 'use',
    count: used,
    estimate: { from: addDays(today, soonest), to: addDays(today, latest) },
  };
}

/** The local day so many hours later: real hours where the hour is known, else the days those hours begin. */
const hoursAfter = ({ day, at }: Pick<Use, 'day' | 'at'>, hours: number, zone: string): Day =>
  at ? localDay(new Date(Date.parse(at) + hours * MS_PER_HOUR), zone) : addDays(day, Math.ceil(hours / HOURS_A_DAY) - 1);

/** The first exposure since it was last done; hours are real ones, the day they end on is the zone's. */
function exposureCall({ to, withinHours }: Extract<Trigger, { on: 'exposure' }>, facts: TriggerFacts): Call | null {
  for (const { day, at, met } of usedSince(facts.uses, facts)) {
    const hit = met.find((m) => to.includes(m));
    if (hit) return { due: day, by: 'exposure', latest: hoursAfter({ day, at }, withinHours, facts.zone), met: hit };
  }
  return null;
}

function climateCall({ sign, daysAhead }: Extract<Trigger, { on: 'climate' }>, { foretold, today }: TriggerFacts): Call | null {
  const found = foretold.find((f) => f.sign === sign);
  if (!found) return null;
  const ahead = (day: Day) => later(today, addDays(day, -daysAhead));
  return { due: ahead(found.day), by: 'climate', latest: found.day, estimate: { from: ahead(found.from), to: ahead(found.to) } };
}

function idlenessCall({ after }: Extract<Trigger, { on: 'idleness' }>, { uses, lastDone }: TriggerFacts): Call {
  const lastUse = uses.reduce((latest, u) => later(latest, u.day), lastDone);
  return { due: nextAfter(lastUse, after), by: 'idleness' };
}

export function callOf(trigger: Trigger, facts: TriggerFacts): Call | null {
  switch (trigger.on) {
    case 'calendar':
      return calendarCall(trigger, facts);
    case 'use':
      return useCall(trigger, facts);
    case 'exposure':
      return exposureCall(trigger, facts);
    case 'climate':
      return climateCall(trigger, facts);
    case 'idleness':
      return idlenessCall(trigger, facts);
    default:
      return trigger satisfies never;
  }
}

/** Of two for the same day what does not wait goes before what does, and what is certain before a guess. */
const weight = ({ latest, estimate }: Call): number => (latest && !estimate ? 0 : estimate ? 2 : 1);

/** Whichever comes first. */
export function firstCall(triggers: readonly Trigger[], facts: TriggerFacts): Call | null {
  const calls = triggers.flatMap((t) => callOf(t, facts) ?? []);
  return calls.reduce<Call | null>(
    (first, call) => (!first || call.due < first.due || (call.due === first.due && weight(call) < weight(first)) ? call : first),
    null,
  );
}

/** What is wrong with a rhythm as somebody set it, and the nearest that would do. */
export type RhythmTrouble =
  | { trouble: 'no-trigger' }
  | { trouble: 'unreadable' | 'too-often' | 'never' | 'ends'; trigger: number; detail: string; nearest: string | null }
  | { trouble: 'no-day'; trigger: number }
  | { trouble: 'not-positive'; trigger: number; nearest: number }
  | { trouble: 'window-overlaps'; everyDays: number; nearest: number };

const MOST_YEARS = 10;

function troubleOf(trigger: Trigger, index: number, today: Day): RhythmTrouble | null {
  switch (trigger.on) {
    case 'calendar': {
      if (trigger.from !== 'last-done' && !isDay(trigger.from)) return { trouble: 'no-day', trigger: index };
      try {
        checkRecurrence(trigger.rrule, trigger.from === 'last-done' ? today : trigger.from);
        return null;
      } catch (error) {
        if (!(error instanceof RecurrenceError)) throw error;
        return { trouble: error.trouble, trigger: index, detail: error.message, nearest: nearestRule(trigger.rrule, error.trouble) };
      }
    }
    case 'use':
      return trigger.count >= 1 ? null : { trouble: 'not-positive', trigger: index, nearest: 1 };
    case 'exposure':
      return trigger.to.length > 0 && trigger.withinHours >= 1 ? null : { trouble: 'not-positive', trigger: index, nearest: 1 };
    case 'climate':
      return trigger.daysAhead >= 0 ? null : { trouble: 'not-positive', trigger: index, nearest: 0 };
    case 'idleness':
      return daysBetween(today, nextAfter(today, trigger.after)) >= 1 ? null : { trouble: 'not-positive', trigger: index, nearest: 1 };
    default:
      return trigger satisfies never;
  }
}

/** The sensible rule next to one that is not: daily for a flood, without its end, at its plain frequency. */
function nearestRule(rrule: string, trouble: RecurrenceError['trouble']): string | null {
  switch (trouble) {
    case 'too-often':
      return 'FREQ=DAILY;INTERVAL=1';
    case 'ends':
      return rrule.replace(/;?(COUNT|UNTIL)=[^;]*/gi, '').replace(/^;/, '');
    case 'never':
      return plainEvery(rrule) ? `FREQ=YEARLY;INTERVAL=${MOST_YEARS}` : (/FREQ=(DAILY|WEEKLY|MONTHLY|YEARLY)/i.exec(rrule)?.[0] ?? null);
    case 'unreadable':
      return null;
    default:
      return trouble satisfies never;
  }
}

/** All that is wrong with a rhythm's triggers and window; nothing where it can be followed. */
export function rhythmTroubles(
  { triggers, earlyDays, lateDays }: { triggers: readonly Trigger[]; earlyDays: number; lateDays: number },
  today: Day,
): RhythmTrouble[] {
  if (triggers.length === 0) return [{ trouble: 'no-trigger' }];
  const troubles = triggers.flatMap((t, i) => troubleOf(t, i, today) ?? []);
  if (troubles.length > 0) return troubles;
  // A window that opens before the last one closed would have two of the same waiting at once.
  const every = triggers.flatMap((t) => {
    if (t.on !== 'calendar') return [];
    const plain = plainEvery(t.rrule);
    return plain ? [daysBetween(today, nextAfter(today, plain))] : [];
  });
  const shortest = Math.min(...every);
  if (earlyDays + lateDays >= shortest)
    return [{ trouble: 'window-overlaps', everyDays: shortest, nearest: Math.max(0, Math.floor((shortest - 1) / 2)) }];
  return [];
}
