import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fewestRings, ringsBetween, type StepRing } from './rings.js';

/** Whether every filter comes before every smaller thread, by walking the rings: written anew for the tests. */
function covers(threads: readonly number[], filters: readonly number[], rings: readonly (readonly [number, number])[]): boolean {
  const from = (size: number): number[] => [size, ...rings.filter(([a, b]) => a === size && b > a).flatMap(([, b]) => from(b))];
  return threads.every((t) => filters.every((f) => f <= t || from(t).includes(f)));
}
const priceOf = (rings: readonly StepRing[]) => rings.reduce((sum, r) => sum + (r.price ?? 0), 0);

/** Every choice of rings, the fewest first, of as few the cheapest. */
function byHand(
  threads: readonly number[],
  filters: readonly number[],
  rings: readonly StepRing[],
): { count: number; price: number } | null {
  let best: { count: number; price: number } | null = null;
  for (let chosen = 0; chosen < 2 ** rings.length; chosen += 1) {
    const some = rings.filter((_, i) => chosen & (1 << i));
    if (
      !covers(
        threads,
        filters,
        some.map((r) => [r.from, r.to]),
      )
    )
      continue;
    const [count, price] = [some.length, priceOf(some)];
    if (!best || count < best.count || (count === best.count && price < best.price)) best = { count, price };
  }
  return best;
}

const THREADS = [49, 52, 58, 62, 67];
const FILTERS = [52, 67, 77, 82];

describe('the fewest step rings', () => {
  it('one ring for each lens that is smaller than the one filter (common practice: buy the filter for the largest)', () => {
    expect(fewestRings({ threads: [52, 62, 77], filters: [77], rings: ringsBetween([52, 62, 77]) })).toEqual({
      rings: [
        [52, 77],
        [62, 77],
      ],
      proven: true,
      unmet: [],
    });
  });
  it('none where nothing is larger than its thread, or there is nothing at all', () => {
    expect(fewestRings({ threads: [77], filters: [77, 52], rings: ringsBetween([52, 77]) }).rings).toEqual([]);
    expect(fewestRings({ threads: [], filters: [77], rings: [] })).toEqual({ rings: [], proven: true, unmet: [] });
    expect(fewestRings({ threads: [52], filters: [], rings: [] })).toEqual({ rings: [], proven: true, unmet: [] });
  });
  it('shares a ring between two lenses where one for each is not needed: two lenses and two filters take three', () => {
    const { rings, proven } = fewestRings({ threads: [49, 52], filters: [77, 82], rings: ringsBetween([49, 52, 77, 82]) });
    expect([rings.length, proven, covers([49, 52], [77, 82], rings)]).toEqual([3, true, true]);
  });
  it('says which filter no ring leads to', () => {
    const only = [{ from: 52, to: 67 }];
    expect(fewestRings({ threads: [52], filters: [67, 77], rings: only })).toEqual({ rings: [[52, 67]], proven: true, unmet: [[52, 77]] });
  });
  it('buys nothing where those that are owned do, and leaves an idle one in its drawer', () => {
    const owned: StepRing[] = [
      { from: 52, to: 67, owned: true },
      { from: 67, to: 77, owned: true },
      { from: 49, to: 52, owned: true },
    ];
    const asked = { threads: [52, 67], filters: [77], rings: [...owned, ...ringsBetween([52, 67, 77])] };
    expect(fewestRings(asked).rings).toEqual([
      [52, 67],
      [67, 77],
    ]);
  });
  it('takes the cheaper of two alike, and no ring that leads down', () => {
    const rings = [
      { from: 52, to: 77, price: 9 },
      { from: 52, to: 77, price: 4 },
      { from: 77, to: 52, price: 1 },
    ];
    expect(fewestRings({ threads: [52], filters: [77], rings }).rings).toEqual([[52, 77]]);
  });

  const question = fc.record({
    threads: fc.subarray(THREADS, { minLength: 1, maxLength: 4 }),
    filters: fc.subarray(FILTERS, { minLength: 1, maxLength: 3 }),
  });
  it('is as few and as cheap as trying every choice says, whatever is sold', () => {
    const sold = fc.uniqueArray(
      fc.record({ from: fc.constantFrom(...THREADS), to: fc.constantFrom(...FILTERS, 72), price: fc.integer({ min: 1, max: 9 }) }),
      {
        maxLength: 11,
        selector: (r) => `${r.from}/${r.to}`,
      },
    );
    fc.assert(
      fc.property(question, sold, ({ threads, filters }, rings) => {
        const found = fewestRings({ threads, filters, rings });
        // What cannot be met at all is told and left out of the reckoning.
        const wanted = threads.map((t) => filters.filter((f) => !found.unmet.some(([a, b]) => a === t && b === f)));
        const isWhole = found.unmet.length === 0;
        expect(found.proven).toBe(true);
        threads.forEach((t, i) => expect(covers([t], wanted[i]!, found.rings)).toBe(true));
        if (!isWhole) {
          expect(byHand(threads, filters, rings)).toBeNull();
          return;
        }
        const chosen = found.rings.map(([from, to]) => rings.find((r) => r.from === from && r.to === to)!);
        expect({ count: found.rings.length, price: priceOf(chosen) }).toEqual(byHand(threads, filters, rings));
      }),
      { numRuns: 150 },
    );
  });
  it('never takes more for one lens less, with everything that is sold between its sizes', () => {
    fc.assert(
      fc.property(question, ({ threads, filters }) => {
        const rings = ringsBetween([...THREADS, ...FILTERS]);
        const count = (some: number[]) => fewestRings({ threads: some, filters, rings }).rings.length;
        expect(count(threads.slice(1))).toBeLessThanOrEqual(count(threads));
      }),
    );
  });
  it('answers for a cupboard of sizes and does not hang', () => {
    const sizes = [37, 39, 40.5, 43, 46, 49, 52, 55, 58, 62, 67, 72, 77, 82, 86, 95];
    const found = fewestRings({ threads: sizes.slice(0, 12), filters: sizes.slice(9), rings: ringsBetween(sizes) });
    expect([found.rings.length, found.proven]).toEqual([15, true]);
  });
});
