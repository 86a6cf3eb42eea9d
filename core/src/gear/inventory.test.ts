import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inventoryBy, inventoryTotal, type Listed } from './inventory.js';

const sum = fc.option(fc.integer({ min: 0, max: 5000 }), { nil: undefined });
const line: fc.Arbitrary<Listed> = fc.record({
  name: fc.string({ minLength: 1, maxLength: 8 }),
  place: fc.constantFrom({ name: 'Cabinet' }, { name: 'Bag' }, null),
  particulars: fc.record({ paid: sum, insuredFor: sum }),
});

describe('an inventory', () => {
  it('leaves no line out and counts none twice, and its groups add up to all of it', () => {
    fc.assert(
      fc.property(fc.array(line, { maxLength: 12 }), (items) => {
        const groups = inventoryBy(items);
        const all = inventoryTotal(items);
        expect(groups.flatMap((g) => g.items).length).toBe(items.length);
        expect(new Set(groups.flatMap((g) => g.items))).toEqual(new Set(items));
        for (const what of ['paid', 'insured'] as const) {
          expect(groups.reduce((total, g) => total + g[what].total, 0)).toBe(all[what].total);
          expect(groups.reduce((of, g) => of + g[what].of, 0)).toBe(all[what].of);
        }
        // What lies in no place comes last.
        expect(groups.slice(0, -1).every((g) => g.place !== null)).toBe(true);
      }),
      { seed: 28, numRuns: 200 },
    );
  });
});
