// @ts-expect-error -- it brings no types; what is used of it is said here.
import jstat from 'jstat';

const { jStat } = jstat as { jStat: { beta: { inv: (p: number, alpha: number, beta: number) => number } } };

/** Below which share a Beta distribution lies with probability `p`. */
export const betaQuantile = (p: number, alpha: number, beta: number): number => jStat.beta.inv(p, alpha, beta);
