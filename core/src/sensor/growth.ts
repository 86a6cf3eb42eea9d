import { MS_PER_DAY } from '../units.js';
/** A frame's count of specks that show, and what happened since the one before. */
export type SpeckCount = {
  /** ISO 8601. */
  at: string;
  shows: number;
  /** New ones since the frame before; null for the first. */
  fresh: number | null;
  /** Outings, lens changes or whatever is counted, since the frame before. */
  exposures: number;
};

export type Growth = {
  /** New specks for each exposure, and between what it lies, 9 times of 10. */
  perExposure: number;
  low: number;
  high: number;
  /** New ones and exposures it rests on. */
  fresh: number;
  exposures: number;
};

const NINE_OF_TEN = 1.6449;

/** Quantile of a gamma distribution by Wilson and Hilferty's cube of a normal one (1931). @param z normal quantile. */
function gammaQuantile(shape: number, z: number): number {
  const k = 1 / (9 * shape);
  return shape * Math.max(0, 1 - k + z * Math.sqrt(k)) ** 3;
}

/**
 * How fast specks come: a Poisson count over exposures, with Jeffreys' prior, half a speck (Jeffreys 1946).
 *
 * @returns null where there is nothing to go by.
 */
export function growthOf(counts: readonly SpeckCount[]): Growth | null {
  const told = counts.filter((c) => c.fresh !== null && c.exposures > 0);
  const exposures = told.reduce((sum, c) => sum + c.exposures, 0);
  if (exposures === 0) return null;
  const fresh = told.reduce((sum, c) => sum + c.fresh!, 0);
  const shape = fresh + 0.5;
  return {
    perExposure: shape / exposures,
    low: gammaQuantile(shape, -NINE_OF_TEN) / exposures,
    high: gammaQuantile(shape, NINE_OF_TEN) / exposures,
    fresh,
    exposures,
  };
}

/** So many specks that show make a clean worth its risk (our choice). */
export const WORTH_A_CLEAN = 6;

export type NextClean = { likelyDays: number; earlyDays: number; lateDays: number };

/**
 * When so many will show that a clean is worth it, days from the last frame.
 *
 * @param shows now. @param perDay exposures a day, as they were.
 * @returns null where none come.
 */
export function nextCleanIn(growth: Growth, shows: number, perDay: number, worth = WORTH_A_CLEAN): NextClean | null {
  if (!(perDay > 0)) return null;
  const left = Math.max(0, worth - shows);
  const days = (rate: number): number => (rate > 0 ? left / rate / perDay : Infinity);
  const likely = days(growth.perExposure);
  return Number.isFinite(likely) ? { likelyDays: likely, earlyDays: days(growth.high), lateDays: days(growth.low) } : null;
}

/** Days between two instants. */
export const daysApart = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / MS_PER_DAY;
