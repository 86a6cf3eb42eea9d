import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BenchTook, benchMinutes, costOf, costsBy, STOOD_OPEN } from './costs.js';

const bench = (more: Partial<BenchTook> = {}): BenchTook => ({
  at: '2026-03-10T10:00:00Z',
  itemId: 'a',
  minutes: 5,
  touches: 2,
  takings: [],
  followed: {},
  ...more,
});
const tissue = (quantity: number) => ({ id: 'lens-tissue' as const, thingId: 't', quantity });
const wipe = { id: 'sealed-wipe' as const, thingId: null, quantity: 1 };
const priceOf = ({ id }: { id: string }) => (id === 'lens-tissue' ? 0.06 : null);

describe('what care took', () => {
  it('is time, touches and what was used up; what has no price is counted, not guessed', () => {
    expect(costOf([bench({ takings: [tissue(3), wipe] }), bench({ minutes: 7, touches: 0 })], priceOf)).toEqual({
      ...{ benches: 2, minutes: 12, touches: 2, unpriced: 1 },
      money: expect.closeTo(0.18, 12),
    });
    expect(costOf([], priceOf)).toEqual({ benches: 0, minutes: 0, touches: 0, money: 0, unpriced: 0 });
  });

  it('adds up: groups together are all of it, by whatever they are made', () => {
    const some = fc.record({
      at: fc.integer({ min: 0, max: 400 }).map((day) => new Date(Date.UTC(2026, 0, 1 + day)).toISOString()),
      itemId: fc.constantFrom('a', 'b', 'c'),
      minutes: fc.integer({ min: 0, max: 90 }),
      touches: fc.integer({ min: 0, max: 9 }),
      takings: fc.array(fc.constantFrom(tissue(1), tissue(4), wipe), { maxLength: 4 }),
      followed: fc.constant({}),
    });
    fc.assert(
      fc.property(fc.array(some, { maxLength: 15 }), (took) => {
        const all = costOf(took, priceOf);
        for (const keyOf of [(b: BenchTook) => b.itemId, (b: BenchTook) => b.at.slice(0, 7)]) {
          const groups = costsBy(took, keyOf, priceOf).map(({ cost }) => cost);
          for (const what of ['benches', 'minutes', 'touches', 'money', 'unpriced'] as const)
            expect(groups.reduce((sum, cost) => sum + cost[what], 0)).toBeCloseTo(all[what], 9);
        }
      }),
      { seed: 31, numRuns: 200 },
    );
  });

  it.each([
    ['as long as it was open', '10:00', '10:12', 8, 12],
    ['no longer than three times its plan: it was left standing', '10:00', '21:00', 8, STOOD_OPEN * 8],
    ['its plan, where it was told later', '10:00', '10:00', 8, 8],
    ['a few minutes at least of a plan that has none', '10:00', '21:00', 0, STOOD_OPEN],
  ])('a bench takes %s', (_, from, to, planned, minutes) => {
    expect(benchMinutes(`2026-03-10T${from}:00Z`, `2026-03-10T${to}:00Z`, planned)).toBe(minutes);
  });
});
