import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { calmExposureS, exposureAt, exposureNeededS, isTooShort, LONGEST_EXPOSURE_S, outMarginS, SHORTEST_EXPOSURE_S } from './index.js';

const BEGAN = '2026-03-10T10:00:00.000Z';
const after = (seconds: number) => new Date(Date.parse(BEGAN) + seconds * 1000);

describe('an exposure that holds the shutter open', () => {
  it.each([
    [0, 'work', 30],
    [23.9, 'work', 6.1],
    [24, 'out-now', 6],
    [29.9, 'out-now', 0.1],
    [30, 'closed', 0],
    [400, 'closed', 0],
  ] as const)('of 30 s is, %f s after it began, at “%s”', (seconds, phase, leftS) => {
    const at = exposureAt({ at: BEGAN, seconds: 30 }, after(seconds));
    expect(at.phase).toBe(phase);
    expect(at.leftS).toBeCloseTo(leftS, 6);
  });

  it('always says “out now” before it closes, at least 3 s before', () => {
    fc.assert(
      fc.property(fc.double({ min: SHORTEST_EXPOSURE_S, max: LONGEST_EXPOSURE_S, noNaN: true }), (seconds) => {
        expect(outMarginS(seconds)).toBeGreaterThanOrEqual(3);
        expect(outMarginS(seconds)).toBeLessThanOrEqual(seconds / 2);
        expect(exposureAt({ at: BEGAN, seconds }, after(seconds - outMarginS(seconds) + 0.01)).phase).toBe('out-now');
      }),
      { seed: 4880 },
    );
  });

  it('lasts longer for more lanes, with the margin on top of the strokes', () => {
    for (const lanes of [1, 2, 3]) {
      const needed = exposureNeededS(lanes);
      expect(needed - outMarginS(needed)).toBeGreaterThanOrEqual(2 * lanes * 4);
      expect(exposureNeededS(lanes + 1)).toBeGreaterThan(needed);
    }
  });

  it('of 15 s is enough for one lane and for no more (common practice: 15 s and up)', () => {
    expect(isTooShort(15, 1)).toBe(false);
    expect(isTooShort(15, 2)).toBe(true);
    expect(exposureAt({ at: BEGAN, seconds: 15 }, after(11.9)).phase).toBe('work');
    expect(exposureAt({ at: BEGAN, seconds: 15 }, after(12.1)).phase).toBe('out-now');
    expect(calmExposureS(1)).toBeGreaterThan(15);
  });

  it('is refused outside what a shutter is held for', () => {
    expect(() => exposureAt({ at: BEGAN, seconds: 2 }, BEGAN)).toThrow(/10 to 900 s/);
    expect(() => exposureAt({ at: BEGAN, seconds: NaN }, BEGAN)).toThrow(RangeError);
  });
});
