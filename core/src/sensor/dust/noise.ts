import type { Light } from './frame.js';
import { TILE } from './loops.js';
import { sigmaOf } from './quantile.js';

/** Out of step with the squares of a JPEG. */
const EVERY = 6;
/** What a pixel and half of its two neighbours together scatter, against one pixel. */
const AGAINST_NEIGHBOURS = Math.sqrt(1.5);

/** The noise of single pixels, tile by tile, as a share of the light there. */
export type NoiseMap = { columns: number; rows: number; sigma: Float32Array; at: (x: number, y: number) => number };

export function noiseOf({ width, height, data, loops }: Light): NoiseMap {
  const columns = Math.ceil(width / TILE);
  const rows = Math.ceil(height / TILE);
  const sigma = new Float32Array(columns * rows);
  for (let row = 0; row < rows; row += 1) {
    for (let column = 0; column < columns; column += 1) {
      const [left, top] = [column * TILE, row * TILE];
      const [right, bottom] = [Math.min(width - 1, left + TILE), Math.min(height, top + TILE)];
      const scatter = loops.besideTwoIn(data, { left: left + 1, right, top, bottom, every: EVERY });
      sigma[row * columns + column] = scatter ? sigmaOf(scatter) / AGAINST_NEIGHBOURS : 0;
    }
  }
  const at = (x: number, y: number): number =>
    sigma[Math.min(rows - 1, Math.max(0, Math.floor(y / TILE))) * columns + Math.min(columns - 1, Math.max(0, Math.floor(x / TILE)))]!;
  return { columns, rows, sigma, at };
}

/** The noise is so small a part of one step of grey that a whole step and more must be asked for: else contours are specks. */
const FLAT = 0.35;

/** Is the frame flat at a place, as a JPEG leaves it? @param step from one grey to the next there, as a share of the light. */
export const isFlat = (noise: NoiseMap, x: number, y: number, step: number): boolean => noise.at(x, y) < FLAT * step;
