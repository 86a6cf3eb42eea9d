/** A local calendar day, `YYYY-MM-DD`. Days are counted on the calendar, never in hours, so summer time changes nothing. */
export type Day = string;

const MS_PER_DAY = 86_400_000;
const toUtc = (day: Day): number => {
  const at = Date.parse(`${day}T00:00:00Z`);
  if (!/^\d{4}-\d{2}-\d{2}$/.test(day) || Number.isNaN(at)) throw new RangeError(`${day} is not a calendar day; write it as YYYY-MM-DD`);
  return at;
};
const toDay = (ms: number): Day => new Date(ms).toISOString().slice(0, 10);

export const addDays = (day: Day, days: number): Day => toDay(toUtc(day) + days * MS_PER_DAY);

/** Whole days from one day to another; negative when `to` is earlier. */
export const daysBetween = (from: Day, to: Day): number => Math.round((toUtc(to) - toUtc(from)) / MS_PER_DAY);

/** The same day some months later; the last day of a shorter month where that day does not exist. */
export function addMonths(day: Day, months: number): Day {
  toUtc(day);
  const [year, month, date] = day.split('-').map(Number) as [number, number, number];
  const lastOfMonth = new Date(Date.UTC(year, month + months, 0)).getUTCDate();
  return toDay(Date.UTC(year, month - 1 + months, Math.min(date, lastOfMonth)));
}

/** The local calendar day of an instant in a time zone (IANA name). */
export const localDay = (instant: string | Date, timeZone: string): Day =>
  new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(new Date(instant));
