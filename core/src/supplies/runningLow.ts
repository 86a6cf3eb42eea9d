import type { Material, Tool } from '../care/knowledge/index.js';
import { alike } from './alike.js';
import type { DrawerThing } from './drawerThing.js';
import { stockAmount } from './stockAmount.js';

/** So many cleans or pieces are left when it is time to buy (our choice: about a bench day of each). */
const LOW_CLEANS = 4;
const LOW_PIECES = 4;

/** Is so little left of it that it is time to buy? */
export function isLow(thing: Tool | Material, stock: number): boolean {
  const amount = stockAmount(thing, stock);
  return amount.nature === 'fluid' ? amount.cleans < LOW_CLEANS : amount.pieces < LOW_PIECES;
}

/** What is nearly used up: all packs of a kind and width together, where somebody counted every one; named by the first. */
export const runningLow = <T extends DrawerThing>(drawer: readonly T[]): { thing: T; stock: number }[] =>
  alike(drawer).flatMap(({ thing, stock }) => (stock !== null && isLow(thing.thing, stock) ? [{ thing, stock }] : []));
