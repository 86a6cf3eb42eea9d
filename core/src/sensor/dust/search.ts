import type { Candidate } from './candidates.js';
import { brightestBeside, darkestNear, standsOut, stillDark } from './darker.js';
import type { Light } from './frame.js';
import { backgroundOf, blobAt, isHair, type Background, type Blob } from './hair.js';
import { lobeBeside } from './lobe.js';
import { measure, type Measured, type Sign } from './measure.js';
import { canBeShadow, type Optics } from './narrowest.js';
import { isFlat, type NoiseMap } from './noise.js';
import type { Level } from './pyramid.js';
import { fillIn, takeOut } from './residual.js';
import { isRinging } from './ringing.js';
import type { Spot } from './spot.js';
import { followsSquares, isSquare } from './squares.js';
import { hairSureness, logOdds, sureness, type Weighed } from './sureness.js';
import { isUneven } from './uneven.js';

/** Of the frame's width; a shadow wider than this is no speck but the light. */
export const WIDEST = 0.03;
/** Widths are measured so exactly. */
const WIDER = 1.05;
/** Fainter than this, or explained by less, nothing is kept to be weighed. */
const LEAST = { depth: 0.008, snr: 4, fit: 0.1, explained: 0.05 } as const;
/** Nearer to the rim than this part of its width most of a shadow is outside. */
const CUT_OFF = { part: 0.3, snr: 30 } as const;
/** After what lay beside it was taken out, so much of a candidate must still be there. */
const STILL_THERE = 0.5;
/** What is left inside of a speck that was taken out is not another one, unless it is as deep as this. */
const REMAINDER = 0.35;
const MOST_SPOTS = 3000;
/** Sharpening throws light around what is dark, at most so much of what is taken there, and so near, pixels. */
const HALO = { share: 0.4, px: 6 } as const;
/** Two that lie nearer than this part of their width are one. */
const SAME = 0.6;
/** Hairs are plain, and thin: at coarser levels what is long is the unevenness of the surface. */
const HAIR = { snr: 7, depth: 0.02, coarsest: 2 } as const;
/** A fibre on a sensor is at least so long, in widths of the frame: a quarter of a millimetre of 36. Shorter, it is a row of chance. */
const LEAST_LENGTH = 0.007;
/** What has something beside it that is so much brighter, against its depth, is the halo of a hot pixel. */
const BRIGHT_BESIDE = 1;
/** Where a JPEG has left no noise, what is not deeper than so many steps of grey may be of its making. */
const SURE_STEPS_IN_FLAT = 2.5;
/** At so many places of a hair. */
const ASKED = 9;
/** A bright place that no plain surface has. */
const LUMP = { px: 10, depth: 0.03, logOdds: 2, several: 3 } as const;
/** What is more likely the light, or the file, is never surer than this. */
const AT_MOST = 0.85;
/** What is no more likely a speck than this is not told. */
const LEAST_SURE = 0.55;
/** A hair is so much darker than what lies close beside it, against how much darker it is than the light all around. */
const STANDS_OUT = 0.3;

const scaleOf = ({ level }: { level: Level }): number => 2 ** level.level;

/** How far its middle lies from the rim of the frame, pixels of its level. */
const rimOf = ({ x, y, level }: Measured): number => Math.min(x, y, level.width - 1 - x, level.height - 1 - y);

type Found = { spot: Spot; weighed: Weighed | null; isDoubtful?: boolean };
type Bright = Weighed & { x: number; y: number; depth: number };

/** Looks at candidates one by one, the plainest first, and takes each speck out of the frame once it is measured. */
export class Search {
  private readonly found: Found[] = [];
  private readonly bright: Bright[] = [];
  private readonly background: Background;

  /** @param defects how many were taken out before. */
  constructor(
    private readonly light: Light,
    private readonly levels: readonly Level[],
    private readonly noise: NoiseMap,
    private readonly optics: Optics | null,
    private readonly defects: number,
  ) {
    this.background = backgroundOf(levels[Math.min(HAIR.coarsest, levels.length - 1)]!);
  }

  lookForDark(candidate: Candidate): void {
    if (this.found.length >= MOST_SPOTS || stillDark(this.levels[candidate.level]!, candidate) < STILL_THERE * candidate.depth) return;
    if (candidate.snr >= HAIR.snr && this.isHairAt(candidate)) return;
    const measured = measure(this.levels, candidate);
    if (measured && this.isLikeSpeck(measured)) this.keep(measured, candidate);
  }

  /** What is bright and not thrown by something dark beside it, weighed as if it were dark. */
  lookForBright(candidate: Candidate): void {
    const m = measure(this.levels, candidate, -1);
    if (!m || !this.isLikeSpeck(m)) return;
    const px = scaleOf(m);
    const [x, y, fwhmPx] = [(m.x + 0.5) * px, (m.y + 0.5) * px, m.template.fwhm * px];
    if (this.bright.some((b) => Math.hypot(b.x - x, b.y - y) < SAME * Math.max(b.fwhmPx, fwhmPx))) return;
    const isHalo = this.found.some(({ spot }) => m.depth < HALO.share * spot.depth && this.far(spot, x, y) < spot.diameterPx + HALO.px);
    if (!isHalo) this.bright.push({ x, y, fwhmPx, depth: m.depth, logOdds: this.weigh(m, candidate, -1) });
  }

  /** What is likely enough, each with how sure it is. */
  spots(): Spot[] {
    const weighed = this.found.flatMap((f) => f.weighed ?? []);
    const sure = sureness(weighed, this.bright, this.optics !== null);
    let at = 0;
    return this.found
      .map(({ spot, weighed: w, isDoubtful }) => (w ? { ...spot, confidence: Math.min(sure[at++]!, isDoubtful ? AT_MOST : 1) } : spot))
      .filter(({ confidence }) => confidence >= LEAST_SURE);
  }

  /** Is it no plain surface? Then several places are plainly brighter, and wider than a defect or the waves of a JPEG make them. */
  isTextured(): boolean {
    return this.bright.filter((b) => b.fwhmPx >= LUMP.px && b.depth >= LUMP.depth && b.logOdds > LUMP.logOdds).length >= LUMP.several;
  }

  private far(spot: Spot, x: number, y: number): number {
    return Math.hypot(spot.x * this.light.width - x, spot.y * this.light.height - y);
  }

  private weigh(m: Measured, { snr: standsOut }: Candidate, sign: Sign): number {
    const { template, snr, explained, fit, depth, plane } = m;
    return logOdds({
      snr,
      standsOut,
      explained,
      fit,
      steps: depth / this.light.step(plane.a),
      fwhmPx: template.fwhm * scaleOf(m),
      rim: rimOf(m) / template.wide,
      lobe: lobeBeside(m, sign),
      defects: this.defects,
    });
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
    if (blob.depth < HAIR.depth || blob.lengthPx * px < LEAST_LENGTH * this.light.width || !canBeShadow(blob.widthPx * px, this.optics))
      return false;
    const length = (blob.lengthPx * px) / this.light.width;
    const sure = hairSureness({ snr: candidate.snr, steps: blob.depth / this.light.step(background(level.level, x, y)), length });
    const isDoubtful = brightestBeside(blob, background) > BRIGHT_BESIDE * blob.depth || this.isHairOfTheFile(blob, px);
    this.found.push({ spot: this.hair(blob, px, Math.min(sure, isDoubtful ? AT_MOST : 1)), weighed: null });
    fillIn(this.levels, blob, background);
    return true;
  }

  /** Is something more likely what a JPEG made than what the light did? */
  private isOfTheFile(x: number, y: number, widePx: number, depth: number): boolean {
    const { light, noise } = this;
    const at = Math.min(light.height - 1, Math.floor(y)) * light.width + Math.min(light.width - 1, Math.floor(x));
    const step = light.step(light.data[at]!);
    const isFaint = isFlat(noise, x, y, step) && depth < SURE_STEPS_IN_FLAT * step;
    return isFaint || followsSquares(light, x, y, widePx) || isRinging(light, noise, x, y, widePx, depth);
  }

  /** Is half of a hair, and more, what a JPEG made? */
  private isHairOfTheFile({ cells, widthPx, depth, level }: Blob, px: number): boolean {
    const asked = Array.from({ length: ASKED }, (_, i) => cells[Math.floor(((i + 0.5) * cells.length) / ASKED)]!);
    const isOfIt = (cell: number): boolean =>
      this.isOfTheFile(((cell % level.width) + 0.5) * px, (Math.floor(cell / level.width) + 0.5) * px, widthPx * px, depth);
    return asked.filter(isOfIt).length > ASKED / 2;
  }

  private hair({ x, y, depth, lengthPx, widthPx }: Blob, px: number, confidence: number): Spot {
    return {
      x: ((x + 0.5) * px) / this.light.width,
      y: ((y + 0.5) * px) / this.light.height,
      depth: Math.min(1, depth),
      fwhmPx: widthPx * px,
      diameterPx: lengthPx * px,
      kind: 'hair',
      confidence,
    };
  }

  private isLikeSpeck(m: Measured): boolean {
    const px = scaleOf(m);
    const fwhm = m.template.fwhm * px;
    if (!canBeShadow(fwhm, this.optics) || fwhm > WIDEST * WIDER * this.light.width) return false;
    if (m.depth < LEAST.depth || m.snr < LEAST.snr || m.fit < LEAST.fit || m.explained < LEAST.explained) return false;
    const rim = rimOf(m);
    if (rim < CUT_OFF.part * m.template.wide && m.snr < CUT_OFF.snr) return false;
    if (rim < -0.5) return false;
    return !this.found.some(
      ({ spot }) =>
        spot.kind === 'dust' &&
        m.depth < REMAINDER * spot.depth &&
        this.far(spot, (m.x + 0.5) * px, (m.y + 0.5) * px) < spot.diameterPx * 0.55,
    );
  }

  private keep(m: Measured, candidate: Candidate): void {
    const px = scaleOf(m);
    const fwhmPx = m.template.fwhm * px;
    const spot: Spot = {
      x: ((m.x + 0.5) * px) / this.light.width,
      y: ((m.y + 0.5) * px) / this.light.height,
      depth: m.depth,
      fwhmPx,
      diameterPx: (m.template.wide + m.template.narrow) * px,
      kind: 'dust',
      confidence: 0,
    };
    const steps = m.depth / this.light.step(m.plane.a);
    const [x, y] = [spot.x * this.light.width, spot.y * this.light.height];
    const isDoubtful = isUneven(spot, this.light.width) || isSquare({ x, y, fwhmPx, steps }) || this.isOfTheFile(x, y, fwhmPx, m.depth);
    this.found.push({ spot, weighed: { fwhmPx, logOdds: this.weigh(m, candidate, 1) }, isDoubtful });
    takeOut(this.levels, m);
  }
}
