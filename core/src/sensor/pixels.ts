import type { Spot } from './dust/spot.js';
import type { Point } from './position.js';

/** A frame as its pixels are told by it. */
export type FrameOfPixels = { fNumber: number; width: number; height: number; spots: readonly Spot[] };

/** Apertures so far apart: a shadow would be a stop deeper, twice as deep and more. */
const APART = 1.4;
/** A pixel does not move: it is found again so near, pixels. */
const SAME_PX = 1.5;
/** And is as narrow and as dark as it was, within this. */
const SAME = 0.25;
/** Wider than this, pixels, it is no pixel. */
const WIDEST_PX = 6;
/** As good as black at both: a large particle on the glass would be, too. */
const BLACK = 0.9;

const isAlike = (a: number, b: number): boolean => Math.abs(b / a - 1) < SAME;

/**
 * The places of a sensor that are dark in the same width and depth at apertures a stop and more apart: pixels that tell the
 * wrong light. The shadow of dust deepens with the square of the f-number and narrows with it.
 *
 * @param frames of one body. @returns each place once, as fractions of width and height from the top left.
 */
export function darkPixels(frames: readonly FrameOfPixels[]): Point[] {
  const places: Point[] = [];
  for (const [i, a] of frames.entries()) {
    for (const b of frames.slice(i + 1)) {
      if (a.width !== b.width || a.height !== b.height || Math.max(a.fNumber / b.fNumber, b.fNumber / a.fNumber) < APART) continue;
      for (const s of a.spots) {
        if (s.kind !== 'dust' || s.fwhmPx > WIDEST_PX || s.depth > BLACK) continue;
        const isThere = b.spots.some(
          (t) =>
            Math.hypot((t.x - s.x) * a.width, (t.y - s.y) * a.height) < SAME_PX && isAlike(s.fwhmPx, t.fwhmPx) && isAlike(s.depth, t.depth),
        );
        if (isThere && !places.some((p) => Math.hypot((p.x - s.x) * a.width, (p.y - s.y) * a.height) < SAME_PX))
          places.push({ x: s.x, y: s.y });
      }
    }
  }
  return places;
}
