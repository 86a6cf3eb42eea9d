import { FULL, type Light } from './frame.js';

/** What makes a frame unfit to look for specks in. */
export const UNFIT = ['too-wide-open', 'clipped', 'dark', 'textured', 'resized', 'cropped', 'turned'] as const;
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
/** So far apart: what repeats in step with one of them does not with the other. */
const CELLS = [24, 10] as const;
const ROWS = 24;
/** Neighbouring cells of a plain surface differ by less than this; of a tree in the way, by far more. */
const PLAIN = 0.035;
const MOST_ROUGH = 0.12;

/** The share of cells whose corner pixels, averaged, stand apart from what lies left and right of them. */
function roughness({ width, height, data }: Light, cell: number): number {
  const mean = (x: number, y: number): number => {
    let sum = 0;
    for (let i = y * width + x, end = i + 6 * width; i < end; i += width)
      sum += data[i]! + data[i + 1]! + data[i + 2]! + data[i + 3]! + data[i + 4]! + data[i + 5]!;
    return sum / 36;
  };
  let [rough, n] = [0, 0];
  for (let y = 0; y + 6 < height; y += ROWS) {
    let [left, here] = [mean(0, y), mean(cell, y)];
    for (let x = cell; x + cell + 6 < width; x += cell) {
      const right = mean(x + cell, y);
      const between = (left + right) / 2;
      if (Math.abs(here - between) > PLAIN * Math.max(between, 1)) rough += 1;
      n += 1;
      [left, here] = [here, right];
    }
  }
  return n > 0 ? rough / n : 0;
}

/** How fit a frame is. */
export function fitnessOf(light: Light, { fNumber }: { fNumber?: number }): Fitness {
  const { data, brightest } = light;
  const every = Math.max(1, Math.floor(data.length / SAMPLES));
  const sample = new Uint16Array(Math.ceil(data.length / every));
  for (let i = 0; i < sample.length; i += 1) sample[i] = data[i * every]!;
  const clipped = sample.reduce((n, light) => (light >= brightest ? n + 1 : n), 0);
  sample.sort();
  return {
    clippedShare: clipped / sample.length,
    light: sample[sample.length >> 1]! / FULL,
    textured: CELLS.some((cell) => roughness(light, cell) > MOST_ROUGH),
    tooWideOpen: fNumber !== undefined && fNumber < FIT_F_NUMBER,
  };
}

/** What a program may have done to a frame: what it has, and what the camera makes where that is known. */
export type Shape = {
  width: number;
  height: number;
  /** Pixels the camera's files have; null where nobody told. */
  cameraPixels: number | null;
  /** Width of the sensor over its height; null where nobody told. */
  cameraAspect: number | null;
};

/** Formats are nominal, and cameras leave off a few rows. */
const SAME_ASPECT = 0.04;
const SAME_SIZE = 0.1;

/**
 * What is wrong with a frame, gravest first; nothing where it is fit.
 *
 * @param shape left out where only what is in the frame is asked.
 */
export function unfitFor(fitness: Fitness, shape: Shape | null = null): Unfit[] {
  const { clippedShare, light, textured, tooWideOpen } = fitness;
  const isTurned = shape !== null && shape.height > shape.width;
  const aspect = shape && (isTurned ? shape.height / shape.width : shape.width / shape.height);
  const isCropped = aspect !== null && shape?.cameraAspect != null && Math.abs(aspect / shape.cameraAspect - 1) > SAME_ASPECT;
  const isResized = shape?.cameraPixels != null && Math.abs((shape.width * shape.height) / shape.cameraPixels - 1) > SAME_SIZE;
  const found: [Unfit, boolean][] = [
    ['clipped', clippedShare > MOST_CLIPPED],
    ['dark', light < DARKEST],
    ['textured', textured],
    ['turned', isTurned],
    ['cropped', isCropped],
    ['resized', isResized && !isCropped],
    ['too-wide-open', tooWideOpen],
  ];
  return found.filter(([, is]) => is).map(([unfit]) => unfit);
}
