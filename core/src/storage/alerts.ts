import { atOf, CLOCK_AHEAD_MS, columnsOf, type Log } from '../air/index.js';

const MS_PER_HOUR = 3_600_000;

/** A limit that is raised at one value and only cleared at another, so that an alert does not flicker. */
export type Limit = { above: boolean; raiseAt: number; clearAt: number };

/** A day's mean decides, not a door that stood open. */
const MEAN_H = 24;

/** The running mean of the humidity over the last day, at each reading. */
export function dayMeans(readings: Log): Float64Array {
  const { length, ms, humidityPct } = columnsOf(readings);
  const means = new Float64Array(length);
  let [first, sum] = [0, 0];
  for (let i = 0; i < length; i++) {
    sum += humidityPct[i]!;
    while (ms[first]! < ms[i]! - MEAN_H * MS_PER_HOUR) sum -= humidityPct[first++]!;
    means[i] = sum / (i - first + 1);
  }
  return means;
}

/** Since when a limit has been passed, by the day's mean with hysteresis; null while it is not. */
export function passedSince(readings: Log, { above, raiseAt, clearAt }: Limit): string | null {
  const log = columnsOf(readings);
  let since: number | null = null;
  const beyond = (value: number, limit: number) => (above ? value > limit : value < limit);
  for (const [i, mean] of dayMeans(log).entries()) {
    if (since === null && beyond(mean, raiseAt)) since = i;
    else if (since !== null && !beyond(mean, clearAt)) since = null;
  }
  return since === null ? null : atOf(log, since);
}

/** How far a value has to come back before an alert is withdrawn, % RH (our choice). */
const HYSTERESIS_PCT = 2;
export const tooDamp = (highPct: number): Limit => ({ above: true, raiseAt: highPct, clearAt: highPct - HYSTERESIS_PCT });
/** Lubricants, leather and cement suffer below this when it lasts (common practice). */
export const TOO_DRY_PCT = 30;
export const tooDry: Limit = { above: false, raiseAt: TOO_DRY_PCT, clearAt: TOO_DRY_PCT + HYSTERESIS_PCT };
/** Too dry is no harm for days, it is for weeks (our choice). */
export const DRY_FOR_LONG_DAYS = 21;
/** Things in a bag or case longer than this want air (common practice). */
export const CLOSED_FOR_LONG_DAYS = 14;
/** A hygrometer that has not been heard for so many of its intervals, and at least so long, is silent (our choice). */
const SILENT_INTERVALS = 6;
const SILENT_AT_LEAST_H = 2;
const silentAfterMs = (everyMinutes: number): number => Math.max(SILENT_AT_LEAST_H * MS_PER_HOUR, SILENT_INTERVALS * everyMinutes * 60_000);

/**
 * Is a hygrometer silent whose last word is so long ago? One that is dated ahead is no word of today: a clock was wrong
 * when it came, and counts for nothing.
 *
 * @param sinceMs negative where the reading is dated ahead.
 */
export const isSilent = (sinceMs: number, everyMinutes: number): boolean =>
  sinceMs > silentAfterMs(everyMinutes) || sinceMs < -CLOCK_AHEAD_MS;
