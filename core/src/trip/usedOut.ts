import { type Day, localDay } from '../schedule/index.js';
import { type BenchUse, type DrawerThing, materialsIn, sameKit, sameSort } from '../supplies/index.js';

/** What went of one pack of a kit on an outing, and what lies at home that would fill it up again; null where nobody counted. */
export type UsedOut<T> = { pack: T; used: number; atHome: number | null };

/** How much of the same there is, as far as it was counted; null where nothing of it was. */
function countedOf(packs: readonly DrawerThing[]): number | null {
  const counted = packs.flatMap(({ stock }) => (stock === null ? [] : [stock]));
  return packs.length > 0 && counted.length === 0 ? null : counted.reduce((sum, stock) => sum + stock, 0);
}

/**
 * What the benches of an outing used up of the kit that was along: to be put into it again.
 *
 * @param uses of every bench that is over. @param timeZone which days the outing's are.
 */
export function usedOut<T extends DrawerThing & { id: string }>(
  { from, to, kit }: { from: Day; to: Day; kit: string | null },
  uses: readonly BenchUse[],
  drawer: readonly T[],
  timeZone: string,
): UsedOut<T>[] {
  if (kit === null) return [];
  const used = new Map<string, number>();
  for (const { at, takings } of uses) {
    const day = localDay(at, timeZone);
    if (day < from || day > to) continue;
    for (const { thingId, quantity } of materialsIn(takings)) if (thingId) used.set(thingId, (used.get(thingId) ?? 0) + quantity);
  }
  return drawer
    .filter((pack) => sameKit(pack.kit ?? null, kit) && used.has(pack.id))
    .map((pack) => ({
      pack,
      used: used.get(pack.id)!,
      atHome: countedOf(drawer.filter((other) => (other.kit ?? null) === null && sameSort(other, pack))),
    }));
}
