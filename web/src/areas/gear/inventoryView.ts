import type { InventoryThing } from '@bright-keeper/contract';

export type InventoryGroup = { place: string | null; items: InventoryThing[]; paid: Sum; insured: Sum };
/** A sum over things, and of how many it is known. */
export type Sum = { total: number; of: number };

const sumOf = (items: readonly InventoryThing[], what: 'paid' | 'insuredFor'): Sum => {
  const known = items.flatMap((i) => i.particulars[what] ?? []);
  return { total: known.reduce((sum, n) => sum + n, 0), of: known.length };
};
const groupOf = (place: string | null, items: InventoryThing[]): InventoryGroup => ({
  place,
  items,
  paid: sumOf(items, 'paid'),
  insured: sumOf(items, 'insuredFor'),
});

/** The shelf by place, by name each; what lies in no place comes last. */
export function inventoryBy(items: readonly InventoryThing[]): InventoryGroup[] {
  const byPlace = new Map<string | null, InventoryThing[]>();
  for (const item of items) {
    const key = item.place?.name ?? null;
    byPlace.set(key, [...(byPlace.get(key) ?? []), item]);
  }
  return [...byPlace]
    .sort(([a], [b]) => (a === null ? 1 : b === null ? -1 : a.localeCompare(b)))
    .map(([place, own]) =>
      groupOf(
        place,
        [...own].sort((a, b) => a.name.localeCompare(b.name)),
      ),
    );
}

/** All of it together. */
export const inventoryTotal = (items: readonly InventoryThing[]): InventoryGroup => groupOf(null, [...items]);

const OWN_MACHINE = ['localhost', '127.0.0.1', '[::1]'];

/** The address labels lead to, without its end; null where what was typed is none. */
export function labelBase(typed: string): string | null {
  if (!URL.canParse(typed)) return null;
  const { protocol, origin } = new URL(typed);
  return protocol === 'http:' || protocol === 'https:' ? origin : null;
}
/** Only this machine reaches it: a phone that reads the label does not. */
export const isOwnMachine = (base: string): boolean => OWN_MACHINE.includes(new URL(base).hostname);
