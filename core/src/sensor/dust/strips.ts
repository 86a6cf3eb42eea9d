import type { Detection } from './detect.js';
import type { Rows } from './candidates.js';
import type { Frame } from './frame.js';
import { plainestFirst, type Spot } from './spot.js';
import { SQUARE } from './squares.js';

/** A part of a frame over its whole width, with more above and below than it answers for. */
export type Strip = {
  frame: Frame;
  /** The row of the whole frame at which it begins. */
  top: number;
  /** It answers for the specks whose middle lies from here to before there, rows of the whole frame. */
  from: number;
  to: number;
  /** The same rows, counted from its own first. */
  rows: Rows;
  /** The part of the whole frame they are, 0 to 1. */
  part: number;
};

/** So much more on either side, as a part of the width: the widest shadow there is, and the light around it. */
const OVERLAP = 0.05;

/**
 * A frame cut into strips that can be searched apart, each by a processor of its own. They share the frame's memory.
 *
 * @param count how many; fewer where they would be hardly more than their overlap.
 */
export function stripsOf(frame: Frame, count: number): Strip[] {
  const { width, height, data } = frame;
  const overlap = Math.ceil(OVERLAP * width);
  const strips = Math.max(1, Math.min(count, Math.floor(height / (3 * overlap))));
  return Array.from({ length: strips }, (_, i) => {
    const [from, to] = [Math.round((i * height) / strips), Math.round(((i + 1) * height) / strips)];
    // From a row at which the squares of a JPEG begin.
    const top = Math.floor(Math.max(0, from - overlap) / SQUARE) * SQUARE;
    const bottom = Math.min(height, to + overlap);
    return {
      frame: { width, height: bottom - top, data: data.subarray(top * width, bottom * width) },
      top,
      from,
      to,
      rows: { from: from - top, to: to - top },
      part: (to - from) / height,
    };
  });
}

/** Where two strips meet both may see a speck, each with its middle a little elsewhere; so both are heard, rows. */
const SEAM = 2;

/** Is it the same, seen by two strips? Specks lie nearer than half their width; of a hair each may have seen a part. */
function isSame(a: Spot, b: Spot, { width, height }: Frame): boolean {
  if (a.kind !== b.kind) return false;
  const far = Math.hypot((a.x - b.x) * width, (a.y - b.y) * height);
  return far < (a.kind === 'hair' ? 0.6 * Math.max(a.diameterPx, b.diameterPx) : 0.5 * Math.max(a.fwhmPx, b.fwhmPx));
}

/** What was found in the strips of a frame, as if it had been searched whole. @param found of each strip, in their order. */
export function joinStrips(whole: Frame, strips: readonly Strip[], found: readonly Detection[]): Detection {
  const share = (i: number): number => (strips[i]!.to - strips[i]!.from) / whole.height;
  const mean = (of: (d: Detection) => number): number => found.reduce((sum, d, i) => sum + share(i) * of(d), 0);
  const spots: Spot[] = [];
  for (const [i, { frame, top, from, to }] of strips.entries()) {
    const before = spots.length;
    for (const spot of found[i]!.spots) {
      const row = spot.y * frame.height + top;
      if (spot.kind === 'dust' && (row < from - SEAM || row >= to + SEAM)) continue;
      const placed = { ...spot, y: row / whole.height };
      const other = spots.findIndex((s, at) => at < before && isSame(s, placed, whole));
      if (other < 0) spots.push(placed);
      else if (spots[other]!.diameterPx < placed.diameterPx) spots[other] = placed;
    }
  }
  return {
    spots: spots.sort(plainestFirst),
    noise: mean((d) => d.noise),
    fitness: {
      clippedShare: mean((d) => d.fitness.clippedShare),
      light: mean((d) => d.fitness.light),
      textured: found.some((d) => d.fitness.textured),
      tooWideOpen: found.some((d) => d.fitness.tooWideOpen),
    },
  };
}
