import { EigenvalueDecomposition, inverse, Matrix, solve } from 'ml-matrix';

/** One number that is searched: how far it may go, and how much of it is felt. */
export type Searched = { min: number; max: number; small: number };
export type Fit = { values: number[]; squares: number; residuals: Float64Array };

/** What a model says at each point for such values, measured less modelled; where nothing was measured it says 0. */
export type Residuals = (values: readonly number[]) => Float64Array;

/** Measured less modelled, point by point; 0 where nothing was measured. */
export function leftOver(measured: Float64Array, modelled: Float64Array): Float64Array {
  const left = new Float64Array(measured.length);
  for (let i = 0; i < left.length; i++) {
    const own = measured[i]!;
    if (!Number.isNaN(own)) left[i] = own - modelled[i]!;
  }
  return left;
}

/** Lets the squares of residuals grow only evenly beyond a limit (Huber 1964), so that an odd week does not lead the rest astray; in place. */
export function soften(residuals: Float64Array, limit: number): Float64Array {
  for (let i = 0; i < residuals.length; i++) {
    const size = Math.abs(residuals[i]!);
    if (size > limit) residuals[i] = Math.sign(residuals[i]!) * Math.sqrt(limit * (2 * size - limit));
  }
  return residuals;
}

const sumOfSquares = (residuals: Float64Array): number => {
  let sum = 0;
  for (const r of residuals) sum += r * r;
  return sum;
};

/** Of a long record every fifth point is asked, so that every hour of the day is: neighbours say nearly the same. */
const STRIDE = 5;
const LONG = 2000;
/** So many steps tell which start is the best, and so many more bring it home. */
const FIRST_STEPS = 4;
/** Of all starts so many are followed: the likeliest. */
const LIKELY = 4;
const LAST_STEPS = 8;

/** How strongly a step is held back at first, and how that changes as it helps or does not. */
const FIRST_DAMPING = 0.01;
const EASED = 0.15;
const TIGHTENED = 6;
const HELD_FAST = 1e6;
/** It has come home when a step makes it no better than by this share. */
const HOME = 1e-6;

/** What is left, and how each value moves it, of every so many points: the normal equations of one step. */
function equations(
  searched: readonly Searched[],
  values: readonly number[],
  residuals: Float64Array,
  residualsOf: Residuals,
  stride: number,
) {
  const many = values.length;
  const slopes = searched.map(({ small, max }, k) => {
    // Away from the bound it stands at.
    const by = values[k]! + small > max ? -small : small;
    const moved = residualsOf(values.map((v, i) => (i === k ? v + by : v)));
    return { moved, by };
  });
  const information = Matrix.zeros(many, many);
  const gradient = Matrix.zeros(many, 1);
  const row = new Float64Array(many);
  for (let i = 0; i < residuals.length; i += stride) {
    for (let k = 0; k < many; k++) row[k] = (slopes[k]!.moved[i]! - residuals[i]!) / slopes[k]!.by;
    for (let k = 0; k < many; k++) {
      gradient.set(k, 0, gradient.get(k, 0) - row[k]! * residuals[i]!);
      for (let l = 0; l <= k; l++) information.set(k, l, information.get(k, l) + row[k]! * row[l]!);
    }
  }
  for (let k = 0; k < many; k++) for (let l = 0; l < k; l++) information.set(l, k, information.get(k, l));
  return { information, gradient };
}

/** Levenberg & Marquardt: a step is taken only where it makes it better, and held back more where it does not. */
function stepsFrom(searched: readonly Searched[], start: readonly number[], residualsOf: Residuals, steps: number): Fit {
  const bounded = (values: readonly number[]) => searched.map(({ min, max }, i) => Math.min(max, Math.max(min, values[i]!)));
  let values = bounded(start);
  let residuals = residualsOf(values);
  let squares = sumOfSquares(residuals);
  const stride = residuals.length > LONG ? STRIDE : 1;
  let damping = FIRST_DAMPING;
  for (let step = 0; step < steps && damping < HELD_FAST; step++) {
    const { information, gradient } = equations(searched, values, residuals, residualsOf, stride);
    for (; damping < HELD_FAST; damping *= TIGHTENED) {
      const held = information.clone();
      for (let k = 0; k < values.length; k++) held.set(k, k, held.get(k, k) * (1 + damping) + Number.EPSILON);
      const by = solve(held, gradient).to1DArray();
      const next = bounded(values.map((v, k) => v + by[k]!));
      const left = residualsOf(next);
      const nextSquares = sumOfSquares(left);
      if (!(nextSquares < squares)) continue;
      const home = squares - nextSquares < HOME * squares;
      [values, residuals, squares] = [next, left, nextSquares];
      damping *= EASED;
      if (home) return { values, squares, residuals };
      break;
    }
  }
  return { values, squares, residuals };
}

/** The values with the least squares of what is left, from the best of several starts. */
export function leastSquares(searched: readonly Searched[], starts: readonly (readonly number[])[], residualsOf: Residuals): Fit {
  const from = (values: readonly number[], steps: number) => stepsFrom(searched, values, residualsOf, steps);
  const tried = starts.map((values) => ({ values, squares: sumOfSquares(residualsOf(values)) })).sort((a, b) => a.squares - b.squares);
  // Of starts with the same first value only the likeliest: the others lie in the same valley.
  const likely = tried.filter(({ values }, i) => tried.findIndex((other) => other.values[0] === values[0]) === i).slice(0, LIKELY);
  const best = likely.map(({ values }) => from(values, FIRST_STEPS)).reduce((a, b) => (b.squares < a.squares ? b : a));
  const last = from(best.values, LAST_STEPS);
  return last.squares < best.squares ? last : best;
}

/** How sure the values are: the spread of each, and the directions in which they trade against each other. */
export type Spread = {
  /** Half the width of the 95 % interval of each value. */
  half: number[];
  /** Values at the ends of the spread, one for each direction that is independent of the others. */
  ends: number[][];
};

/** Student’s quantile for 95 % by the degrees of freedom, within 3 % from 4 on (Abramowitz & Stegun 26.7.5, first term). */
const student = (degrees: number): number => 1.96 + 2.37 / Math.max(1, degrees - 0.5);

/**
 * How sure the values of a fit are. Neighbouring residuals are alike, so each stretch of the record counts as one
 * witness, however many readings it holds (a sandwich estimator over blocks, as Newey & West 1987 for series).
 * @param blockPoints how many points a stretch has.
 */
export function spreadOf(
  searched: readonly Searched[],
  { values, residuals }: Fit,
  residualsOf: Residuals,
  blockPoints: number,
): Spread | null {
  const columns = searched.map(({ small }, k) => {
    const up = residualsOf(values.map((v, i) => (i === k ? v + small : v)));
    const down = residualsOf(values.map((v, i) => (i === k ? v - small : v)));
    return up.map((r, i) => (r - down[i]!) / (2 * small));
  });
  const many = values.length;
  const information = Matrix.zeros(many, many);
  const meat = Matrix.zeros(many, many);
  const blocks = Math.ceil(residuals.length / blockPoints);
  for (let b = 0; b < blocks; b++) {
    const score = new Float64Array(many);
    for (let i = b * blockPoints; i < Math.min(residuals.length, (b + 1) * blockPoints); i++) {
      for (let k = 0; k < many; k++) {
        const slope = columns[k]![i]!;
        score[k]! += slope * residuals[i]!;
        for (let l = 0; l <= k; l++) information.set(k, l, information.get(k, l) + slope * columns[l]![i]!);
      }
    }
    for (let k = 0; k < many; k++) for (let l = 0; l < many; l++) meat.set(k, l, meat.get(k, l) + score[k]! * score[l]!);
  }
  for (let k = 0; k < many; k++) for (let l = 0; l < k; l++) information.set(l, k, information.get(k, l));
  const bread = invertible(information);
  if (!bread) return null;
  const degrees = blocks - many;
  if (degrees < 2) return null;
  const covariance = bread
    .mmul(meat)
    .mmul(bread)
    .mul(blocks / degrees);
  const quantile = student(degrees);
  const { realEigenvalues, eigenvectorMatrix } = new EigenvalueDecomposition(covariance, { assumeSymmetric: true });
  const ends = realEigenvalues.map((variance, k) =>
    values.map((v, i) => {
      const end = v + quantile * Math.sqrt(Math.max(0, variance)) * eigenvectorMatrix.get(i, k);
      return Math.min(searched[i]!.max, Math.max(searched[i]!.min, end));
    }),
  );
  return { half: values.map((_, k) => quantile * Math.sqrt(Math.max(0, covariance.get(k, k)))), ends };
}

/** The inverse; null where a value does nothing at all. */
function invertible(matrix: Matrix): Matrix | null {
  try {
    const inverted = inverse(matrix);
    return inverted.to1DArray().every(Number.isFinite) ? inverted : null;
  } catch {
    return null;
  }
}
