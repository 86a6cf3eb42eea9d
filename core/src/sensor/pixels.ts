import type { Spot } from './dust/spot.js';
import type { Point } from './position.js';

/** A frame as its pixels are told by it. */
export type FrameOfPixels = { fNumber: number; width: number; height: number; spots: readonly Spot[] };

/** Apertures so far apart: a shadow would be a stop deeper, twice as deep and more. */
const APART = 1.4;
/** A pixel does not move: it is found again so near, pixels. */
const SAME_PX = 1.5;
/** A frame is divided into cells so wide, pixels. */
const CELL_PX = 4;
/** And is as narrow and as dark as it was, within this. */
const SAME = 0.25;
/** Wider than this, pixels, it is no pixel. */
export const WIDEST_PIXEL_PX = 6;
/** As good as black at both: a large particle on the glass would be, too. */
const BLACK = 0.9;

const isAlike = (a: number, b: number): boolean => Math.abs(b / a - 1) < SAME;

/** Where more than these are narrow the surface was not plain, and tells nothing of pixels. */
const MOST = 400;

const isNarrow = ({ kind, fwhmPx, depth }: Spot): boolean => kind === 'dust' && fwhmPx <= WIDEST_PIXEL_PX && depth <= BLACK;

/** Spots by place, so that those near another one are found without asking all: frames of a textured surface hold thousands. */
class ByPlace {
  private readonly cells = new Map<number, Spot[]>();

  constructor(
    private readonly width: number,
    private readonly height: number,
  ) {}

  add(spot: Spot): void {
    const cell = this.cell(spot.x * this.width, spot.y * this.height);
    this.cells.set(cell, [...(this.cells.get(cell) ?? []), spot]);
  }

  /** Those within a pixel and a half. */
  near({ x, y }: Point): Spot[] {
    const [px, py] = [x * this.width, y * this.height];
    const cells = new Set([-SAME_PX, SAME_PX].flatMap((dx) => [-SAME_PX, SAME_PX].map((dy) => this.cell(px + dx, py + dy))));
    return [...cells]
      .flatMap((cell) => this.cells.get(cell) ?? [])
      .filter((s) => Math.hypot(s.x * this.width - px, s.y * this.height - py) < SAME_PX);
  }

  private cell(px: number, py: number): number {
    return Math.floor(py / CELL_PX) * this.width + Math.floor(px / CELL_PX);
  }
}

const placed = (spots: readonly Spot[], { width, height }: FrameOfPixels): ByPlace => {
  const all = new ByPlace(width, height);
  for (const s of spots) all.add(s);
  return all;
};

/**
 * The places of a sensor that are dark in the same width and depth at apertures a stop and more apart: pixels that tell the
 * wrong light. The shadow of dust deepens with the square of the f-number and narrows with it.
 *
 * @param frames of one body. @returns each place once, as fractions of width and height from the top left.
 */
export function darkPixels(frames: readonly FrameOfPixels[]): Point[] {
  const narrow = frames.map((f) => {
    const all = f.spots.filter(isNarrow);
    return all.length > MOST ? [] : all;
  });
  const byPlace = frames.map((f, i) => placed(narrow[i]!, f));
  const places: Point[] = [];
  for (const [i, a] of frames.entries()) {
    const told = new ByPlace(a.width, a.height);
    for (const [j, b] of frames.entries()) {
      if (j <= i || a.width !== b.width || a.height !== b.height || Math.max(a.fNumber / b.fNumber, b.fNumber / a.fNumber) < APART)
        continue;
      for (const s of narrow[i]!) {
        if (!byPlace[j]!.near(s).some((t) => isAlike(s.fwhmPx, t.fwhmPx) && isAlike(s.depth, t.depth)) || told.near(s).length > 0) continue;
        told.add(s);
        if (!places.some((p) => Math.hypot((p.x - s.x) * a.width, (p.y - s.y) * a.height) < SAME_PX)) places.push({ x: s.x, y: s.y });
      }
    }
  }
  return places;
}
