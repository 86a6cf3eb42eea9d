import { absoluteHumidityGm3, type AirLog, firstFrom, saturatedGm3 } from '../../air/index.js';
import { LITRES_A_CUBIC_METRE, WaterInBox } from '../waterInBox.js';
import { HOURS_A_DAY, MS_PER_HOUR } from '../../units.js';
import { balanceHumidityPct } from '../desiccants.js';
import type { FittedPlace } from './fittedPlace.js';
import { type Step, stepOver } from './twoStores.js';

/** The air around a place as what drives it: instants in hours, degC, g/m3. */
export type Drive = {
  length: number;
  hours: Float64Array;
  temperatureC: Float64Array;
  vapourGm3: Float64Array;
  /** The points from which on the steps are longer, or shorter. */
  turns: readonly number[];
};
/** A step is no longer than this, h: an interval of the log that is longer is walked in parts. */
const LONGEST_STEP_H = 1;
const DRIEST_PCT = 0.01;
/** Steps that differ by less are the same: instants are kept in floating point. */
const SAME_STEP_H = 1e-6;

/** Where the steps become longer, or shorter. */
export function turnsOf(hours: Float64Array): number[] {
  const turns: number[] = [];
  for (let i = 2; i < hours.length; i++)
    if (Math.abs(hours[i]! - hours[i - 1]! - (hours[i - 1]! - hours[i - 2]!)) > SAME_STEP_H) turns.push(i);
  return turns;
}

/** A log as a drive, with as many points between its readings as steps are walked; `at` tells which of them are readings. */
export function driveOf({ length, ms, temperatureC, humidityPct }: AirLog): { drive: Drive; at: Int32Array } {
  const parts = (i: number) => Math.max(1, Math.ceil((ms[i]! - ms[i - 1]!) / MS_PER_HOUR / LONGEST_STEP_H - 1e-6));
  let points = Math.min(1, length);
  for (let i = 1; i < length; i++) points += parts(i);
  const drive = {
    length: points,
    hours: new Float64Array(points),
    temperatureC: new Float64Array(points),
    vapourGm3: new Float64Array(points),
  };
  const at = new Int32Array(length);
  const vapour = (i: number) => absoluteHumidityGm3(temperatureC[i]!, Math.max(DRIEST_PCT, humidityPct[i]!));
  let point = 0;
  for (let i = 0; i < length; i++) {
    const [many, to] = [i === 0 ? 1 : parts(i), vapour(i)];
    const before = Math.max(0, i - 1);
    const from = i === 0 ? to : vapour(before);
    for (let part = 1; part <= many; part++) {
      const share = part / many;
      drive.hours[point] = (ms[before]! + share * (ms[i]! - ms[before]!)) / MS_PER_HOUR;
      drive.temperatureC[point] = temperatureC[before]! + share * (temperatureC[i]! - temperatureC[before]!);
      drive.vapourGm3[point] = from + share * (to - from);
      point += 1;
    }
    at[i] = point - 1;
  }
  return { drive: { ...drive, turns: turnsOf(drive.hours) }, at };
}

/** What follows at a distance, h: exact for what changes evenly between the points. It begins in balance. */
export function lagged(hours: Float64Array, values: Float64Array, lagH: number): Float64Array {
  const slow = new Float64Array(values.length);
  slow[0] = values[0]!;
  let [forH, keeps] = [NaN, 0];
  for (let i = 1; i < values.length; i++) {
    const h = hours[i]! - hours[i - 1]!;
    if (h !== forH) [forH, keeps] = [h, Math.exp(-h / lagH)];
    const behind = h > 0 ? ((values[i]! - values[i - 1]!) * lagH) / h : 0;
    slow[i] = values[i]! - behind + (slow[i - 1]! - values[i - 1]! + behind) * keeps;
  }
  return slow;
}

/** Its own temperature: what is around, slower, warmer by so much, and heated to no less than its set-point. */
export function ownTemperature(
  { lagH, warmerC, heatedToC }: Pick<FittedPlace, 'lagH' | 'warmerC' | 'heatedToC'>,
  drive: Drive,
): Float64Array {
  const slow = lagged(drive.hours, drive.temperatureC, lagH);
  const least = heatedToC ?? -Infinity;
  return slow.map((t) => Math.max(least, t + warmerC));
}

/** From here on rooms are aired so much that nothing of what people add is left, degC (EN ISO 13788, recalled). */
const NO_EXCESS_FROM_C = 20;
const DAY_LAG_H = 24;

/** The share of the vapour excess that is there at each point. */
export function excessShare(excess: FittedPlace['excess'], drive: Drive): Float64Array {
  if (excess === 'steady') return new Float64Array(drive.length).fill(1);
  return lagged(drive.hours, drive.temperatureC, DAY_LAG_H).map((t) => Math.min(1, Math.max(0, 1 - t / NO_EXCESS_FROM_C)));
}

/**
 * What a walk along the vapour needs of the temperature and of the air around, worked out once for many walks. Shares
 * are of what the air of the place can hold in the middle of a step.
 */
export type Warmth = {
  temperatureC: Float64Array;
  saturated: Float64Array;
  midSaturated: Float64Array;
  /** What a share becomes as the air warms from the last point to the middle of the step, and from there to its end. */
  before: Float64Array;
  after: Float64Array;
};
export function warmthOf(temperatureC: Float64Array): Warmth {
  const saturated = temperatureC.map((t) => saturatedGm3(t));
  const midSaturated = temperatureC.map((t, i) => (i === 0 ? saturated[0]! : saturatedGm3((t + temperatureC[i - 1]!) / 2)));
  return {
    temperatureC,
    saturated,
    midSaturated,
    before: midSaturated.map((mid, i) => saturated[Math.max(0, i - 1)]! / mid),
    after: midSaturated.map((mid, i) => mid / saturated[i]!),
  };
}
/** The same up to a point. */
export const warmthUpTo = (warmth: Warmth, to: number): Warmth => ({
  temperatureC: warmth.temperatureC.subarray(0, to),
  saturated: warmth.saturated.subarray(0, to),
  midSaturated: warmth.midSaturated.subarray(0, to),
  before: warmth.before.subarray(0, to),
  after: warmth.after.subarray(0, to),
});

/** Where it stands: the air in it and what its walls hold, both as shares of saturation. */
export type Stand = { air: number; walls: number };
export type Walk = {
  place: FittedPlace;
  drive: Drive;
  warmth: Warmth;
  excess: Float64Array;
  start: Stand;
  /** At these points it begins anew, from what is given. */
  restarts?: ReadonlyMap<number, Stand>;
  /** Between these hours a cabinet has no current. */
  powerCut?: { fromH: number; toH: number } | null;
};

/** The humidity of a place along what drives it, % RH. A cabinet that dries by itself takes no notice of gel in it. */
export function ownHumidity(walk: Walk): Float64Array {
  const { desiccant, setPointPct } = walk.place;
  return setPointPct === null && desiccant && desiccant.massG > 0 ? withDesiccant(walk, desiccant) : withoutDesiccant(walk);
}

/** The points at which a cabinet gets or loses its current, in order. */
const edgesOf = ({ powerCut, drive }: Walk): number[] =>
  powerCut ? [firstFrom(drive.hours, powerCut.fromH), firstFrom(drive.hours, powerCut.toH)] : [];

function withoutDesiccant(walk: Walk): Float64Array {
  const { place, drive, start, powerCut } = walk;
  const pct = new Float64Array(drive.length);
  const rates = {
    n: place.airChangesPerDay / HOURS_A_DAY,
    kb: place.bufferPerDay / HOURS_A_DAY,
    tb: place.bufferDays * HOURS_A_DAY,
  };
  const held = place.setPointPct === null ? 1 : Math.min(1, place.setPointPct / 100);
  const mostFrom = (h: number) => (powerCut && h >= powerCut.fromH && h < powerCut.toH ? 1 : held);
  const restarts = new Map(walk.restarts ?? []);
  // Between two such points nothing is asked but the matrix: a year is walked some hundred times.
  const stops = [...new Set([...drive.turns, ...edgesOf(walk), ...restarts.keys(), drive.length])].sort((a, b) => a - b);
  let stand = { ...start, air: Math.min(start.air, mostFrom(drive.hours[0]!)) };
  pct[0] = 100 * stand.air;
  let from = 1;
  for (const to of stops) {
    if (to > from) {
      const step = stepOver(drive.hours[from]! - drive.hours[from - 1]!, rates);
      stand = evenSteps(step, { from, to, stand, most: mostFrom(drive.hours[from]!) }, rates.n, walk, pct);
      from = to;
    }
    const anew = restarts.get(to);
    if (!anew || to >= drive.length) continue;
    stand = anew;
    pct[to] = 100 * stand.air;
    from = to + 1;
  }
  return pct;
}

type Run = { from: number; to: number; stand: Stand; /** What a cabinet lets be at most, as a share of saturation. */ most: number };

/** Steps of one length: one matrix does for all of them. */
function evenSteps(step: Step, { from, to, stand, most }: Run, n: number, walk: Walk, pct: Float64Array): Stand {
  const { uu, up, pu, pp, ug, pg, ur, pr } = step;
  const { excess } = walk;
  const { vapourGm3 } = walk.drive;
  const { midSaturated, before, after } = walk.warmth;
  const added = walk.place.vapourExcessGm3;
  let { air, walls } = stand;
  for (let i = from; i < to; i++) {
    const scale = n / midSaturated[i]!;
    const g = scale * (vapourGm3[i - 1]! + added * excess[i - 1]!);
    const grows = scale * (vapourGm3[i]! + added * excess[i]!) - g;
    // The air keeps its vapour while it warms, its share of saturation changes: half before the step, half after.
    const was = air * before[i]!;
    air = Math.min(most, (uu * was + up * walls + ug * g + ur * grows) * after[i]!);
    walls = pu * was + pp * walls + pg * g + pr * grows;
    pct[i] = 100 * air;
  }
  return { air, walls };
}

const GAMMA = 1 - Math.SQRT1_2;

/** With gel or rice in it: the water of air and gel together gains what air and walls bring (SDIRK2, as a box is walked). */
function withDesiccant(walk: Walk, desiccant: NonNullable<FittedPlace['desiccant']>): Float64Array {
  const { place, drive, warmth, excess, start, restarts } = walk;
  const volumeM3 = place.volumeL / LITRES_A_CUBIC_METRE;
  const [n, kb, tb] = [place.airChangesPerDay / HOURS_A_DAY, place.bufferPerDay / HOURS_A_DAY, place.bufferDays * HOURS_A_DAY];
  const rate = n + kb;
  const water = new WaterInBox({ volumeL: place.volumeL, desiccant });
  const pct = new Float64Array(drive.length);
  const { temperatureC, saturated } = warmth;
  const around = (i: number) => drive.vapourGm3[i]! + excess[i]! * place.vapourExcessGm3;
  let walls = start.walls;
  let vapour = (saturated[0]! * balanceHumidityPct(desiccant.kind, temperatureC[0]!, desiccant.loadingGPerG)) / 100;
  let total = water.warmTo(temperatureC[0]!).read(vapour).total;
  pct[0] = water.pctOf(vapour);
  const brought = (air: number, fromWalls: number) => (rate > 0 ? (n * air + kb * fromWalls) / rate : air);
  for (let i = 1; i < drive.length; i++) {
    const h = drive.hours[i]! - drive.hours[i - 1]!;
    const flow = GAMMA * h * rate * volumeM3;
    const midC = temperatureC[i - 1]! + GAMMA * (temperatureC[i]! - temperatureC[i - 1]!);
    const midAround = around(i - 1) + GAMMA * (around(i) - around(i - 1));
    water.warmTo(midC);
    const midDrive = brought(midAround, water.saturated * walls);
    const midVapour = water.vapourAt(total, midDrive, flow, vapour);
    total += (1 - GAMMA) * h * rate * volumeM3 * (midDrive - midVapour);
    water.warmTo(temperatureC[i]!);
    const drives = brought(around(i), water.saturated * walls);
    vapour = water.vapourAt(total, drives, flow, midVapour);
    total += flow * (drives - vapour);
    const held = water.pctOf(vapour) / 100;
    if (kb > 0) walls = held + (walls - held) * Math.exp(-h / tb);
    const anew = restarts?.get(i);
    const is = anew?.air ?? held;
    if (anew) walls = anew.walls;
    if (is !== water.pctOf(vapour) / 100) {
      vapour = is * water.saturated;
      total = water.read(vapour).total;
    }
    pct[i] = 100 * is;
  }
  return pct;
}
