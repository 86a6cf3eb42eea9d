// @ts-expect-error -- it brings no types; what is used of it is said here.
import jstat from 'jstat';

const { jStat } = jstat as {
  jStat: { beta: { inv: (p: number, alpha: number, beta: number) => number }; betaln: (a: number, b: number) => number };
};

/** Below which share a Beta distribution lies with probability `p`. */
export const betaQuantile = (p: number, alpha: number, beta: number): number => jStat.beta.inv(p, alpha, beta);

/**
 * How likely the first of two shares is the larger, each by its successes and failures and nothing believed before (both
 * Beta(1 + s, 1 + u)): a sum in closed form (Cook 2005; Miller 2014).
 */
export function chanceLarger(one: { successes: number; failures: number }, other: { successes: number; failures: number }): number {
  const { betaln } = jStat;
  const [a1, b1, a2, b2] = [one.successes + 1, one.failures + 1, other.successes + 1, other.failures + 1];
  let sum = 0;
  for (let i = 0; i < a1; i++) sum += Math.exp(betaln(a2 + i, b1 + b2) - Math.log(b1 + i) - betaln(1 + i, b1) - betaln(a2, b2));
  return sum;
}
