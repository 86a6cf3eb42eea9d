import { sizeMm } from '../visibility.js';
import { candidatesIn } from './candidates.js';
import { healDefects } from './defects.js';
import { fitnessOf, type Fitness } from './fitness.js';
import { linearLight, type Frame, type Transfer } from './frame.js';
import { defectPx } from './narrowest.js';
import { noiseOf } from './noise.js';
import { pyramidOf } from './pyramid.js';
import { Search, WIDEST } from './search.js';
import { plainestFirst, type Spot } from './spot.js';
import type { Strip } from './strips.js';

export type DetectOptions = {
  /** What the values of the frame mean; sRGB where nothing is said. */
  transfer?: Transfer;
  /** The aperture it was taken at; it tells whether the frame is fit, and with the sensor's width how narrow a shadow can be. */
  fNumber?: number;
  /** Width of the sensor, mm: with it the size of each speck is told. */
  sensorWidthMm?: number;
  /** This is a part of a whole frame, 0 to 1, and answers for these rows of it only: so fewer places are looked at. */
  strip?: Pick<Strip, 'rows' | 'part'>;
  /** Told the share of the work that is done, now and then. */
  onProgress?: (done: number) => void;
};

export type Detection = {
  /** Most visible first. */
  spots: Spot[];
  /** The noise of single pixels as a share of the light: the middle one of all tiles. */
  noise: number;
  fitness: Fitness;
};

const MOST_CANDIDATES = 6000;
const MOST_BRIGHT = 700;

/**
 * Finds the specks in a frame of a plain bright surface: round shadows and hairs, each with where it is, how deep, how
 * wide and how sure. In time in proportion to the number of pixels, in less than four bytes a pixel beside the frame.
 *
 * Pixels that tell the wrong light are taken out first. Held against squares at two scales an octave over a pyramid of
 * halved frames; the noise is what the very tile shows, by medians. A speck is measured by the overlap of two discs that
 * fits it, and taken out of the frame before the next. How sure it is is told by how many bright places look as much so.
 *
 * @throws RangeError when the frame is smaller than 64 × 64, or holds less than it says.
 */
export function detectDust(frame: Frame, options: DetectOptions = {}): Detection {
  const { transfer = 'srgb', fNumber, sensorWidthMm, onProgress = () => {} } = options;
  const { rows, part } = options.strip ?? { rows: { from: 0, to: frame.height }, part: 1 };
  const light = linearLight(frame, transfer);
  const optics = fNumber && sensorWidthMm ? { fNumber, pixelMm: sensorWidthMm / light.width } : null;
  onProgress(0.1);
  const fitness = fitnessOf(light, options);
  const noise = noiseOf(light);
  const defects = healDefects(light, noise, defectPx(optics));
  onProgress(0.2);
  const levels = pyramidOf(light, WIDEST * light.width);
  onProgress(0.3);
  const { dark, bright } = candidatesIn(levels, light, noise, rows, (done) => onProgress(0.3 + 0.4 * done));
  const search = new Search(light, levels, noise, optics, defects);
  for (const list of [dark, bright]) list.sort((a, b) => b.snr - a.snr);
  const most = Math.ceil(part * MOST_CANDIDATES);
  const looked = dark.slice(0, most);
  for (const [i, candidate] of looked.entries()) {
    search.lookForDark(candidate);
    if (i % 50 === 0) onProgress(0.7 + (0.25 * i) / looked.length);
  }
  for (const candidate of bright.slice(0, Math.ceil(part * MOST_BRIGHT))) search.lookForBright(candidate);
  const spots = search.spots().sort(plainestFirst);
  if (sensorWidthMm) for (const spot of spots) spot.sizeMm = sizeMm(spot, sensorWidthMm / light.width);
  const sigmas = Float32Array.from(noise.sigma).sort();
  const textured = fitness.textured || search.isTextured() || dark.length > most;
  return { spots, noise: sigmas[sigmas.length >> 1]!, fitness: { ...fitness, textured } };
}
