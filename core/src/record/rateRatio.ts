import { betaQuantile } from './betaQuantile.js';

/** How often something was found, and over how many days it could have come. */
export type Found = { found: number; days: number };
export type RateRatio = { ratio: number; low: number; high: number };

/**
 * How many times as often it comes in one as in the other, with its exact interval: of all that was found the share in the
 * first is binomial given their sum (Przyborowski & Wilenski 1940), its interval that of Clopper & Pearson 1934, turned into
 * a ratio of rates by the days.
 *
 * @param level how often the interval holds the truth at least, 0 to 1.
 * @throws RangeError where days or counts are none, or nothing was found in either.
 */
export function rateRatio(one: Found, other: Found, level: number): RateRatio {
  const [a, c] = [one.found, other.found];
  if (![a, c].every((n) => Number.isInteger(n) && n >= 0) || a + c === 0)
    throw new RangeError('found: whole numbers, and something in one of the two');
  if (!(one.days > 0 && other.days > 0)) throw new RangeError('days: above nothing in both');
  if (!(level > 0 && level < 1)) throw new RangeError('level: between 0 and 1');
  const tail = (1 - level) / 2;
  const least = a === 0 ? 0 : betaQuantile(tail, a, c + 1);
  const most = c === 0 ? 1 : betaQuantile(1 - tail, a + 1, c);
  const ratioOf = (share: number): number => (share === 1 ? Infinity : (share / (1 - share)) * (other.days / one.days));
  return { ratio: ratioOf(a / (a + c)), low: ratioOf(least), high: ratioOf(most) };
}
