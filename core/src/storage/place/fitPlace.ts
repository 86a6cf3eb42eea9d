import { type AirLog, columnsOf, type Log, type Reading } from '../../air/index.js';
import { DAYS_A_WEEK, HOURS_A_DAY, MS_PER_HOUR } from '../../units.js';
import { type DesiccantKind, desiccantUptake } from '../desiccants.js';
import type { FittedId, FittedPlace } from './fittedPlace.js';
import { fitTemperature } from './fitTemperature.js';
import { leftOver } from './leastSquares.js';
import { type FittedVapour, VapourFit } from './fitVapour.js';
import { excessShare, ownHumidity, ownTemperature, type Stand, type Warmth, warmthOf, warmthUpTo } from './ownAir.js';
import { fitSetPoint } from './setPoint.js';
import { hoursOf, together, type Together } from './together.js';

export type FitOptions = {
  /** How large it is; matters only with desiccant in it. */
  volumeL?: number;
  openingsPerWeek?: number;
  /** What lies in it, and lay there all the time; how full it was when the record began is told by the air in it. */
  desiccant?: Pick<NonNullable<FittedPlace['desiccant']>, 'kind' | 'massG'> | null;
  /** It dries its air by itself: a set-point is looked for, and its seal is taken to be the usual one. */
  dries?: { usualAirChangesPerDay: number };
  /** The air around is the weather. */
  weather?: boolean;
};

/** Hours in which something else went on: for days the air in it was so much damper, or drier, than the place explains. */
export type SomethingElse = { from: string; to: string; byPct: number };
export type Hindcast = {
  /** How far the model was off on days it had never seen: in the middle, and at most in nine hours of ten, % RH. */
  medianPct: number;
  p90Pct: number;
  /** What it said of those days, hour by hour. */
  readings: Reading[];
  /** The first of them. */
  from: string;
};
export type PlaceFit = {
  place: FittedPlace;
  /** 95 % intervals of what was fitted; what is not in it was not fitted, or does nothing that shows. */
  intervals: Partial<Record<FittedId, { low: number; high: number }>>;
  hindcast: Hindcast;
  /** The same place at the ends of what is not sure, one for each independent direction. */
  ends: FittedPlace[];
  somethingElse: SomethingElse[];
  /** Over how many days it was fitted. */
  fittedDays: number;
};
/** Why a place cannot be explained, with what that stands on. */
export type CannotFit =
  | { cannot: 'inside-not-measured' | 'outside-not-measured' | 'not-the-same-time' | 'full-of-holes' }
  | { cannot: 'too-short'; days: number; needDays: number }
  | { cannot: 'too-seldom'; hours: number; needHours: number }
  | { cannot: 'at-its-stop' | 'stands-still'; which: 'inside' | 'outside'; pct: number }
  | { cannot: 'something-else'; medianPct: number; p90Pct: number };

/** A fit has to see so many days, and be held against half as many more (our choice). */
export const FEWEST_DAYS = 21;
/** So many hours of them have to be measured (our choice: ten whole days). */
const FEWEST_HOURS = 240;
const FITTED_SHARE = 2 / 3;
/** What is held against less than this was held against nothing (our choice). */
const FEWEST_UNSEEN_HOURS = 48;
/** What is off by more on days it never saw explains nothing, % RH (our choice). */
const WORST_MEDIAN_PCT = 3;
const WORST_P90_PCT = 8;
/** A sensor that stands so often at one such reading has come to its stop. */
const STOPS = { lowest: 20, highest: 95, share: 0.1 };
/** So long, h, and so far, % RH, on one side: something else went on. */
const ELSE_H = 48;
const ELSE_PCT = 5;
/** Nor is it worth a word within so many times the usual error. */
const ELSE_TIMES = 4;

/** So many odd stretches are left out of a fit; with more of them it is the place that is odd. */
const MOST_ROUNDS = 4;

/** Where a sensor stands at its stop, which tells no humidity; null where it does not. */
function stopOf({ length, humidityPct }: AirLog): number | null {
  if (length === 0) return null;
  const [lowest, highest] = extremes(humidityPct);
  const often = (pct: number) => humidityPct.reduce((many, h) => many + (h === pct ? 1 : 0), 0) >= STOPS.share * length;
  if (highest >= STOPS.highest && often(highest)) return highest;
  return lowest <= STOPS.lowest && often(lowest) ? lowest : null;
}

/** The same temperature and humidity for so long, h, and so in so much of the log, is no air: the instrument stands still (our choice). */
const STILL_H = 24;
const STILL_SHARE = 0.5;

/** Where an instrument stands still; null where it moves. */
function standsAt({ length, ms, temperatureC, humidityPct }: AirLog): number | null {
  let [from, stillMs] = [0, 0];
  for (let i = 1; i <= length; i++) {
    if (i < length && temperatureC[i] === temperatureC[from] && humidityPct[i] === humidityPct[from]) continue;
    const lasted = ms[i - 1]! - ms[from]!;
    if (lasted >= STILL_H * MS_PER_HOUR) stillMs += lasted;
    from = i;
  }
  return stillMs > STILL_SHARE * (ms[length - 1]! - ms[0]!) ? humidityPct[length - 1]! : null;
}

function extremes(values: Float64Array): [number, number] {
  let [low, high] = [Infinity, -Infinity];
  for (const v of values) {
    if (v < low) low = v;
    if (v > high) high = v;
  }
  return [low, high];
}

/** Long enough that what a stretch says hangs little on the one before it, short enough that there are several. */
function blockPointsOf(hours: number): number {
  const days = Math.min(DAYS_A_WEEK, Math.max(1, hours / HOURS_A_DAY / 20));
  return Math.round(days * HOURS_A_DAY);
}

const firstMeasured = (values: Float64Array, from: number): number => {
  const found = values.subarray(from).find((v) => !Number.isNaN(v));
  return found ?? NaN;
};
/** The mean of what was measured in the hours around one. */
function meanAround(values: Float64Array, at: number, hours: number): number {
  let [sum, many] = [0, 0];
  for (let i = at; i < Math.min(values.length, at + hours); i++) {
    if (Number.isNaN(values[i]!)) continue;
    sum += values[i]!;
    many += 1;
  }
  return many > 0 ? sum / many : firstMeasured(values, at);
}

/** Where it stood with an hour, by what was measured from there on. */
const standAt = ({ insidePct }: Together, at: number): Stand => ({
  air: Math.min(1, firstMeasured(insidePct, at) / 100),
  walls: Math.min(1, meanAround(insidePct, at, 3 * HOURS_A_DAY) / 100),
});

/** What walls held before a silence is not known: for a week after it nothing is held against the model. */
function withoutRunIns(record: Together): Together {
  const insidePct = record.insidePct.slice();
  for (const i of record.heardAgain) insidePct.fill(NaN, i, i + DAYS_A_WEEK * HOURS_A_DAY);
  return { ...record, insidePct };
}

/** Gel and air are in balance within a day: what the air says, the gel holds. */
const loadingAtFirst = (kind: DesiccantKind, { insideC, insidePct }: Together): number =>
  desiccantUptake(kind, meanAround(insideC, 0, HOURS_A_DAY), meanAround(insidePct, 0, HOURS_A_DAY));

const atHour = (hours: number): string => new Date(hours * MS_PER_HOUR).toISOString();

/** Stretches in which what is left runs in one direction for days. */
function somethingElse({ drive, insidePct }: Together, residuals: Float64Array): SomethingElse[] {
  const sizes = residuals
    .filter((_, i) => !Number.isNaN(insidePct[i]!))
    .map(Math.abs)
    .sort();
  const limit = Math.max(ELSE_PCT, ELSE_TIMES * (sizes[Math.floor(sizes.length / 2)] ?? 0));
  const found: SomethingElse[] = [];
  let from = -1;
  let [sum, many] = [0, 0];
  const close = (to: number) => {
    if (from >= 0 && to - from >= ELSE_H)
      found.push({ from: atHour(drive.hours[from]!), to: atHour(drive.hours[to - 1]!), byPct: sum / many });
    from = -1;
  };
  for (let i = 0; i < residuals.length; i++) {
    if (Number.isNaN(insidePct[i]!)) continue;
    const r = residuals[i]!;
    const goesOn = from >= 0 && Math.sign(r) === Math.sign(sum) && Math.abs(r) > limit / 2;
    if (!goesOn) {
      close(i);
      if (Math.abs(r) > limit) [from, sum, many] = [i, 0, 0];
    }
    if (from >= 0) [sum, many] = [sum + r, many + 1];
  }
  close(residuals.length);
  return found;
}

/** The record without the hours in which something else went on. */
function without(record: Together, spans: readonly SomethingElse[]): Together {
  const insidePct = record.insidePct.slice();
  for (const { from, to } of spans) {
    const [a, b] = [Date.parse(from) / MS_PER_HOUR, Date.parse(to) / MS_PER_HOUR];
    for (const [i, h] of record.drive.hours.entries()) if (h >= a && h <= b) insidePct[i] = NaN;
  }
  return { ...record, insidePct };
}

const UNKNOWN: FittedPlace = {
  volumeL: 50,
  airChangesPerDay: 1,
  openingsPerWeek: 0,
  vapourExcessGm3: 0,
  excess: 'steady',
  bufferPerDay: 0,
  bufferDays: 1,
  warmerC: 0,
  lagH: 1,
  heatedToC: null,
  setPointPct: null,
  deadBandPct: 0,
  desiccant: null,
};

/** Where it stood each time the air around was heard again. */
const restartsOf = (record: Together): Map<number, Stand> => new Map(record.heardAgain.map((i) => [i, standAt(record, i)]));

/**
 * What a place is, from the log in it and the log of the air around it: fitted on the first two thirds of what both
 * cover, and held against the last third, which the fit never saw. As few values as the log supports, each with its
 * interval: the temperature first (lag, distance, heating), then the vapour (changes of air, what is added, what walls
 * hold), or the set-point of a cabinet. `docs/science.md`, "A place that explains its past".
 *
 * Where it cannot say, it says why.
 */
export function fitPlace(inside: Log, outside: Log, options: FitOptions = {}): PlaceFit | CannotFit {
  const [within, around] = [columnsOf(inside), columnsOf(outside)];
  if (within.length === 0) return { cannot: 'inside-not-measured' };
  if (around.length === 0) return { cannot: 'outside-not-measured' };
  const both = together(within, around);
  if (!both) return { cannot: 'not-the-same-time' };
  const days = both.drive.length / HOURS_A_DAY;
  if (days < FEWEST_DAYS) return { cannot: 'too-short', days, needDays: FEWEST_DAYS };
  if (both.measured < FEWEST_HOURS) return { cannot: 'too-seldom', hours: both.measured, needHours: FEWEST_HOURS };
  for (const [which, log] of [
    ['inside', within],
    ['outside', around],
  ] as const) {
    const stop = stopOf(log);
    if (stop !== null) return { cannot: 'at-its-stop', which, pct: stop };
    const still = standsAt(log);
    if (still !== null) return { cannot: 'stands-still', which, pct: still };
  }
  const whole = withoutRunIns(both);
  const cut = Math.floor(both.drive.length * FITTED_SHARE);
  const seen = hoursOf(whole, cut);
  if (seen.measured < FITTED_SHARE * FEWEST_HOURS || whole.measured - seen.measured < FEWEST_UNSEEN_HOURS)
    return { cannot: 'full-of-holes' };
  return fitted(whole, seen, restartsOf(both), options);
}

function fitted(whole: Together, seen: Together, restarts: ReadonlyMap<number, Stand>, options: FitOptions): PlaceFit | CannotFit {
  const blockPoints = blockPointsOf(seen.drive.length);
  const { intervals: warmIntervals, ...warm } = fitTemperature(seen, blockPoints, options.weather ?? false);
  const known: FittedPlace = {
    ...UNKNOWN,
    ...warm,
    volumeL: options.volumeL ?? UNKNOWN.volumeL,
    openingsPerWeek: options.openingsPerWeek ?? 0,
    desiccant: options.desiccant ? { ...options.desiccant, loadingGPerG: loadingAtFirst(options.desiccant.kind, seen) } : null,
  };
  const warmth = warmthOf(ownTemperature(known, whole.drive));
  const start = standAt(seen, 0);
  const upToSeen = warmthUpTo(warmth, seen.drive.length);
  const earlier = new Map([...restarts].filter(([i]) => i < seen.drive.length));
  const explained = (record: Together) => explain(record, { known, options, warmth: upToSeen, start, restarts: earlier, blockPoints });
  let last = explained(seen);
  // The oddest stretch leads the fit astray, and makes others look odd: it is left out first.
  for (let round = 0, left = seen; round < MOST_ROUNDS; round++) {
    const odd = somethingElse(left, last.residuals).sort((a, b) => Math.abs(b.byPct) - Math.abs(a.byPct))[0];
    if (!odd) break;
    left = without(left, [odd]);
    last = explained(left);
  }
  const place = { ...known, ...last.part };
  const modelled = ownHumidity({
    place,
    drive: whole.drive,
    warmth,
    excess: excessShare(place.excess, whole.drive),
    start: { ...start, walls: last.walls },
    restarts,
  });
  const hindcast = hindcastOf(whole, modelled, warmth.temperatureC, seen.drive.length);
  if (hindcast.medianPct > WORST_MEDIAN_PCT || hindcast.p90Pct > WORST_P90_PCT)
    return { cannot: 'something-else', medianPct: hindcast.medianPct, p90Pct: hindcast.p90Pct };
  return {
    place,
    intervals: { ...warmIntervals, ...last.intervals },
    hindcast,
    ends: last.ends.map((end) => ({ ...place, ...end })),
    somethingElse: somethingElse(whole, leftOver(whole.insidePct, modelled)),
    fittedDays: seen.drive.length / HOURS_A_DAY,
  };
}

type Explained = Omit<FittedVapour, 'part' | 'intervals' | 'ends'> & {
  part: Partial<FittedPlace>;
  intervals: PlaceFit['intervals'];
  ends: Partial<FittedPlace>[];
};

/** What is known before a record is explained. */
type Knowing = {
  known: FittedPlace;
  options: FitOptions;
  warmth: Warmth;
  start: Stand;
  restarts: ReadonlyMap<number, Stand>;
  blockPoints: number;
};

/** The set-point of a cabinet where its air is held, else how its vapour follows. */
function explain(
  record: Together,
  { known, options: { dries, weather = false }, warmth, start, restarts, blockPoints }: Knowing,
): Explained {
  const held = dries && fitSetPoint(record, warmth, blockPoints);
  if (!held) return new VapourFit(record, warmth, known, start, restarts, blockPoints).fit(weather);
  const part = { setPointPct: held.setPointPct, deadBandPct: held.deadBandPct, airChangesPerDay: dries.usualAirChangesPerDay };
  const place = { ...known, ...part };
  const modelled = ownHumidity({ place, drive: record.drive, warmth, excess: excessShare('steady', record.drive), start, restarts });
  return {
    part,
    walls: start.walls,
    intervals: { setPointPct: { low: held.setPointPct - held.half, high: held.setPointPct + held.half } },
    ends: [{ ...part, setPointPct: held.setPointPct + held.half }],
    residuals: leftOver(record.insidePct, modelled),
  };
}

function hindcastOf({ drive, insidePct }: Together, modelled: Float64Array, temperatureC: Float64Array, from: number): Hindcast {
  const errors: number[] = [];
  const readings: Reading[] = [];
  for (let i = from; i < modelled.length; i++) {
    readings.push({ at: atHour(drive.hours[i]!), temperatureC: temperatureC[i]!, humidityPct: modelled[i]! });
    if (!Number.isNaN(insidePct[i]!)) errors.push(Math.abs(insidePct[i]! - modelled[i]!));
  }
  errors.sort((a, b) => a - b);
  const at = (share: number) => errors[Math.floor(errors.length * share)] ?? Infinity;
  return { medianPct: at(0.5), p90Pct: at(0.9), readings, from: atHour(drive.hours[from]!) };
}
