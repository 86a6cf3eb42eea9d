import { type AirLog, emptyLog, firstFrom } from '../air/index.js';
import { MS_PER_DAY, MS_PER_HOUR } from '../units.js';

export const SEASON_DAYS = 365;
/** What is missing for longer than this in last year's log is not made up (our choice). */
const LONGEST_HOLE_DAYS = 3;

/** The air of the year ahead as it was in the year behind, day for day; null where that was not read all along. */
export function asLastYear(log: AirLog, nowMs: number): AirLog | null {
  const shift = SEASON_DAYS * MS_PER_DAY;
  const first = firstFrom(log.ms, nowMs - shift);
  const end = firstFrom(log.ms, nowMs + 1);
  let before = nowMs - shift;
  for (let i = first; i <= end; i++) {
    const at = i < end ? log.ms[i]! : nowMs;
    if (at - before > LONGEST_HOLE_DAYS * MS_PER_DAY) return null;
    before = at;
  }
  const ahead = emptyLog(end - first);
  for (let i = first; i < end; i++) {
    ahead.ms[i - first] = log.ms[i]! + shift;
    ahead.temperatureC[i - first] = log.temperatureC[i]!;
    ahead.humidityPct[i - first] = log.humidityPct[i]!;
  }
  return ahead;
}

/** Every so many hours of a log, for what is slower than that. */
export function thinned(log: AirLog, everyH: number): AirLog {
  const kept: number[] = [];
  for (let i = 0, next = -Infinity; i < log.length; i++)
    if (log.ms[i]! >= next) {
      kept.push(i);
      next = log.ms[i]! + everyH * MS_PER_HOUR;
    }
  const pick = (column: Float64Array) => Float64Array.from(kept, (i) => column[i]!);
  return { length: kept.length, ms: pick(log.ms), temperatureC: pick(log.temperatureC), humidityPct: pick(log.humidityPct) };
}
