import { formats } from './formats.js';
import { shadowOf } from './shadow.js';
import { SEEN_FROM } from './visibility.js';

export type FrontMarkCase = {
  /** Across, mm. */
  diameterMm: number;
  /** From the mark to the entrance pupil, mm; about half the lens's length where it is not known (our choice). */
  distanceToPupilMm: number;
  focalMm: number;
  fNumber: number;
  sensorWidthMm: number;
  sensorHeightMm: number;
  /** From the mark to what is photographed, mm; far away where it is left out. */
  subjectMm?: number;
};

export type FrontMark = {
  /** The share of light it takes in the middle of its blot. */
  depth: number;
  /** The blot on the sensor all told, mm. */
  blotMm: number;
  /** The part of it that is equally dark, mm. */
  plateauMm: number;
  /** It is wider than the frame: all of the picture is a little darker, and no blot is seen. */
  dimsAll: boolean;
  visible: boolean;
};

/**
 * The shadow of an opaque mark on the front glass. Each point of the picture is made by a beam as wide as the entrance
 * pupil, focal length over f-number; where these beams cross the front glass the mark cuts into them. On the sensor that
 * is the shadow of a mark d·f/h in a cone P·f/h: the formulas of dust on the cover glass from the other end.
 *
 * @throws RangeError when a length is not above 0, or the subject is nearer than the pupil.
 */
export function frontMark(mark: FrontMarkCase): FrontMark {
  const { diameterMm, distanceToPupilMm, focalMm, fNumber, sensorWidthMm, sensorHeightMm, subjectMm = Infinity } = mark;
  for (const [name, value] of Object.entries({ diameterMm, distanceToPupilMm, focalMm, fNumber, sensorWidthMm, sensorHeightMm }))
    if (!(value > 0)) throw new RangeError(`${name} is ${value}; it must be above 0`);
  if (!(subjectMm > distanceToPupilMm)) throw new RangeError(`a subject ${subjectMm} mm away lies behind the pupil`);
  // A close subject's beam is narrower where it crosses the front glass.
  const beamMm = (focalMm / fNumber) * (1 - distanceToPupilMm / subjectMm);
  const { depth, diameter, plateau } = shadowOf(beamMm, diameterMm);
  const scale = focalMm / distanceToPupilMm;
  const dimsAll = diameter * scale >= Math.max(sensorWidthMm, sensorHeightMm);
  return { depth, blotMm: diameter * scale, plateauMm: plateau * scale, dimsAll, visible: !dimsAll && depth >= SEEN_FROM };
}

/** How long a lens is, where nobody measured: as long as its focal length, and six centimetres at least (our choice). */
export const usualLengthMm = (focalMm: number): number => Math.max(60, focalMm);
/** The entrance pupil lies about half the lens's length behind its front (our choice, where nobody knows). */
export const pupilBehindMm = (lengthMm: number): number => lengthMm / 2;

/** A mark on a lens of which nothing but the focal length is known, before a full frame. */
export const usualMark = (diameterMm: number, focalMm: number): Omit<FrontMarkCase, 'fNumber'> => ({
  diameterMm,
  focalMm,
  distanceToPupilMm: pupilBehindMm(usualLengthMm(focalMm)),
  sensorWidthMm: formats['full-frame'].widthMm,
  sensorHeightMm: formats['full-frame'].heightMm,
});

/** Full and half stops a lens may have. */
export const F_NUMBERS = [1.4, 2, 2.8, 4, 5.6, 8, 11, 16, 22, 32] as const;

/** The first f-number, of those a lens has, at which the mark shows; null where it shows at none. */
export function markShowsFrom(mark: Omit<FrontMarkCase, 'fNumber'>, fNumbers: readonly number[] = F_NUMBERS): number | null {
  return fNumbers.find((fNumber) => frontMark({ ...mark, fNumber }).visible) ?? null;
}
