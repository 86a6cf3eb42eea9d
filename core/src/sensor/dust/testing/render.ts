/**
 * Frames with dust whose place, depth and width are known. Written apart from the detector: the shadow is the exact
 * overlap of two discs by its textbook formula, light and noise are those of a sensor.
 */
export type Speck = { x: number; y: number; c: number; d: number };
export type Thread = { points: readonly [number, number][]; widthPx: number; depth: number };
export type Scene = {
  width: number;
  height: number;
  specks?: readonly Speck[];
  hairs?: readonly Thread[];
  /** Linear light in the middle, 0 to 1. */
  light?: number;
  /** Light lost in the corners, as a share. */
  vignetting?: number;
  /** Light from left to right, as a share. */
  gradient?: number;
  /** Soft unevenness of the surface, as a share. */
  blotches?: number;
  /** Noise of a pixel at full light, as a share; it grows as light falls, as photons do. */
  noise?: number;
  /** Neighbouring pixels share their noise, as after a camera has smoothed it. */
  correlated?: boolean;
  /** Single broken pixels. */
  badPixels?: number;
  seed?: number;
};

/** Numbers that are the same each time, 0 to 1: a counter stirred by multiplications and shifts. */
export function sequence(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d_2b_79_f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), state | 1);
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

const normal = (random: () => number): number => Math.sqrt(-2 * Math.log(Math.max(random(), 1e-12))) * Math.cos(2 * Math.PI * random());

/** The lens-shaped area two circles share, by the formula of a geometry handbook. */
function lensArea(r: number, R: number, d: number): number {
  if (d >= r + R) return 0;
  if (d <= Math.abs(R - r)) return Math.PI * Math.min(r, R) ** 2;
  const one = r * r * Math.acos((d * d + r * r - R * R) / (2 * d * r));
  const two = R * R * Math.acos((d * d + R * R - r * r) / (2 * d * R));
  return one + two - Math.sqrt((-d + r + R) * (d + r - R) * (d - r + R) * (d + r + R)) / 2;
}

export const depthOf = ({ c, d }: Speck): number => Math.min(1, (d / c) ** 2);

function distanceTo([ax, ay]: readonly [number, number], [bx, by]: readonly [number, number], x: number, y: number): number {
  const [ux, uy] = [bx - ax, by - ay];
  const t = Math.min(1, Math.max(0, ((x - ax) * ux + (y - ay) * uy) / (ux * ux + uy * uy)));
  return Math.hypot(x - ax - t * ux, y - ay - t * uy);
}

const encode = (light: number): number => 255 * (light <= 0.003_130_8 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055);

/** The light of a scene, before any file is made of it; 0 to 1 and more. */
export function lightOfScene(scene: Scene): Float32Array {
  const { width, height, light = 0.55, vignetting = 0, gradient = 0, blotches = 0, specks = [], hairs = [] } = scene;
  const random = sequence(scene.seed ?? 1);
  const waves = Array.from({ length: 6 }, () => ({
    kx: ((random() - 0.5) * 16) / width,
    ky: ((random() - 0.5) * 16) / height,
    at: random() * 7,
  }));
  const corner = Math.hypot(width, height) / 2;
  const field = new Float32Array(width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const r = Math.hypot(x - width / 2, y - height / 2) / corner;
      let v = light * (1 - vignetting * r * r) * (1 + gradient * (x / width - 0.5));
      if (blotches > 0) for (const w of waves) v *= 1 + (blotches / 3) * Math.sin(2 * Math.PI * (w.kx * x + w.ky * y) + w.at);
      field[y * width + x] = v;
    }
  }
  for (const { x, y, c, d } of specks) {
    const reach = (c + d) / 2 + 1;
    for (let py = Math.max(0, Math.floor(y - reach)); py <= Math.min(height - 1, y + reach); py += 1) {
      for (let px = Math.max(0, Math.floor(x - reach)); px <= Math.min(width - 1, x + reach); px += 1) {
        let share = 0;
        for (const ox of [0.25, 0.75]) for (const oy of [0.25, 0.75]) share += lensArea(d / 2, c / 2, Math.hypot(px + ox - x, py + oy - y));
        field[py * width + px]! *= 1 - share / 4 / (Math.PI * (c / 2) ** 2);
      }
    }
  }
  for (const { points, widthPx, depth } of hairs) {
    for (let i = 1; i < points.length; i += 1) {
      const [a, b] = [points[i - 1]!, points[i]!];
      const pad = widthPx;
      for (let y = Math.max(0, Math.floor(Math.min(a[1], b[1]) - pad)); y <= Math.min(height - 1, Math.max(a[1], b[1]) + pad); y += 1) {
        for (let x = Math.max(0, Math.floor(Math.min(a[0], b[0]) - pad)); x <= Math.min(width - 1, Math.max(a[0], b[0]) + pad); x += 1) {
          const far = distanceTo(a, b, x + 0.5, y + 0.5);
          const soft = Math.min(1, Math.max(0, (widthPx * 0.75 - far) / (widthPx * 0.5)));
          // Pieces meet: where the one before has darkened a pixel this one does not darken it again.
          if (soft > 0)
            field[y * width + x] = Math.min(
              field[y * width + x]!,
              light * 1.2 * (1 - depth * soft) * (field[y * width + x]! / light / 1.2),
            );
        }
      }
    }
  }
  return field;
}

/** A file's values of a scene: noise, bad pixels, sRGB, eight bits. */
export function render(scene: Scene): { width: number; height: number; data: Uint8Array } {
  const { width, height, noise = 0, correlated = false, badPixels = 0, light = 0.55 } = scene;
  const field = lightOfScene(scene);
  const random = sequence((scene.seed ?? 1) + 1000);
  if (noise > 0) {
    const grain = Float32Array.from(field, () => normal(random));
    for (let y = 0; y < height; y += 1) {
      for (let x = 0; x < width; x += 1) {
        const i = y * width + x;
        let g = grain[i]!;
        if (correlated) {
          let sum = 0;
          for (const dy of [-1, 0, 1])
            for (const dx of [-1, 0, 1])
              sum += grain[Math.min(height - 1, Math.max(0, y + dy)) * width + Math.min(width - 1, Math.max(0, x + dx))]!;
          g = sum / 3;
        }
        // Photons scatter with the root of their number.
        field[i]! += g * noise * Math.sqrt(light * Math.max(field[i]!, 0));
      }
    }
  }
  for (let n = 0; n < badPixels; n += 1) field[Math.floor(random() * field.length)] = random() < 0.5 ? 0.02 : 1;
  const data = new Uint8Array(field.length);
  for (let i = 0; i < field.length; i += 1) data[i] = Math.round(Math.min(255, Math.max(0, encode(field[i]!))));
  return { width, height, data };
}

export type ManySpecks = { width: number; height: number; count: number; narrowest?: number; widest?: number; seed?: number };

/** Specks of every depth from 1 to 70 % and every width, apart from each other so that each can be told. */
export function manySpecks({ width, height, count, narrowest = 6, widest = 0.03 * width, seed = 1 }: ManySpecks): Speck[] {
  const random = sequence(seed);
  const specks: Speck[] = [];
  for (let tries = 0; specks.length < count && tries < count * 400; tries += 1) {
    const wide = narrowest * (widest / narrowest) ** (random() ** 2);
    const depth = 0.01 * 70 ** random();
    // The share of light taken is (d/c)²; wide is the wider of the two.
    const speck = { x: random() * width, y: random() * height, c: wide, d: wide * Math.sqrt(depth) };
    const reach = wide;
    const isApart = specks.every((s) => Math.hypot(s.x - speck.x, s.y - speck.y) > reach + s.c);
    if (isApart && speck.x > 2 && speck.y > 2 && speck.x < width - 2 && speck.y < height - 2) specks.push(speck);
  }
  return specks;
}

/** Hairs that wander over the frame. */
export function someHairs(width: number, height: number, count: number, seed = 5): Thread[] {
  const random = sequence(seed);
  return Array.from({ length: count }, () => {
    let [x, y, heading] = [width * (0.15 + 0.7 * random()), height * (0.15 + 0.7 * random()), random() * 7];
    const points: [number, number][] = [[x, y]];
    for (let i = 0; i < 12; i += 1) {
      heading += (random() - 0.5) * 0.5;
      [x, y] = [x + 14 * Math.cos(heading), y + 14 * Math.sin(heading)];
      points.push([x, y]);
    }
    return { points, widthPx: 5 + 5 * random(), depth: 0.15 + 0.3 * random() };
  });
}
