import type { Spot } from './dust/spot.js';
import type { Unfit } from './dust/fitness.js';
import { SEEN_FROM, showsFrom, visibilityAt } from './visibility.js';

/** What was tried on a sensor between two frames. */
export const SENSOR_TRIES = ['blow', 'swab'] as const;
export type SensorTry = (typeof SENSOR_TRIES)[number];

/** A speck with what was tried on it since it was first seen, and stayed. */
export type TriedSpot = Spot & { survived: readonly SensorTry[] };

/** From so sure on a speck counts: of those called this sure nine in ten are there (measured on seeded frames, `bench/src/sureness.ts`). */
export const SURE_FROM = 0.9;
export const isSure = ({ confidence }: Pick<Spot, 'confidence'>): boolean => confidence >= SURE_FROM;

export const SENSOR_ADVICE = ['leave', 'look-again', 'blow', 'swab', 'hand-over'] as const;
export type SensorAdvice = (typeof SENSOR_ADVICE)[number];

export type SensorBecause =
  | { because: 'nothing-there' }
  /** What may be specks would not show, either. */
  | { because: 'nothing-sure'; unsure: number; fNumber: number }
  | { because: 'unfit'; unfit: readonly Unfit[] }
  | { because: 'unsure'; unsure: number; fNumber: number }
  | { because: 'nothing-shows'; specks: number; fNumber: number; showsFrom: number | null }
  | { because: 'not-blown-yet'; shows: number; untried: number; fNumber: number }
  | { because: 'air-did-not-move'; stayed: number; fNumber: number }
  | { because: 'marks'; marks: number; fNumber: number }
  | { because: 'by-a-workshop'; shows: number; fNumber: number };

/** What is counted are specks that are sure; `unsure` are those that would show and may be none. */
export type SensorJudgement = { advice: SensorAdvice; because: SensorBecause; shows: number; marks: number; unsure: number };

/** What this many swabs did not move is a mark in the glass, or under it (common practice: two tries, then stop). */
export const SWABS_BEFORE_MARK = 2;

/** Neither air nor two swabs moved it: it is no dust. */
export const isMark = ({ survived }: Pick<TriedSpot, 'survived'>): boolean =>
  survived.filter((t) => t === 'swab').length >= SWABS_BEFORE_MARK;

/** Who wets a sensor here: oneself, or a workshop. */
export type Wetting = 'self' | 'service';

type JudgeOptions = {
  /** The aperture the frame was taken at. */
  measuredAt: number;
  /** The smallest aperture that is used at work. */
  workingAt: number;
  seenFrom?: number;
  wet: Wetting;
  /** What is wrong with the frame. */
  unfit?: readonly Unfit[];
};

/** What takes from a frame its word that nothing is there; a turned one shows it as well, and too wide an aperture matters only where smaller ones are used. */
const silencedBy = (unfit: readonly Unfit[], { measuredAt, workingAt }: JudgeOptions): Unfit[] =>
  unfit.filter((u) => u !== 'turned' && (u !== 'too-wide-open' || measuredAt < workingAt));

/**
 * Does it matter, and what is the gentlest that helps? What does not show at the apertures in use stays; what shows is
 * blown first, wet only where air did not move it, and what two swabs did not move is handed over. Only what is sure is
 * judged: where that is nothing, and something unsure would show or the frame could not have shown it, one looks again.
 */
export function judgeSensor(all: readonly TriedSpot[], options: JudgeOptions): SensorJudgement {
  const { measuredAt, workingAt, seenFrom = SEEN_FROM, wet, unfit = [] } = options;
  const shown = all.filter((s) => visibilityAt(s, { measuredAt, workingAt, seenFrom }).visible);
  const spots = all.filter(isSure);
  const showing = shown.filter(isSure);
  const marks = showing.filter(isMark);
  const loose = showing.filter((s) => !isMark(s));
  const unsure = shown.length - showing.length;
  const counted = { shows: showing.length, marks: marks.length, unsure };
  // What is no plain surface, or noise, looks like specks.
  const silencing = silencedBy(unfit, options);
  if (unfit.some((u) => u === 'textured' || u === 'dark') || (showing.length === 0 && silencing.length > 0))
    return { advice: 'look-again', because: { because: 'unfit', unfit: silencing }, ...counted };
  if (showing.length === 0 && unsure > 0)
    return { advice: 'look-again', because: { because: 'unsure', unsure, fNumber: workingAt }, ...counted };
  if (all.length === 0) return { advice: 'leave', because: { because: 'nothing-there' }, ...counted };
  if (spots.length === 0)
    return { advice: 'leave', because: { because: 'nothing-sure', unsure: all.length, fNumber: workingAt }, ...counted };
  if (showing.length === 0) {
    const from = Math.min(...spots.map((s) => showsFrom(s, measuredAt, seenFrom) ?? Infinity));
    return {
      advice: 'leave',
      because: { because: 'nothing-shows', specks: spots.length, fNumber: workingAt, showsFrom: Number.isFinite(from) ? from : null },
      ...counted,
    };
  }
  if (loose.length === 0)
    return { advice: 'hand-over', because: { because: 'marks', marks: marks.length, fNumber: workingAt }, ...counted };
  const untried = loose.filter((s) => s.survived.length === 0).length;
  if (untried > 0)
    return { advice: 'blow', because: { because: 'not-blown-yet', shows: loose.length, untried, fNumber: workingAt }, ...counted };
  if (wet === 'service')
    return { advice: 'hand-over', because: { because: 'by-a-workshop', shows: loose.length, fNumber: workingAt }, ...counted };
  return { advice: 'swab', because: { because: 'air-did-not-move', stayed: loose.length, fNumber: workingAt }, ...counted };
}

/** What a year's pictures at that aperture are: single ones, and panoramas of so many each. */
export type YearOfPictures = { frames: number; panoramas: number; framesEach: number };

export type Retouch = {
  /** Minutes for one picture, for one panorama, hours for the year. */
  pictureMin: number;
  panoramaMin: number;
  yearHours: number;
};

/** Seconds to take a speck out of a picture by hand (common practice: a few; our choice 6). */
export const SECONDS_A_SPOT = 6;

/** The time it takes to take specks out of pictures by hand. A panorama repeats each of them in every picture of it. */
export function retouch(shows: number, { frames, panoramas, framesEach }: YearOfPictures, secondsASpot = SECONDS_A_SPOT): Retouch {
  const pictureMin = (shows * secondsASpot) / 60;
  return {
    pictureMin,
    panoramaMin: pictureMin * framesEach,
    yearHours: (pictureMin * (frames + panoramas * framesEach)) / 60,
  };
}
