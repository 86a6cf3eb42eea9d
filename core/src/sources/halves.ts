import { type Reading, READING_RANGE } from '../air/index.js';
import { toCelsius, type TemperatureUnit } from './fieldNames.js';

/** One quantity of a reading that came by itself. */
export type Half = { quantity: 'temperatureC' | 'humidityPct'; value: number; ms: number };

/** Two halves said within this are of one reading, ms: a device says them one right after the other. */
const TOGETHER_MS = 60_000;

/** A message that is nothing but a number, in our units; null where it is none, or none that a hygrometer can have seen. */
export function bareHalf(text: string, quantity: Half['quantity'], ms: number, unit: TemperatureUnit = 'C'): Half | null {
  if (!/^\s*[+-]?\d{1,6}(\.\d{1,12})?\s*$/.test(text)) return null;
  const value = quantity === 'temperatureC' ? toCelsius[unit](Number(text)) : Number(text);
  const { min, max } = READING_RANGE[quantity];
  return value >= min && value <= max ? { quantity, value, ms } : null;
}

/**
 * Joins what came with what waits for its other half.
 *
 * @returns the reading, at the time of the later half, and what waits from now on: never both.
 */
export function joinHalf(waiting: Half | null, half: Half): { reading: Reading; waiting: null } | { reading: null; waiting: Half } {
  if (!waiting || waiting.quantity === half.quantity || half.ms - waiting.ms > TOGETHER_MS) return { reading: null, waiting: half };
  const values = { [waiting.quantity]: waiting.value, [half.quantity]: half.value } as Pick<Reading, 'temperatureC' | 'humidityPct'>;
  return { reading: { at: new Date(half.ms).toISOString(), ...values }, waiting: null };
}
