import type { Material } from './materials.js';

/** How much of a material: fluids by drop, spray or millilitre, the rest by the piece. */
export const UNITS = ['drop', 'spray', 'mL', 'sheet', 'swab', 'wipe', 'pad'] as const;
export type Unit = (typeof UNITS)[number];
export type Amount = { quantity: number; unit: Unit };
export type Use = { material: Material; amount: Amount };

/** A drop is 0.05 mL (common practice); one fine mist is about three drops (our choice). */
export const DROPS_A_ML = 20;
const DROPS_A_SPRAY = 3;

/** An amount in the unit the drawer counts in: drops for a fluid, pieces for the rest. */
export function inStockUnits({ quantity, unit }: Amount): number {
  if (unit === 'mL') return quantity * DROPS_A_ML;
  return unit === 'spray' ? quantity * DROPS_A_SPRAY : quantity;
}

export const dropsToMl = (drops: number): number => drops / DROPS_A_ML;
export const mlToDrops = (ml: number): number => Math.round(ml * DROPS_A_ML);

/** One drop for glass up to 40 mm across, two up to 72 mm, three above (our choice, from common practice). */
export function dropsForGlass(acrossMm: number): number {
  if (!(acrossMm > 0)) throw new RangeError(`glass ${acrossMm} mm across: it must be above 0`);
  if (acrossMm <= 40) return 1;
  return acrossMm <= 72 ? 2 : 3;
}
