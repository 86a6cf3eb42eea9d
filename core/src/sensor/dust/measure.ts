import { PROBE, type Candidate } from './candidates.js';
import type { Level } from './pyramid.js';
import { at, endOf, SOFTNESS, STEP, stretched, templates, widthIndex, type Template } from './templates.js';

/** A round shadow as it was measured on a level, in that level's pixels. */
export type Measured = {
  level: Level;
  x: number;
  y: number;
  depth: number;
  template: Template;
  /** How often its depth is what could be wrong with it. */
  snr: number;
  /** The share of what is there, ring by ring, that the shadow explains, 0 to 1. */
  fit: number;
  /** The same pixel by pixel: what is not round, or has noise in it, leaves more unexplained. */
  explained: number;
  /** The light around it. */
  plane: Plane;
};

const BINS_A_PIXEL = 2;
const MOST_BINS = 96;
/** A shadow is looked at to so many times its width. */
const REACH = 1.7;
const ROUNDS = 4;
/** From one round to the next a width changes by fewer steps of the templates' than this: by half. */
const NEAR = 6;
/** What scatters so much at first does not become plain by being looked at again. */
const HOPELESS = 2.5;
/** On a level a shadow is so wide at the most when it is measured: more pixels tell nothing more. */
const COMFORTABLE = 11;
/** How soft a shadow may be at least, and how soft against what its depth says: specks are neither quite round nor quite opaque. */
const SOFT = 0.35;
const SOFTER = 2.2;

/** What is looked for: 1 what is dark, -1 what is as bright as a shadow would be dark. */
export type Sign = 1 | -1;

/** A plane through the light around a place, as it would be without a shadow: v = a + b·dx + c·dy. */
export type Plane = { a: number; b: number; c: number };

// In the loops over pixels numbers stand each in a variable of its own: taken out of arrays they cost a fifth of all time.

/** The pixels of a ring around a place: where each lies from there, and its light. Of a wide ring every other one tells enough. */
const MOST_IN_RING = 8192;
const WIDE_RING = 500;
const ringX = new Float64Array(MOST_IN_RING);
const ringY = new Float64Array(MOST_IN_RING);
const ringLight = new Float64Array(MOST_IN_RING);

function gatherRing({ width, height, data }: Level, x: number, y: number, from: number, to: number): number {
  const [inner, outer] = [from * from, to * to];
  const [left, right] = [Math.max(0, Math.floor(x - to)), Math.min(width - 1, Math.ceil(x + to))];
  const every = Math.PI * (outer - inner) > WIDE_RING ? 2 : 1;
  let n = 0;
  for (let py = Math.max(0, Math.floor(y - to)), bottom = Math.min(height - 1, Math.ceil(y + to)); py <= bottom; py += 1) {
    const dy = py - y;
    for (let px = left + ((left + py) % every); px <= right && n < MOST_IN_RING; px += every) {
      const dx = px - x;
      const r2 = dx * dx + dy * dy;
      if (r2 < inner || r2 > outer) continue;
      ringX[n] = dx;
      ringY[n] = dy;
      ringLight[n] = data[py * width + px]!;
      n += 1;
    }
  }
  return n;
}

/** Through a ring of pixels; those that are much darker than the rest, another shadow say, are left out in a second try. */
function planeAround(level: Level, x: number, y: number, from: number, to: number): Plane | null {
  const pixels = gatherRing(level, x, y, from, to);
  let plane: Plane | null = null;
  let limit = Infinity;
  for (let round = 0; round < 3; round += 1) {
    const { a, b, c }: Plane = plane ?? { a: 0, b: 0, c: 0 };
    let n = 0;
    let sx = 0;
    let sy = 0;
    let sxx = 0;
    let sxy = 0;
    let syy = 0;
    let sv = 0;
    let sxv = 0;
    let syv = 0;
    let off = 0;
    for (let i = 0; i < pixels; i += 1) {
      const dx = ringX[i]!;
      const dy = ringY[i]!;
      const v = ringLight[i]!;
      const miss = Math.abs(v - (a + b * dx + c * dy));
      if (miss > limit) continue;
      n += 1;
      sx += dx;
      sy += dy;
      sxx += dx * dx;
      sxy += dx * dy;
      syy += dy * dy;
      sv += v;
      sxv += dx * v;
      syv += dy * v;
      off += miss;
    }
    if (n < 8) return plane;
    // Cramer's rule on the normal equations.
    const det = n * (sxx * syy - sxy * sxy) - sx * (sx * syy - sxy * sy) + sy * (sx * sxy - sxx * sy);
    if (Math.abs(det) < 1e-6) return { a: sv / n, b: 0, c: 0 };
    plane = {
      a: (sv * (sxx * syy - sxy * sxy) - sx * (sxv * syy - sxy * syv) + sy * (sxv * sxy - sxx * syv)) / det,
      b: (n * (sxv * syy - sxy * syv) - sv * (sx * syy - sxy * sy) + sy * (sx * syv - sxv * sy)) / det,
      c: (n * (sxx * syv - sxv * sxy) - sx * (sx * syv - sxv * sy) + sv * (sx * sxy - sxx * sy)) / det,
    };
    limit = round === 0 ? plane.a * 0.08 : Math.max(2, (2.5 * off) / n);
  }
  return plane;
}

/** The middle of what is dark within a reach, by its weight; null where nothing is. */
function centroid(
  { width, height, data }: Level,
  x: number,
  y: number,
  reach: number,
  plane: Plane,
  sign: Sign,
): { x: number; y: number } | null {
  let weight = 0;
  let wx = 0;
  let wy = 0;
  for (let py = Math.max(0, Math.floor(y - reach)); py <= Math.min(height - 1, Math.ceil(y + reach)); py += 1) {
    for (let px = Math.max(0, Math.floor(x - reach)); px <= Math.min(width - 1, Math.ceil(x + reach)); px += 1) {
      const dx = px - x;
      const dy = py - y;
      const r = Math.sqrt(dx * dx + dy * dy);
      if (r > reach) continue;
      const light = plane.a + plane.b * dx + plane.c * dy;
      // Soft at its rim, so that a pixel more or less does not throw the middle about.
      const w = sign * (1 - data[py * width + px]! / light) * (1 - (r / reach) ** 2);
      weight += w;
      wx += w * dx;
      wy += w * dy;
    }
  }
  if (weight <= 0) return null;
  const [mx, my] = [wx / weight, wy / weight];
  return Math.hypot(mx, my) > reach ? null : { x: x + mx, y: y + my };
}

/**
 * Measures the round shadow at a place of a frame: where its middle is, how deep and how wide it is.
 *
 * @returns null where there is none once its surroundings are known better.
 */
export function measure(levels: readonly Level[], { level, x, y }: Pick<Candidate, 'level' | 'x' | 'y'>, sign: Sign = 1): Measured | null {
  const widthPx = PROBE.side * 1.2 * 2 ** level;
  const on = levels[Math.min(level, Math.max(0, Math.floor(Math.log2(widthPx / COMFORTABLE)) + 1))]!;
  const scale = 2 ** (level - on.level);
  return measureOn(on, (x + 0.5) * scale - 0.5, (y + 0.5) * scale - 0.5, widthPx / 2 ** on.level, sign);
}

function measureOn(level: Level, x0: number, y0: number, guess: number, sign: Sign): Measured | null {
  let [x, y, wide] = [x0, y0, guess];
  let best: Best | null = null;
  let plane: Plane | null = null;
  for (let round = 0; round < ROUNDS; round += 1) {
    plane = planeAround(level, x, y, Math.max(wide * 1.05, 2.2), Math.max(wide * REACH, 4.5));
    if (!plane || plane.a <= 0) return null;
    const moved = centroid(level, x, y, Math.max(wide * 0.8, 1.8), plane, sign);
    if (!moved || Math.hypot(moved.x - x0, moved.y - y0) > Math.max(guess, 2)) return best && finish();
    plane = { ...plane, a: plane.a + plane.b * (moved.x - x) + plane.c * (moved.y - y) };
    [x, y] = [moved.x, moved.y];
    const found = bestTemplate(level, x, y, plane, Math.max(wide * REACH, 4.5), sign, best && wide);
    if (!found) return null;
    if (round === 0 && found.snr < HOPELESS) return null;
    best = found;
    const settled = Math.abs(found.template.wide - wide) < 0.06 * wide;
    wide = found.template.wide;
    if (settled && round > 0) break;
  }
  return finish();

  function finish(): Measured {
    const { template, depth, snr, fit, explained } = best!;
    return { level, x, y, depth, template, snr, fit, explained, plane: plane! };
  }
}

/** What lies in each ring around a place: how many pixels, what they sum up to, the squares of that, how far they are. */
const count = new Float64Array(MOST_BINS);
const sum = new Float64Array(MOST_BINS);
const squares = new Float64Array(MOST_BINS);
const radius = new Float64Array(MOST_BINS);

type Best = Pick<Measured, 'template' | 'depth' | 'snr' | 'fit' | 'explained'> & { offset: number };
type Fit = { template: Template; depth: number; offset: number; left: number; tt: number };

/** The fit at the width between the best and its two neighbours where, by a parabola, the least would be left over. */
function between(best: Fit, narrower: Template | undefined, wider: Template | undefined, fitOf: (t: Template) => Fit | null): Fit {
  const [a, c] = [narrower && fitOf(narrower), wider && fitOf(wider)];
  if (!a || !c) return best;
  const bend = a.left - 2 * best.left + c.left;
  if (!(bend > 0)) return best;
  const step = Math.min(0.5, Math.max(-0.5, (a.left - c.left) / 2 / bend));
  return fitOf(stretched(best.template, STEP ** step)) ?? best;
}

/**
 * The template that fits what is dark around a place best, by least squares over its rings, with its depth.
 *
 * @param before how wide it was when its middle was less well known: only widths near that are tried. Null: all are.
 */
function bestTemplate(
  { width, height, data }: Level,
  x: number,
  y: number,
  plane: Plane,
  reach: number,
  sign: Sign,
  before: number | null,
): Best | null {
  const bins = Math.min(MOST_BINS, Math.ceil(reach * BINS_A_PIXEL) + 1);
  count.fill(0, 0, bins);
  sum.fill(0, 0, bins);
  squares.fill(0, 0, bins);
  radius.fill(0, 0, bins);
  for (let py = Math.max(0, Math.floor(y - reach)); py <= Math.min(height - 1, Math.ceil(y + reach)); py += 1) {
    for (let px = Math.max(0, Math.floor(x - reach)); px <= Math.min(width - 1, Math.ceil(x + reach)); px += 1) {
      const dx = px - x;
      const dy = py - y;
      const r = Math.sqrt(dx * dx + dy * dy);
      const bin = Math.floor(r * BINS_A_PIXEL);
      if (bin >= bins) continue;
      const share = sign * (1 - data[py * width + px]! / (plane.a + plane.b * dx + plane.c * dy));
      count[bin]! += 1;
      sum[bin]! += share;
      squares[bin]! += share * share;
      radius[bin]! += r;
    }
  }
  let n = 0;
  let all = 0;
  let spread = 0;
  let degrees = 0;
  let rings = 0;
  for (let b = 0; b < bins; b += 1) {
    const c = count[b]!;
    if (c === 0) continue;
    n += c;
    all += sum[b]!;
    spread += squares[b]! - sum[b]! ** 2 / c;
    degrees += c - 1;
    // Those with nothing in them are left out, so that none is asked of again.
    count[rings] = c;
    sum[rings] = sum[b]!;
    radius[rings] = radius[b]! / c;
    rings += 1;
  }
  const mean = all / n;
  let total = 0;
  for (let b = 0; b < rings; b += 1) total += (sum[b]! / count[b]! - mean) ** 2 * count[b]!;
  const fitOf = (template: Template): Fit | null => {
    // Depth and the level of its surroundings together: two unknowns.
    let t1 = 0;
    let t2 = 0;
    let tv = 0;
    const end = endOf(template);
    for (let b = 0; b < rings && radius[b]! < end; b += 1) {
      const t = at(template, radius[b]!);
      const ct = count[b]! * t;
      t1 += ct;
      t2 += ct * t;
      tv += t * sum[b]!;
    }
    const tt = t2 - (t1 * t1) / n;
    if (tt <= 1e-9) return null;
    const depth = (tv - (t1 * all) / n) / tt;
    // A soft shadow is deep: so says the overlap of two discs. One that is soft and faint is unevenness of the light.
    if (depth <= 0 || template.narrow > template.wide * Math.max(SOFT, SOFTER * Math.sqrt(depth))) return null;
    return { template, depth, offset: (all - depth * t1) / n, left: total - depth * depth * tt, tt };
  };
  const set = templates();
  let [best, index]: [Fit | null, number] = [null, 0];
  const ask = (i: number): void => {
    const template = set[i];
    if (!template || template.wide > reach * 1.15) return;
    const fit = fitOf(template);
    if (fit && (!best || fit.left < best.left)) [best, index] = [fit, i];
  };
  // What is left over changes slowly with the width: every third one, then those beside the best.
  const widths = set.length / SOFTNESS.length;
  const near = before === null ? null : widthIndex(before);
  for (let w = 1; w < widths; w += 3)
    if (near === null || Math.abs(w - near) <= NEAR) for (let q = 0; q < SOFTNESS.length; q += 1) ask(w * SOFTNESS.length + q);
  const middle = Math.floor(index / SOFTNESS.length);
  for (const w of [middle - 2, middle - 1, middle + 1, middle + 2])
    for (let q = 0; q < SOFTNESS.length; q += 1) ask(w * SOFTNESS.length + q);
  if (!best) return null;
  const { template, depth, offset, left, tt } = between(best, set[index - SOFTNESS.length], set[index + SOFTNESS.length], fitOf);
  const sigma = Math.sqrt(Math.max(spread, 1e-12) / Math.max(degrees, 1));
  const clear = Math.min(0.9, Math.max(-0.9, offset));
  return {
    template,
    // What surrounds it is not quite where the plane was: its own light is the measure.
    depth: Math.min(1, depth / (1 - clear)),
    offset,
    snr: (depth * Math.sqrt(tt)) / Math.max(sigma, 1e-5),
    fit: Math.max(0, 1 - left / Math.max(total, 1e-12)),
    explained: (depth * depth * tt) / Math.max(total + spread, 1e-12),
  };
}
