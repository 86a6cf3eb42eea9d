import { candidatesIn, PROBE, type Candidate } from './candidates.js';
import { fitnessOf, type Fitness } from './fitness.js';
import { linearLight, type Frame, type Light, type Transfer } from './frame.js';
import { healBadPixels } from './badPixels.js';
import { backgroundOf, blobAt, isHair, type Background, type Blob } from './hair.js';
import { measure, type Measured } from './measure.js';
import { isFlat, noiseOf, type NoiseMap } from './noise.js';
import { pyramidOf, type Level } from './pyramid.js';
import { fillIn, takeOut } from './residual.js';
import { sizeMm } from '../visibility.js';

export const SPOT_KINDS = ['dust', 'hair'] as const;
export type SpotKind = (typeof SPOT_KINDS)[number];

/** A speck as a frame shows it. */
export type Spot = {
  /** Its middle, as fractions of width and height from the top left of the picture. */
  x: number;
  y: number;
  /** The share of light it takes at its darkest, in linear light, 0 to 1. */
  depth: number;
  /** Its width where half of that is taken; of a hair, how thick it is. */
  fwhmPx: number;
  /** Its width all told; of a hair, how long it is. */
  diameterPx: number;
  kind: SpotKind;
  /** How sure it is that something is there, 0 to 1. */
  confidence: number;
  /** About how large it is, mm; where the sensor's width was given. A hair's length. */
  sizeMm?: number;
};

export type DetectOptions = {
  /** What the values of the frame mean; sRGB where nothing is said. */
  transfer?: Transfer;
  /** The aperture it was taken at; it tells whether the frame is fit. */
  fNumber?: number;
  /** Width of the sensor, mm: with it the size of each speck is told. */
  sensorWidthMm?: number;
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

/** Of the frame's width; a shadow wider than this is no speck but the light. */
const WIDEST = 0.03;
/** A pixel and a bit: narrower than any shadow, and what is left of a broken pixel. */
const NARROWEST_PX = 2;
const LEAST_SNR = 5.5;
const RIM_SNR = 9;
/** Nearer to the rim than this part of its width most of a shadow is outside. */
const CUT_OFF = 0.3;
const CUT_OFF_SNR = 30;
/** The plainer something is, the more of it a shadow must explain. */
const leastFit = (snr: number): number => Math.min(0.8, 0.1 + 0.03 * snr);
const FAINTEST = 0.008;
/** In flat tiles of a JPEG a speck is more than one step of grey: one step is how a gradient looks. */
const STEPS_IN_FLAT = 1.3;
/** After what lay beside it was taken out, so much of a candidate must still be there. */
const STILL_THERE = 0.5;
/** What is left inside of a speck that was taken out is not another one, unless it is as deep as this. */
const REMAINDER = 0.35;
const MOST_CANDIDATES = 6000;
const MOST_SPOTS = 3000;
/** Hairs are plain, and thin: at coarser levels what is long is the unevenness of the surface. */
const HAIR = { snr: 7, depth: 0.02, coarsest: 2 } as const;

/** How much darker a square is than its surroundings, now. */
function stillDark({ data, width, height }: Level, { x, y }: Pick<Candidate, 'x' | 'y'>): number {
  const { gap, outer } = PROBE;
  let [inside, n, around, m] = [0, 0, 0, 0];
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
/** A hair is so much darker than what lies close beside it, against how much darker it is than the light all around. */
const STANDS_OUT = 0.3;

/** How much darker a blob is than what lies close beside it: unevenness of the light is long too, but does not stand out. */
function standsOut({ level, cells }: Blob): number {
  const every = Math.max(1, Math.floor(cells.length / CELLS_ASKED));
  let [sum, n] = [0, 0];
  for (let i = 0; i < cells.length; i += every) {
    sum += stillDark(level, { x: cells[i]! % level.width, y: Math.floor(cells[i]! / level.width) });
    n += 1;
  }
  return sum / n;
}

/** The darkest place of a level within a candidate, averaged over nine pixels, and how much darker it is than it should be. */
function darkestNear(
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

const scaleOf = ({ level }: { level: Level }): number => 2 ** level.level;
const confidenceOf = (snr: number, fit: number): number =>
  Math.min(1, Math.max(0, (1 - Math.exp(-(snr - 3) / 5)) * Math.min(1, 0.5 + fit)));

/** Looks at candidates one by one, the plainest first, and takes each speck out of the frame once it is measured. */
class Search {
  readonly spots: Spot[] = [];
  private readonly background: Background;

  constructor(
    private readonly light: Light,
    private readonly levels: readonly Level[],
    private readonly noise: NoiseMap,
  ) {
    this.background = backgroundOf(levels[Math.min(HAIR.coarsest, levels.length - 1)]!);
  }

  look(candidate: Candidate): void {
    const level = this.levels[candidate.level]!;
    if (stillDark(level, candidate) < STILL_THERE * candidate.depth) return;
    if (candidate.snr >= HAIR.snr && this.isHairAt(candidate)) return;
    const measured = measure(this.levels, candidate);
    if (measured && this.isSpeck(measured)) this.keep(measured);
  }

  /** Is what was found a part of a hair? Then the whole of it is kept and taken out. */
  private isHairAt(candidate: Candidate): boolean {
    const level = this.levels[Math.min(candidate.level, HAIR.coarsest)]!;
    const { background } = this;
    const { x, y, depth } = darkestNear(level, background, candidate);
    if (depth < HAIR.depth) return false;
    const px = scaleOf({ level });
    const sigma = this.noise.at(x * px, y * px) / px / 3;
    const blob = blobAt(level, background, x, y, Math.max(0.45 * depth, 3 * sigma));
    if (!blob || !isHair(blob) || standsOut(blob) < Math.max(STANDS_OUT * blob.depth, sigma)) return false;
    this.spots.push(this.hair(blob, px));
    fillIn(this.levels, blob, background);
    return true;
  }

  private hair({ x, y, depth, lengthPx, widthPx }: Blob, px: number): Spot {
    return {
      x: ((x + 0.5) * px) / this.light.width,
      y: ((y + 0.5) * px) / this.light.height,
      depth: Math.min(1, depth),
      fwhmPx: widthPx * px,
      diameterPx: lengthPx * px,
      kind: 'hair',
      confidence: 0.95,
    };
  }

  private isSpeck(m: Measured): boolean {
    const px = scaleOf(m);
    const fwhm = m.template.fwhm * px;
    if (fwhm < NARROWEST_PX || fwhm > WIDEST * 1.15 * this.light.width) return false;
    if (m.depth < FAINTEST || m.snr < LEAST_SNR || m.fit < leastFit(m.snr)) return false;
    if (m.x < -0.5 || m.y < -0.5 || m.x > m.level.width - 0.5 || m.y > m.level.height - 0.5) return false;
    // At the rim half of its surroundings is missing, and with it half of what it is held against.
    const rim = Math.min(m.x, m.y, m.level.width - 1 - m.x, m.level.height - 1 - m.y);
    if (rim < m.template.wide && m.snr < RIM_SNR) return false;
    if (rim < CUT_OFF * m.template.wide && m.snr < CUT_OFF_SNR) return false;
    const step = this.light.step(m.plane.a);
    if (isFlat(this.noise, (m.x + 0.5) * px, (m.y + 0.5) * px, step) && m.depth < STEPS_IN_FLAT * step) return false;
    return !this.spots.some((s) => {
      const far = Math.hypot(s.x * this.light.width - (m.x + 0.5) * px, s.y * this.light.height - (m.y + 0.5) * px);
      return s.kind === 'dust' && far < s.diameterPx * 0.55 && m.depth < REMAINDER * s.depth;
    });
  }

  private keep(m: Measured): void {
    const px = scaleOf(m);
    this.spots.push({
      x: ((m.x + 0.5) * px) / this.light.width,
      y: ((m.y + 0.5) * px) / this.light.height,
      depth: m.depth,
      fwhmPx: m.template.fwhm * px,
      diameterPx: (m.template.wide + m.template.narrow) * px,
      kind: 'dust',
      confidence: confidenceOf(m.snr, m.fit),
    });
    takeOut(this.levels, m);
  }
}

/** The most visible first. */
export const plainestFirst = (a: Spot, b: Spot): number => visible(b) - visible(a);
const visible = (s: Spot): number => s.depth * Math.sqrt(s.fwhmPx);

/**
 * Finds the specks in a frame of a plain bright surface: round shadows and hairs, each with where it is, how deep, how
 * wide and how sure. In time in proportion to the number of pixels, in less than six bytes a pixel beside the frame.
 *
 * Held against squares at two scales an octave over a pyramid of halved frames; the noise is what the very tile shows, by
 * medians. A speck is measured by the overlap of two discs that fits it, and taken out of the frame before the next.
 *
 * @throws RangeError when the frame is smaller than 64 × 64, or holds less than it says.
 */
export function detectDust(frame: Frame, options: DetectOptions = {}): Detection {
  const { transfer = 'srgb', sensorWidthMm, onProgress = () => {} } = options;
  const light = linearLight(frame, transfer);
  onProgress(0.1);
  const fitness = fitnessOf(light, options);
  const noise = noiseOf(light);
  healBadPixels(light);
  onProgress(0.2);
  const levels = pyramidOf(light, WIDEST * light.width);
  onProgress(0.3);
  const found = candidatesIn(levels, light, noise, (done) => onProgress(0.3 + 0.4 * done));
  found.sort((a, b) => b.snr - a.snr);
  const search = new Search(light, levels, noise);
  const candidates = found.slice(0, MOST_CANDIDATES);
  for (const [i, candidate] of candidates.entries()) {
    if (search.spots.length >= MOST_SPOTS) break;
    search.look(candidate);
    if (i % 50 === 0) onProgress(0.7 + (0.3 * i) / candidates.length);
  }
  const spots = search.spots.sort(plainestFirst);
  if (sensorWidthMm) for (const spot of spots) spot.sizeMm = sizeMm(spot, sensorWidthMm / light.width);
  const sigmas = Float32Array.from(noise.sigma).sort();
  return { spots, noise: sigmas[sigmas.length >> 1]!, fitness: { ...fitness, ...(found.length > MOST_CANDIDATES && { textured: true }) } };
}
