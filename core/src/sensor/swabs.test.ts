import { describe, expect, it } from 'vitest';
import { bestStrokes, drawnAlong, formats, strokesWith, SWAB_WIDTHS_MM, swabFor, type SwabStrokes } from './index.js';

const FORMATS = Object.keys(formats) as (keyof typeof formats)[];

/** Swab widths of the trade: 24 mm for full frame, 16–17 mm for the smaller format (common practice). */
describe('a sensor swab', () => {
  it.each([
    ['full-frame', 24, 1],
    ['aps-c', 16, 1],
    ['four-thirds', 12, 1],
  ] as const)('for %s is %i mm wide and needs %i lane', (format, widthMm, lanes) => {
    expect(swabFor(format)).toMatchObject({ widthMm, lanes, axis: 'long side' } satisfies Partial<SwabStrokes>);
  });

  it('of 24 mm drawn down the short side of a full frame misses a third of it (common practice)', () => {
    expect(drawnAlong('full-frame', 24, 'short side')).toMatchObject({ lanes: 2, missedByOneMm: 12 });
  });

  it('of 16 mm needs two overlapping lanes on a full frame (common practice)', () => {
    expect(strokesWith('full-frame', 16)).toMatchObject({ lanes: 2, overlapMm: 8, axis: 'long side', swabs: 1 });
  });

  it('that is wider than the sensor is refused rather than forced between the walls', () => {
    expect(strokesWith('four-thirds', 24)).toBeNull();
    expect(bestStrokes('one-inch', [24, 33])).toBeNull();
    expect(() => drawnAlong('aps-c', 0.3, 'long side')).toThrow(/4 to 80 mm/);
  });

  it('is chosen for the fewest lanes out of what lies in the drawer', () => {
    expect(bestStrokes('full-frame', [12, 24, 16])?.widthMm).toBe(24);
    expect(bestStrokes('full-frame', [12, 16])?.widthMm).toBe(16);
  });

  it('covers the whole side of every format but for the spread of its edge, lanes overlapping by 2 mm at least', () => {
    for (const format of FORMATS)
      for (const width of SWAB_WIDTHS_MM)
        for (const axis of ['long side', 'short side'] as const) {
          const strokes = drawnAlong(format, width, axis);
          if (!strokes) continue;
          const { lanes, overlapMm, widthMm } = strokes;
          const side = axis === 'long side' ? formats[format].heightMm : formats[format].widthMm;
          // A tenth of a millimetre is lost to rounding the overlap, once for every seam.
          expect(lanes * widthMm - (lanes - 1) * overlapMm + 1 + 0.1 * lanes, `${format} ${width} ${axis}`).toBeGreaterThanOrEqual(side);
          if (lanes > 1) expect(overlapMm).toBeGreaterThanOrEqual(2);
          expect(strokes.swabs * 2).toBeGreaterThanOrEqual(lanes);
        }
  });
});
