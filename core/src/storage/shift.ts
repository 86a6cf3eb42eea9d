import type { Reading } from '../air/index.js';
import { MS_PER_HOUR } from '../units.js';

/** Time zones lie no further apart. */
const MOST_HOURS = 14;
/** So many common hours at least, and so much better a fit, before a shift is claimed (our choice). */
const FEWEST_HOURS = 48;
const BETTER_BY = 4;
/** Two hygrometers in one place disagree by this much without any shift, % RH squared. */
const NOISE_SQUARE = 0.05;

/** Mean squared difference of the changes from hour to hour, which no offset of a sensor disturbs. */
function mismatch(a: ReadonlyMap<number, Reading>, b: ReadonlyMap<number, Reading>, shift: number): { square: number; hours: number } {
  let [sum, hours] = [0, 0];
  for (const [hour, reading] of b) {
    const there = a.get(hour - shift);
    const before = a.get(hour - shift - 1);
    const own = b.get(hour - 1);
    if (!there || !before || !own) continue;
    sum += (there.temperatureC - before.temperatureC - (reading.temperatureC - own.temperatureC)) ** 2;
    sum += (there.humidityPct - before.humidityPct - (reading.humidityPct - own.humidityPct)) ** 2;
    hours += 1;
  }
  return { square: hours > 0 ? sum / hours : Infinity, hours };
}

/**
 * By how many hours a second log seems to run ahead of a first one of the same air; null when they fit as they
 * are, or hardly overlap. A log read in the wrong time zone shows as a whole number of hours.
 */
export function shiftBetween(first: readonly Reading[], second: readonly Reading[]): number | null {
  const byHour = (log: readonly Reading[]) => new Map(log.map((r) => [Math.floor(Date.parse(r.at) / MS_PER_HOUR), r]));
  const [a, b] = [byHour(first), byHour(second)];
  const unshifted = mismatch(a, b, 0);
  if (unshifted.hours < FEWEST_HOURS) return null;
  let best = { shift: 0, square: unshifted.square };
  for (let shift = -MOST_HOURS; shift <= MOST_HOURS; shift++) {
    const { square, hours } = mismatch(a, b, shift);
    if (hours >= FEWEST_HOURS && square < best.square) best = { shift, square };
  }
  return best.shift !== 0 && unshifted.square > BETTER_BY * (best.square + NOISE_SQUARE) ? best.shift : null;
}
