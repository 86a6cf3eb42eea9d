// @ts-expect-error -- it brings no types; what is used of it is said here.
import jstat from 'jstat';

const { jStat } = jstat as { jStat: { gamma: { inv: (p: number, shape: number, scale: number) => number } } };

/** Nothing is said of how long something lasts before it was taken so often, over so many days (our choice). */
export const LEAST_TAKINGS = 3;
export const LEAST_DAYS = 30;
/** What it does in nine of ten households like this one. */
const WITHIN = 0.9;

/** How many times something happens where it was seen to happen so often: the bounds of an exact interval (Garwood 1936). */
export function howOften(times: number, within = WITHIN): { least: number; most: number } {
  const beyond = (1 - within) / 2;
  return { least: times === 0 ? 0 : jStat.gamma.inv(beyond, times, 1), most: jStat.gamma.inv(1 - beyond, times + 1, 1) };
}

/** How long what is left of something lasts; or why that is not said. */
export type Forecast =
  | { isKnown: false; because: 'not-counted' | 'used-up' | 'too-few' }
  | {
      isKnown: true;
      /** So many units go in 30 days. */
      perMonth: number;
      /** Days until it is used up, as it was used so far; and in nine of ten cases not before and not after so many. */
      days: number;
      soonest: number;
      latest: number;
    };

/**
 * How long a stock lasts at the rate it was used.
 *
 * @param stock units left; null where nobody counted. @param takings how many units each bench took within the last `days`
 * days: benches come by chance, as often as they came (a Poisson process), and take as much as they took on average.
 */
export function forecast({ stock, takings, days }: { stock: number | null; takings: readonly number[]; days: number }): Forecast {
  if (stock === null) return { isKnown: false, because: 'not-counted' };
  if (stock <= 0) return { isKnown: false, because: 'used-up' };
  if (takings.length < LEAST_TAKINGS || days < LEAST_DAYS) return { isKnown: false, because: 'too-few' };
  const each = takings.reduce((sum, taken) => sum + taken, 0) / takings.length;
  const last = (times: number): number => stock / ((times / days) * each);
  const { least, most } = howOften(takings.length);
  return {
    isKnown: true,
    perMonth: (30 * each * takings.length) / days,
    days: last(takings.length),
    soonest: last(most),
    latest: last(least),
  };
}

/** So long before it may be used up something is bought, days (our choice: it has to be sent). */
export const BOUGHT_BEFORE = 14;

/** In how many days a forecast says to buy: before the soonest it may be used up, now where that is near; null where nothing is known. */
export const buyWithin = (outlook: Forecast): number | null =>
  outlook.isKnown ? Math.max(0, Math.floor(outlook.soonest) - BOUGHT_BEFORE) : outlook.because === 'used-up' ? 0 : null;

/**
 * What one clean costs of what one's own kit costs, and after how many of them the kit has paid against a workshop.
 *
 * @param perClean fluid and wipes of one clean. @param kit what has to be bought first. @param shop what a workshop asks for
 * one. All in one currency. @returns null for `paidAfter` where it never does.
 */
export function costPerClean({ perClean, kit, shop }: { perClean: number; kit: number; shop: number }): {
  saved: number;
  paidAfter: number | null;
} {
  const saved = shop - perClean;
  return { saved, paidAfter: saved > 0 ? Math.ceil(kit / saved) : null };
}
