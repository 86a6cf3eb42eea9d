import { betaQuantile } from './betaQuantile.js';

/** A share that is believed before any try, or the two weights of a Beta distribution. */
export type Prior = number | { a: number; b: number };
/** How often something did it, and how often not. */
export type Tries = { successes: number; failures: number };
/** How likely it is to do it the next time, and between which shares that lies nine times in ten. */
export type Odds = { mean: number; low: number; high: number };

/** What is believed before counts as many tries (our choice). */
const PRIOR_WEIGHT = 4;
const TAIL = 0.05;

const weightsOf = (prior: Prior): { a: number; b: number } =>
  typeof prior === 'number' ? { a: prior * PRIOR_WEIGHT, b: (1 - prior) * PRIOR_WEIGHT } : prior;

/**
 * How likely a way is to do it, from what is believed before and what came of it: the mean of Beta(a + s, b + u), and its
 * quantiles at 5 and 95 %.
 *
 * @throws RangeError for a number of tries that is negative or broken, or a belief that is no distribution.
 */
export function oddsOf({ successes, failures, prior }: Tries & { prior: Prior }): Odds {
  if (![successes, failures].every((n) => Number.isInteger(n) && n >= 0)) throw new RangeError('tries: whole numbers, none negative');
  const { a, b } = weightsOf(prior);
  if (!(a > 0 && b > 0 && Number.isFinite(a + b))) throw new RangeError('prior: a share between 0 and 1, or two weights above 0');
  const [alpha, beta] = [a + successes, b + failures];
  const quantile = (p: number): number => betaQuantile(p, alpha, beta);
  return { mean: alpha / (alpha + beta), low: quantile(TAIL), high: quantile(1 - TAIL) };
}
