import { dropsForGlass, dropsToMl, isFluid, type Material, materialFacts, type Tool } from '../care/knowledge/index.js';

/** A lens of the usual size is what a bottle is reckoned by. */
const USUAL_FRONT_MM = 62;

/** What a stock amounts to: millilitres and cleans of a fluid, pieces of the rest. */
export type StockAmount = { nature: 'fluid'; mL: number; cleans: number } | { nature: 'consumable'; pieces: number; unit: string };

export function stockAmount(thing: Tool | Material, stock: number): StockAmount {
  if (isFluid(thing)) return { nature: 'fluid', mL: dropsToMl(stock), cleans: Math.floor(stock / dropsForGlass(USUAL_FRONT_MM)) };
  return { nature: 'consumable', pieces: stock, unit: materialFacts(thing as Material).unit };
}
