import { atOf, columnsOf, type Log } from '../air/index.js';
import { CLASSES, DECLINE, DEFAULT_DECLINE, type ClassCoefficients, type Sensitivity } from './constants.js';
import { HOURS_A_DAY, MS_PER_HOUR } from '../units.js';

/** The index, and how long conditions have been unfavourable without a break, hours. */
export type MouldState = { index: number; unfavourableH: number };

/** Growth slows as the index nears its largest value, so a long interval is walked in strides of this, hours. */
const STRIDE_H = 6;

/** The humidity from which mould grows at a temperature, % RH. */
export function criticalHumidityPct(temperatureC: number, { humidityMinPct }: ClassCoefficients): number {
  if (temperatureC > 20) return humidityMinPct;
  const t = temperatureC;
  return Math.max(humidityMinPct, ((-0.00267 * t + 0.16) * t - 3.13) * t + 100);
}

/** The largest index that can be reached in such air. */
function largestIndex(humidityPct: number, criticalPct: number, { a, b, c }: ClassCoefficients): number {
  // At the frost point only saturated air is damp enough.
  const x = criticalPct >= 100 ? 1 : (criticalPct - humidityPct) / (criticalPct - 100);
  return a + b * x - c * x * x;
}

/** Days to index 1 for the most sensitive class. */
const daysToFirst = (temperatureC: number, humidityPct: number): number =>
  7 * Math.exp(-0.68 * Math.log(temperatureC) - 13.9 * Math.log(humidityPct) + 66.02);

function grow(index: number, temperatureC: number, humidityPct: number, criticalPct: number, hours: number, of: ClassCoefficients): number {
  const largest = largestIndex(humidityPct, criticalPct, of);
  const slowest = daysToFirst(temperatureC, humidityPct);
  let grown = index;
  for (let left = hours; left > 0; left -= STRIDE_H) {
    const days = Math.min(left, STRIDE_H) / HOURS_A_DAY;
    const k1 = of.k1[grown < 1 ? 0 : 1];
    const k2 = Math.max(1 - Math.exp(2.3 * (grown - largest)), 0);
    grown = Math.max(grown, Math.min(grown + (days * k1 * k2) / slowest, largest));
  }
  return grown;
}

/** What has gone after so many hours of unfavourable air, before the factor of the material. */
const declineAfter = (hours: number): number =>
  DECLINE.firstPerH * Math.min(hours, DECLINE.firstH) + DECLINE.laterPerH * Math.max(0, hours - DECLINE.pauseUntilH);

/** One interval of steady air; the state moves on in place, for a year holds half a million of them. */
export function advanceMould(
  state: MouldState,
  temperatureC: number,
  humidityPct: number,
  hours: number,
  of: ClassCoefficients,
  decline: number,
): void {
  // Below the least humidity of the class nothing grows, whatever the temperature.
  if (temperatureC > 0 && humidityPct >= of.humidityMinPct) {
    const criticalPct = criticalHumidityPct(temperatureC, of);
    if (humidityPct >= criticalPct) {
      state.index = grow(state.index, temperatureC, humidityPct, criticalPct, hours, of);
      state.unfavourableH = 0;
      return;
    }
  }
  const { index, unfavourableH } = state;
  state.unfavourableH = unfavourableH + hours;
  if (index > 0) state.index = Math.max(0, index - decline * (declineAfter(unfavourableH + hours) - declineAfter(unfavourableH)));
}

export type MouldOptions = { sensitivity: Sensitivity; /** Factor 0 to 1. */ decline?: number; start?: number };

/**
 * The published mould index along a log: 0 none, 1 under the microscope, 3 visible, 6 covered. Each reading holds
 * until the next one; what a gap may hide is told by `assess`.
 *
 * Source: Hukka & Viitanen 1999, Wood Sci. Technol. 33; sensitivity classes Ojanen et al. 2010 (from memory).
 *
 * @throws RangeError when the decline factor is outside 0 to 1.
 * @example 20 degC and 90 %, very sensitive: index 1 after 4.2 weeks
 */
export function mouldIndex(readings: Log, options: MouldOptions): { at: string; index: number }[] {
  return Array.from(mouldAlong(readings, options), (index, i) => ({ at: atOf(readings, i), index }));
}

/** The same as a column as long as the log. */
export function mouldAlong(log: Log, { sensitivity, decline = DEFAULT_DECLINE, start = 0 }: MouldOptions): Float64Array {
  if (!(decline >= 0 && decline <= 1)) throw new RangeError(`decline factor ${decline} is outside 0 to 1`);
  const of = CLASSES[sensitivity];
  const { length, ms, temperatureC, humidityPct } = columnsOf(log);
  const column = new Float64Array(length);
  const state: MouldState = { index: start, unfavourableH: 0 };
  for (let i = 0; i < length; i++) {
    if (i > 0) advanceMould(state, temperatureC[i - 1]!, humidityPct[i - 1]!, (ms[i]! - ms[i - 1]!) / MS_PER_HOUR, of, decline);
    column[i] = state.index;
  }
  return column;
}
