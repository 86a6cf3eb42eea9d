const MONTHS = ['January', 'February', 'March', 'April', 'May', 'June', 'July', 'August', 'September', 'October', 'November', 'December'];

export const monthWords = (month: number): string => MONTHS[month - 1]!;
/** A day within a year of now, `YYYY-MM-DD`, as one says it: "14 December". */
export const dayOfYear = (day: string): string => `${Number(day.slice(8, 10))} ${monthWords(Number(day.slice(5, 7)))}`;

const LONG = new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year: 'numeric', timeZone: 'UTC' });
/** Making a format costs fifty times as much as using it: one for each zone. */
const instantFormats = new Map<string, Intl.DateTimeFormat>();
/** "26 Nov 2026, 16:00", on the clock of a zone. */
export function shortInstant(ms: number, timeZone: string): string {
  const format =
    instantFormats.get(timeZone) ??
    new Intl.DateTimeFormat('en-GB', { day: 'numeric', month: 'short', year: 'numeric', hour: '2-digit', minute: '2-digit', timeZone });
  instantFormats.set(timeZone, format);
  return format.format(ms);
}
/** A calendar day, `YYYY-MM-DD`: "Thu, 26 November 2026". At noon of UTC no summer time moves it to another day. */
export const longDate = (day: string): string => LONG.format(new Date(`${day}T12:00:00Z`));
