import { absoluteHumidityGm3, type AirLog, columnsOf, type Reading, saturationPressureHPa, vapourGm3 } from '../air/index.js';
import { balanceHumidityPct, desiccantUptake, type DesiccantKind } from './desiccants.js';
import { LITRES_A_CUBIC_METRE, WaterInBox } from './waterInBox.js';
import { MS_PER_DAY } from '../units.js';

/** A closed place and what lies in it. */
export type Box = {
  volumeL: number;
  /** Complete changes of its air with that of the room, a day. */
  airChangesPerDay: number;
  /** Each swaps half of its air. */
  openingsPerWeek: number;
  desiccant?: { kind: DesiccantKind; massG: number; loadingGPerG: number };
  /** What a lining holds, grams of water per % RH. */
  bufferGPerPct?: number;
  /** It counts as spent once the air stays above this. */
  targetPct: number;
};
export type BoxOptions = {
  /** The air in it at the beginning, % RH; in balance with its desiccant, else with the room, where it is not said. */
  startHumidityPct?: number;
  /** The desiccant has only just been put in: air and lining begin in balance with the room. */
  freshDesiccant?: boolean;
  /** When it was opened; left out: as often as `openingsPerWeek` says, evenly. */
  openings?: readonly string[];
};
export type BoxRun = { readings: Reading[]; loadingGPerG: number[]; exhaustedAt: string | null };

const OPENING_SWAPS = 0.5;
/** A box breathes as it warms and cools: the share of its volume a day for each kelvin of the daily swing. */
const BREATHING_PER_K = 0.0034;
const GAMMA = 1 - Math.SQRT1_2;
/** A step no longer than this, days; readings further apart are walked in parts. */
const LONGEST_STEP_DAYS = 1 / 24;

/** A room is taken to be no drier than this. */
const DRIEST_PCT = 0.01;
const vapourOf = (temperatureC: number, humidityPct: number, saturated?: number): number =>
  absoluteHumidityGm3(temperatureC, Math.max(humidityPct, DRIEST_PCT), saturated);

/** One step of a box that holds nothing but air: exact for a room that changes evenly over the step. */
function emptyStep(vapour: number, fromGm3: number, toGm3: number, days: number, rate: number): number {
  if (rate * days === 0) return vapour;
  const lag = (toGm3 - fromGm3) / (rate * days);
  return toGm3 - lag + (vapour - fromGm3 + lag) * Math.exp(-rate * days);
}

/** The mean swing of a day's temperature, K. */
function dailySwingK({ length, ms, temperatureC }: AirLog): number {
  let [sum, days, low, high, day] = [0, 0, 0, 0, NaN];
  for (let i = 0; i < length; i++) {
    const own = Math.floor(ms[i]! / MS_PER_DAY);
    const t = temperatureC[i]!;
    if (own !== day) {
      sum += high - low;
      days += 1;
      [day, low, high] = [own, t, t];
    } else if (t < low) low = t;
    else if (t > high) high = t;
  }
  return (sum + high - low) / Math.max(1, days);
}

/** No room swings by more than this a day, so that a leakier box need not be asked about its breath. */
const WIDEST_SWING_K = 40;

/** Its changes of air a day, and no fewer than its own breath brings. */
const airChanges = ({ airChangesPerDay }: Box, room: AirLog): number =>
  airChangesPerDay > BREATHING_PER_K * WIDEST_SWING_K ? airChangesPerDay : Math.max(airChangesPerDay, BREATHING_PER_K * dailySwingK(room));

/** The instants of evenly spaced openings, the first half an interval after the start. */
function evenOpenings(openingsPerWeek: number, startMs: number, endMs: number): number[] {
  if (openingsPerWeek === 0) return [];
  const every = (7 * MS_PER_DAY) / openingsPerWeek;
  return Array.from({ length: Math.max(0, Math.ceil((endMs - startMs) / every - 0.5)) }, (_, i) => startMs + (i + 0.5) * every);
}

function checkBox(box: Box): void {
  if (!(box.volumeL > 0)) throw new RangeError(`volume ${box.volumeL} L must be above 0`);
  if (!(box.airChangesPerDay >= 0)) throw new RangeError(`air changes ${box.airChangesPerDay} a day must not be below 0`);
  if (!(box.openingsPerWeek >= 0)) throw new RangeError(`openings ${box.openingsPerWeek} a week must not be below 0`);
  if (box.desiccant && !(box.desiccant.massG >= 0)) throw new RangeError(`desiccant ${box.desiccant.massG} g must not be below 0`);
}

/** The vapour in it at the start: as said, in balance with its desiccant, or as in the room. */
function startVapour({ desiccant }: Box, room: AirLog, startHumidityPct: number | undefined): number {
  const temperatureC = room.temperatureC[0]!;
  if (startHumidityPct !== undefined) return vapourOf(temperatureC, startHumidityPct);
  if (!desiccant || desiccant.massG === 0) return vapourOf(temperatureC, room.humidityPct[0]!);
  return vapourOf(temperatureC, balanceHumidityPct(desiccant.kind, temperatureC, desiccant.loadingGPerG));
}

/** From which place on the air is above the target for good; their number when it is below at the end. */
function exhaustedFrom(humidityPct: Float64Array, targetPct: number): number {
  let from = humidityPct.length;
  while (from > 0 && humidityPct[from - 1]! > targetPct) from -= 1;
  return from;
}

/** The course of a box in columns: its air, what a gram of its desiccant holds, and the place from which it is spent for good. */
export type BoxCourse = { air: AirLog; loadingGPerG: Float64Array; exhaustedFrom: number };

/**
 * The air in a box along the log of its room: water in air, gel and lining gains what the room's vapour drives
 * through the seal and what openings swap. The box has the room's temperature.
 *
 * Held to an ODE library's fine-step integration within 0.05 % RH over a year (see the tests).
 *
 * @throws RangeError for a volume, seal or mass that cannot be.
 */
export function boxAlong(box: Box, room: AirLog, options: BoxOptions = {}): BoxCourse {
  checkBox(box);
  const { length, ms, temperatureC } = room;
  const air: AirLog = { length, ms, temperatureC, humidityPct: new Float64Array(length) };
  const loadingGPerG = new Float64Array(length);
  if (length === 0) return { air, loadingGPerG, exhaustedFrom: 0 };
  const { desiccant, ...bare } = box;
  const volumeM3 = box.volumeL / LITRES_A_CUBIC_METRE;
  const rate = airChanges(box, room);
  const buffered = (desiccant?.massG ?? 0) > 0 || (box.bufferGPerPct ?? 0) > 0;
  const startMs = ms[0]!;
  const openings =
    options.openings?.map((o) => Date.parse(o)).sort((a, b) => a - b) ?? evenOpenings(box.openingsPerWeek, startMs, ms[length - 1]!);
  let nextOpening = openings.findIndex((o) => o > startMs);
  if (nextOpening < 0) nextOpening = openings.length;

  const half = new WaterInBox(box);
  const whole = new WaterInBox(box).warmTo(temperatureC[0]!);
  let fromGm3 = vapourOf(temperatureC[0]!, room.humidityPct[0]!);
  let vapour = startVapour(box, room, options.startHumidityPct);
  let water = whole.read(vapour).total;
  if (options.freshDesiccant && desiccant) {
    water = new WaterInBox(bare).warmTo(temperatureC[0]!).read(fromGm3).total + desiccant.massG * desiccant.loadingGPerG;
    vapour = whole.vapourAt(water, 0, 0, vapour);
  }
  const note = (i: number) => {
    const pct = whole.pctOf(vapour);
    air.humidityPct[i] = pct;
    if (desiccant) loadingGPerG[i] = desiccant.massG > 0 ? whole.heldAt(pct) : desiccantUptake(desiccant.kind, temperatureC[i]!, pct);
  };
  note(0);
  for (let i = 1; i < length; i++) {
    const fromMs = ms[i - 1]!;
    const fromC = temperatureC[i - 1]!;
    const toC = temperatureC[i]!;
    const beginGm3 = fromGm3;
    const endHPa = saturationPressureHPa(toC);
    const endGm3 = vapourOf(toC, room.humidityPct[i]!, vapourGm3(toC, endHPa));
    const allDays = (ms[i]! - fromMs) / MS_PER_DAY;
    const parts = Math.max(1, Math.ceil(allDays / LONGEST_STEP_DAYS - 1e-9));
    const days = allDays / parts;
    for (let part = 1; part <= parts; part++) {
      const share = part / parts;
      const toGm3 = beginGm3 + share * (endGm3 - beginGm3);
      const pullBefore = whole.pull;
      if (part === parts) whole.warmTo(toC, endHPa);
      else whole.warmTo(fromC + share * (toC - fromC));
      if (buffered) {
        // L-stable and second order (SDIRK2, Alexander 1977): the gel's balance is stiff in a leaky box.
        const midGm3 = fromGm3 + GAMMA * (toGm3 - fromGm3);
        const flow = GAMMA * days * rate * volumeM3;
        half.warmTo(fromC + (share - (1 - GAMMA) / parts) * (toC - fromC));
        // What holds the water holds on to it: the vapour at which it would keep all of it is the best guess.
        const midVapour = half.vapourAt(water, midGm3, flow, (vapour * pullBefore) / half.pull);
        water += (1 - GAMMA) * days * rate * volumeM3 * (midGm3 - midVapour);
        vapour = whole.vapourAt(water, toGm3, flow, (midVapour * half.pull) / whole.pull);
        water += flow * (toGm3 - vapour);
      } else vapour = emptyStep(vapour, fromGm3, toGm3, days, rate);
      const nowMs = fromMs + allDays * MS_PER_DAY * share;
      for (; nextOpening < openings.length && openings[nextOpening]! <= nowMs; nextOpening++) {
        const swapped = OPENING_SWAPS * (toGm3 - vapour);
        water += volumeM3 * swapped;
        vapour = buffered ? whole.vapourAt(water, toGm3, 0, vapour) : vapour + swapped;
      }
      fromGm3 = toGm3;
    }
    note(i);
  }
  return { air, loadingGPerG, exhaustedFrom: exhaustedFrom(air.humidityPct, box.targetPct) };
}

/** The same for a log of readings, told in readings. */
export function simulateBox(box: Box, room: readonly Reading[], options: BoxOptions = {}): BoxRun {
  const { air, loadingGPerG, exhaustedFrom } = boxAlong(box, columnsOf(room), options);
  return {
    readings: room.map(({ at, temperatureC }, i) => ({ at, temperatureC, humidityPct: air.humidityPct[i]! })),
    loadingGPerG: [...loadingGPerG],
    exhaustedAt: room[exhaustedFrom]?.at ?? null,
  };
}
