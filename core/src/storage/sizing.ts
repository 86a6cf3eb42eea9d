import { absoluteHumidityGm3, type AirLog, emptyLog } from '../air/index.js';
import { published } from '../care/knowledge/index.js';
import { boxAlong } from './box.js';
import type { DesiccantKind } from './desiccants.js';
import { DRIED_LOADING } from './gel.js';

export type SizingQuestion = {
  volumeL: number;
  airChangesPerDay: number;
  openingsPerWeek: number;
  room: { temperatureC: number; humidityPct: number };
  targetPct: number;
  days: number;
  kind: DesiccantKind;
};
export type Sizing = {
  /** Dry mass that lasts so many days; Infinity when no amount does. */
  massG: number;
  /** What a sealed pack of this volume would want by the packaging standards, for comparison, g of gel. */
  sealedPackG: { din55474: number; milStd2073: number };
};

/** Beyond this no drawer holds it. */
const MOST_G = 100_000;

/** The same air every three hours, from no day in particular. */
function steadyRoom({ temperatureC, humidityPct }: SizingQuestion['room'], days: number): AirLog {
  const log = emptyLog(Math.ceil(days) * 8 + 1);
  log.temperatureC.fill(temperatureC);
  log.humidityPct.fill(humidityPct);
  return { ...log, ms: log.ms.map((_, i) => i * 3 * 3_600_000) };
}

/** Does so much of it keep the box below the target for so long? */
function lasts({ kind, days: _, room: __, ...box }: SizingQuestion, room: AirLog, massG: number): boolean {
  const desiccant = { kind, massG, loadingGPerG: DRIED_LOADING[kind] };
  return boxAlong({ ...box, desiccant }, room).exhaustedFrom === room.length;
}

/** What one desiccant unit holds of water, g, by the final humidity it is rated at (DIN 55473/55474, from memory). */
const UNIT_HOLDS: readonly [pct: number, g: number][] = [
  [20, 3],
  [40, 6],
  [50, 7],
  [60, 8],
];
/** The gel in one unit, g: 6 g of water at 40 % and 25 degC. */
export const UNIT_GEL_G = 28.5;
export const DIN_BASIS = published('DIN 55474 (from memory)');

const unitHolds = (targetPct: number): number => (UNIT_HOLDS.findLast(([pct]) => pct <= targetPct) ?? UNIT_HOLDS[0]!)[1];

export type SealedPack = {
  volumeM3: number;
  /** Vapour in the air that is packed in, g/m3. */
  vapourGm3: number;
  /** Mass of hygroscopic packing, kg, and what it holds too much, g/kg. */
  packingKg?: number;
  packingGPerKg?: number;
  /** Area of the barrier, m2, its transmission, g/(m2 d), and the correction for the climate. */
  barrierM2?: number;
  transmission?: number;
  climate?: number;
  days?: number;
  targetPct: number;
};

/** Desiccant units for a sealed pack by DIN 55474: `n = (V b + m c + A e W t) / a`. */
export function desiccantUnitsDin(p: SealedPack): number {
  const inPacking = (p.packingKg ?? 0) * (p.packingGPerKg ?? 0);
  const throughBarrier = (p.barrierM2 ?? 0) * (p.climate ?? 1) * (p.transmission ?? 0) * (p.days ?? 0);
  return (p.volumeM3 * p.vapourGm3 + inPacking + throughBarrier) / unitHolds(p.targetPct);
}

const LITRES_A_CUBIC_FOOT = 28.316_846_592;
/** Units for a rigid sealed container by MIL-STD-2073-1, 1.2 units a cubic foot (from memory). */
export const desiccantUnitsMil = (volumeL: number): number => (1.2 * volumeL) / LITRES_A_CUBIC_FOOT;

/**
 * How much desiccant keeps a box below a target for so many days in a steady room: the least mass whose run does
 * not end above it, found by halving. For a leaking box the balance decides; the standards assume a sealed one.
 *
 * @throws RangeError when days are not above 0.
 */
export function desiccantForBox(question: SizingQuestion): Sizing {
  const { days, volumeL, room, targetPct } = question;
  if (!(days > 0)) throw new RangeError(`days ${days} must be above 0`);
  const vapourGm3 = absoluteHumidityGm3(room.temperatureC, Math.max(room.humidityPct, 0.01));
  const sealedPackG = {
    din55474: UNIT_GEL_G * desiccantUnitsDin({ volumeM3: volumeL / 1000, vapourGm3, targetPct }),
    milStd2073: UNIT_GEL_G * desiccantUnitsMil(volumeL),
  };
  if (room.humidityPct <= targetPct) return { massG: 0, sealedPackG };
  const air = steadyRoom(room, days);
  if (!lasts(question, air, MOST_G)) return { massG: Infinity, sealedPackG };
  let [low, high] = [0, MOST_G];
  while (high - low > Math.max(0.5, high * 0.005)) {
    const mid = low === 0 ? high / 8 : (low + high) / 2;
    if (lasts(question, air, mid)) high = mid;
    else low = mid;
  }
  return { massG: high, sealedPackG };
}
