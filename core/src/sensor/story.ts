import type { Spot } from './dust/spot.js';
import type { Unfit } from './dust/fitness.js';
import { isUneven } from './dust/uneven.js';
import { growthOf, nextCleanIn, daysApart, type Growth, type NextClean, type SpeckCount } from './growth.js';
import { isSure, judgeSensor, type SensorJudgement, type SensorTry, type TriedSpot, type Wetting } from './judge.js';
import { matchFrames } from './match.js';
import { darkPixels, WIDEST_PIXEL_PX } from './pixels.js';
import type { Point } from './position.js';
import { visibilityAt } from './visibility.js';
import { isElsewhere, type Whereabouts, whereaboutsOf } from './whereabouts.js';

/** A frame of one body as its story needs it, its specks where the sensor recorded them. */
export type FrameFacts = {
  id: string;
  /** ISO 8601. */
  at: string;
  fNumber: number;
  /** The smallest aperture used at work. */
  workingAt: number;
  width: number;
  height: number;
  spots: readonly Spot[];
  /** What was done to the sensor since the frame before. */
  tries: readonly SensorTry[];
  /** Outings since the frame before. */
  exposures: number;
  /** Lens changes on these; null where nobody counted them. */
  lensChanges: number | null;
  /** As the file says it; null where it does not. */
  lens?: string | null;
  /** What is wrong with it. */
  unfit?: readonly Unfit[];
};

export const SPOT_FATES = ['first', 'stayed', 'moved', 'fresh'] as const;
export type SpotFate = (typeof SPOT_FATES)[number];

/** A speck of a frame in the light of the frames before it. */
export type ToldSpot = TriedSpot & {
  /** The same in every frame in which the speck is, so that one finds it again. */
  number: number;
  fate: SpotFate;
  /** Where it lies, as far as frames with other lenses tell. */
  where: Whereabouts | null;
};

export type FrameChapter = {
  id: string;
  spots: ToldSpot[];
  /** Those of the frame before that are not there any more. */
  gone: ToldSpot[];
  stayed: number;
  moved: number;
  fresh: number;
  judgement: SensorJudgement;
};

export type SensorStory = {
  /** One for each frame, oldest first. */
  chapters: FrameChapter[];
  /** Places that are dark at every aperture: pixels, and left out of every frame. */
  pixels: Point[];
  growth: Growth | null;
  /** The same for each lens change, over frames between which these were counted. */
  perChange: Growth | null;
  next: NextClean | null;
};

/** What was said to be no dust lies still: a place this near to it, in widths of the frame, is the same. */
const SAME_PLACE = 0.004;

/**
 * How sure a speck is that is where one was before: chance does not fall on one place twice. What is as narrow as a pixel or
 * as wide and faint as the light's unevenness would be there twice as well, and the same frame kept twice tells nothing new.
 */
function together(before: Spot, after: Spot, frame: FrameFacts, earlier: FrameFacts): number {
  const isThereAnyway = after.fwhmPx < WIDEST_PIXEL_PX || isUneven(after, frame.width) || frame.at === earlier.at;
  return isThereAnyway ? Math.max(before.confidence, after.confidence) : 1 - (1 - before.confidence) * (1 - after.confidence);
}

/** A pixel that is dark lies where it lay, pixels. */
const PIXEL_PX = 2;

/** Is this one of the places of a body that were dismissed, a broken pixel say? */
export const isDismissed = ({ x, y }: Point, dismissed: readonly Point[], aspect = 2 / 3): boolean =>
  dismissed.some((d) => Math.hypot(d.x - x, (d.y - y) * aspect) < SAME_PLACE);

/**
 * The story of a sensor over its frames: which specks stayed through what was tried, which went, which came; what the
 * last frame asks for, and how fast new ones come.
 *
 * @param frames oldest first. @param dismissed places that are no dust, as the sensor recorded them.
 */
export function storyOf(frames: readonly FrameFacts[], dismissed: readonly Point[], wet: Wetting): SensorStory {
  const chapters: FrameChapter[] = [];
  const pixels = darkPixels(frames);
  const isPixel = (s: Spot, { width, height }: FrameFacts): boolean =>
    s.kind === 'dust' && pixels.some((p) => Math.hypot((p.x - s.x) * width, (p.y - s.y) * height) < PIXEL_PX);
  const seen = frames.map((f) => ({
    ...f,
    spots: f.spots.filter((s) => !isDismissed(s, dismissed, f.height / f.width) && !isPixel(s, f)),
  }));
  const where = whereaboutsOf(seen);
  const counts: SpeckCount[] = [];
  const byChange: SpeckCount[] = [];
  let numbers = 0;
  for (const [i, frame] of seen.entries()) {
    const { spots } = frame;
    const aspect = frame.height / frame.width;
    const before = chapters.at(-1);
    const match = matchFrames<Spot>(before?.spots ?? [], spots, aspect);
    const known = new Map<Spot, Pick<ToldSpot, 'number' | 'fate' | 'survived' | 'confidence'>>();
    for (const { before: b, after } of match.stayed) {
      const told = b as ToldSpot;
      known.set(after, {
        number: told.number,
        fate: 'stayed',
        survived: [...told.survived, ...frame.tries],
        confidence: together(told, after, frame, seen[i - 1]!),
      });
    }
    // What moved is loose: whatever did not move it before will now.
    for (const { before: b, after } of match.moved)
      known.set(after, { number: (b as ToldSpot).number, fate: 'moved', survived: [], confidence: after.confidence });
    const told = spots.map((s, at): ToldSpot => ({
      ...s,
      where: where[i]![at]!,
      ...(known.get(s) ?? { number: (numbers += 1), fate: i === 0 ? 'first' : 'fresh', survived: [] }),
    }));
    const own = told.filter((s) => !isElsewhere(s));
    const judgement = judgeSensor(own, {
      measuredAt: frame.fNumber,
      workingAt: frame.workingAt,
      wet,
      ...(frame.unfit && { unfit: frame.unfit }),
    });
    chapters.push({
      id: frame.id,
      spots: told,
      // What was never sure cannot be said to be gone, nor what is not to have come.
      gone: (match.gone as ToldSpot[]).filter(isSure),
      stayed: told.filter((s) => s.fate === 'stayed' && isSure(s)).length,
      moved: match.moved.filter(({ before: b, after }) => isSure(b) || isSure(after)).length,
      fresh: i === 0 ? 0 : match.fresh.filter(isSure).length,
      judgement,
    });
    const freshShowing = own.filter(
      (s) => s.fate === 'fresh' && isSure(s) && visibilityAt(s, { measuredAt: frame.fNumber, workingAt: frame.workingAt }).visible,
    );
    const count = { at: frame.at, shows: judgement.shows, fresh: i === 0 ? null : freshShowing.length };
    counts.push({ ...count, exposures: frame.exposures });
    if (frame.lensChanges !== null) byChange.push({ ...count, exposures: frame.lensChanges });
  }
  const growth = growthOf(counts);
  const [first, last] = [counts[0], counts.at(-1)];
  const days = first && last ? daysApart(first.at, last.at) : 0;
  const outings = counts.reduce((sum, c, i) => (i === 0 ? sum : sum + c.exposures), 0);
  const perChange = growthOf(byChange);
  return {
    chapters,
    pixels,
    growth,
    perChange,
    next: growth && last && days >= 1 ? nextCleanIn(growth, last.shows, outings / days) : null,
  };
}
