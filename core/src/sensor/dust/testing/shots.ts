import type { Fibre, Shot } from './camera.js';
import { manySpecks, sequence, type Speck } from './render.js';

/** An aperture, and a sensor as wide as makes its cone through the thinnest glass so many pixels: what a file and a keeper tell. */
export const told = (width: number, conePx: number): { fNumber: number; sensorWidthMm: number } => ({
  fNumber: 16,
  sensorWidthMm: (width * 0.3) / 16 / conePx,
});

/** A frame of a plain sky as some camera takes it at its lowest sensitivity; another one with every seed. */
export function plainShot(seed: number, width: number, height: number): Shot & { quality: number } {
  const random = sequence(seed * 31 + 5);
  const between = (low: number, high: number): number => low + (high - low) * random();
  return {
    width,
    height,
    seed,
    light: between(0.35, 0.7),
    fullWell: between(20_000, 60_000),
    smoothing: random() < 0.3 ? 0 : between(0, 0.6),
    sharpening: random() < 0.2 ? 0 : between(0, 1.2),
    vignetting: between(0, 0.6),
    gradient: between(0, 0.4),
    banding: random() < 0.6 ? 0 : between(0, 6),
    ...(random() < 0.75 && { defects: { count: Math.floor(between(0, 600)), groupedPct: between(0, 60) } }),
    quality: [80, 85, 90, 95, 98][Math.floor(random() * 5)]!,
  };
}

/** Shadows three to eight pixels wide: small particles at a small aperture. */
export const smallShadows = (seed: number, width: number, height: number, count: number): Speck[] =>
  manySpecks({ width, height, count, narrowest: 3, widest: 8, seed });

/** The same sky with such shadows in it; as cameras of few pixels render it, and with few defects. */
export function smallShadowShot(seed: number, width: number, height: number, count: number): Shot & { grains: Speck[] } {
  const random = sequence(seed * 17 + 3);
  return {
    width,
    height,
    seed,
    light: 0.45 + 0.2 * random(),
    fullWell: 30_000 + 30_000 * random(),
    smoothing: 0.3 * random(),
    sharpening: 0.3 + 0.7 * random(),
    vignetting: 0.4 * random(),
    gradient: 0.2 * random(),
    defects: { count: Math.floor(100 * random()), groupedPct: 20 },
    grains: smallShadows(seed, width, height, count),
  };
}

/** Fibres as they lie on a sensor: bent, a few tenths of a millimetre to two long, faint to deep; no two near each other. */
export function someFibres(seed: number, width: number, height: number, count: number): Fibre[] {
  const random = sequence(seed * 41 + 7);
  const fibres: Fibre[] = [];
  const far = ([x, y]: readonly [number, number]) =>
    fibres.every(({ points }) => points.every(([a, b]) => Math.hypot(a - x, b - y) > 0.04 * width));
  while (fibres.length < count) {
    const length = width * (0.008 + 0.05 * random() ** 2);
    const [bend, c] = [0.8 * random(), 2.4 + 5 * random()];
    let [x, y, heading] = [width * (0.05 + 0.9 * random()), height * (0.05 + 0.9 * random()), random() * 2 * Math.PI];
    const points: [number, number][] = [[x, y]];
    for (let step = 0; step < 12; step += 1) {
      heading += (random() - 0.5) * bend;
      [x, y] = [x + (length / 12) * Math.cos(heading), y + (length / 12) * Math.sin(heading)];
      points.push([x, y]);
    }
    if (points.every(far)) fibres.push({ points, c, d: c * (0.02 + 0.4 * random() ** 1.5) });
  }
  return fibres;
}
