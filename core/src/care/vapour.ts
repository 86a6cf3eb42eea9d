import { dropsToMl, inStockUnits, type Use } from './knowledge/amounts.js';
import { isFluid, materialFacts } from './knowledge/materials.js';
import { type Solvent, SOLVENT_IDS, solventFacts } from './knowledge/solvents.js';

/** Litres that a mole of any vapour takes at 25 °C and 1013 hPa, the state in which limits are told. */
const MOLAR_L = 24.45;
const L_A_M3 = 1000;
/** What a wet wipe or pad holds, mL (our choice). */
const ML_A_PIECE = 1;

/** So much of a solvent that goes into the air of a room, and how often an hour that air is changed. */
export type Vapour = { solvent: Solvent; mL: number; roomM3: number; airChangesPerH: number };
/** What is in the air then, ppm by volume: once all of it is, in the mean of the first quarter of an hour, and of eight hours. */
export type VapourInRoom = { atOncePpm: number; quarterPpm: number; dayPpm: number };
/** Which limit is passed: none, that of a day, of a quarter of an hour, or where it is dangerous at once. */
export type VapourVerdict = 'within' | 'day' | 'quarter' | 'danger';

/** Where no limit over a quarter of an hour is named, three times that of a day stands for it (the excursion rule of ACGIH, from memory). */
const EXCURSION = 3;
export const quarterLimitPpm = (solvent: Solvent): number => solventFacts(solvent).quarterPpm ?? EXCURSION * solventFacts(solvent).dayPpm;

/** The mean over so many hours of what is aired out evenly, as a share of what there was at first. */
const meanShare = (airChangesPerH: number, hours: number): number => {
  const aired = airChangesPerH * hours;
  return aired < 1e-9 ? 1 : -Math.expm1(-aired) / aired;
};

/**
 * The vapour of a fluid in a room: as if all of it were in its air at once and evenly, so that more is not to be feared there.
 * Nearer to the bottle it is more. The balance of a mixed room (common in occupational hygiene).
 *
 * @throws RangeError for an amount or air changes below 0, or a room without room.
 */
export function vapourIn({ solvent, mL, roomM3, airChangesPerH }: Vapour): VapourInRoom {
  if (!(mL >= 0)) throw new RangeError('mL: 0 or more');
  if (!(roomM3 > 0)) throw new RangeError('roomM3: above 0');
  if (!(airChangesPerH >= 0)) throw new RangeError('airChangesPerH: 0 or more');
  const { densityGMl, molarMassG } = solventFacts(solvent);
  const litres = ((mL * densityGMl) / molarMassG) * MOLAR_L;
  const atOncePpm = (litres / (roomM3 * L_A_M3)) * 1e6;
  return { atOncePpm, quarterPpm: atOncePpm * meanShare(airChangesPerH, 0.25), dayPpm: atOncePpm * meanShare(airChangesPerH, 8) };
}

/** The gravest limit that is reached. */
export function vapourVerdict(solvent: Solvent, { atOncePpm, quarterPpm, dayPpm }: VapourInRoom): VapourVerdict {
  const limits = solventFacts(solvent);
  if (atOncePpm >= limits.dangerPpm) return 'danger';
  if (quarterPpm >= quarterLimitPpm(solvent)) return 'quarter';
  return dayPpm >= limits.dayPpm ? 'day' : 'within';
}

/** How much of each solvent is in what a plan or a step uses, mL: as if a fluid were nothing else. */
export function solventsIn(uses: readonly Use[]): { solvent: Solvent; mL: number }[] {
  const total = new Map<Solvent, number>();
  for (const { material, amount } of uses) {
    const { vapour } = materialFacts(material);
    if (!vapour) continue;
    const units = inStockUnits(amount);
    total.set(vapour, (total.get(vapour) ?? 0) + (isFluid(material) ? dropsToMl(units) : units * ML_A_PIECE));
  }
  return SOLVENT_IDS.flatMap((solvent) => (total.has(solvent) ? [{ solvent, mL: total.get(solvent)! }] : []));
}

/** How a room is aired, and how often its air is changed then, an hour (our choice, in order of magnitude; shut after EN 12831, from memory). */
export const AIRINGS = { shut: 0.5, ajar: 2, open: 8 } as const;
export type AiringOfRoom = keyof typeof AIRINGS;
/** A small room with its door and window shut: what is assumed where nobody said (our choice). */
export const USUAL_ROOM = { roomM3: 30, airChangesPerH: AIRINGS.shut } as const;
