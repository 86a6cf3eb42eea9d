import { describe, expect, it } from 'vitest';
import { formats, swabFor, type SwabChoice } from './index.js';

/** Swab widths of the trade: 24 mm for full frame, 16–17 mm for the smaller format (common practice). */
describe('a sensor swab', () => {
  it.each([
    ['full-frame', 24, 1],
    ['aps-c', 16, 1],
    ['four-thirds', 12, 1],
  ] as const)('for %s is %i mm wide and needs %i lane', (format, widthMm, lanes) => {
    expect(swabFor(format)).toMatchObject({ widthMm, lanes, axis: 'long side' } satisfies Partial<SwabChoice>);
  });

  it('covers the whole height of every format but for the spread of its edge, lanes overlapping by 2 mm at least', () => {
    for (const id of Object.keys(formats) as (keyof typeof formats)[]) {
      const { widthMm, lanes, overlapMm, missedMm } = swabFor(id);
      const covered = lanes * widthMm - (lanes - 1) * overlapMm;
      expect(covered + 1, id).toBeGreaterThanOrEqual(formats[id].heightMm);
      expect(missedMm).toBeLessThanOrEqual(1);
      if (lanes > 1) expect(overlapMm).toBeGreaterThanOrEqual(2);
    }
  });
});
