import { isTool, type DrawerThing } from './drawerThing.js';
import { stockAmount } from './stockAmount.js';

/** So many cleans or pieces are left when it is time to buy (our choice: about a bench day of each). */
const LOW_CLEANS = 4;
const LOW_PIECES = 4;

/** What is nearly used up: all packs of a kind and width together, where somebody counted every one; named by the first. */
export function runningLow<T extends DrawerThing>(drawer: readonly T[]): { thing: T; stock: number }[] {
  const alike = new Map<string, T[]>();
  for (const d of drawer) {
    if (isTool(d.thing)) continue;
    const key = `${d.thing} ${d.widthMm ?? ''}`;
    alike.set(key, [...(alike.get(key) ?? []), d]);
  }
  return [...alike.values()].flatMap((packs) => {
    if (packs.some((p) => p.stock === null)) return [];
    const stock = packs.reduce((sum, p) => sum + p.stock!, 0);
    const amount = stockAmount(packs[0]!.thing, stock);
    const low = amount.nature === 'fluid' ? amount.cleans < LOW_CLEANS : amount.pieces < LOW_PIECES;
    return low ? [{ thing: packs[0]!, stock }] : [];
  });
}
