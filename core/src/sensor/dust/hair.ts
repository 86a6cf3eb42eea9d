import type { Level } from './pyramid.js';
import { selectKth } from './quantile.js';

/** What is dark and hangs together, on one level. */
export type Blob = { level: Level; cells: Int32Array; lengthPx: number; widthPx: number; x: number; y: number; depth: number };

const MOST_CELLS = 40_000;
/** A hair is so many times as long as it is wide: three specks in a row touching each other are not. */
export const HAIR_RATIO = 4.6;

/** The light there would be without dust at a place of a level, in that level's pixels. */
export type Background = (level: number, x: number, y: number) => number;

const CELL = 16;
const EVERY = 3;
/** Dust only darkens: a little above the middle is nearer to what there would be without it. */
const CLEAR = 0.6;

/** What a share of the values around each cell lies below, cell by cell. */
function quantiles(
  columns: number,
  rows: number,
  share: number,
  gather: (column: number, row: number, into: Float32Array) => number,
): Float32Array {
  const cells = new Float32Array(columns * rows);
  const values = new Float32Array(CELL * CELL);
  for (let r = 0; r < rows; r += 1) {
    for (let c = 0; c < columns; c += 1) {
      const n = gather(c, r, values);
      cells[r * columns + c] = selectKth(values, n, Math.floor(n * share));
    }
  }
  return cells;
}

/**
 * The light without dust: quantiles of coarse cells, those again by the medians of their neighbours, and between them it
 * runs evenly.
 *
 * @param from the level it is taken from; it is told for finer ones too.
 */
export function backgroundOf(from: Level): Background {
  const { width, height, data } = from;
  const columns = Math.max(2, Math.ceil(width / CELL));
  const rows = Math.max(2, Math.ceil(height / CELL));
  const raw = quantiles(columns, rows, CLEAR, (c, r, into) => {
    let n = 0;
    const [left, top] = [Math.min(c * CELL, width - 4), Math.min(r * CELL, height - 4)];
    for (let y = top; y < Math.min(height, top + CELL); y += EVERY)
      for (let x = left; x < Math.min(width, left + CELL); x += EVERY) into[n++] = data[y * width + x]!;
    return n;
  });
  const smooth = quantiles(columns, rows, 0.5, (c, r, into) => {
    let n = 0;
    for (let y = Math.max(0, r - 1); y <= Math.min(rows - 1, r + 1); y += 1)
      for (let x = Math.max(0, c - 1); x <= Math.min(columns - 1, c + 1); x += 1) into[n++] = raw[y * columns + x]!;
    return n;
  });
  return (level, x, y) => {
    const scale = 2 ** (level - from.level);
    const u = ((x + 0.5) * scale - CELL / 2) / CELL;
    const v = ((y + 0.5) * scale - CELL / 2) / CELL;
    // Beyond the outermost cells it runs on as it ran between them: flat, the rim of a vignetted frame would look dark.
    const [c, r] = [Math.min(columns - 2, Math.max(0, Math.floor(u))), Math.min(rows - 2, Math.max(0, Math.floor(v)))];
    const [fu, fv] = [u - c, v - r];
    const i = r * columns + c;
    return (
      (smooth[i]! * (1 - fu) + smooth[i + 1]! * fu) * (1 - fv) + (smooth[i + columns]! * (1 - fu) + smooth[i + columns + 1]! * fu) * fv
    );
  };
}

/** Cells that hang together, on a grid of their own with a rim around it, 1 where one is. */
type Grid = { columns: number; cells: Uint8Array; left: number; top: number; width: number };

function gridOf(cells: ReadonlySet<number>, width: number): Grid {
  let [left, top, right, bottom] = [width, Infinity, 0, 0];
  for (const cell of cells) {
    const [x, y] = [cell % width, Math.floor(cell / width)];
    [left, top, right, bottom] = [Math.min(left, x), Math.min(top, y), Math.max(right, x), Math.max(bottom, y)];
  }
  const columns = right - left + 3;
  const grid = { columns, cells: new Uint8Array(columns * (bottom - top + 3)), left, top, width };
  for (const cell of cells) grid.cells[onGrid(grid, cell)] = 1;
  return grid;
}

const onGrid = ({ columns, left, top, width }: Grid, cell: number): number =>
  (Math.floor(cell / width) - top + 1) * columns + (cell % width) - left + 1;

/** The farthest cell of a grid from one, going over cells only, and how far it is, pixels. */
function farthest({ columns, cells }: Grid, start: number): { cell: number; far: number } {
  const steps = [1, -1, columns, -columns, columns + 1, columns - 1, -columns + 1, -columns - 1];
  const away = new Float32Array(cells.length).fill(-1);
  const queue = [start];
  away[start] = 0;
  let [cell, far] = [start, 0];
  for (let head = 0; head < queue.length; head += 1) {
    const at = queue[head]!;
    const d = away[at]!;
    if (d > far) [cell, far] = [at, d];
    for (let i = 0; i < steps.length; i += 1) {
      const next = at + steps[i]!;
      if (cells[next] === 0 || away[next]! >= 0) continue;
      away[next] = d + (i < 4 ? 1 : 1.41);
      queue.push(next);
    }
  }
  return { cell, far };
}

/**
 * All that is dark and hangs together with a place: long and thin where it is a hair.
 *
 * @param least the share by which a pixel is darker, to belong to it.
 * @returns null where it has no end: then the frame is no plain surface there.
 */
export function blobAt(level: Level, background: Background, x: number, y: number, least: number): Blob | null {
  const { width, height, data } = level;
  const depthAt = (px: number, py: number): number => {
    let sum = 0;
    let n = 0;
    for (let dy = -1; dy <= 1; dy += 1) {
      for (let dx = -1; dx <= 1; dx += 1) {
        const qx = px + dx;
        const qy = py + dy;
        if (qx < 0 || qy < 0 || qx >= width || qy >= height) continue;
        sum += data[qy * width + qx]!;
        n += 1;
      }
    }
    return 1 - sum / n / background(level.level, px, py);
  };
  const start = Math.round(y) * width + Math.round(x);
  const cells = new Set<number>();
  const queue = [start];
  const seen = new Set<number>([start]);
  let depth = 0;
  for (let head = 0; head < queue.length; head += 1) {
    const cell = queue[head]!;
    const [px, py] = [cell % width, Math.floor(cell / width)];
    const d = depthAt(px, py);
    if (d < least) continue;
    cells.add(cell);
    depth += d;
    if (cells.size > MOST_CELLS) return null;
    for (let dy = -1; dy <= 1; dy += 1) {
      for (let dx = -1; dx <= 1; dx += 1) {
        const qx = px + dx;
        const qy = py + dy;
        const next = qy * width + qx;
        if (qx < 0 || qy < 0 || qx >= width || qy >= height || seen.has(next)) continue;
        seen.add(next);
        queue.push(next);
      }
    }
  }
  if (cells.size < 4) return null;
  const grid = gridOf(cells, width);
  const { far } = farthest(grid, farthest(grid, onGrid(grid, start)).cell);
  let sx = 0;
  let sy = 0;
  for (const cell of cells) {
    sx += cell % width;
    sy += Math.floor(cell / width);
  }
  const lengthPx = far + 1;
  return {
    level,
    cells: Int32Array.from(cells),
    lengthPx,
    widthPx: cells.size / lengthPx,
    x: sx / cells.size,
    y: sy / cells.size,
    depth: depth / cells.size,
  };
}

/** Long and thin, and neither a speck nor a few of them side by side. */
export const isHair = ({ lengthPx, widthPx }: Blob): boolean => lengthPx / widthPx >= HAIR_RATIO && lengthPx >= 10;
