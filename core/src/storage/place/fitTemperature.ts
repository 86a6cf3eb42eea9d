import { HOURS_A_DAY } from '../../units.js';
import type { FittedPlace } from './fittedPlace.js';
import { leastSquares, leftOver, type Searched, type Spread, spreadOf } from './leastSquares.js';
import { lagged } from './ownAir.js';
import type { Together } from './together.js';

export type FittedWarmth = Pick<FittedPlace, 'lagH' | 'warmerC' | 'heatedToC'> & {
  /** 95 % intervals; none of a heating that is none. */
  intervals: Partial<Record<'lagH' | 'warmerC' | 'heatedToC', { low: number; high: number }>>;
};

const SHORTEST_LAG_H = 0.1;
const LONGEST_LAG_H = 24 * 30;
const STARTS_H = [1, 24, 120];
const LAG: Searched = { min: Math.log(SHORTEST_LAG_H), max: Math.log(LONGEST_LAG_H), small: 0.02 };
const WARMER: Searched = { min: -20, max: 30, small: 0.02 };
const HEATED: Searched = { min: 5, max: 30, small: 0.05 };
/** A heating has to explain so much of what is left to be believed (our choice). */
const HEATING_EXPLAINS = 0.2;

/**
 * How its temperature follows that around it: lag, distance, and a heating where one shows. Taken from the temperatures
 * alone, before the vapour: together they trade against each other. Of a room in the weather the day’s mean decides: what
 * sun and stove do within a day is not the house.
 */
export function fitTemperature({ drive, insideC }: Together, blockPoints: number, weather: boolean): FittedWarmth {
  const { hours, temperatureC } = drive;
  // The lag is the same in a gradient's other directions: the last one is kept.
  let kept: { lag: number; slow: Float64Array } | null = null;
  const slowBy = (lag: number): Float64Array => {
    if (kept?.lag !== lag) kept = { lag, slow: lagged(hours, temperatureC, Math.exp(lag)) };
    return kept.slow;
  };
  const residuals = ([lag = 0, warmer = 0, heated = -Infinity]: readonly number[]) => {
    const slow = slowBy(lag);
    const own = new Float64Array(slow.length);
    for (let i = 0; i < slow.length; i++) own[i] = Math.max(heated, slow[i]! + warmer);
    const left = leftOver(insideC, own);
    return weather ? dayMeansOf(left) : left;
  };
  const measured = insideC.filter((t) => !Number.isNaN(t)).sort();
  const coldest = measured[Math.floor(measured.length * 0.1)]!;
  const search = (more: Searched[], start: number[]) => {
    const searched = [LAG, WARMER, ...more];
    const starts = STARTS_H.map((h) => [Math.log(h), 0, ...start]);
    return { searched, fit: leastSquares(searched, starts, residuals) };
  };
  const plain = search([], []);
  const heated = search([HEATED], [coldest]);
  const isHeated = heated.fit.squares < (1 - HEATING_EXPLAINS) * plain.fit.squares;
  const { searched, fit } = isHeated ? heated : plain;
  const spread = spreadOf(searched, fit, residuals, blockPoints);
  return { ...named(fit.values), intervals: intervalsOf(fit.values, spread) };
}

/** The running mean over a day, hour by hour. */
function dayMeansOf(values: Float64Array): Float64Array {
  const means = new Float64Array(values.length);
  let sum = 0;
  for (let i = 0; i < values.length; i++) {
    sum += values[i]! - (i >= HOURS_A_DAY ? values[i - HOURS_A_DAY]! : 0);
    means[i] = sum / HOURS_A_DAY;
  }
  return means;
}

/** Means of hours leave a tenth of an hour open, and sensors that round a little more (our choice; held against hidden homes). */
const CLOCK_H = 0.1;
const ROUNDING = 0.01;

const named = ([lag = 0, warmer = 0, heated]: readonly number[]) => ({
  lagH: Math.exp(lag),
  warmerC: warmer,
  heatedToC: heated ?? null,
});

function intervalsOf([lag = 0, warmer = 0, heated]: readonly number[], spread: Spread | null): FittedWarmth['intervals'] {
  if (!spread) return {};
  const [ofLag = 0, warmerHalf = 0, heatedHalf = 0] = spread.half;
  const lagHalf = Math.hypot(ofLag, ROUNDING + CLOCK_H / Math.exp(lag));
  return {
    lagH: { low: Math.exp(lag - lagHalf), high: Math.exp(lag + lagHalf) },
    warmerC: { low: warmer - warmerHalf, high: warmer + warmerHalf },
    ...(heated === undefined ? {} : { heatedToC: { low: heated - heatedHalf, high: heated + heatedHalf } }),
  };
}
