import { MS_PER_HOUR } from '@bright-keeper/core';

const formats = new Map<string, Intl.DateTimeFormat>();
/** The offset of each local hour that was asked for; logs ask for the same hour sixty times over. */
const offsets = new Map<string, number>();
const MOST_OFFSETS = 50_000;

function offsetAt(utcMs: number, timeZone: string): number {
  let format = formats.get(timeZone);
  if (!format) {
    format = new Intl.DateTimeFormat('en-US', {
      timeZone,
      hourCycle: 'h23',
      year: 'numeric',
      month: 'numeric',
      day: 'numeric',
      hour: 'numeric',
      minute: 'numeric',
      second: 'numeric',
    });
    formats.set(timeZone, format);
  }
  const part = Object.fromEntries(format.formatToParts(utcMs).map((p) => [p.type, Number(p.value)]));
  return Date.UTC(part.year!, part.month! - 1, part.day, part.hour, part.minute, part.second) - utcMs;
}

/**
 * The instant of a wall-clock time in a zone; `localMs` is that time as if it were UTC. In the hour that autumn
 * tells twice, the first of the two.
 */
export function zonedToUtc(localMs: number, timeZone: string): number {
  if (timeZone === 'UTC') return localMs;
  const hour = Math.floor(localMs / MS_PER_HOUR);
  if (hour !== last.hour || timeZone !== last.timeZone) last = { hour, timeZone, offset: offsetOf(localMs, timeZone) };
  return localMs - last.offset;
}

/** The instant at which a calendar day begins in a zone. */
export const startOfDay = (day: string, timeZone: string): number => zonedToUtc(Date.parse(day), timeZone);

/** The hour that was asked for last: the next row of a log is mostly of the same. */
let last = { hour: NaN, timeZone: '', offset: 0 };

function offsetOf(localMs: number, timeZone: string): number {
  const key = `${timeZone} ${Math.floor(localMs / MS_PER_HOUR)}`;
  let offset = offsets.get(key);
  if (offset === undefined) {
    const guess = localMs - offsetAt(localMs, timeZone);
    offset = offsetAt(guess, timeZone);
    if (offsets.size >= MOST_OFFSETS) offsets.clear();
    offsets.set(key, offset);
  }
  return offset;
}
