import { addDays, addMonths, dayOf, utcOf, type Day } from './day.js';
import { RRule } from './rrule.js';

/** A plain interval: so many days, or months that end on the last day where a month is too short. */
export type Every = { days: number } | { months: number };
export const nextAfter = (day: Day, every: Every): Day => ('days' in every ? addDays(day, every.days) : addMonths(day, every.months));

export type RuleTrouble = 'unreadable' | 'too-often' | 'never' | 'ends';

/** A recurrence nobody can follow: it cannot be read, fires more often than once a day, or never. */
export class RecurrenceError extends RangeError {
  constructor(
    readonly trouble: RuleTrouble,
    detail: string,
  ) {
    super(detail);
  }
}

const SUB_DAILY = /FREQ=(HOURLY|MINUTELY|SECONDLY)|BYHOUR=|BYMINUTE=|BYSECOND=/i;
const PLAIN = /^FREQ=(DAILY|WEEKLY|MONTHLY|YEARLY)(?:;INTERVAL=(\d{1,4}))?$/i;
/** Care that recurs less than once in ten years never comes for anybody (our choice). */
const LONGEST_WAIT_YEARS = 10;

/** "Every so many days, weeks, months or years" and nothing else; null where the rule says more. */
export function plainEvery(rrule: string): Every | null {
  const found = PLAIN.exec(rrule);
  if (!found) return null;
  const interval = Number(found[2] ?? 1);
  switch (found[1]!.toUpperCase()) {
    case 'DAILY':
      return { days: interval };
    case 'WEEKLY':
      return { days: 7 * interval };
    case 'MONTHLY':
      return { months: interval };
    default:
      return { months: 12 * interval };
  }
}

/** The rule of a plain interval. */
export const rruleOf = (every: Every): string =>
  'days' in every ? `FREQ=DAILY;INTERVAL=${every.days}` : `FREQ=MONTHLY;INTERVAL=${every.months}`;

/**
 * All days on which an RFC 5545 recurrence rule falls between two days, both included, begun on `start`.
 * Days count on the calendar: neither zone nor summer time enters.
 *
 * @param rrule the value of an RRULE property, such as `FREQ=MONTHLY;BYDAY=1SA`
 * @throws RecurrenceError when it cannot be read.
 */
export function occurrences(rrule: string, start: Day, { from, to }: { from: Day; to: Day }): Day[] {
  return ruleFrom(rrule, start).between(utcOf(from), utcOf(to), true).map(dayOf);
}

const read = new Map<string, InstanceType<typeof RRule>>();
const MOST_READ = 4000;

function ruleFrom(rrule: string, start: Day): InstanceType<typeof RRule> {
  const key = `${start} ${rrule}`;
  const known = read.get(key);
  if (known) return known;
  if (/\r|\n|DTSTART|RRULE:|EXRULE/i.test(rrule))
    throw new RecurrenceError('unreadable', 'write the rule alone, such as FREQ=MONTHLY;INTERVAL=3');
  if (SUB_DAILY.test(rrule)) throw new RecurrenceError('too-often', 'care recurs by days: write FREQ=DAILY, WEEKLY, MONTHLY or YEARLY');
  let rule;
  try {
    rule = new RRule({ ...RRule.parseString(rrule), dtstart: utcOf(start), tzid: null });
  } catch (error) {
    throw new RecurrenceError('unreadable', error instanceof Error ? error.message : String(error));
  }
  if (read.size >= MOST_READ) read.clear();
  read.set(key, rule);
  return rule;
}

/**
 * The first day after a given one on which a rule falls, begun on `start`; null when it never does again.
 * A plain interval is counted on the calendar, so three months after 30 November is the last day of February,
 * where RFC 5545 would leave the month out.
 */
export function recurAfter(rrule: string, start: Day, after: Day): Day | null {
  const every = plainEvery(rrule);
  if (every && start === after) return nextAfter(start, every);
  const next = ruleFrom(rrule, start).after(utcOf(after), false);
  return next ? dayOf(next) : null;
}

/**
 * Refuses a rule nobody could follow.
 *
 * @throws RecurrenceError saying what is wrong with it.
 */
export function checkRecurrence(rrule: string, start: Day): void {
  if (/COUNT=|UNTIL=/i.test(rrule))
    throw new RecurrenceError('ends', 'care has no end: leave out COUNT and UNTIL, or switch the rhythm off');
  if (/INTERVAL=0+(;|$)/i.test(rrule)) throw new RecurrenceError('too-often', 'an interval is 1 or more');
  if (!/FREQ=/i.test(rrule)) throw new RecurrenceError('unreadable', 'a rule begins with FREQ=DAILY, WEEKLY, MONTHLY or YEARLY');
  const every = plainEvery(rrule);
  // A search for what never comes would walk to the year 9999: it is held to the years that matter.
  const until = addMonths(start, 12 * LONGEST_WAIT_YEARS);
  const comes = every ? nextAfter(start, every) <= until : firstWithin(rrule, start, until);
  if (!comes) throw new RecurrenceError('never', `it does not fall on any day of the next ${LONGEST_WAIT_YEARS} years`);
}

function firstWithin(rrule: string, start: Day, until: Day): boolean {
  ruleFrom(rrule, start);
  const bounded = new RRule({ ...RRule.parseString(rrule), dtstart: utcOf(start), until: utcOf(until), tzid: null });
  return bounded.after(utcOf(start), false) !== null;
}
