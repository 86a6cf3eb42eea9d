import { PROBE, type Candidate } from './candidates.js';
import type { Background, Blob } from './hair.js';
import type { Level } from './pyramid.js';

/** How much darker a square is than its surroundings, now. */
export function stillDark({ data, width, height }: Level, { x, y }: Pick<Candidate, 'x' | 'y'>): number {
  const { gap, outer } = PROBE;
  let inside = 0;
  let n = 0;
  let around = 0;
  let m = 0;
  for (let py = Math.max(0, y - outer); py <= Math.min(height - 1, y + outer); py += 1) {
    for (let px = Math.max(0, x - outer); px <= Math.min(width - 1, x + outer); px += 1) {
      const far = Math.max(Math.abs(px - x), Math.abs(py - y));
      if (far <= 1) {
        inside += data[py * width + px]!;
        n += 1;
      } else if (far >= gap) {
        around += data[py * width + px]!;
        m += 1;
      }
    }
  }
  return 1 - inside / n / (around / m);
}

const CELLS_ASKED = 80;

/** How much darker a blob is than what lies close beside it: unevenness of the light is long too, but does not stand out. */
export function standsOut({ level, cells }: Blob): number {
  const every = Math.max(1, Math.floor(cells.length / CELLS_ASKED));
  let sum = 0;
  let n = 0;
  for (let i = 0; i < cells.length; i += every) {
    sum += stillDark(level, { x: cells[i]! % level.width, y: Math.floor(cells[i]! / level.width) });
    n += 1;
  }
  return sum / n;
}

/** So far from a blob what is bright comes of the same cause, pixels of its level. */
const BESIDE = [2, 4] as const;
const AROUND = [[1, 0], [-1, 0], [0, 1], [0, -1], [1, 1], [1, -1], [-1, 1], [-1, -1]] as const; // prettier-ignore

/** How much brighter the brightest nine pixels beside a blob are than the light should be there, as a share. */
export function brightestBeside({ level: { level, width, height, data }, cells }: Blob, background: Background): number {
  let most = 0;
  for (const cell of cells) {
    for (const far of BESIDE) {
      for (const [dx, dy] of AROUND) {
        const x = (cell % width) + far * dx;
        const y = Math.floor(cell / width) + far * dy;
        if (x < 1 || y < 1 || x >= width - 1 || y >= height - 1) continue;
        const i = y * width + x;
        let sum = 0;
        for (let row = i - width; row <= i + width; row += width) sum += data[row - 1]! + data[row]! + data[row + 1]!;
        most = Math.max(most, sum / 9 / background(level, x, y) - 1);
      }
    }
  }
  return most;
}

/** The darkest place of a level within a candidate, averaged over nine pixels, and how much darker it is than it should be. */
export function darkestNear(
  { level, width, height, data }: Level,
  background: Background,
  candidate: Candidate,
): { x: number; y: number; depth: number } {
  const scale = 2 ** (candidate.level - level);
  const [cx, cy] = [Math.floor((candidate.x + 0.5) * scale), Math.floor((candidate.y + 0.5) * scale)];
  const reach = Math.ceil((PROBE.side / 2) * scale);
  let darkest = { x: cx, y: cy, depth: -1 };
  for (let y = Math.max(1, cy - reach); y <= Math.min(height - 2, cy + reach); y += 1) {
    for (let x = Math.max(1, cx - reach); x <= Math.min(width - 2, cx + reach); x += 1) {
      let sum = 0;
      for (let dy = -1; dy <= 1; dy += 1) for (let dx = -1; dx <= 1; dx += 1) sum += data[(y + dy) * width + x + dx]!;
      const depth = 1 - sum / 9 / background(level, x, y);
      if (depth > darkest.depth) darkest = { x, y, depth };
    }
  }
  return darkest;
}
