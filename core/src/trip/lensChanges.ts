/** A lens by what it covers; a fixed one from and to the same, mm. */
export type CarriedLens = { id: string; fromMm: number; toMm: number };

/** What takes a picture: which lens on which body, and whether that was put on it for this picture. */
export type Shot = { lens: string; body: number; changed: boolean };

export type LensChanges = {
  /** How often one lens comes off and another goes on; what is put on before the first picture does not count. */
  changes: number;
  /** For each focal length in turn; null where no lens covers it. */
  order: (Shot | null)[];
};

/** More bodies than hang on anyone (our choice): the ways to set them up grow with each. */
export const MOST_BODIES = 4;

/** Focal lengths that are wanted, mm, the lenses that are there, and on how many bodies. */
export type LensQuestion = { wanted: readonly number[]; lenses: readonly CarriedLens[]; bodies: number };

function checkBodies(bodies: number): void {
  if (!Number.isInteger(bodies) || bodies < 1 || bodies > MOST_BODIES)
    throw new RangeError(`bodies must be a whole number from 1 to ${MOST_BODIES}`);
}

type Way = { shot: Shot; at: number; before: Way | null };
/** What is on each body, with how few changes it is to be had, and by which way. */
type Standing = { on: readonly (string | null)[]; changes: number; way: Way | null };

const covers = (lens: CarriedLens, focalMm: number): boolean => focalMm >= lens.fromMm - 1e-9 && focalMm <= lens.toMm + 1e-9;

/** A lens whose every wanted length another one covers as well is never needed: of equals the first stays. */
function undominated(lenses: readonly CarriedLens[], wanted: readonly number[]): CarriedLens[] {
  const own = lenses.map((lens) => wanted.filter((f) => covers(lens, f)));
  const isWithin = (i: number, j: number) => own[i]!.every((f) => own[j]!.includes(f));
  return lenses.filter(
    (_, i) => own[i]!.length > 0 && !lenses.some((_other, j) => j !== i && isWithin(i, j) && (!isWithin(j, i) || j < i)),
  );
}

/**
 * The fewest lens changes for pictures taken in this order: the shortest path over what is on each body. A lens is put on
 * only when the next picture wants it: sooner would change nothing (as for pages in a memory, Belady 1966).
 *
 * @param wanted focal lengths in the order they are wanted, mm.
 * @param bodies how many carry a lens at once, 1 to 4.
 * @throws RangeError for another number of bodies.
 */
export function fewestLensChanges({ wanted, lenses, bodies }: LensQuestion): LensChanges {
  checkBodies(bodies);
  const useful = undominated(lenses, [...new Set(wanted)]);
  const ofLength = new Map([...new Set(wanted)].map((f) => [f, useful.filter((lens) => covers(lens, f))]));
  const start: Standing = { on: Array.from({ length: bodies }, () => null), changes: 0, way: null };
  let standings = new Map([[keyOf(start.on), start]]);
  wanted.forEach((focalMm, at) => {
    const able = ofLength.get(focalMm)!;
    if (able.length === 0) return;
    const next = new Map<string, Standing>();
    for (const standing of standings.values())
      for (const step of stepsFrom(standing, able, at)) {
        const known = next.get(keyOf(step.on));
        if (!known || step.changes < known.changes) next.set(keyOf(step.on), step);
      }
    standings = next;
  });
  const [best] = [...standings.values()].sort((a, b) => a.changes - b.changes);
  const order: (Shot | null)[] = wanted.map(() => null);
  for (let { way } = best!; way; way = way.before) order[way.at] = way.shot;
  return { changes: best!.changes, order };
}

/** Bodies are alike: which of two carries a lens makes no other standing. */
const keyOf = (on: readonly (string | null)[]): string => JSON.stringify([...on].map((id) => id ?? '').sort());

/** With what is on them where that covers it, else with each lens that does on each body. */
function stepsFrom({ on, changes, way }: Standing, able: readonly CarriedLens[], at: number): Standing[] {
  const shoot = (body: number, lens: string): Standing => {
    const changed = on[body] !== null && on[body] !== lens;
    const shot = { lens, body, changed };
    return { on: on.with(body, lens), changes: changes + Number(changed), way: { shot, at, before: way } };
  };
  const body = on.findIndex((id) => able.some((lens) => lens.id === id));
  if (body >= 0) return [shoot(body, on[body]!)];
  const empty = on.indexOf(null);
  // An empty body is dressed before one leaves: taking a lens off another first is never fewer.
  const bodies = empty >= 0 ? [empty] : on.map((_, i) => i);
  return able.flatMap((lens) => bodies.map((i) => shoot(i, lens.id)));
}

/** More useful lenses than anyone carries (our choice): the sets of them double with each. */
export const MOST_LENSES = 16;

export type InAnyOrder = {
  /** As few of the lenses as cover all lengths, in the order in which they were given. */
  lenses: string[];
  changes: number;
  /** Lengths that no lens covers, mm. */
  uncovered: number[];
};

/**
 * The fewest lens changes where the order of the pictures is free: all of one lens are taken in one go, and each body begins
 * with one. So it is the fewest lenses that cover all lengths, less one for each body.
 *
 * @param bodies how many carry a lens at once, 1 to 4.
 * @throws RangeError for another number of bodies, or more than 16 lenses that are of use.
 */
export function inAnyOrder({ wanted, lenses, bodies }: LensQuestion): InAnyOrder {
  checkBodies(bodies);
  const useful = undominated(lenses, [...new Set(wanted)]);
  if (useful.length > MOST_LENSES) throw new RangeError(`at most ${MOST_LENSES} lenses that are of use`);
  const all = [...new Set(wanted)];
  const uncovered = all.filter((f) => !useful.some((lens) => covers(lens, f)));
  const asked = all.filter((f) => !uncovered.includes(f));
  const sets = Array.from({ length: 2 ** useful.length }, (_, bits) => useful.filter((_lens, i) => bits & (1 << i)));
  const fewest = sets
    .filter((set) => asked.every((f) => set.some((lens) => covers(lens, f))))
    .reduce((best, set) => (set.length < best.length ? set : best), useful);
  return { lenses: fewest.map((lens) => lens.id), changes: Math.max(0, fewest.length - bodies), uncovered };
}
