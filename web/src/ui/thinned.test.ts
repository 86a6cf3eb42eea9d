import { describe, expect, it } from 'vitest';
import { thinned } from './thinned';

describe('a course in few points', () => {
  it('is taken evenly from its beginning on, and a short one whole', () => {
    const year = Float64Array.from({ length: 8760 }, (_, i) => i);
    expect(thinned(year)).toHaveLength(674);
    expect(thinned(year).slice(0, 3)).toEqual([0, 13, 26]);
    expect(thinned(year.subarray(0, 5))).toEqual([0, 1, 2, 3, 4]);
    expect(thinned([])).toEqual([]);
  });
});
