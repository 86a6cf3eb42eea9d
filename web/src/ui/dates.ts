/** Making a format costs fifty times as much as using it, and a shelf of a thousand things uses one for each. */
const kept = new Map<string, Intl.DateTimeFormat>();
function formatOf(options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat {
  const key = JSON.stringify(options);
  const known = kept.get(key);
  if (known) return known;
  const made = new Intl.DateTimeFormat('en-GB', options);
  kept.set(key, made);
  return made;
}

/** Noon of a calendar day in UTC, where no summer time moves it to another day. */
const noonOf = (day: string): Date => new Date(`${day}T12:00:00Z`);
const dayIn =
  (options: Intl.DateTimeFormatOptions) =>
  (day: string): string =>
    formatOf({ ...options, timeZone: 'UTC' }).format(noonOf(day));

/** "26 Nov" */
export const shortDate = dayIn({ day: 'numeric', month: 'short' });
/** "Thu 26 Nov" */
export const shortWeekday = dayIn({ weekday: 'short', day: 'numeric', month: 'short' });
/** "Thursday 26 November" */
export const wholeWeekday = dayIn({ weekday: 'long', day: 'numeric', month: 'long' });

/** "Thursday 26 November 2026 at 16:00", on the clock of a zone. */
export const fullInstant = (instant: string, timeZone: string): string =>
  formatOf({ dateStyle: 'full', timeStyle: 'short', timeZone }).format(new Date(instant));
export { shortInstant } from '@bright-keeper/words';
const clock = (ms: number, timeZone: string): string => formatOf({ hour: '2-digit', minute: '2-digit', timeZone }).format(ms);
/** "16:00" today, "26 Nov, 16:00" on another day, on the clock of a zone. */
export const momentFrom =
  (now: Date, timeZone: string) =>
  (ms: number): string => {
    const day = dayOf(ms, timeZone);
    return day === dayOf(now.getTime(), timeZone) ? clock(ms, timeZone) : `${day}, ${clock(ms, timeZone)}`;
  };
const dayOf = (ms: number, timeZone: string): string => formatOf({ day: 'numeric', month: 'short', timeZone }).format(ms);
