import { FULL, type Light } from './frame.js';

/** What makes a frame unfit to look for specks in. */
export const UNFIT = ['too-wide-open', 'clipped', 'dark', 'textured', 'resized'] as const;
export type Unfit = (typeof UNFIT)[number];

/** How fit a frame is: the figures, and whether it is textured. */
export type Fitness = {
  /** The share of pixels at the brightest value: behind them no speck is seen. */
  clippedShare: number;
  /** The middle light of the frame, 0 to 1, linear. */
  light: number;
  /** Finer than a defocused plain surface: edges, grain of a wall, clouds. */
  textured: boolean;
  /** Too wide an aperture washes shadows out. */
  tooWideOpen: boolean;
};

/** The smallest aperture most lenses have that shows dust well; wider than this shadows wash out (common practice). */
export const FIT_F_NUMBER = 11;
const MOST_CLIPPED = 0.02;
const DARKEST = 0.08;
const SAMPLES = 40_000;
const CELL = 24;
/** Neighbouring cells of a plain surface differ by less than this; of a tree in the way, by far more. */
const PLAIN = 0.035;
const MOST_ROUGH = 0.12;

/** The share of cells whose corner pixels, averaged, stand apart from what lies left and right of them. */
function roughness({ width, height, data }: Light): number {
  const mean = (x: number, y: number): number => {
    let sum = 0;
    for (let dy = 0; dy < 6; dy += 1) for (let dx = 0; dx < 6; dx += 1) sum += data[(y + dy) * width + x + dx]!;
    return sum / 36;
  };
  let [rough, n] = [0, 0];
  for (let y = 0; y + 6 < height; y += CELL) {
    for (let x = CELL; x + CELL + 6 < width; x += CELL) {
      const here = mean(x, y);
      const between = (mean(x - CELL, y) + mean(x + CELL, y)) / 2;
      if (Math.abs(here - between) > PLAIN * Math.max(between, 1)) rough += 1;
      n += 1;
    }
  }
  return n > 0 ? rough / n : 0;
}

/** How fit a frame is. */
export function fitnessOf(light: Light, { fNumber }: { fNumber?: number }): Fitness {
  const { data, brightest } = light;
  const every = Math.max(1, Math.floor(data.length / SAMPLES));
  const sample: number[] = [];
  let clipped = 0;
  for (let i = 0; i < data.length; i += every) {
    sample.push(data[i]!);
    if (data[i]! >= brightest) clipped += 1;
  }
  sample.sort((a, b) => a - b);
  return {
    clippedShare: clipped / sample.length,
    light: sample[sample.length >> 1]! / FULL,
    textured: roughness(light) > MOST_ROUGH,
    tooWideOpen: fNumber !== undefined && fNumber < FIT_F_NUMBER,
  };
}

/**
 * What is wrong with a frame, gravest first; nothing where it is fit.
 *
 * @param pixels what the frame has, and what the camera makes, where that is known: a program may have made it smaller.
 */
export function unfitFor(fitness: Fitness, pixels: { frame: number; camera: number | null } | null = null): Unfit[] {
  const { clippedShare, light, textured, tooWideOpen } = fitness;
  const resized = pixels?.camera != null && Math.abs(pixels.frame / pixels.camera - 1) > 0.1;
  const found: [Unfit, boolean][] = [
    ['clipped', clippedShare > MOST_CLIPPED],
    ['dark', light < DARKEST],
    ['textured', textured],
    ['resized', resized],
    ['too-wide-open', tooWideOpen],
  ];
  return found.filter(([, is]) => is).map(([unfit]) => unfit);
}
