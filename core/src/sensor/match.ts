import type { Spot } from './dust/spot.js';

/** A turn, a change of size and a shift, in widths of the frame. */
export type Placement = { scale: number; turnRad: number; dx: number; dy: number };
export type SpotPair<S extends Spot = Spot> = { before: S; after: S };
export type FrameMatch<S extends Spot = Spot> = {
  gone: S[];
  stayed: SpotPair<S>[];
  moved: SpotPair<S>[];
  fresh: S[];
  placement: Placement;
};

const SAME: Placement = { scale: 1, turnRad: 0, dx: 0, dy: 0 };
/** Of one body and one lens at one focal length nothing is farther apart than this, in widths of the frame. */
const NEAR = 0.004;
/** The exit pupil shifts what is off the axis by about half a millimetre at the frame's side (common practice). */
const MOST_TURN = 0.06;
const MOST_SCALE = 0.05;
const MOST_SHIFT = 0.08;
const PLAINEST = 24;
/** Pairs closer than this tell a turn badly. */
const FAR_APART = 0.12;
/** What moved under air is still as large and as dark as it was, and not at the other end. */
const ALIKE = { width: 0.25, depth: 0.4, far: 0.25 } as const;

type At = { x: number; y: number };
const placed = (p: At, { scale, turnRad, dx, dy }: Placement): At => {
  const [c, s] = [scale * Math.cos(turnRad), scale * Math.sin(turnRad)];
  return { x: c * p.x - s * p.y + dx, y: s * p.x + c * p.y + dy };
};

/** The placement that brings one pair of places onto another; null where it is none a frame can have. */
function through(a1: At, a2: At, b1: At, b2: At): Placement | null {
  const [ax, ay, bx, by] = [a2.x - a1.x, a2.y - a1.y, b2.x - b1.x, b2.y - b1.y];
  const [la, lb] = [Math.hypot(ax, ay), Math.hypot(bx, by)];
  const scale = lb / la;
  if (Math.abs(scale - 1) > MOST_SCALE) return null;
  let turnRad = Math.atan2(by, bx) - Math.atan2(ay, ax);
  if (turnRad > Math.PI) turnRad -= 2 * Math.PI;
  if (turnRad < -Math.PI) turnRad += 2 * Math.PI;
  if (Math.abs(turnRad) > MOST_TURN) return null;
  const moved = placed(a1, { scale, turnRad, dx: 0, dy: 0 });
  const [dx, dy] = [b1.x - moved.x, b1.y - moved.y];
  // A turn about the corner shifts by itself; what counts is how far the middle goes.
  const middle = placed({ x: 0.5, y: 0.33 }, { scale, turnRad, dx, dy });
  return Math.hypot(middle.x - 0.5, middle.y - 0.33) > MOST_SHIFT ? null : { scale, turnRad, dx, dy };
}

/** How many places fall onto one, each at most once, and how well. */
function agreement(before: readonly At[], after: readonly At[], placement: Placement): { count: number; far: number } {
  const taken = new Set<number>();
  let far = 0;
  for (const p of before) {
    const q = placed(p, placement);
    let [best, at] = [NEAR, -1];
    for (const [i, a] of after.entries()) {
      const d = Math.hypot(a.x - q.x, a.y - q.y);
      if (d < best && !taken.has(i)) [best, at] = [d, i];
    }
    if (at < 0) continue;
    taken.add(at);
    far += best;
  }
  return { count: taken.size, far };
}

/**
 * How one frame of a body lies on another. Tried: as it is, and every placement by which two of the plainest specks of one
 * come to lie on two of the other. What stays is what most specks agree on.
 */
function placementOf(before: readonly At[], after: readonly At[]): Placement {
  let best = { placement: SAME, ...agreement(before, after, SAME) };
  const [some, others] = [before.slice(0, PLAINEST), after.slice(0, PLAINEST)];
  for (let i = 0; i < some.length; i += 1) {
    for (let j = i + 1; j < some.length; j += 1) {
      const apart = Math.hypot(some[i]!.x - some[j]!.x, some[i]!.y - some[j]!.y);
      if (apart < FAR_APART) continue;
      for (const b1 of others) {
        // A turn and a shift within their bounds bring a place this far at most.
        if (Math.hypot(b1.x - some[i]!.x, b1.y - some[i]!.y) > MOST_SHIFT + MOST_TURN + MOST_SCALE) continue;
        for (const b2 of others) {
          if (b1 === b2 || Math.abs(Math.hypot(b1.x - b2.x, b1.y - b2.y) - apart) > MOST_SCALE * apart) continue;
          const placement = through(some[i]!, some[j]!, b1, b2);
          if (!placement) continue;
          const found = agreement(some, others, placement);
          // Two always agree: a third one at least must bear it out before the frame is thought to lie otherwise.
          if (found.count < 3 || found.count < best.count) continue;
          if (found.count > best.count || found.far < best.far) best = { placement, ...found };
        }
      }
    }
  }
  return best.placement;
}

const isAlike = (a: Spot, b: Spot): boolean =>
  a.kind === b.kind && Math.abs(b.fwhmPx / a.fwhmPx - 1) < ALIKE.width && Math.abs(b.depth / a.depth - 1) < ALIKE.depth;

/**
 * What became of the specks between two frames of one body: gone, stayed, moved elsewhere, or new. The frames may be
 * shifted, turned or scaled against each other a little, as other lenses and focal lengths do.
 *
 * @param before specks of the earlier frame, plainest first. @param after those of the later one.
 * @param aspect height of the frame over its width.
 */
export function matchFrames<S extends Spot>(before: readonly S[], after: readonly S[], aspect = 2 / 3): FrameMatch<S> {
  const at = ({ x, y }: Spot): At => ({ x, y: y * aspect });
  const placement = placementOf(before.map(at), after.map(at));
  const pairs: { b: S; a: S; far: number }[] = [];
  for (const b of before) {
    const q = placed(at(b), placement);
    for (const a of after) {
      const far = Math.hypot(at(a).x - q.x, at(a).y - q.y);
      if (far < NEAR) pairs.push({ b, a, far });
    }
  }
  pairs.sort((p, q) => p.far - q.far);
  const [left, come] = [new Set(before), new Set(after)];
  const stayed: SpotPair<S>[] = [];
  for (const { b, a } of pairs) {
    if (!left.has(b) || !come.has(a)) continue;
    left.delete(b);
    come.delete(a);
    stayed.push({ before: b, after: a });
  }
  const moved: SpotPair<S>[] = [];
  for (const b of [...left]) {
    const q = placed(at(b), placement);
    const near = [...come]
      .filter((a) => isAlike(b, a))
      .map((a) => ({ a, far: Math.hypot(at(a).x - q.x, at(a).y - q.y) }))
      .sort((p, r) => p.far - r.far)[0];
    if (!near || near.far > ALIKE.far) continue;
    left.delete(b);
    come.delete(near.a);
    moved.push({ before: b, after: near.a });
  }
  return { gone: [...left], stayed, moved, fresh: [...come], placement };
}
