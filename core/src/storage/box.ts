import { absoluteHumidityGm3, instantMs, type Reading, saturatedGm3 } from '../air/index.js';
import { balanceHumidityPct, desiccantUptake, heldAt, isothermAt, slopeAt, type DesiccantKind, type Isotherm } from './desiccants.js';

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

const MS_PER_DAY = 86_400_000;
const LITRES_A_CUBIC_METRE = 1000;
const OPENING_SWAPS = 0.5;
/** A box breathes as it warms and cools: the share of its volume a day for each kelvin of the daily swing. */
const BREATHING_PER_K = 0.0034;
/** L-stable and second order (SDIRK2, Alexander 1977): the gel's balance is stiff in a leaky box. */
const GAMMA = 1 - Math.SQRT1_2;
/** A step no longer than this, days; readings further apart are walked in parts. */
const LONGEST_STEP_DAYS = 1 / 24;
/** The balance is solved to this share of all the water in the box: a thousandth of what a step may be off. */
const SOLVED_TO = 1e-8;

/** The air of the room, and the temperature, at a share of the way between two readings. */
type Room = { temperatureC: number; vapourGm3: number };
const roomAt = (from: Room, to: Room, share: number): Room => ({
  temperatureC: from.temperatureC + share * (to.temperatureC - from.temperatureC),
  vapourGm3: from.vapourGm3 + share * (to.vapourGm3 - from.vapourGm3),
});

const vapourOf = ({ temperatureC, humidityPct }: Pick<Reading, 'temperatureC' | 'humidityPct'>): number =>
  absoluteHumidityGm3(temperatureC, Math.max(humidityPct, 0.01));

/** The box at one temperature, as far as its water hangs on it. */
type Holding = {
  volumeM3: number;
  saturated: number;
  /** % RH of a gram a cubic metre. */
  perGram: number;
  isotherm: Isotherm | null;
  massG: number;
  lining: number;
};

function holdingAt(box: Box, volumeM3: number, temperatureC: number): Holding {
  const saturated = saturatedGm3(temperatureC);
  const massG = box.desiccant?.massG ?? 0;
  return {
    volumeM3,
    saturated,
    perGram: 100 / saturated,
    isotherm: box.desiccant && massG > 0 ? isothermAt(box.desiccant.kind, temperatureC) : null,
    massG,
    lining: box.bufferGPerPct ?? 0,
  };
}

/** All the water in it by the vapour of its air, g. */
function waterOf({ volumeM3, perGram, isotherm, massG, lining }: Holding, vapourGm3: number): number {
  const pct = Math.min(100, vapourGm3 * perGram);
  return volumeM3 * vapourGm3 + (isotherm ? massG * heldAt(isotherm, pct) : 0) + lining * pct;
}

/** How steeply that rises. */
function slopeOf({ volumeM3, perGram, isotherm, massG, lining }: Holding, vapourGm3: number): number {
  const pct = vapourGm3 * perGram;
  return volumeM3 + (pct < 100 ? ((isotherm ? massG * slopeAt(isotherm, pct) : 0) + lining) * perGram : 0);
}

/**
 * The vapour content at which the water in the box, less what flows in during a step, makes up `total`:
 * `water(c) - flow (room - c) = total`. It rises with c, so Newton steps are kept inside a shrinking bracket.
 */
function solveVapour(holding: Holding, roomGm3: number, total: number, flow: number, guess: number): number {
  let low = 0;
  let high = Math.max(holding.saturated, roomGm3, guess) * 1.001;
  let c = Math.min(Math.max(guess, 0), high);
  const enough = SOLVED_TO * (1 + total);
  for (let i = 0; i < 60; i++) {
    const excess = waterOf(holding, c) - flow * (roomGm3 - c) - total;
    if (Math.abs(excess) < enough) return c;
    if (excess > 0) high = c;
    else low = c;
    const next = c - excess / (slopeOf(holding, c) + flow);
    // Beyond saturation the air holds no more: the bracket ends there.
    c = next > low && next < high ? next : (low + high) / 2;
    if (high - low < 1e-12 * (1 + high)) return c;
  }
  return c;
}

type Buffered = { box: Box; volumeM3: number; rate: number };

/** One step of a box whose gel or lining holds water; `end` is the box at the step's end, `vapour` and `saturated` at its beginning. */
function bufferedStep(
  { box, volumeM3, rate }: Buffered,
  from: Room,
  to: Room,
  end: Holding,
  days: number,
  water: number,
  vapour: number,
  saturated: number,
): number {
  const mid = roomAt(from, to, GAMMA);
  const flow = GAMMA * days * rate * volumeM3;
  const half = holdingAt(box, volumeM3, mid.temperatureC);
  // Gel holds the humidity, not the vapour: what it was is the best guess at what it will be.
  const c1 = solveVapour(half, mid.vapourGm3, water, flow, (vapour * half.saturated) / saturated);
  const gained = (1 - GAMMA) * days * rate * volumeM3 * (mid.vapourGm3 - c1);
  return solveVapour(end, to.vapourGm3, water + gained, flow, (c1 * end.saturated) / half.saturated);
}

/** One step of a box that holds nothing but air: exact for a room that changes evenly over the step. */
function emptyStep(vapour: number, from: Room, to: Room, days: number, rate: number): number {
  if (rate * days === 0) return vapour;
  const lag = (to.vapourGm3 - from.vapourGm3) / (rate * days);
  return to.vapourGm3 - lag + (vapour - from.vapourGm3 + lag) * Math.exp(-rate * days);
}

/** The mean swing of a day's temperature, K. */
function dailySwingK(room: readonly Reading[]): number {
  const days = new Map<string, [number, number]>();
  for (const { at, temperatureC } of room) {
    const [low, high] = days.get(at.slice(0, 10)) ?? [temperatureC, temperatureC];
    days.set(at.slice(0, 10), [Math.min(low, temperatureC), Math.max(high, temperatureC)]);
  }
  const swings = [...days.values()].map(([low, high]) => high - low);
  return swings.reduce((sum, s) => sum + s, 0) / Math.max(1, swings.length);
}

/** No room swings by more than this a day, so that a leakier box need not be asked about its breath. */
const WIDEST_SWING_K = 40;

/** Its changes of air a day, and no fewer than its own breath brings. */
const airChanges = ({ airChangesPerDay }: Box, room: readonly Reading[]): number =>
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
function startVapour({ desiccant }: Box, first: Reading, startHumidityPct: number | undefined): number {
  if (startHumidityPct !== undefined) return vapourOf({ temperatureC: first.temperatureC, humidityPct: startHumidityPct });
  if (!desiccant || desiccant.massG === 0) return vapourOf(first);
  return vapourOf({
    temperatureC: first.temperatureC,
    humidityPct: balanceHumidityPct(desiccant.kind, first.temperatureC, desiccant.loadingGPerG),
  });
}

/** When the air last went above the target for good; null when it is below at the end. */
function exhausted(readings: readonly Reading[], targetPct: number): string | null {
  const lastBelow = readings.findLastIndex((r) => r.humidityPct <= targetPct);
  return readings[lastBelow + 1]?.at ?? null;
}

/**
 * The air in a box along the log of its room: water in air, gel and lining gains what the room's vapour drives
 * through the seal and what openings swap. The box has the room's temperature.
 *
 * Held to an ODE library's fine-step integration within 0.05 % RH over a year (see the tests).
 *
 * @throws RangeError for a volume, seal or mass that cannot be.
 */
export function simulateBox(box: Box, room: readonly Reading[], options: BoxOptions = {}): BoxRun {
  checkBox(box);
  const first = room[0];
  if (!first) return { readings: [], loadingGPerG: [], exhaustedAt: null };
  const volumeM3 = box.volumeL / LITRES_A_CUBIC_METRE;
  const rate = airChanges(box, room);
  const buffered = (box.desiccant?.massG ?? 0) > 0 || (box.bufferGPerPct ?? 0) > 0;
  const endMs = instantMs(room.at(-1)!.at);
  const startMs = instantMs(first.at);
  const openings = options.openings?.map((o) => Date.parse(o)).sort((a, b) => a - b) ?? evenOpenings(box.openingsPerWeek, startMs, endMs);
  let nextOpening = openings.findIndex((o) => o > startMs);
  const buffer: Buffered = { box, volumeM3, rate };
  let vapour = startVapour(box, first, options.startHumidityPct);
  let holding = holdingAt(box, volumeM3, first.temperatureC);
  let water = waterOf(holding, vapour);
  if (options.freshDesiccant && box.desiccant) {
    const { desiccant, ...bare } = box;
    water = waterOf(holdingAt(bare, volumeM3, first.temperatureC), vapourOf(first)) + desiccant.massG * desiccant.loadingGPerG;
    vapour = solveVapour(holding, 0, water, 0, vapour);
  }

  const readings: Reading[] = [];
  const loadingGPerG: number[] = [];
  const note = (at: string, temperatureC: number) => {
    const pct = Math.min(100, (100 * vapour) / holding.saturated);
    readings.push({ at, temperatureC, humidityPct: pct });
    loadingGPerG.push(
      holding.isotherm ? heldAt(holding.isotherm, pct) : box.desiccant ? desiccantUptake(box.desiccant.kind, temperatureC, pct) : 0,
    );
  };
  note(first.at, first.temperatureC);
  let from: Room = { temperatureC: first.temperatureC, vapourGm3: vapourOf(first) };
  let fromMs = startMs;
  for (let i = 1; i < room.length; i++) {
    const reading = room[i]!;
    const toMs = instantMs(reading.at);
    const end: Room = { temperatureC: reading.temperatureC, vapourGm3: vapourOf(reading) };
    const begin = from;
    const days = (toMs - fromMs) / MS_PER_DAY;
    const parts = Math.max(1, Math.ceil(days / LONGEST_STEP_DAYS - 1e-9));
    for (let part = 1; part <= parts; part++) {
      const to = roomAt(begin, end, part / parts);
      const { saturated } = holding;
      holding = holdingAt(box, volumeM3, to.temperatureC);
      vapour = buffered
        ? bufferedStep(buffer, from, to, holding, days / parts, water, vapour, saturated)
        : emptyStep(vapour, from, to, days / parts, rate);
      const nowMs = fromMs + ((toMs - fromMs) * part) / parts;
      water = waterOf(holding, vapour);
      while (nextOpening >= 0 && nextOpening < openings.length && openings[nextOpening]! <= nowMs) {
        water += OPENING_SWAPS * volumeM3 * (to.vapourGm3 - vapour);
        vapour = buffered ? solveVapour(holding, to.vapourGm3, water, 0, vapour) : vapour + OPENING_SWAPS * (to.vapourGm3 - vapour);
        nextOpening += 1;
      }
      from = to;
    }
    fromMs = toMs;
    note(reading.at, reading.temperatureC);
  }
  return { readings, loadingGPerG, exhaustedAt: exhausted(readings, box.targetPct) };
}
