import { isTool, type DrawerThing } from './drawerThing.js';

/** Packs of one kind and width: named by the first; their stock where somebody counted every one. */
export type Alike<T> = { thing: T; packs: T[]; stock: number | null };

/** What is used up, all packs of a kind and width together. */
export function alike<T extends DrawerThing>(drawer: readonly T[]): Alike<T>[] {
  const byKind = new Map<string, T[]>();
  for (const d of drawer) {
    if (isTool(d.thing)) continue;
    const key = `${d.thing} ${d.widthMm ?? ''}`;
    byKind.set(key, [...(byKind.get(key) ?? []), d]);
  }
  return [...byKind.values()].map((packs) => ({
    thing: packs[0]!,
    packs,
    stock: packs.reduce<number | null>((sum, p) => (sum === null || p.stock === null ? null : sum + p.stock), 0),
  }));
}
