import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawnRows } from './windowed';

const seen = fc
  .record({
    count: fc.integer({ min: 1, max: 5000 }),
    from: fc.nat(),
    rows: fc.integer({ min: 1, max: 60 }),
    overscan: fc.integer({ min: 0, max: 20 }),
  })
  .map(({ count, from, rows, overscan }) => {
    const startIndex = from % count;
    return { count, startIndex, endIndex: Math.min(count - 1, startIndex + rows - 1), overscan };
  });

describe('the rows that are drawn', () => {
  it('are those seen and some on both sides, in order, each there is once', () => {
    fc.assert(
      fc.property(seen, (range) => {
        const rows = drawnRows(range);
        const { startIndex, endIndex, overscan, count } = range;
        expect(rows[0]).toBeLessThanOrEqual(Math.max(0, startIndex - overscan));
        expect(rows.at(-1)).toBeGreaterThanOrEqual(Math.min(count - 1, endIndex + overscan));
        expect(rows[0]).toBeGreaterThanOrEqual(0);
        expect(rows.at(-1)).toBeLessThan(count);
        expect(rows).toEqual(rows.map((_, i) => rows[0]! + i));
      }),
    );
  });

  it('stay the same for most rows that one scrolls by', () => {
    const sets = new Set(
      Array.from({ length: 60 }, (_, i) => drawnRows({ startIndex: 100 + i, endIndex: 117 + i, overscan: 12, count: 1000 }).join()),
    );
    expect(sets.size).toBeLessThanOrEqual(21);
  });
});
