import { MS_PER_HOUR } from '../units.js';
import type { Day } from './day.js';

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
export const startOfDay = (day: Day, timeZone: string): number => zonedToUtc(Date.parse(day), timeZone);

/** The wall clock of a zone as one types it, "2026-11-28T18:30", as an instant; null where that is no time. */
export function instantOfLocal(local: string, timeZone: string): string | null {
  const ms = /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}(:\d{2})?$/.test(local) ? Date.parse(`${local}Z`) : NaN;
  return Number.isNaN(ms) ? null : new Date(zonedToUtc(ms, timeZone)).toISOString();
}

/** What the wall clock of a zone shows at an instant, to the minute: "2026-11-28T18:30". */
export const localOfInstant = (at: Date, timeZone: string): string =>
  new Date(at.getTime() + offsetAt(at.getTime(), timeZone)).toISOString().slice(0, 16);

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
