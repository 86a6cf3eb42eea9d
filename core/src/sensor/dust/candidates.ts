import type { Light } from './frame.js';
import { isFlat, type NoiseMap } from './noise.js';
import type { Level } from './pyramid.js';
import { robust, selectKth } from './quantile.js';

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
const TILE = 64;
const EVERY = 4;

/** Below so many sigmas chance makes too much stand out for anything to be told from it. */
const LEAST_SNR = 3.7;
/** Above so many sigmas noise that is as it should be makes nothing in a frame of fifty million places. */
const SURE_SNR = 5.2;
/** Of what stands out, so much may be chance; on the finest level, where there is most of it, less. */
const BY_CHANCE = 0.2;
const BY_CHANCE_FINEST = 0.1;
/** Up to this level the grain and the squares of a JPEG may look like specks. */
const GRAINY = 2;
/** The brighter part of the surroundings begins above this share of them, and where little is left against it, it is a halo. */
const BRIGHTER_PART = 0.6;
const HALO = 0.25;
/** In flat tiles a candidate is more than one step of grey. */
const STEPS_IN_FLAT = 1.15;
/** Nothing so faint is ever seen in a picture. */
const FAINTEST = 0.006;

/** The rows or columns of which one outside the level is the mirror image. */
const inside = (i: number, size: number): number => (i < 0 ? -i - 1 : i >= size ? 2 * size - i - 1 : i);

/**
 * The light around each place: the mean of the frame five pixels wide about three, on the level twice as coarse, so that
 * the finest level, where nearly all pixels are, is gone through once and for three of them at a time.
 */
function surroundings({ width, height, data }: Level): Uint16Array {
  const around = new Uint16Array(width * height);
  // Sums over five and over three rows, for each column, moved down the frame; mirrored at both ends.
  const five = new Int32Array(width + 4);
  const three = new Int32Array(width + 4);
  const row = (y: number): number => inside(y, height) * width;
  for (let x = 0; x < width; x += 1) {
    for (let d = -3; d <= 1; d += 1) five[x + 2]! += data[row(d) + x]!;
    for (let d = -2; d <= 0; d += 1) three[x + 2]! += data[row(d) + x]!;
  }
  for (let y = 0; y < height; y += 1) {
    const [in5, out5, in3, out3] = [row(y + 2), row(y - 3), row(y + 1), row(y - 2)];
    for (let x = 0; x < width; x += 1) {
      five[x + 2]! += data[in5 + x]! - data[out5 + x]!;
      three[x + 2]! += data[in3 + x]! - data[out3 + x]!;
    }
    for (const columns of [five, three]) {
      columns[1] = columns[2]!;
      columns[0] = columns[3]!;
      columns[width + 2] = columns[width + 1]!;
      columns[width + 3] = columns[width]!;
    }
    let wide = five[0]! + five[1]! + five[2]! + five[3]!;
    let narrow = three[1]! + three[2]!;
    for (let x = 0, i = y * width; x < width; x += 1, i += 1) {
      wide += five[x + 4]!;
      narrow += three[x + 3]!;
      around[i] = (wide - narrow + 8) >> 4;
      wide -= five[x]!;
      narrow -= three[x + 1]!;
    }
  }
  return around;
}

/** What stands out on one level: dark, and bright to tell chance by. */
type StandOut = { dark: Candidate[]; bright: Candidate[] };

/** One level and the light around each of its places. */
class Probe {
  private readonly around: Uint16Array;
  private readonly aroundWidth: number;
  private readonly aroundHeight: number;
  private readonly values = new Float32Array((TILE / EVERY) ** 2);
  private readonly found: StandOut = { dark: [], bright: [] };

  constructor(
    private readonly level: Level,
    coarser: Level,
    private readonly light: Light,
    private readonly noise: NoiseMap,
  ) {
    this.around = surroundings(coarser);
    this.aroundWidth = coarser.width;
    this.aroundHeight = coarser.height;
  }

  run(): StandOut {
    const { width, height } = this.level;
    for (let top = 0; top < height; top += TILE) for (let left = 0; left < width; left += TILE) this.tile(left, top);
    return this.found;
  }

  private aroundAt(x: number, y: number): number {
    return this.around[Math.min(this.aroundHeight - 1, y >> 1) * this.aroundWidth + Math.min(this.aroundWidth - 1, x >> 1)]!;
  }

  private sumAt(x: number, y: number): number {
    const { data, width } = this.level;
    const i = y * width + x;
    const [a, c] = [i - width, i + width];
    return data[a - 1]! + data[a]! + data[a + 1]! + data[i - 1]! + data[i]! + data[i + 1]! + data[c - 1]! + data[c]! + data[c + 1]!;
  }

  /** How much darker a place is than its surroundings, as a share. */
  private depthAt(x: number, y: number): number {
    return 1 - this.sumAt(x, y) / (AREA * Math.max(1, this.aroundAt(x, y)));
  }

  private tile(left: number, top: number): void {
    const { width, height, data, level } = this.level;
    const { around, aroundWidth } = this;
    const [right, bottom] = [Math.min(width - 1, left + TILE), Math.min(height - 1, top + TILE)];
    const [x0, y0] = [Math.max(1, left), Math.max(1, top)];
    let n = 0;
    for (let y = y0; y < bottom; y += EVERY)
      for (let x = x0; x < right && n < this.values.length; x += EVERY) this.values[n++] = this.depthAt(x, y);
    if (n === 0) return;
    const { median, sigma } = robust(this.values, n, level <= GRAINY);
    const [mx, my] = [(left + right) >> 1, (top + bottom) >> 1];
    const px = 2 ** level;
    const step = this.light.step(this.aroundAt(mx, my));
    const least = Math.max(LEAST_SNR * sigma, isFlat(this.noise, mx * px, my * px, step) ? STEPS_IN_FLAT * step : 0, FAINTEST);
    const spread = Math.max(sigma, least / SURE_SNR / 2);
    const darker = AREA * (1 - median - least);
    const brighter = AREA * (1 - median + least);
    for (let y = y0; y < bottom; y += 1) {
      const row = y * width;
      const [above, below] = [row - width, row + width];
      const ring = Math.min(this.aroundHeight - 1, y >> 1) * aroundWidth;
      let s0 = data[above + x0 - 1]! + data[row + x0 - 1]! + data[below + x0 - 1]!;
      let s1 = data[above + x0]! + data[row + x0]! + data[below + x0]!;
      // Where the level is one pixel wider than twice the coarser one, the last place has none of its own.
      let limit = around[ring + Math.min(aroundWidth - 1, x0 >> 1)]!;
      let [dark, bright] = [limit * darker, limit * brighter];
      for (let x = x0; x < right; x += 1) {
        const s2 = data[above + x + 1]! + data[row + x + 1]! + data[below + x + 1]!;
        const sum = s0 + s1 + s2;
        s0 = s1;
        s1 = s2;
        if ((x & 1) === 0) {
          if (x >> 1 < aroundWidth) limit = around[ring + (x >> 1)]!;
          dark = limit * darker;
          bright = limit * brighter;
        }
        if (sum < dark) this.note(this.found.dark, x, y, sum, 1, median, spread);
        else if (sum > bright) this.note(this.found.bright, x, y, sum, -1, median, spread);
      }
    }
  }

  /** Notes a place that stands out, if it does so more than all eight beside it. @param sign 1 for dark, -1 for bright. */
  private note(list: Candidate[], x: number, y: number, sum: number, sign: number, median: number, spread: number): void {
    const { width, height, level } = this.level;
    if (x < 1 || y < 1 || x >= width - 1 || y >= height - 1) return;
    for (let dy = -1; dy <= 1; dy += 1) {
      for (let dx = -1; dx <= 1; dx += 1) {
        if ((dx === 0 && dy === 0) || x + dx < 1 || y + dy < 1 || x + dx >= width - 1 || y + dy >= height - 1) continue;
        const beside = sign * (this.sumAt(x + dx, y + dy) - sum);
        // Of two that are the same the later one counts.
        if (beside < 0 || (beside === 0 && (dy > 0 || (dy === 0 && dx > 0)))) return;
      }
    }
    const depth = sign * (this.depthAt(x, y) - median);
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

const ringValues = new Float32Array((2 * PROBE.outer + 1) ** 2);

/**
 * Is a bright place bright only because something dark lies around it? Then it is hardly brighter than the brighter part
 * of its surroundings.
 */
function isHalo({ width, height, data }: Level, { x, y, depth }: Candidate): boolean {
  const { gap, outer } = PROBE;
  let [n, sum, m] = [0, 0, 0];
  for (let py = Math.max(0, y - outer); py <= Math.min(height - 1, y + outer); py += 1) {
    for (let px = Math.max(0, x - outer); px <= Math.min(width - 1, x + outer); px += 1) {
      const far = Math.max(Math.abs(px - x), Math.abs(py - y));
      const v = data[py * width + px]!;
      if (far > gap - 1) ringValues[n++] = v;
      else if (far <= 1) {
        sum += v;
        m += 1;
      }
    }
  }
  const bright = selectKth(ringValues, n, Math.floor(n * BRIGHTER_PART));
  return sum / m / bright - 1 < HALO * depth;
}

/**
 * Dust only darkens: what stands out bright is chance, and chance makes as much that is dark. So the bright ones tell how
 * far a dark one must stand out, whatever the noise is like.
 */
function beyondChance(level: Level, { dark, bright }: StandOut): Candidate[] {
  const ups = bright
    .filter((c) => !isHalo(level, c))
    .map((c) => c.snr)
    .sort((a, b) => a - b);
  const downs = dark.map((c) => c.snr).sort((a, b) => a - b);
  const share = (cut: number, more: number): number => (atLeast(ups, cut) + more) / Math.max(1, atLeast(downs, cut));
  const allowed = level.level === 0 ? BY_CHANCE_FINEST : BY_CHANCE;
  let cut = LEAST_SNR;
  while (cut < SURE_SNR && share(cut, 1) > allowed) cut += 0.1;
  // Coarser, there is no grain: what is bright there lies between shadows.
  while (level.level <= GRAINY && share(cut, 0) > allowed && atLeast(ups, cut) > 0) cut *= 1.05;
  return dark.filter((c) => c.snr >= cut);
}

/**
 * Every place where something may be, at every scale.
 *
 * @param levels with one more than is searched, for the surroundings. @param onLevel told after each.
 */
export function candidatesIn(levels: readonly Level[], light: Light, noise: NoiseMap, onLevel: (done: number) => void): Candidate[] {
  const found: Candidate[] = [];
  for (let i = 0; i + 1 < levels.length; i += 1) {
    found.push(...beyondChance(levels[i]!, new Probe(levels[i]!, levels[i + 1]!, light, noise).run()));
    onLevel((i + 1) / (levels.length - 1));
  }
  return found;
}
