import { schedule } from '@bright-keeper/core';
import { shortDate } from './dates';

/** A date under a ribbon, and where along it, 0 to 1. */
export type Tick = { day: string; words: string; share: number };

/** How many dates a ribbon of this many days bears without their running into each other on a phone. */
const MOST_TICKS = 4;

/** Evenly spaced dates from the first day on, whole weeks apart where the span allows; the last one is today. */
export function ticksOf(first: string, span: number): Tick[] {
  const weeks = Math.max(1, Math.ceil(span / MOST_TICKS / 7));
  const step = span <= 14 ? Math.max(1, Math.ceil(span / MOST_TICKS)) : weeks * 7;
  const last = span - 1;
  const ticks: Tick[] = [];
  for (let i = last; i >= 0; i -= step) {
    const day = schedule.addDays(first, i);
    ticks.unshift({ day, words: i === last ? 'today' : shortDate(day), share: (i + 0.5) / span });
  }
  return ticks;
}
