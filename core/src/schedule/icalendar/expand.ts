import ICAL from 'ical.js';
import { Frequency, RRule, type RuleFrequency, type RuleOptions } from '../rrule.js';
import { MS_PER_DAY, MS_PER_HOUR, MS_PER_MINUTE, MS_PER_SECOND } from '../../units.js';

/** A stretch of wall clock, ms since 1970 as if the clock were UTC's. */
export type Wall = { fromMs: number; toMs: number };
/** Of one event so many times are followed, and not more (our choice). */
const MOST_TIMES = 5_000;
/** A rule that says how often it comes has to be counted from its beginning: so many are counted, and not more. */
const MOST_COUNTED = 200_000;

/** A clock's time, ms since 1970 as if it were UTC's: recurrence is reckoned by the calendar, not by instants. */
export const wallMs = (t: ICAL.Time): number => Date.UTC(t.year, t.month - 1, t.day, t.hour, t.minute, Math.min(t.second, 59));

/** The time a clock of the same zone shows then. */
export function timeAt(ms: number, like: ICAL.Time): ICAL.Time {
  const at = new Date(ms);
  const [year, month, day] = [at.getUTCFullYear(), at.getUTCMonth() + 1, at.getUTCDate()];
  const clock = { hour: at.getUTCHours(), minute: at.getUTCMinutes(), second: at.getUTCSeconds() };
  return new ICAL.Time({ year, month, day, ...clock, isDate: like.isDate }, like.zone);
}

/** What of the frequencies has a length of its own; months and years have none, and are few. */
const LENGTH_MS: Partial<Record<RuleFrequency, number>> = {
  [Frequency.WEEKLY]: 7 * MS_PER_DAY,
  [Frequency.DAILY]: MS_PER_DAY,
  [Frequency.HOURLY]: MS_PER_HOUR,
  [Frequency.MINUTELY]: MS_PER_MINUTE,
  [Frequency.SECONDLY]: MS_PER_SECOND,
};

/** February 29 counts: some year has it. */
const LONGEST_MONTH = [31, 29, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
const asList = (value: number | number[] | null | undefined): number[] => [value ?? []].flat();

/** What of a cycle is ever reached by steps of one size: every twelfth month is the same one. */
const reached = (from: number, step: number, cycle: number): number[] => Array.from({ length: cycle }, (_, n) => (from + n * step) % cycle);

/**
 * Is there any day in any year that the rule can name? A day that never comes would be sought to the end of time: one that
 * no month has, a month that its steps leave out, a weekday that they never meet.
 */
function everComes({ freq, bymonth, bymonthday, byweekday }: Partial<RuleOptions>, interval: number, start: ICAL.Time): boolean {
  const [months, days] = [asList(bymonth), asList(bymonthday)];
  if (months.length > 0 && days.length > 0 && !months.some((month) => days.some((day) => Math.abs(day) <= LONGEST_MONTH[month - 1]!)))
    return false;
  if (freq === Frequency.MONTHLY && months.length > 0) return reached(start.month - 1, interval, 12).some((m) => months.includes(m + 1));
  const weekdays = [byweekday ?? []].flat().map((d) => (typeof d === 'object' ? d.weekday : Number(d)));
  if (freq === Frequency.DAILY && weekdays.length > 0)
    return reached((start.dayOfWeek() + 5) % 7, interval, 7).some((weekday) => weekdays.includes(weekday));
  return true;
}

/** The last moment of a rule on the clock of its events: RFC 5545 writes it in UTC where those have a zone. */
function lastOf({ until }: ICAL.Recur, { zone, isDate }: ICAL.Time): number {
  if (!until) return Infinity;
  if (until.isDate) return wallMs(until) + (isDate ? 0 : MS_PER_DAY - MS_PER_SECOND);
  return wallMs(zone && until.zone === ICAL.Timezone.utcTimezone && !isDate ? until.convertToZone(zone) : until);
}

/**
 * When a rule falls within a stretch of wall clock, begun at `start`; the search begins where the stretch does, however
 * long ago the rule did. A day that a month has not is left out, as RFC 5545 section 3.3.10 has it.
 *
 * @returns the times, ms of wall clock, and whether there were more than are followed.
 * @throws Error when the rule cannot be followed.
 */
export function timesOf(rule: ICAL.Recur, start: ICAL.Time, { fromMs, toMs }: Wall): { times: number[]; cut: boolean } {
  const startMs = wallMs(start);
  const options = RRule.parseString(rule.toString());
  const interval = options.interval ?? 1;
  if (!Number.isSafeInteger(interval) || interval < 1) throw new Error('an interval is a whole number of 1 or more');
  if (!everComes(options, interval, start)) return { times: [], cut: false };
  const length = LENGTH_MS[options.freq!];
  const stride = length && length * interval;
  const skipped = stride && !options.count ? Math.max(0, Math.floor((fromMs - startMs) / stride) - 1) * stride : 0;
  const until = Math.min(lastOf(rule, start), toMs);
  const times: number[] = [];
  let [cut, counted] = [false, 0];
  const follow = (at: Date): boolean => {
    const ms = at.getTime();
    if (ms > until) return false;
    if (ms >= fromMs) times.push(ms);
    counted += 1;
    cut = times.length >= MOST_TIMES || counted >= MOST_COUNTED;
    return !cut;
  };
  const begun = new Date(startMs + skipped);
  // Without `count` the end of the stretch ends the search; with it the rule ends by itself or is cut.
  const { until: _, ...unended } = options;
  new RRule({ ...unended, dtstart: begun, tzid: null, ...(options.count ? {} : { until: new Date(until) }) }, true).all(follow);
  return { times, cut };
}
