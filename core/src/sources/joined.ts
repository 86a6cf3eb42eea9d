import { CLOCK_AHEAD_MS, type Reading, READING_RANGE, WEATHER_RANGE, type WeatherHour } from '../air/index.js';
import type { Vitals } from './vitals.js';

const RANGES = { ...READING_RANGE, ...WEATHER_RANGE };
export type Quantity = keyof typeof RANGES;

/** One quantity that a device told, in our units: which part of what it sent, of which sensor, and of which instant, ms. */
export type Telling = { index: number; of: string; ms: number; quantity: Quantity; value: number };

/** Why a part of what a device sent was set aside. */
export const SET_ASIDE_REASONS = [
  'no-time',
  'out-of-range',
  'unknown-unit',
  'half-a-reading',
  'in-the-future',
  'wrong-version',
  'must-be-understood',
  'unreadable',
  'nothing-of-ours',
] as const;
export type SetAsideReason = (typeof SET_ASIDE_REASONS)[number];
export type SetAside = { index: number; reason: SetAsideReason };
/** What became of a forecast. */
export type PushedForecast = { readings: WeatherHour[]; setAside: SetAside[] };
/** What became of what a device sent: its readings, and what it says of itself. */
export type PushedReadings = {
  readings: Reading[];
  setAside: SetAside[];
  vitals: Vitals;
  /** By how much a time that was set aside for it lies ahead of now, ms; null where none does. */
  aheadMs: number | null;
};

const inRange = ({ quantity, value }: Telling): boolean => value >= RANGES[quantity].min && value <= RANGES[quantity].max;

function whyNot(telling: Telling, nowMs: number, aheadMs: number): SetAsideReason | null {
  if (!inRange(telling)) return 'out-of-range';
  return telling.ms - nowMs > aheadMs ? 'in-the-future' : null;
}

/** In the order of what was sent; a part that holds several quantities once, for what was seen first. */
function onceEach(setAside: readonly SetAside[]): SetAside[] {
  const first = new Map<number, SetAside>();
  for (const one of setAside) if (!first.has(one.index)) first.set(one.index, one);
  return [...first.values()].sort((a, b) => a.index - b.index);
}

/**
 * Temperature and humidity of the same sensor and instant as readings, in the order of time, with wind and rain where they
 * were told. What cannot be one is added
 * to what was set aside already.
 *
 * @param aheadMs how far ahead of now a reading may lie, ms.
 */
export function joined(tellings: readonly Telling[], before: readonly SetAside[], now: Date, aheadMs: number): PushedForecast {
  const setAside = [...before];
  const halves = new Map<string, { ms: number; index: number; values: Partial<Record<Quantity, number>> }>();
  for (const telling of tellings) {
    const { index, of, ms, quantity, value } = telling;
    const reason = whyNot(telling, now.getTime(), aheadMs);
    if (reason) {
      setAside.push({ index, reason });
      continue;
    }
    const key = `${of}|${ms}`;
    const half = halves.get(key) ?? { ms, index, values: {} };
    half.values[quantity] = value;
    halves.set(key, half);
  }
  const readings: WeatherHour[] = [];
  for (const { ms, index, values } of halves.values()) {
    const { temperatureC, humidityPct, ...weather } = values;
    if (temperatureC === undefined || humidityPct === undefined) setAside.push({ index, reason: 'half-a-reading' });
    else readings.push({ at: new Date(ms).toISOString(), temperatureC, humidityPct, ...weather });
  }
  readings.sort((a, b) => a.at.localeCompare(b.at));
  return { readings, setAside: onceEach(setAside) };
}

/** The same of a device that tells its readings as it makes them, with what it says of itself. */
export function joinedReadings(tellings: readonly Telling[], before: readonly SetAside[], vitals: Vitals, now: Date): PushedReadings {
  const aheadMs = tellings.reduce((most, { ms }) => Math.max(most, ms - now.getTime()), 0);
  return { ...joined(tellings, before, now, CLOCK_AHEAD_MS), vitals, aheadMs: aheadMs > CLOCK_AHEAD_MS ? aheadMs : null };
}
