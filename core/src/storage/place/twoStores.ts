/**
 * One exact step of two stores in a row, driven by what changes evenly over it:
 * `du/dt = -(n + kb) u + kb phi + g(t)`, `dphi/dt = (u - phi) / tb`.
 * With u = c / c_sat both are shares of saturation, and the matrix does not hang on the temperature.
 */
export type Step = {
  /** What remains of u and phi: row by row. */
  uu: number;
  up: number;
  pu: number;
  pp: number;
  /** What a steady drive adds to each, and what a drive that grows by one over the step adds besides. */
  ug: number;
  pg: number;
  ur: number;
  pr: number;
};

/** Rates are per hour, `tb` in hours. */
export type Rates = { n: number; kb: number; tb: number };

/** Below this a power series is more exact than the closed form. */
const SMALL = 1e-4;
/** `(e^x - 1) / x`. */
const rise = (x: number): number => (Math.abs(x) < SMALL ? 1 + x / 2 + (x * x) / 6 : Math.expm1(x) / x);
/** `(e^x - 1 - x) / x^2`. */
const ramp = (x: number): number => (Math.abs(x) < SMALL ? 0.5 + x / 6 + (x * x) / 24 : (Math.expm1(x) - x) / (x * x));

/** The step over so many hours, by the eigenvalues of the matrix; without a buffer phi stands by and does nothing. */
export function stepOver(hours: number, { n, kb, tb }: Rates): Step {
  if (kb === 0) {
    const x = -n * hours;
    return { uu: Math.exp(x), up: 0, pu: 0, pp: 1, ug: hours * rise(x), pg: 0, ur: hours * ramp(x), pr: 0 };
  }
  const [a, b, c, d] = [-(n + kb), kb, 1 / tb, -1 / tb];
  const half = (a + d) / 2;
  // Always real and apart: the stores give to each other.
  const root = Math.sqrt(((a - d) / 2) ** 2 + b * c);
  const [slow, fast] = [half + root, half - root];
  const of = (whole: (x: number) => number, scale: number) => {
    const [s, f] = [scale * whole(slow * hours), scale * whole(fast * hours)];
    // Sylvester: f(A) = s (A - fast) / (slow - fast) - f (A - slow) / (slow - fast).
    const over = 1 / (2 * root);
    return {
      uu: (s * (a - fast) - f * (a - slow)) * over,
      up: (s - f) * b * over,
      pu: (s - f) * c * over,
      pp: (s * (d - fast) - f * (d - slow)) * over,
    };
  };
  const remains = of(Math.exp, 1);
  const steady = of(rise, hours);
  const growing = of(ramp, hours);
  return { ...remains, ug: steady.uu, pg: steady.pu, ur: growing.uu, pr: growing.pu };
}
