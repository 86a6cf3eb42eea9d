import type { Spot } from './dust/spot.js';
import { daysApart } from './growth.js';
import { type FrameMatch, matchFrames } from './match.js';
import { visibilityAt } from './visibility.js';
import type { SensorTry } from './judge.js';

/** Where a speck of a frame lies: on the sensor, in the lens, in what was photographed, or in one of these two. */
export const WHEREABOUTS = ['sensor', 'lens', 'scene', 'lens-or-scene'] as const;
export type Whereabouts = (typeof WHEREABOUTS)[number];

/** A frame as it tells where its specks lie. */
export type FrameOfSitting = {
  at: string;
  fNumber: number;
  width: number;
  height: number;
  lens?: string | null;
  spots: readonly Spot[];
  tries: readonly SensorTry[];
  exposures: number;
};

/** Frames so near in time, days, with nothing done and no outing between them, are of one sitting (our choice). */
const ONE_SITTING = 1;
/** What would be this deep in the other frame and is not there is not there: 98 of 100 of such are found (dust.md). */
const SURELY_FOUND = 0.03;
/** Another lens's exit pupil shifts what lies at the side this far at most, in widths of the frame (common practice, twice). */
const PUPIL_SHIFT = 0.03;

const isOneSitting = (a: FrameOfSitting, b: FrameOfSitting): boolean =>
  b.tries.length === 0 && b.exposures === 0 && daysApart(a.at, b.at) <= ONE_SITTING;

/** The specks of each of two frames that are in the other one, too. */
function inBoth(match: FrameMatch<Spot>, aspect: number): Set<Spot> {
  const near = match.moved.filter(({ before: b, after: a }) => Math.hypot(a.x - b.x, (a.y - b.y) * aspect) < PUPIL_SHIFT);
  return new Set([...match.stayed, ...near].flatMap(({ before, after }) => [before, after]));
}

/** What the other frames of a sitting say of a speck. */
function told(spot: Spot, own: FrameOfSitting, others: readonly { frame: FrameOfSitting; both: ReadonlySet<Spot> }[]): Whereabouts | null {
  const seen = { same: false, other: false };
  const missed = { same: false, other: false };
  for (const { frame, both } of others) {
    if (!own.lens || !frame.lens) continue;
    const lens = frame.lens === own.lens ? 'same' : 'other';
    if (both.has(spot)) seen[lens] = true;
    else if (visibilityAt(spot, { measuredAt: own.fNumber, workingAt: frame.fNumber }).depth >= SURELY_FOUND) missed[lens] = true;
  }
  if (seen.other) return 'sensor';
  if (missed.same) return 'scene';
  if (missed.other) return seen.same ? 'lens' : 'lens-or-scene';
  return null;
}

/**
 * Where each speck of each frame lies, told by what stays where: on the sensor it stays through a change of lens; in the
 * lens it stays as long as that one is on; in what was photographed it goes when the camera is moved. Only frames of one
 * sitting tell it, with nothing done in between, and only where the files say which lens was on.
 *
 * @param frames oldest first. @returns for each frame, for each of its specks; null where the frames cannot tell.
 */
export function whereaboutsOf(frames: readonly FrameOfSitting[]): (Whereabouts | null)[][] {
  const where: (Whereabouts | null)[][] = [];
  for (let first = 0; first < frames.length;) {
    let end = first + 1;
    while (end < frames.length && isOneSitting(frames[end - 1]!, frames[end]!)) end += 1;
    const sitting = frames.slice(first, end);
    const both = sitting.map((a, i) =>
      sitting.slice(0, i).map((b) => inBoth(matchFrames(b.spots, a.spots, a.height / a.width), a.height / a.width)),
    );
    sitting.forEach((frame, i) => {
      const others = sitting.flatMap((other, j) => (i === j ? [] : [{ frame: other, both: both[Math.max(i, j)]![Math.min(i, j)]! }]));
      where.push(frame.spots.map((spot) => told(spot, frame, others)));
    });
    first = end;
  }
  return where;
}

/** It is known to lie elsewhere: no clean of the sensor takes it away. */
export const isElsewhere = ({ where }: { where: Whereabouts | null }): boolean => where !== null && where !== 'sensor';
