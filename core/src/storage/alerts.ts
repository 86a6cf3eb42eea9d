import type { Reading } from '../air/index.js';

const MS_PER_HOUR = 3_600_000;

/** A limit that is raised at one value and only cleared at another, so that an alert does not flicker. */
export type Limit = { above: boolean; raiseAt: number; clearAt: number };

/** A day's mean decides, not a door that stood open. */
const MEAN_H = 24;

/** The running mean of the last day at each reading. */
export function dayMeans(readings: readonly Reading[]): { at: string; humidityPct: number }[] {
  let first = 0;
  let sum = 0;
  return readings.map((reading, i) => {
    sum += reading.humidityPct;
    const from = Date.parse(reading.at) - MEAN_H * MS_PER_HOUR;
    while (Date.parse(readings[first]!.at) < from) sum -= readings[first++]!.humidityPct;
    return { at: reading.at, humidityPct: sum / (i - first + 1) };
  });
}

/** Since when a limit has been passed, by the day's mean with hysteresis; null while it is not. */
export function passedSince(readings: readonly Reading[], { above, raiseAt, clearAt }: Limit): string | null {
  let since: string | null = null;
  const beyond = (value: number, limit: number) => (above ? value > limit : value < limit);
  for (const { at, humidityPct } of dayMeans(readings)) {
    if (since === null && beyond(humidityPct, raiseAt)) since = at;
    else if (since !== null && !beyond(humidityPct, clearAt)) since = null;
  }
  return since;
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
export const silentAfterMs = (everyMinutes: number): number =>
  Math.max(SILENT_AT_LEAST_H * MS_PER_HOUR, SILENT_INTERVALS * everyMinutes * 60_000);
