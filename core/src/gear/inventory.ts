import type { Particulars } from './particulars.js';

/** A sum over things, and of how many it is known. */
export type Sum = { total: number; of: number };
export type Listed = { name: string; place: { name: string } | null; particulars: Particulars };
export type InventoryGroup<T> = { place: string | null; items: T[]; paid: Sum; insured: Sum };

function sumOf(items: readonly Listed[], what: 'paid' | 'insuredFor'): Sum {
  const known = items.flatMap((i) => i.particulars[what] ?? []);
  return { total: known.reduce((sum, n) => sum + n, 0), of: known.length };
}
const groupOf = <T extends Listed>(place: string | null, items: T[]): InventoryGroup<T> => ({
  place,
  items,
  paid: sumOf(items, 'paid'),
  insured: sumOf(items, 'insuredFor'),
});

/** The shelf by place, by name each; what lies in no place comes last. */
export function inventoryBy<T extends Listed>(items: readonly T[]): InventoryGroup<T>[] {
  const byPlace = new Map<string | null, T[]>();
  for (const item of items) {
    const key = item.place?.name ?? null;
    byPlace.set(key, [...(byPlace.get(key) ?? []), item]);
  }
  return [...byPlace]
    .sort(([a], [b]) => (a === null ? 1 : b === null ? -1 : a.localeCompare(b)))
    .map(([place, own]) =>
      groupOf(
        place,
        own.sort((a, b) => a.name.localeCompare(b.name)),
      ),
    );
}

/** All of it together. */
export const inventoryTotal = <T extends Listed>(items: readonly T[]): InventoryGroup<T> => groupOf(null, [...items]);
