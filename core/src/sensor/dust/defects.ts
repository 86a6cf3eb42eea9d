import type { Light } from './frame.js';
import { TILE } from './loops.js';
import type { NoiseMap } from './noise.js';
import { selectKth } from './quantile.js';

/** A pixel that differs from the one beside it by this part of the light is looked at, */
const PART = 0.04;
/** and by so many times what the noise makes of two. */
const TIMES = 6 * Math.SQRT2;
/** On paper or sand nearly all are: then none is told to be a defect. */
const MOST_LOOKED_AT = 400_000;
/** How far a defect smears: through the mosaic, by sharpening, and over the squares of a JPEG. */
const SMEAR = 3;
/** What is this part of its peak belongs to a defect when it is taken out. */
const BELONGS = 0.08;

/** Sharpening throws a bright ring round a shadow: so far from its middle at most, pixels, */
const RING_REACH = 6;
/** and less than this part of its depth. */
const RING_PART = 0.4;

/** What stands out at a place: the light around it, by how much of that at its peak, and how wide it is, pixels. */
type Peak = { x: number; y: number; off: number; light: number; wide: number };

/** The light around is taken from a square so far out. */
const REACH = SMEAR + 1;
const ring = new Float32Array(8 * REACH);

/** What stands out around a pixel, dark or bright; null where nothing does, or too near to the rim. */
function peakAt({ width, height, data }: Light, x0: number, y0: number): Peak | null {
  let [x, y] = [x0, y0];
  // Uphill to the pixel that is farthest from the light around.
  for (let moves = 0; moves < 2; moves += 1) {
    const light = lightAround(data, width, height, x, y);
    let [best, bx, by] = [-1, x, y];
    for (let py = Math.max(0, y - 1); py <= Math.min(height - 1, y + 1); py += 1) {
      for (let px = Math.max(0, x - 1); px <= Math.min(width - 1, x + 1); px += 1) {
        const off = Math.abs(data[py * width + px]! - light);
        if (off > best) [best, bx, by] = [off, px, py];
      }
    }
    if (bx === x && by === y) break;
    [x, y] = [bx, by];
  }
  const light = lightAround(data, width, height, x, y);
  if (light <= 0) return null;
  const off = data[y * width + x]! / light - 1;
  let area = 0;
  for (let dy = -REACH; dy <= REACH; dy += 1) {
    for (let dx = -REACH; dx <= REACH; dx += 1) {
      const [px, py] = [x + dx, y + dy];
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      // Half of the peak, evenly from a quarter to three quarters: a border runs through pixels.
      area += Math.min(1, Math.max(0, ((data[py * width + px]! / light - 1) / off - 0.25) * 2));
    }
  }
  return { x, y, off, light, wide: Math.sqrt((4 * area) / Math.PI) };
}

/** The light around a pixel: the middle one of those that lie four away. */
function lightAround(data: Uint16Array, width: number, height: number, x: number, y: number): number {
  let n = 0;
  const add = (px: number, py: number): void => {
    if (px < 0 || py < 0 || px >= width || py >= height) return;
    ring[n] = data[py * width + px]!;
    n += 1;
  };
  for (let o = -REACH; o < REACH; o += 1) {
    add(x + o, y - REACH);
    add(x + REACH, y + o);
    add(x - o, y + REACH);
    add(x - REACH, y - o);
  }
  return n === 0 ? 0 : selectKth(ring, n, n >> 1);
}

/** Is what is bright no defect, but what sharpening threw round something dark that is wide enough to be a shadow? */
function isRingOfShadow(light: Light, { x, y, off, light: around }: Peak, narrowestPx: number): boolean {
  const { width, height, data } = light;
  let [darkest, dx, dy] = [Infinity, x, y];
  for (let py = Math.max(0, y - RING_REACH); py <= Math.min(height - 1, y + RING_REACH); py += 1) {
    for (let px = Math.max(0, x - RING_REACH); px <= Math.min(width - 1, x + RING_REACH); px += 1) {
      const here = data[py * width + px]!;
      if (here < darkest) [darkest, dx, dy] = [here, px, py];
    }
  }
  if (off <= 0 || off > RING_PART * (1 - darkest / around)) return false;
  const dark = peakAt(light, dx, dy);
  return dark !== null && dark.off < 0 && dark.wide >= narrowestPx;
}

/** Puts the light around in the place of what belongs to a defect. */
function heal({ width, height, data }: Light, { x, y, off, light }: Peak): void {
  for (let dy = -SMEAR; dy <= SMEAR; dy += 1) {
    for (let dx = -SMEAR; dx <= SMEAR; dx += 1) {
      const [px, py] = [x + dx, y + dy];
      if (px < 0 || py < 0 || px >= width || py >= height) continue;
      const i = py * width + px;
      // What sharpening threw the other way goes, too.
      if (Math.abs(data[i]! / light - 1) > BELONGS * Math.abs(off)) data[i] = light;
    }
  }
}

/**
 * Takes out what is too narrow to be a shadow: pixels that tell no light or too much, alone or a few side by side, as the
 * mosaic, sharpening and a JPEG have smeared them. Left in, they look like specks at every coarser scale. In place.
 *
 * @param narrowestPx the width below which nothing is a shadow, pixels. @returns how many there were.
 */
export function healDefects(light: Light, noise: NoiseMap, narrowestPx: number): number {
  const { width, height, data, loops } = light;
  const least = new Float64Array(Math.ceil(width / TILE));
  const parts = loops.numbers(least.length);
  let [healed, looked] = [0, 0];
  for (let y = 0; y < height; y += 1) {
    if (y % TILE === 0) {
      for (let tile = 0; tile < least.length; tile += 1) {
        const off = Math.max(PART, TIMES * noise.at(tile * TILE, y));
        least[tile] = off;
        parts[tile] = Math.max(1, Math.floor(1 / off));
      }
    }
    const count = loops.edges(data, y, parts);
    for (let i = 0, last = -2; i < count; i += 1) {
      const x = loops.hits[i]!;
      // A defect has an edge on either side: the pixel between them is looked at from the first.
      if (x === last + 1) continue;
      last = x;
      looked += 1;
      if (looked > MOST_LOOKED_AT) return healed;
      const peak = peakAt(light, x, y);
      if (!peak || Math.abs(peak.off) < least[Math.floor(x / TILE)]! || peak.wide >= narrowestPx) continue;
      if (isRingOfShadow(light, peak, narrowestPx)) continue;
      heal(light, peak);
      healed += 1;
    }
  }
  return healed;
}
