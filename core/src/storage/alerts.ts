import { atOf, CLOCK_AHEAD_MS, columnsOf, type Log } from '../air/index.js';
import { MS_PER_HOUR } from '../units.js';

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

/** A stretch of time between two instants, ISO 8601; `until` is null while it lasts. */
export type Spell = { from: string; until: string | null };

/**
 * When a limit was passed, by the day's mean with hysteresis, oldest first.
 *
 * @param options.unheardMs a spell ends with its last reading where none came for longer than this; left out, it lasts
 *   over every gap.
 */
export function spellsPast(
  readings: Log,
  { above, raiseAt, clearAt }: Limit,
  { unheardMs = Infinity }: { unheardMs?: number } = {},
): Spell[] {
  const log = columnsOf(readings);
  const beyond = (value: number, limit: number) => (above ? value > limit : value < limit);
  const spells: Spell[] = [];
  let from: string | null = null;
  const end = (i: number) => {
    spells.push({ from: from!, until: atOf(log, i) });
    from = null;
  };
  for (const [i, mean] of dayMeans(log).entries()) {
    if (from !== null && log.ms[i]! - log.ms[i - 1]! > unheardMs) end(i - 1);
    if (from === null && beyond(mean, raiseAt)) from = atOf(log, i);
    else if (from !== null && !beyond(mean, clearAt)) end(i);
  }
  if (from !== null) spells.push({ from, until: null });
  return spells;
}

/** Since when a limit has been passed; null while it is not. */
export function passedSince(readings: Log, limit: Limit): string | null {
  const last = spellsPast(readings, limit).at(-1);
  return last?.until === null ? last.from : null;
}

/** For how long no reading may be missing where one says that the air was damp all along (our choice). */
const UNHEARD_MS = MEAN_H * MS_PER_HOUR;
/** When the air of a place was seen to stand too damp: a spell that lasts ends, so far, with its last reading. */
export function dampSpells(readings: Log, highPct: number): { from: string; until: string }[] {
  const log = columnsOf(readings);
  const last = (): string => atOf(log, log.length - 1);
  return spellsPast(log, tooDamp(highPct), { unheardMs: UNHEARD_MS }).map(({ from, until }) => ({ from, until: until ?? last() }));
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
