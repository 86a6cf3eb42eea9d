import { schedule } from '@bright-keeper/core';
import { outside } from '../outside';

/** Today's calendar day where the browser is. */
export const todayHere = (): string => schedule.localDay(outside.now(), Intl.DateTimeFormat().resolvedOptions().timeZone);

const longDate = (day: string) =>
  new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year: 'numeric' });

function inWords(days: number): string {
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  const size = Math.abs(days);
  const text =
    size < 14
      ? `${size} days`
      : size < 70
        ? `${Math.round(size / 7)} weeks`
        : size < 730
          ? `${Math.round(size / 30.4)} months`
          : `${Math.round(size / 365)} years`;
  return days > 0 ? `in ${text}` : `${text} ago`;
}

/** A day as its distance from today, with the date on hover. */
export function Day({ day }: { day: string }) {
  return (
    <time dateTime={day} title={longDate(day)}>
      {inWords(schedule.daysBetween(todayHere(), day))}
    </time>
  );
}

/** An instant, likewise. */
export function At({ instant }: { instant: string }) {
  const day = schedule.localDay(instant, Intl.DateTimeFormat().resolvedOptions().timeZone);
  const title = new Date(instant).toLocaleString('en-GB', { dateStyle: 'full', timeStyle: 'short' });
  return (
    <time dateTime={instant} title={title}>
      {inWords(schedule.daysBetween(todayHere(), day))}
    </time>
  );
}
