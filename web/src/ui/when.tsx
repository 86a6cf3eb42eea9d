import { schedule } from '@bright-keeper/core';
import { longDate } from '@bright-keeper/words';
import { outside } from '../outside';
import { fullInstant, momentFrom } from './dates';
import { useToday, useZone } from './zone';

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
  const today = useToday();
  return (
    <time dateTime={day} title={longDate(day)}>
      {inWords(schedule.daysBetween(today, day))}
    </time>
  );
}

/** An instant, likewise. */
export function At({ instant }: { instant: string }) {
  const timeZone = useZone();
  const today = useToday();
  const day = schedule.localDay(instant, timeZone);
  return (
    <time dateTime={instant} title={fullInstant(instant, timeZone)}>
      {inWords(schedule.daysBetween(today, day))}
    </time>
  );
}

/** Writes a moment as one says it today: the time, and the day where it is another. */
export const useMoment = (): ((ms: number) => string) => momentFrom(outside.now(), useZone());
