import { UTCDateMini } from '@date-fns/utc/date/mini';
import { addMonths as addCalendarMonths, isValid, lastDayOfMonth } from 'date-fns';
import { MS_PER_DAY } from '../units.js';

/** A local calendar day, `YYYY-MM-DD`. Days are counted on the calendar, never in hours, so summer time changes nothing. */
export type Day = string;

const SHAPE = /^\d{4}-\d{2}-\d{2}$/;

/**
 * The day as midnight UTC, where every day has 24 hours.
 *
 * @throws RangeError when it is no calendar day.
 */
export function utcOf(day: Day): Date {
  const date = new UTCDateMini(SHAPE.test(day) ? `${day}T00:00:00Z` : NaN);
  // The 31st of a month that has none is read as a day of the next one: that is not what was meant.
  if (!isValid(date) || dayOf(date) !== day) throw new RangeError(`${day} is not a calendar day; write it as YYYY-MM-DD`);
  return date;
}
/** @throws RangeError outside the years 0 to 9999. */
export function dayOf(date: Date): Day {
  const text = date.toISOString();
  if (text.length !== 24) throw new RangeError(`${text} is beyond the years that have four digits`);
  return text.slice(0, 10);
}

export const isDay = (text: string): boolean =>
  SHAPE.test(text) && isValid(new Date(`${text}T00:00:00Z`)) && dayOf(new Date(`${text}T00:00:00Z`)) === text;

/** A year of everything asks for the same few thousand days a hundred thousand times: each is read and written once. */
const MOST_KEPT = 20_000;
function keeping<K, V>(make: (key: K) => V): (key: K) => V {
  const kept = new Map<K, V>();
  return (key) => {
    const known = kept.get(key);
    if (known !== undefined) return known;
    if (kept.size >= MOST_KEPT) kept.clear();
    const value = make(key);
    kept.set(key, value);
    return value;
  };
}
const utcMs = keeping((day: Day): number => utcOf(day).getTime());
const dayAtMs = keeping((ms: number): Day => dayOf(new Date(ms)));

export const addDays = (day: Day, days: number): Day => dayAtMs(utcMs(day) + days * MS_PER_DAY);

/** Whole days from one day to another, which are midnights of UTC apart; negative when `to` is earlier. */
export const daysBetween = (from: Day, to: Day): number => (utcMs(to) - utcMs(from)) / MS_PER_DAY;

/** The same day some months later; the last day of a shorter month where that day does not exist. */
export const addMonths = (day: Day, months: number): Day => monthsLater(months)(day);
const monthsLater = keeping((months: number) => keeping((day: Day): Day => dayOf(addCalendarMonths(utcOf(day), months))));

/** 0 for Sunday to 6 for Saturday. */
export const weekdayOf = (day: Day): number => utcOf(day).getUTCDay();

/** First and last day of a month, given by any of its days. */
export const monthOf = (day: Day): { first: Day; last: Day } => ({
  first: `${day.slice(0, 8)}01`,
  last: dayOf(lastDayOfMonth(utcOf(day))),
});

/** The Monday on or before a day: weeks begin there, as ISO 8601 has it. */
export const weekStart = (day: Day): Day => addDays(day, -((weekdayOf(day) + 6) % 7));

export const earlier = (a: Day, b: Day): Day => (a < b ? a : b);
export const later = (a: Day, b: Day): Day => (a > b ? a : b);
/** By code units: days, instants and ids need no language, and thousands of them no collation. */
export const inOrder = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Making a format costs fifty times as much as using it, and a journal is asked for the same instants again and again. */
const dayIn = keeping((timeZone: string) => {
  const format = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
  return keeping((ms: number): Day => format.format(ms));
});

/**
 * The local calendar day of an instant in a time zone (IANA name).
 *
 * @throws RangeError when there is no such zone, or the instant is none.
 */
export const localDay = (instant: string | Date, timeZone: string): Day =>
  dayIn(timeZone)(typeof instant === 'string' ? Date.parse(instant) : instant.getTime());

const hourIn = keeping((timeZone: string) => new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', hourCycle: 'h23' }));
/** The local hour of an instant in a time zone, 0 to 23. @throws RangeError as `localDay` does. */
export const localHour = (instant: string | Date, timeZone: string): number => Number(hourIn(timeZone).format(new Date(instant)));

/** From dusk to dawn, roughly, in whole local hours (our choice): what the sun does to glass is not reckoned with in between. */
const NIGHT_FROM_H = 18;
const NIGHT_UNTIL_H = 8;
export const isNightHour = (hour: number): boolean => hour >= NIGHT_FROM_H || hour < NIGHT_UNTIL_H;
