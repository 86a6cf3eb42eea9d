/**
 * The shadow of something round and opaque in a cone of light: on the sensor's cover glass, or on the front of a lens.
 * Whichever it is, two discs overlap: the cone, `c` wide where the mark lies, and the mark, `d` wide.
 */
export type Shadow = {
  /** The share of light taken at its middle, 0 to 1: (d/c)² while the mark is smaller than the cone, all of it above. */
  depth: number;
  /** Its width where half of that is taken: about the wider of the two. */
  fwhm: number;
  /** Its width all told, c + d. */
  diameter: number;
  /** The width over which its middle is equally dark, |c − d|. */
  plateau: number;
};

/**
 * Area common to two discs.
 *
 * @param r1 radius of one, any unit. @param r2 of the other, the same unit. @param distance of their middles.
 */
export function overlapArea(r1: number, r2: number, distance: number): number {
  if (distance >= r1 + r2) return 0;
  const small = Math.min(r1, r2);
  if (distance <= Math.abs(r1 - r2)) return Math.PI * small * small;
  const a = (distance * distance + r1 * r1 - r2 * r2) / (2 * distance);
  const b = distance - a;
  const half = (r: number, x: number) => r * r * Math.acos(Math.min(1, Math.max(-1, x / r))) - x * Math.sqrt(Math.max(0, r * r - x * x));
  return half(r1, a) + half(r2, b);
}

/**
 * The share of a cone `c` wide that a mark `d` wide takes, the middle of the beam `distance` away from the middle of the
 * mark. All in one unit.
 */
export const shareTaken = (c: number, d: number, distance: number): number =>
  overlapArea(c / 2, d / 2, distance) / (Math.PI * (c / 2) ** 2);

const HALVINGS = 40;

/** Where half of what is taken in the middle is taken, as a full width. */
function fullWidth(c: number, d: number): number {
  const half = shareTaken(c, d, 0) / 2;
  let [low, high] = [0, (c + d) / 2];
  for (let i = 0; i < HALVINGS; i += 1) {
    const middle = (low + high) / 2;
    if (shareTaken(c, d, middle) > half) low = middle;
    else high = middle;
  }
  return low + high;
}

/**
 * The shadow of a mark in a cone.
 *
 * @param c width of the cone where the mark lies, above 0. @param d width of the mark, 0 or more, in the same unit.
 * @throws RangeError when the cone has no width or the mark a negative one.
 */
export function shadowOf(c: number, d: number): Shadow {
  if (!(c > 0) || !(d >= 0)) throw new RangeError(`a cone ${c} wide and a mark ${d} wide cast no shadow`);
  return { depth: Math.min(1, (d / c) ** 2), fwhm: d === 0 ? c : fullWidth(c, d), diameter: c + d, plateau: Math.abs(c - d) };
}
