import { sequence } from './render.js';

/**
 * A second way to frames whose truth is known, that shares nothing with the detector and hardly anything with `render.ts`:
 * specks are outlines of splines, the pupil an ellipse, a shadow the share of rays that meet the speck, counted; light falls
 * as electrons, through a mosaic of colours that is filled in, smoothed, sharpened and encoded, as a camera does it.
 */
export type Grain = {
  /** Its middle, pixels. */
  x: number;
  y: number;
  /** Its mean width and that of the cone of light at it, pixels. */
  d: number;
  c: number;
};

/** A fibre: the line it lies along, pixels, its width and that of the cone of light at it. */
export type Fibre = { points: readonly (readonly [number, number])[]; d: number; c: number };

/** A pixel that tells the wrong amount of light: none, or all it can; with neighbours where it is more than one. */
export type Defects = { count: number; /** Of 100 so many are two or three side by side. */ groupedPct?: number; hot?: boolean };

export type Shot = {
  width: number;
  height: number;
  seed: number;
  grains?: readonly Grain[];
  fibres?: readonly Fibre[];
  /** Linear light of white, 0 to 1. */
  light?: number;
  vignetting?: number;
  /** From one side of the sky to the other, and at which angle. */
  gradient?: number;
  /** What is in front of the lens: light around 1, by place in widths of the frame. */
  scene?: (x: number, y: number) => number;
  /** Electrons a green pixel holds: the fewer the noisier. */
  fullWell?: number;
  /** Electrons that rows and columns differ by. */
  banding?: number;
  defects?: Defects;
  /** How strongly noise is smoothed, 0 to 1: what is left of it is blotches. */
  smoothing?: number;
  /** How much is added of what differs from the neighbours. */
  sharpening?: number;
};

export type Rgb = { width: number; height: number; data: Uint8Array };

/** Of white, how much each colour's filter lets through. */
const RED = 0.52;
const BLUE = 0.6;
const RAYS = 260;
const READ_NOISE = 4;
const FULL_WELL = 30_000;
const LIGHT = 0.55;
const GOLDEN_ANGLE = 2.399_963;

/** Normal numbers, two at a time, by the polar method. */
function normals(random: () => number): () => number {
  let spare: number | null = null;
  return () => {
    if (spare !== null) {
      const kept = spare;
      spare = null;
      return kept;
    }
    for (;;) {
      const [u, v] = [2 * random() - 1, 2 * random() - 1];
      const s = u * u + v * v;
      if (s >= 1 || s === 0) continue;
      const by = Math.sqrt((-2 * Math.log(s)) / s);
      spare = v * by;
      return u * by;
    }
  };
}

/** Below so many electrons their number is drawn as it falls, above as a normal one. */
const FEW = 40;
function electrons(mean: number, random: () => number, normal: () => number): number {
  if (mean <= 0) return 0;
  if (mean >= FEW) return Math.max(0, Math.round(mean + Math.sqrt(mean) * normal()));
  const limit = Math.exp(-mean);
  let [k, p] = [0, random()];
  while (p > limit) {
    k += 1;
    p *= random();
  }
  return k;
}

/** An outline that bulges: a closed spline through knots around the middle. @returns how far it reaches at an angle. */
function outline(d: number, random: () => number): (angle: number) => number {
  const knots = Array.from({ length: 7 }, () => 0.82 + 0.36 * random());
  // So that its area is that of a disc d wide.
  const mean = Math.sqrt(knots.reduce((sum, k) => sum + k * k, 0) / knots.length);
  return (angle) => {
    const at = ((((angle / (2 * Math.PI)) % 1) + 1) % 1) * knots.length;
    const i = Math.floor(at);
    const t = at - i;
    const [a, b, e, f] = [-1, 0, 1, 2].map((o) => knots[(i + o + knots.length) % knots.length]!) as [number, number, number, number];
    const r = 0.5 * (2 * b + (e - a) * t + (2 * a - 5 * b + 4 * e - f) * t * t + (3 * b - a - 3 * e + f) * t * t * t);
    return (d / 2) * (r / mean);
  };
}

/** Takes from the light what a grain takes: of the rays of each pixel so many meet it. */
function shade(field: Float32Array, width: number, height: number, { x, y, c, d }: Grain, random: () => number): void {
  const reach = outline(d, random);
  const turn = random() * Math.PI;
  // Off the middle the pupil is seen from the side.
  const off = Math.hypot(x / width - 0.5, (y / height - 0.5) * (height / width));
  const flat = 1 - 0.35 * off;
  const towards = Math.atan2(y - height / 2, x - width / 2);
  const rays = Array.from({ length: RAYS }, (_, i) => {
    const [r, angle] = [(c / 2) * Math.sqrt((i + 0.5) / RAYS), i * GOLDEN_ANGLE];
    const [u, v] = [r * Math.cos(angle) * flat, (r * Math.sin(angle)) / flat];
    return [u * Math.cos(towards) - v * Math.sin(towards), u * Math.sin(towards) + v * Math.cos(towards)] as const;
  });
  const far = (c + 1.3 * d) / 2 + 2;
  for (let py = Math.max(0, Math.floor(y - far)); py <= Math.min(height - 1, y + far); py += 1) {
    for (let px = Math.max(0, Math.floor(x - far)); px <= Math.min(width - 1, x + far); px += 1) {
      if (Math.hypot(px + 0.5 - x, py + 0.5 - y) > far) continue;
      let met = 0;
      for (let i = 0; i < RAYS; i += 1) {
        const [u, v] = rays[i]!;
        // Each ray falls somewhere else within the pixel.
        const [dx, dy] = [px + ((i * 0.618_034) % 1) + u - x, py + ((i * 0.754_878) % 1) + v - y];
        const r2 = dx * dx + dy * dy;
        if (r2 > d * d) continue;
        if (r2 < reach(Math.atan2(dy, dx) + turn) ** 2) met += 1;
      }
      field[py * width + px]! *= 1 - met / RAYS;
    }
  }
}

/** Of a disc around 0, 1 wide either way, the part to the left of a line. */
function partLeftOf(t: number): number {
  const at = Math.min(1, Math.max(-1, t));
  return (Math.asin(at) + at * Math.sqrt(1 - at * at)) / Math.PI + 0.5;
}

/** How deep the shadow of a fibre is along its middle. */
export const fibreDepth = ({ d, c }: Pick<Fibre, 'd' | 'c'>): number => partLeftOf(d / c) - partLeftOf(-d / c);

/** Takes from the light what a fibre takes: of the cone at each pixel the part that falls between its two sides. */
function shadeAlong(field: Float32Array, width: number, height: number, { points, d, c }: Fibre): void {
  const reach = (c + d) / 2 + 1;
  const away = new Map<number, number>();
  for (let i = 1; i < points.length; i += 1) {
    const [[ax, ay], [bx, by]] = [points[i - 1]!, points[i]!];
    const length2 = (bx - ax) ** 2 + (by - ay) ** 2;
    for (let y = Math.max(0, Math.floor(Math.min(ay, by) - reach)); y <= Math.min(height - 1, Math.max(ay, by) + reach); y += 1) {
      for (let x = Math.max(0, Math.floor(Math.min(ax, bx) - reach)); x <= Math.min(width - 1, Math.max(ax, bx) + reach); x += 1) {
        const along = Math.min(1, Math.max(0, ((x + 0.5 - ax) * (bx - ax) + (y + 0.5 - ay) * (by - ay)) / length2));
        const far = Math.hypot(x + 0.5 - ax - along * (bx - ax), y + 0.5 - ay - along * (by - ay));
        if (far < reach) away.set(y * width + x, Math.min(far, away.get(y * width + x) ?? reach));
      }
    }
  }
  for (const [i, far] of away) field[i]! *= 1 - (partLeftOf((2 * far + d) / c) - partLeftOf((2 * far - d) / c));
}

/** Smooth chance that repeats nowhere near: numbers on a grid, evenly between them. Around 0, at most 1 either way. */
export function unevenness(seed: number): (x: number, y: number) => number {
  const at = (i: number, j: number): number => {
    let h = Math.imul(i ^ Math.imul(j, 0x27_d4_eb_2d), 0x85_eb_ca_6b) ^ Math.imul(seed, 0xc2_b2_ae_35);
    h = Math.imul(h ^ (h >>> 15), 0x2c_1b_3c_6d);
    h = Math.imul(h ^ (h >>> 12), 0x29_7a_2d_39);
    return ((h ^ (h >>> 15)) >>> 0) / 2_147_483_648 - 1;
  };
  const ease = (t: number): number => t * t * (3 - 2 * t);
  return (x, y) => {
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [ease(x - i), ease(y - j)];
    return (at(i, j) * (1 - u) + at(i + 1, j) * u) * (1 - v) + (at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u) * v;
  };
}

/** The mean of three by three, mirrored at the rim. */
function smoothed(field: Float32Array, width: number, height: number): Float32Array {
  const rows = new Float32Array(field.length);
  for (let y = 0; y < height; y += 1) {
    const at = y * width;
    for (let x = 1; x < width - 1; x += 1) rows[at + x] = (field[at + x - 1]! + field[at + x]! + field[at + x + 1]!) / 3;
    rows[at] = (2 * field[at]! + field[at + 1]!) / 3;
    rows[at + width - 1] = (2 * field[at + width - 1]! + field[at + width - 2]!) / 3;
  }
  const out = new Float32Array(field.length);
  for (let y = 0; y < height; y += 1) {
    const [a, b, c] = [Math.max(0, y - 1) * width, y * width, Math.min(height - 1, y + 1) * width];
    for (let x = 0; x < width; x += 1) out[b + x] = (rows[a + x]! + rows[b + x]! + rows[c + x]!) / 3;
  }
  return out;
}

/** What a mosaic of red, green and blue becomes in one of its colours: where it has none, the mean of those beside it. */
function filledIn(raw: Float32Array, width: number, height: number, colour: 'red' | 'green' | 'blue'): Float32Array {
  const out = new Float32Array(raw.length);
  const inside = (i: number, size: number): number => (i < 0 ? -i : i >= size ? 2 * size - 2 - i : i);
  const [row, column] = colour === 'blue' ? [1, 1] : [0, 0];
  for (let y = 0; y < height; y += 1) {
    const [up, down] = [inside(y - 1, height) * width, inside(y + 1, height) * width];
    const at = y * width;
    for (let x = 0; x < width; x += 1) {
      const [left, right] = [x > 0 ? x - 1 : 1, x < width - 1 ? x + 1 : width - 2];
      if (colour === 'green') {
        out[at + x] = ((x + y) & 1) === 1 ? raw[at + x]! : (raw[up + x]! + raw[down + x]! + raw[at + left]! + raw[at + right]!) / 4;
        continue;
      }
      const [isRow, isColumn] = [(y & 1) === row, (x & 1) === column];
      if (isRow && isColumn) out[at + x] = raw[at + x]!;
      else if (isRow) out[at + x] = (raw[at + left]! + raw[at + right]!) / 2;
      else if (isColumn) out[at + x] = (raw[up + x]! + raw[down + x]!) / 2;
      else out[at + x] = (raw[up + left]! + raw[up + right]! + raw[down + left]! + raw[down + right]!) / 4;
    }
  }
  return out;
}

const STEPS = 4096;
const ENCODED = Uint8Array.from({ length: STEPS + 1 }, (_, i) => {
  const v = i / STEPS;
  return Math.round(255 * (v <= 0.003_130_8 ? 12.92 * v : 1.055 * v ** (1 / 2.4) - 0.055));
});

/** The light that falls on the sensor, 0 to 1. */
function lightOn(shot: Shot, random: () => number): Float32Array {
  const { width, height, light = LIGHT, vignetting = 0, gradient = 0, scene, grains = [], fibres = [] } = shot;
  const field = new Float32Array(width * height);
  const angle = random() * 2 * Math.PI;
  const [gx, gy] = [(gradient * Math.cos(angle)) / width, (gradient * Math.sin(angle)) / width];
  const corner2 = (width * width + height * height) / 4;
  for (let y = 0; y < height; y += 1) {
    const dy = y - height / 2;
    for (let x = 0; x < width; x += 1) {
      const dx = x - width / 2;
      const seen = scene ? scene(x / width, y / width) : 1;
      field[y * width + x] = light * seen * (1 - (vignetting * (dx * dx + dy * dy)) / corner2) * (1 + gx * dx + gy * dy);
    }
  }
  for (const grain of grains) shade(field, width, height, grain, random);
  for (const fibre of fibres) shadeAlong(field, width, height, fibre);
  return field;
}

/** Counts it, through the mosaic, with what is wrong with some pixels; white balanced, 0 to 1. */
function counted(field: Float32Array, shot: Shot, random: () => number): void {
  const { width, height, fullWell = FULL_WELL, banding = 0, defects } = shot;
  const normal = normals(random);
  const columns = Float32Array.from({ length: width }, () => banding * normal());
  for (let y = 0; y < height; y += 1) {
    const row = banding * normal();
    for (let x = 0; x < width; x += 1) {
      const i = y * width + x;
      const gain = ((x + y) & 1) === 1 ? 1 : (y & 1) === 0 ? RED : BLUE;
      const count = electrons(field[i]! * gain * fullWell, random, normal) + READ_NOISE * normal() + row + columns[x]!;
      field[i] = count / gain / fullWell;
    }
  }
  if (!defects) return;
  for (let n = 0; n < defects.count; n += 1) {
    const i = Math.floor(random() * field.length);
    const isHot = (defects.hot ?? true) && random() < 0.5;
    const value = isHot ? 0.9 + random() : 0.3 * random() ** 2;
    field[i] = value;
    if (random() * 100 >= (defects.groupedPct ?? 0)) continue;
    const beside = [1, width, width + 1, 2, 2 * width][Math.floor(random() * 5)]!;
    if (i + beside < field.length) field[i + beside] = value;
    if (random() < 0.3 && i + 1 < field.length) field[i + 1] = value;
  }
}

/** A frame as a camera writes it: three colours of eight bits, before it is made a JPEG. */
export function photograph(shot: Shot): Rgb {
  const { width, height, smoothing = 0, sharpening = 0, fullWell = FULL_WELL, light = LIGHT, seed } = shot;
  const random = sequence(seed * 7919 + 17);
  const raw = lightOn(shot, random);
  counted(raw, shot, random);
  const data = new Uint8Array(3 * raw.length);
  for (const [channel, colour] of (['red', 'green', 'blue'] as const).entries()) {
    let plane = filledIn(raw, width, height, colour);
    if (smoothing > 0) {
      const soft = smoothed(plane, width, height);
      const softer = smoothed(soft, width, height);
      // What stands out by more than noise does is left as it is: so detail is kept, and defects with it.
      const most = 4 / Math.sqrt(fullWell * light);
      for (let i = 0; i < plane.length; i += 1) {
        const off = softer[i]! - plane[i]!;
        if (Math.abs(off) < most) plane[i]! += smoothing * off;
      }
    }
    if (sharpening > 0) {
      const soft = smoothed(plane, width, height);
      const sharp = new Float32Array(plane.length);
      for (let i = 0; i < plane.length; i += 1) sharp[i] = plane[i]! + sharpening * (plane[i]! - soft[i]!);
      plane = sharp;
    }
    for (let i = 0; i < plane.length; i += 1) data[3 * i + channel] = ENCODED[Math.round(Math.min(1, Math.max(0, plane[i]!)) * STEPS)]!;
  }
  return { width, height, data };
}
