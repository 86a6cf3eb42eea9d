/** How a sensor is held open while something touches it. */
export const HELD_OPEN = ['cleaning-mode', 'always-open', 'exposure'] as const;
export type HeldOpen = (typeof HELD_OPEN)[number];

/** A long exposure that holds the shutter open: when it began (ISO instant) and how long it lasts. */
export type Exposure = { at: string; seconds: number };

export const SHORTEST_EXPOSURE_S = 10;
export const LONGEST_EXPOSURE_S = 900;

/** Out this long before the shutter closes; a fifth of the exposure where that is longer, 20 s at most (our choice). */
const MARGIN_S = 3;
const LONGEST_MARGIN_S = 20;
/** A calm stroke, edge to edge, and turning the swab over (our choice, to be tried in the dry run). */
const STROKE_S = 4;
const SETTLE_S = 4;
/** How much more an exposure is worth starting with, where the camera offers it. */
const COMFORT = 2;

/** The seconds before the end in which nothing may be inside any more. */
export const outMarginS = (seconds: number): number => Math.min(LONGEST_MARGIN_S, Math.max(MARGIN_S, seconds / 5));

/** The shortest exposure worth starting for so many lanes, seconds: to settle, both strokes, and the margin. 15 s for one lane. */
export const exposureNeededS = (lanes: number): number => SETTLE_S + 2 * lanes * STROKE_S + MARGIN_S;

/** An exposure in which nothing need be hurried. */
export const calmExposureS = (lanes: number): number => COMFORT * exposureNeededS(lanes);

/** Too short for so many lanes: no stroke would be out in time. */
export const isTooShort = (seconds: number, lanes: number): boolean => seconds < exposureNeededS(lanes);

export type ExposurePhase = { phase: 'work' | 'out-now' | 'closed'; leftS: number };

/** Where an exposure stands at an instant: work on, out now, or closed. `leftS` never goes below nothing. */
export function exposureAt({ at, seconds }: Exposure, now: string | Date): ExposurePhase {
  if (!(seconds >= SHORTEST_EXPOSURE_S && seconds <= LONGEST_EXPOSURE_S))
    throw new RangeError(`an exposure of ${seconds} s is outside ${SHORTEST_EXPOSURE_S} to ${LONGEST_EXPOSURE_S} s`);
  const leftS = Math.max(0, seconds - (new Date(now).getTime() - Date.parse(at)) / 1000);
  if (leftS === 0) return { phase: 'closed', leftS };
  return { phase: leftS <= outMarginS(seconds) ? 'out-now' : 'work', leftS };
}
