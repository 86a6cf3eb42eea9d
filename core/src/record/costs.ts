import type { SchoolId } from '../care/index.js';
import type { BenchUse } from '../supplies/index.js';

/** What one bench took of a thing, of time and of touches. */
export type BenchTook = BenchUse & {
  itemId: string;
  minutes: number;
  touches: number;
  /** Which choice of each school it followed. */
  followed: Partial<Record<SchoolId, string>>;
};
type Taking = BenchUse['takings'][number];

/** What benches took together. */
export type Cost = {
  benches: number;
  minutes: number;
  touches: number;
  /** What was used up, as far as its price is known. */
  money: number;
  /** How many things that were used up nobody told a price of. */
  unpriced: number;
};
const NOTHING: Cost = { benches: 0, minutes: 0, touches: 0, money: 0, unpriced: 0 };

/** So many times as long as its plan a bench may take; one that stood open longer was left standing (our choice). */
export const STOOD_OPEN = 3;

/**
 * How long a bench took, minutes: as long as it was open, but no longer than three times its plan; where it was told later
 * and nobody knows, as long as its plan.
 */
export function benchMinutes(startedAt: string, finishedAt: string, planned: number): number {
  const open = (Date.parse(finishedAt) - Date.parse(startedAt)) / 60_000;
  return open < 1 ? planned : Math.min(open, STOOD_OPEN * Math.max(1, planned));
}

/** @param priceOf what one unit of it costs; null where nobody knows. */
export function costOf(took: readonly BenchTook[], priceOf: (taking: Taking) => number | null): Cost {
  return took.reduce((sum, { minutes, touches, takings }) => {
    const prices = takings.map((taking) => ({ taking, price: priceOf(taking) }));
    return {
      benches: sum.benches + 1,
      minutes: sum.minutes + minutes,
      touches: sum.touches + touches,
      money: sum.money + prices.reduce((money, { taking, price }) => money + (price ?? 0) * taking.quantity, 0),
      unpriced: sum.unpriced + prices.filter(({ price }) => price === null).length,
    };
  }, NOTHING);
}

/** What they took by thing, by month, by whatever one asks: each bench once. */
export function costsBy(
  took: readonly BenchTook[],
  keyOf: (bench: BenchTook) => string,
  priceOf: (taking: Taking) => number | null,
): { key: string; cost: Cost }[] {
  const groups = new Map<string, BenchTook[]>();
  for (const bench of took) groups.set(keyOf(bench), [...(groups.get(keyOf(bench)) ?? []), bench]);
  return [...groups].map(([key, own]) => ({ key, cost: costOf(own, priceOf) }));
}
