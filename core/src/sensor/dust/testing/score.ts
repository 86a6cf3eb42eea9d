import type { Spot } from '../spot.js';
import { shadowOf } from '../../shadow.js';
import { depthOf, type Speck } from './render.js';

export type Score = {
  recall3: number;
  recall2: number;
  precision: number;
  positionPx: number;
  fwhmError: number;
  depthError: number;
  falseOnes: Spot[];
  missed: Speck[];
};

const median = (values: number[]): number => values.sort((a, b) => a - b)[values.length >> 1] ?? 0;

/** How well the spots found are the specks that were put there. What lies on a hair counts as found there. */
export function score(
  specks: readonly Speck[],
  spots: readonly Spot[],
  width: number,
  height: number,
  onHair: (x: number, y: number) => boolean = () => false,
): Score {
  const left = new Set(spots.filter((s) => s.kind === 'dust'));
  const found = new Map<Speck, Spot>();
  for (const speck of [...specks].sort((a, b) => depthOf(b) - depthOf(a))) {
    let best: Spot | null = null;
    let near = Math.max(2, 0.6 * shadowOf(speck.c, speck.d).fwhm);
    for (const s of left) {
      const far = Math.hypot(s.x * width - speck.x, s.y * height - speck.y);
      if (far < near) [best, near] = [s, far];
    }
    if (!best) continue;
    left.delete(best);
    found.set(speck, best);
  }
  const recall = (from: number): number => {
    const asked = specks.filter((s) => depthOf(s) >= from);
    return asked.filter((s) => found.has(s)).length / asked.length;
  };
  const falseOnes = [...left].filter((s) => !onHair(s.x * width, s.y * height));
  const pairs = [...found].filter(([speck]) => depthOf(speck) >= 0.03);
  return {
    recall3: recall(0.03),
    recall2: recall(0.02),
    precision: found.size / Math.max(1, found.size + falseOnes.length),
    positionPx: median(pairs.map(([speck, s]) => Math.hypot(s.x * width - speck.x, s.y * height - speck.y))),
    fwhmError: median(pairs.map(([speck, s]) => Math.abs(s.fwhmPx / shadowOf(speck.c, speck.d).fwhm - 1))),
    depthError: median(pairs.map(([speck, s]) => Math.abs(s.depth / depthOf(speck) - 1))),
    falseOnes,
    missed: specks.filter((s) => depthOf(s) >= 0.03 && !found.has(s)),
  };
}
