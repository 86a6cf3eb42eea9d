import { describe, expect, it } from 'vitest';
import { detectDust, type Detection } from './detect.js';
import type { Frame } from './frame.js';
import { joinStrips, stripsOf } from './strips.js';
import { manySpecks, render, someHairs, type Speck } from './testing/render.js';
import { score } from './testing/score.js';

const [W, H] = [1800, 1200];
const apart = (frame: Frame, count: number): Detection => {
  const strips = stripsOf(frame, count);
  return joinStrips(
    frame,
    strips,
    strips.map((strip) => detectDust(strip.frame, { strip })),
  );
};

describe('a frame searched in strips', () => {
  it('is answered for row by row, by one strip each', () => {
    for (const [height, count] of [
      [1200, 2],
      [1200, 3],
      [1201, 2],
      [200, 2],
      [700, 5],
    ] as const) {
      const strips = stripsOf({ width: W, height, data: new Uint8Array(W * height) }, count);
      expect(strips[0]!.from).toBe(0);
      expect(strips.at(-1)!.to).toBe(height);
      strips.slice(1).forEach((s, i) => expect(s.from).toBe(strips[i]!.to));
      for (const { frame, top, from, to } of strips) expect(top <= from && to <= top + frame.height).toBe(true);
    }
    // A narrow one is not worth cutting.
    expect(stripsOf({ width: W, height: 200, data: new Uint8Array(W * 200) }, 2)).toHaveLength(1);
  });

  it('has as many of its specks found, each once and where it is, as one searched whole', () => {
    const specks = manySpecks({ width: W, height: H, count: 120 });
    const frame = render({ width: W, height: H, specks, vignetting: 0.4, noise: 0.01, badPixels: 40 });
    const [whole, strips] = [detectDust(frame), apart(frame, 2)].map((d) => score(specks, d.spots, W, H));
    expect(strips!.recall3).toBeGreaterThanOrEqual(whole!.recall3 - 0.01);
    expect(strips!.recall2).toBeGreaterThanOrEqual(whole!.recall2 - 0.02);
    expect(strips!.precision).toBeGreaterThanOrEqual(0.95);
    expect(strips!.positionPx).toBeLessThanOrEqual(0.6);
  });

  it('finds what lies on the seam once, a speck as wide as any and a hair across it', () => {
    const onSeam: Speck[] = [6, 12, 24, 32].map((cone, i) => ({ x: 300 + 380 * i, y: H / 2 + i - 1.5, c: cone, d: 0.5 * cone }));
    const frame = render({ width: W, height: H, specks: onSeam, noise: 0.004 });
    // What is fainter is not asked for: of a plain frame in eight bits one step of grey is that deep by chance.
    const seen = (of: Frame) => apart(of, 2).spots.filter((s) => s.depth >= 0.02);
    const spots = seen(frame);
    expect(spots).toHaveLength(4);
    for (const { x, y } of onSeam) expect(spots.some((s) => Math.hypot(s.x * W - x, s.y * H - y) < 1.5)).toBe(true);
    const [hair] = someHairs(W, H, 1);
    const middle = hair!.points.reduce((sum, [, y]) => sum + y, 0) / hair!.points.length;
    const across = { ...hair!, points: hair!.points.map(([x, y]) => [x, y - middle + H / 2] as [number, number]) };
    const hairy = seen(render({ width: W, height: H, specks: [], hairs: [across], noise: 0.004 }));
    expect(hairy.map((s) => s.kind)).toEqual(['hair']);
  });

  it('says of itself what the whole one would', () => {
    const clipped = { width: W, height: H, data: new Uint8Array(W * H).fill(255, 0, (W * H) / 4).fill(150, (W * H) / 4) };
    const [whole, strips] = [detectDust(clipped), apart(clipped, 2)];
    expect(strips.fitness.clippedShare).toBeCloseTo(whole.fitness.clippedShare, 1);
    expect(strips.spots).toEqual([]);
  });
});
