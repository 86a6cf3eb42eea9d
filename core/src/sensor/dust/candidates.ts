import type { Light } from './frame.js';
import { TILE } from './loops.js';
import { isFlat, type NoiseMap } from './noise.js';
import type { Level } from './pyramid.js';
import { sigmaOf, type Scatter } from './quantile.js';

/** Where something may be: three pixels square of a level that are darker than what lies around, by more than chance makes it. */
export type Candidate = {
  level: number;
  /** The middle pixel, in pixels of the level. */
  x: number;
  y: number;
  /** By what share it is darker. */
  depth: number;
  /** How often that is what chance makes of it. */
  snr: number;
};

/** The square's side, and how far out the surroundings begin and end, pixels of the level. */
export const PROBE = { side: 3, gap: 3, outer: 5 } as const;
const AREA = PROBE.side ** 2;
/** So many places of a tile are asked; on the finest level, where there are most of them, fewer, out of step with a JPEG's squares. */
const EVERY = 4;
const EVERY_FINEST = 6;

/** Below so many sigmas chance makes too much stand out for anything to be told from it. */
const LEAST_SNR = 3.7;
/** Above so many sigmas noise that is as it should be makes nothing in a frame of fifty million places. */
const SURE_SNR = 5.2;
/** Where more than so many places of a level stand out, */
const MOST_BY_LEVEL = 400;
/** and for each so many bright ones, */
const MOSTLY_CHANCE = 0.4;
/** more is asked for, up to here. */
const MOST_CUT = 9;
/** Up to this level the grain and the squares of a JPEG may look like specks. */
const GRAINY = 2;
/** In flat tiles a candidate is more than one step of grey. */
const STEPS_IN_FLAT = 1.15;
/** Nothing so faint is ever seen in a picture. */
const FAINTEST = 0.006;
/** Thresholds are kept in so many parts, so that their product with the light fits 31 bits. */
const SHIFT = 11;
const PARTS = 1 << SHIFT;
/** And no place is passed over that is brighter than this part of the light around: nine of it still fit. */
const BRIGHTEST = 1.75;

/** From a row to before another. */
export type Rows = { from: number; to: number };
/** What lies so near to rows that are answered for, pixels of the level, may reach into them. */
const REACHES = 24;

/** What stands out on one level: dark, and bright to tell chance by. */
export type StandOut = { dark: Candidate[]; bright: Candidate[] };

/** How far a place of a tile must stand out, from what its middle one does. */
type Tile = { median: number; spread: number; least: number };
/** A tile with no place that has all its neighbours: nothing stands out in it. */
const NOTHING: Tile = { median: 0, spread: 1, least: 1 };

/** One level and the light around each of its places. */
class Probe {
  private readonly around: Uint16Array;
  private readonly tiles: Tile[] = [];
  /** Of each tile the two bounds on nine pixels, in parts of the light around. */
  private readonly bounds: Int32Array;
  private readonly found: StandOut = { dark: [], bright: [] };
  private readonly noted = new Set<number>();

  constructor(
    private readonly level: Level,
    private readonly coarser: Level,
    private readonly light: Light,
    private readonly noise: NoiseMap,
    private readonly rows: Rows,
  ) {
    const { loops } = light;
    this.around = loops.surroundings(coarser);
    this.bounds = loops.numbers(2 * Math.ceil(level.width / TILE));
  }

  run(): StandOut {
    const { height, level } = this.level;
    const from = Math.max(1, Math.floor(this.rows.from / 2 ** level) - REACHES);
    const to = Math.min(height - 1, Math.ceil(this.rows.to / 2 ** level) + REACHES);
    for (let top = from - (from % TILE); top < to; top += TILE) {
      this.measureBand(top);
      for (let y = Math.max(from, top), end = Math.min(to, top + TILE); y < end; y += 1) this.row(y);
    }
    return this.found;
  }

  private aroundAt(x: number, y: number): number {
    const { width, height } = this.coarser;
    return this.around[Math.min(height - 1, y >> 1) * width + Math.min(width - 1, x >> 1)]!;
  }

  private sumAt(x: number, y: number): number {
    const { data, width } = this.level;
    const i = y * width + x;
    const a = i - width;
    const c = i + width;
    return data[a - 1]! + data[a]! + data[a + 1]! + data[i - 1]! + data[i]! + data[i + 1]! + data[c - 1]! + data[c]! + data[c + 1]!;
  }

  /** How much darker a place is than its surroundings, as a share. */
  private depthAt(x: number, y: number): number {
    return 1 - this.sumAt(x, y) / (AREA * Math.max(1, this.aroundAt(x, y)));
  }

  /** What stands out in each tile of a band of them. */
  private measureBand(top: number): void {
    const { width, height, level } = this.level;
    const bottom = Math.min(height - 1, top + TILE);
    const every = level === 0 ? EVERY_FINEST : EVERY;
    for (let left = 0, column = 0; left < width; left += TILE, column += 1) {
      const right = Math.min(width - 1, left + TILE);
      const places = { left: Math.max(1, left), right, top: Math.max(1, top), bottom, every };
      const scatter = this.light.loops.darkerIn(this.level, this.coarser, places);
      const tile = scatter ? this.tileOf(scatter, (left + right) >> 1, (top + bottom) >> 1) : NOTHING;
      this.tiles[column] = tile;
      this.bounds[2 * column] = AREA * Math.round((1 - tile.median - tile.least) * PARTS);
      this.bounds[2 * column + 1] = AREA * Math.round(Math.min(BRIGHTEST, 1 - tile.median + tile.least) * PARTS);
    }
  }

  /** @param x @param y the middle of the tile. */
  private tileOf(scatter: Scatter, x: number, y: number): Tile {
    const { level } = this.level;
    const sigma = sigmaOf(scatter, level <= GRAINY);
    const px = 2 ** level;
    const step = this.light.step(this.aroundAt(x, y));
    const least = Math.max(LEAST_SNR * sigma, isFlat(this.noise, x * px, y * px, step) ? STEPS_IN_FLAT * step : 0, FAINTEST);
    return { median: scatter.median, spread: Math.max(sigma, least / SURE_SNR / 2), least };
  }

  /** Looks at every place of a row. Row by row, not tile by tile: so memory is read as it lies. */
  private row(y: number): void {
    const { width } = this.level;
    const ring = Math.min(this.coarser.height - 1, y >> 1) * this.coarser.width;
    this.look(1, y);
    const count = this.light.loops.standOut(this.level, y, this.around.subarray(ring, ring + this.coarser.width), this.bounds, SHIFT);
    for (let i = 0; i < count; i += 1) this.look(this.light.loops.hits[i]!, y);
    // The last place may have no surroundings of its own.
    this.look(width - 2, y);
  }

  private look(x: number, y: number): void {
    const { median, spread, least } = this.tiles[Math.floor(x / TILE)]!;
    const off = this.depthAt(x, y) - median;
    if (off > least) this.note(this.found.dark, x, y, 1, off, spread);
    else if (off < -least) this.note(this.found.bright, x, y, -1, -off, spread);
  }

  /** Notes a place that stands out, if it does so more than all eight beside it. @param sign 1 for dark, -1 for bright. */
  private note(list: Candidate[], x: number, y: number, sign: number, depth: number, spread: number): void {
    const { width, height, level } = this.level;
    if (x < 1 || y < 1 || x >= width - 1 || y >= height - 1 || this.noted.has(y * width + x)) return;
    const sum = this.sumAt(x, y);
    for (let dy = -1; dy <= 1; dy += 1) {
      for (let dx = -1; dx <= 1; dx += 1) {
        if ((dx === 0 && dy === 0) || x + dx < 1 || y + dy < 1 || x + dx >= width - 1 || y + dy >= height - 1) continue;
        const beside = sign * (this.sumAt(x + dx, y + dy) - sum);
        // Of two that are the same the later one counts.
        if (beside < 0 || (beside === 0 && (dy > 0 || (dy === 0 && dx > 0)))) return;
      }
    }
    this.noted.add(y * width + x);
    list.push({ level, x, y, depth, snr: depth / spread });
  }
}

/** How many of some sorted numbers are at least so large. */
function atLeast(sorted: readonly number[], least: number): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! < least) low = middle + 1;
    else high = middle;
  }
  return sorted.length - low;
}

/**
 * Dust only darkens: what stands out bright is chance, and chance makes as much that is dark. Where there is far more of
 * it than of anything else, only what stands out by more is looked at, whatever the noise is like.
 */
function beyondChance({ dark, bright }: StandOut): StandOut {
  const ups = bright.map((c) => c.snr).sort((a, b) => a - b);
  const downs = dark.map((c) => c.snr).sort((a, b) => a - b);
  let cut = LEAST_SNR;
  while (cut < MOST_CUT && atLeast(downs, cut) > MOST_BY_LEVEL && atLeast(ups, cut) > MOSTLY_CHANCE * atLeast(downs, cut)) cut += 0.1;
  const isBeyond = ({ snr }: Candidate) => snr >= cut;
  return { dark: dark.filter(isBeyond), bright: bright.filter(isBeyond) };
}

/**
 * Every place where something may be, at every scale, in some rows and near them.
 *
 * @param levels with one more than is searched, for the surroundings. @param rows of the frame. @param onLevel told after each.
 */
export function candidatesIn(
  levels: readonly Level[],
  light: Light,
  noise: NoiseMap,
  rows: Rows,
  onLevel: (done: number) => void,
): StandOut {
  const found: StandOut = { dark: [], bright: [] };
  for (let i = 0; i + 1 < levels.length; i += 1) {
    const { dark, bright } = beyondChance(new Probe(levels[i]!, levels[i + 1]!, light, noise, rows).run());
    found.dark.push(...dark);
    found.bright.push(...bright);
    onLevel((i + 1) / (levels.length - 1));
  }
  return found;
}
