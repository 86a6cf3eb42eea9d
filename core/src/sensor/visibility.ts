import type { Spot } from './dust/spot.js';
import { shadowOf } from './shadow.js';

/** A shadow that takes less light than this is not seen in a picture (our choice; one can be more particular). */
export const SEEN_FROM = 0.02;
/** A shadow this deep is as good as opaque: then its width, and not its depth, tells how large the speck is. */
const OPAQUE = 0.95;

type Apertures = {
  /** The f-number the spot was measured at. */
  measuredAt: number;
  /** The one that is asked about. */
  workingAt: number;
  /** The share of light from which on a shadow counts as seen. */
  seenFrom?: number;
};

export type Visibility = { depth: number; visible: boolean; fwhmPx: number; diameterPx: number };

type Size = Pick<Spot, 'depth' | 'fwhmPx' | 'diameterPx'> & Partial<Pick<Spot, 'kind'>>;

/** The cone and the speck behind a round shadow, both in pixels of the frame. */
export function coneAndSpeck({ depth, fwhmPx, diameterPx }: Size): { cone: number; speck: number } {
  // Where the speck is the wider one, the two widths tell them apart; else the depth does, as (speck / cone)².
  if (depth >= OPAQUE) return { cone: Math.max(1e-3, diameterPx - fwhmPx), speck: fwhmPx };
  const cone = diameterPx / (1 + Math.sqrt(depth));
  return { cone, speck: cone * Math.sqrt(depth) };
}

/**
 * How a speck shows at another aperture than the one it was measured at. The cone of light at the cover glass is as wide
 * as one over the f-number, so a round shadow deepens with its square, and a hair's with the f-number itself, until all
 * light is taken.
 *
 * @throws RangeError when an f-number is not above 0.
 */
export function visibilityAt(spot: Size, { measuredAt, workingAt, seenFrom = SEEN_FROM }: Apertures): Visibility {
  if (!(measuredAt > 0 && workingAt > 0)) throw new RangeError(`f/${measuredAt} and f/${workingAt}: an f-number is above 0`);
  if (spot.kind === 'hair') {
    const depth = Math.min(1, (spot.depth * workingAt) / measuredAt);
    return { depth, visible: depth >= seenFrom, fwhmPx: (spot.fwhmPx * measuredAt) / workingAt, diameterPx: spot.diameterPx };
  }
  const { cone, speck } = coneAndSpeck(spot);
  const { depth, fwhm, diameter } = shadowOf((cone * measuredAt) / workingAt, speck);
  return { depth, visible: depth >= seenFrom, fwhmPx: fwhm, diameterPx: diameter };
}

const SMALLEST_STOP = 64;
/** The f-number from which on a spot shows; null where it would not at any a lens has. */
export function showsFrom(spot: Size, measuredAt: number, seenFrom = SEEN_FROM): number | null {
  if (spot.depth <= 0) return null;
  const power = spot.kind === 'hair' ? 1 : 1 / 2;
  const { cone, speck } = coneAndSpeck(spot);
  const depth = spot.kind === 'hair' ? spot.depth : (speck / cone) ** 2;
  const f = measuredAt * (seenFrom / depth) ** power;
  return f > SMALLEST_STOP ? null : f;
}

/**
 * About how large a speck is, mm; of a hair, how long. Diffraction softens the shadows of what is smaller than about
 * 0.03 mm, so of faint ones this is rough.
 *
 * @param pixelMm width of a pixel of the frame on the sensor.
 */
export const sizeMm = (spot: Size, pixelMm: number): number =>
  pixelMm * (spot.kind === 'hair' ? spot.diameterPx : coneAndSpeck(spot).speck);
