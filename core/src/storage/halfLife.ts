import { absoluteHumidityGm3, humidityPctFrom, type Reading } from '../air/index.js';
import { MS_PER_HOUR } from '../units.js';

export type HalfLife = {
  /** Moisture half-life of the box, hours; NaN when it could not be determined. */
  halfLifeH: number;
  lowH: number;
  highH: number;
  determined: boolean;
  /** Why not, in a line; null when it was. */
  because: string | null;
  airChangesPerDay: number;
  /** Does the air in it follow the room's vapour, or does a lining hold its humidity? */
  follows: 'vapour' | 'humidity';
  /** How far the sensor inside seems to be off, % RH. */
  offsetPct: number;
  /** What the fit leaves unexplained, % RH. */
  residualPct: number;
  /** Openings that were marked, or found as jumps. */
  openings: string[];
};
export type HalfLifeOptions = { openings?: readonly string[] };

const BRIDGED_GAP_H = 6;
/** Time constants that are searched, hours. */
const SHORTEST_TAU_H = 0.5;
const LONGEST_TAU_H = 3000;
const GRID = 60;
/** What is believed of two sensors' difference before the log speaks: 0 give or take this, % RH. */
const OFFSET_SPREAD_PCT = 2.5;
const FEWEST_READINGS = 24;
const MOST_OPENINGS = 6;
/** A jump has to explain so much of what is left to count as an opening. */
const OPENING_EXPLAINS = 0.25;

/** One sample of the box between two of the room's: what drives it, and how its state shows on the sensor. */
type Sample = { hour: number; measured: number; drive: number; scale: number };

/** The room's log on the clock of the box, interpolated; null where the room's own log is silent too long. */
function driveOf(box: readonly Reading[], room: readonly Reading[], follows: HalfLife['follows']): Sample[] {
  const start = Date.parse(box[0]!.at);
  const roomMs = room.map((r) => Date.parse(r.at));
  const roomVapour = room.map((r) => absoluteHumidityGm3(r.temperatureC, Math.max(r.humidityPct, 0.01)));
  const samples: Sample[] = [];
  let i = 0;
  for (const { at, temperatureC, humidityPct } of box) {
    const ms = Date.parse(at);
    while (i + 1 < roomMs.length && roomMs[i + 1]! < ms) i += 1;
    const [a, b] = [roomMs[i]!, roomMs[Math.min(i + 1, roomMs.length - 1)]!];
    if (ms < a || (ms > b && ms - b > MS_PER_HOUR) || b - a > BRIDGED_GAP_H * MS_PER_HOUR) continue;
    const share = b > a ? Math.min(1, (ms - a) / (b - a)) : 0;
    const vapour = roomVapour[i]! + share * (roomVapour[Math.min(i + 1, roomVapour.length - 1)]! - roomVapour[i]!);
    const perGram = humidityPctFrom(temperatureC, 1);
    samples.push({
      hour: (ms - start) / MS_PER_HOUR,
      measured: humidityPct,
      drive: follows === 'vapour' ? vapour : vapour * perGram,
      scale: follows === 'vapour' ? perGram : 1,
    });
  }
  return samples;
}

/** The instants at which a new stretch begins: after silence, and after each opening. */
function stretchesOf(samples: readonly Sample[], openingHours: readonly number[]): Sample[][] {
  const stretches: Sample[][] = [];
  for (const [i, sample] of samples.entries()) {
    const before = samples[i - 1];
    const fresh = !before || sample.hour - before.hour > BRIDGED_GAP_H || openingHours.some((o) => o > before.hour && o <= sample.hour);
    if (fresh) stretches.push([]);
    stretches.at(-1)!.push(sample);
  }
  return stretches.filter((s) => s.length >= 4);
}

type Fit = { squares: number; residuals: { hour: number; value: number }[]; offset: number };

/**
 * One stretch at one time constant: its state is `A start + P`, so that the reading is a straight line in the start
 * and in the sensor's offset, which are solved in closed form; the offset is drawn gently towards nothing.
 */
function fitStretch(stretch: readonly Sample[], tauH: number, noiseSquare: number): Fit {
  let decay = 1;
  let forced = 0;
  let [saa, sab, sbb, say, sby] = [0, 0, 0, 0, 0];
  const rows = stretch.map((sample, i) => {
    const before = stretch[i - 1];
    if (before) {
      const hours = sample.hour - before.hour;
      const e = Math.exp(-hours / tauH);
      const slope = (sample.drive - before.drive) / Math.max(hours, 1e-9);
      // Exact for a drive that changes evenly between the samples.
      forced = sample.drive - slope * tauH + (forced - before.drive + slope * tauH) * e;
      decay *= e;
    }
    const a = decay * sample.scale;
    const y = sample.measured - forced * sample.scale;
    saa += a * a;
    sab += a;
    sbb += 1;
    say += a * y;
    sby += y;
    return { hour: sample.hour, a, y };
  });
  const prior = noiseSquare / OFFSET_SPREAD_PCT ** 2;
  const det = saa * (sbb + prior) - sab * sab;
  const start = (say * (sbb + prior) - sab * sby) / det;
  const offset = (saa * sby - sab * say) / det;
  const residuals = rows.map(({ hour, a, y }) => ({ hour, value: y - a * start - offset }));
  const squares = residuals.reduce((sum, r) => sum + r.value * r.value, prior * offset * offset);
  return { squares, residuals, offset };
}

function fitAll(stretches: readonly Sample[][], tauH: number, noiseSquare: number): Fit {
  const fits = stretches.map((s) => fitStretch(s, tauH, noiseSquare));
  const count = stretches.reduce((sum, s) => sum + s.length, 0);
  return {
    squares: fits.reduce((sum, f) => sum + f.squares, 0),
    residuals: fits.flatMap((f) => f.residuals),
    offset: fits.reduce((sum, f, i) => sum + f.offset * stretches[i]!.length, 0) / count,
  };
}

const tauAt = (x: number): number => SHORTEST_TAU_H * (LONGEST_TAU_H / SHORTEST_TAU_H) ** x;

/** The best time constant on a logarithmic scale: a grid, then the golden section around its best point. */
function searchTau(squaresAt: (tauH: number) => number): number {
  let best = 0;
  for (let i = 1; i <= GRID; i++) if (squaresAt(tauAt(i / GRID)) < squaresAt(tauAt(best / GRID))) best = i;
  let [low, high] = [Math.max(0, (best - 1) / GRID), Math.min(1, (best + 1) / GRID)];
  const golden = (Math.sqrt(5) - 1) / 2;
  for (let i = 0; i < 40; i++) {
    const [a, b] = [high - golden * (high - low), low + golden * (high - low)];
    if (squaresAt(tauAt(a)) < squaresAt(tauAt(b))) high = b;
    else low = a;
  }
  return tauAt((low + high) / 2);
}

/** How many of so many residuals are independent, from how alike neighbours are. */
function independentOf(residuals: readonly { value: number }[]): number {
  const squares = residuals.reduce((sum, r) => sum + r.value ** 2, 0);
  const neighbours = residuals.slice(1).reduce((sum, r, i) => sum + r.value * residuals[i]!.value, 0);
  const alike = Math.min(0.99, Math.max(0, neighbours / Math.max(squares, 1e-12)));
  return Math.max(8, (residuals.length * (1 - alike)) / (1 + alike));
}

/** Where the fit becomes worse by what chance alone would not explain (95 %, F about 4). */
function intervalOf(fit: (tauH: number) => Fit, tauH: number): { low: number; high: number } {
  const best = fit(tauH);
  const limit = best.squares * (1 + 4 / Math.max(4, independentOf(best.residuals) - 3));
  const edge = (towards: number): number => {
    let inside = Math.log(tauH);
    let outside = Math.log(towards);
    if (fit(towards).squares <= limit) return towards;
    for (let i = 0; i < 30; i++) {
      const mid = (inside + outside) / 2;
      if (fit(Math.exp(mid)).squares <= limit) inside = mid;
      else outside = mid;
    }
    return Math.exp(outside);
  };
  return { low: edge(SHORTEST_TAU_H), high: edge(LONGEST_TAU_H) };
}

type Candidate = { follows: HalfLife['follows']; tauH: number; fit: Fit; low: number; high: number; openings: number[] };

/** The hour at which a new stretch would explain most of what is left; null when none explains enough. */
function findJump(samples: readonly Sample[], openings: readonly number[], tauH: number, noise: number): number | null {
  const whole = fitAll(stretchesOf(samples, openings), tauH, noise);
  const largest = whole.residuals
    .slice(1)
    .map((r, i) => ({ hour: r.hour, jump: Math.abs(r.value - whole.residuals[i]!.value) }))
    .sort((a, b) => b.jump - a.jump)
    .slice(0, 3);
  let best: { hour: number; squares: number } | null = null;
  for (const { hour } of largest) {
    const { squares } = fitAll(stretchesOf(samples, [...openings, hour]), tauH, noise);
    if (!best || squares < best.squares) best = { hour, squares };
  }
  return best && best.squares < (1 - OPENING_EXPLAINS) * whole.squares ? best.hour : null;
}

function fitFollowing(
  follows: HalfLife['follows'],
  box: readonly Reading[],
  room: readonly Reading[],
  marked: number[] | null,
): Candidate | null {
  const samples = driveOf(box, room, follows);
  if (samples.length < FEWEST_READINGS) return null;
  const openings = [...(marked ?? [])];
  let noise = 1;
  let tauH = 24;
  for (let round = 0; round <= MOST_OPENINGS; round++) {
    const stretches = stretchesOf(samples, openings);
    if (stretches.length === 0) return null;
    tauH = searchTau((t) => fitAll(stretches, t, noise).squares);
    noise = Math.max(0.05, fitAll(stretches, tauH, noise).squares / samples.length);
    const jump = marked ? null : findJump(samples, openings, tauH, noise);
    if (jump === null) break;
    openings.push(jump);
  }
  const stretches = stretchesOf(samples, openings);
  const fit = (t: number) => fitAll(stretches, t, noise);
  return { follows, tauH, fit: fit(tauH), ...intervalOf(fit, tauH), openings };
}

const LN2 = Math.LN2;
const undetermined = (because: string): HalfLife => ({
  halfLifeH: NaN,
  lowH: SHORTEST_TAU_H * LN2,
  highH: LONGEST_TAU_H * LN2,
  determined: false,
  because,
  airChangesPerDay: NaN,
  follows: 'vapour',
  offsetPct: 0,
  residualPct: NaN,
  openings: [],
});

/** An interval wider than this says nothing useful. */
const WIDEST = 6;

/**
 * How fast a box follows its room, measured from the two logs: the half-life of a difference in moisture, with
 * the interval in which it lies. Nothing noisy is differenced: the box is simulated with exact steps, the start
 * and the sensor's offset are solved in closed form for each stretch between openings, and only the time constant
 * is searched. A box with a lining is tried both ways, and the better fit is kept.
 *
 * `determined` is false, with the reason, when the logs do not tell.
 */
export function fitMoistureHalfLife(box: readonly Reading[], room: readonly Reading[], options: HalfLifeOptions = {}): HalfLife {
  if (box.length < FEWEST_READINGS || room.length < 2) return undetermined('There are too few readings: log both for some days.');
  const start = Date.parse(box[0]!.at);
  const marked = options.openings ? options.openings.map((o) => (Date.parse(o) - start) / MS_PER_HOUR) : null;
  const candidates = (['vapour', 'humidity'] as const).flatMap((follows) => fitFollowing(follows, box, room, marked) ?? []);
  const best = candidates.sort((a, b) => a.fit.squares / a.fit.residuals.length - b.fit.squares / b.fit.residuals.length)[0];
  if (!best) return undetermined('The logs of box and room hardly overlap.');
  const { tauH, low, high, fit } = best;
  const atBound = tauH > LONGEST_TAU_H * 0.9 || tauH < SHORTEST_TAU_H * 1.1;
  const open = high >= LONGEST_TAU_H * 0.99 || high / low > WIDEST;
  return {
    halfLifeH: tauH * LN2,
    lowH: low * LN2,
    highH: high * LN2,
    determined: !atBound && !open,
    because: atBound || open ? 'The room changed too little, or the log is too short, to tell how tight the box is.' : null,
    airChangesPerDay: 24 / tauH,
    follows: best.follows,
    offsetPct: fit.offset,
    residualPct: Math.sqrt(fit.squares / fit.residuals.length),
    openings: best.openings.map((h) => new Date(start + h * MS_PER_HOUR).toISOString()).sort(),
  };
}
