import type { Material } from '../care/knowledge/index.js';
import { alike } from './alike.js';
import { isTool, type DrawerThing } from './drawerThing.js';
import { BOUGHT_BEFORE, buyWithin, forecast, type Forecast } from './forecast.js';
import { isLow } from './runningLow.js';
import type { Taking } from './drawer.js';
import type { Needed } from './waiting.js';

const DAY_MS = 86_400_000;
const sumOf = <T>(all: readonly T[], of: (one: T) => number): number => all.reduce((sum, one) => sum + of(one), 0);
/** What was used longer ago says little of how it is used now, days (our choice). */
const LOOKED_BACK = 365;

/** When to buy for what is there and what waits, days; null where there is enough of it for that. */
function withinFor(thing: DrawerThing['thing'], stock: number, { least, most }: { least: number; most: number }): number | null {
  if (isLow(thing, stock) || stock < least) return 0;
  return most > 0 && stock <= most ? BOUGHT_BEFORE : null;
}

const soonestOf = (days: readonly (number | null)[]): number | null =>
  days.reduce((soonest, one) => (one === null ? soonest : Math.min(one, soonest ?? one)), null);

/** What one bench took, and when it ended. */
export type BenchUse = { at: string; takings: readonly Taking[] };
export type Outlook<T> = {
  thing: T;
  stock: number | null;
  forecast: Forecast;
  /** What the cleans that wait take of it, at the least and at the most; null where they take none. */
  waits: { least: number; most: number } | null;
  /**
   * In how many days it is time to buy: at once where it is nearly gone, may be before it came, or what waits takes more
   * than is there; before it can be gone where what waits may take all of it; null where nothing tells.
   */
  buyWithin: number | null;
};

/**
 * How long everything that is used up lasts, by what the benches took of it.
 *
 * @param uses of every bench that is over, in any order. The first of them begins the time that is looked at, and is not
 * counted itself: a record that begins with a bench would else make use look more frequent than it is.
 * @param waiting what each clean takes that is asked for now.
 * @param now an instant.
 */
export function outlookOf<T extends DrawerThing>(
  drawer: readonly T[],
  { uses, waiting }: { uses: readonly BenchUse[]; waiting: readonly Needed[] },
  now: string,
): Outlook<T>[] {
  const until = Date.parse(now);
  const first = uses.reduce((earliest, use) => Math.min(earliest, Date.parse(use.at)), until);
  const from = Math.max(first, until - LOOKED_BACK * DAY_MS);
  const counted = uses.filter(({ at }) => Date.parse(at) > from && Date.parse(at) <= until);
  const groups = alike(drawer);
  return groups.map(({ thing, stock, packs }) => {
    const ids = new Set(packs.map((p) => p.id));
    const isOnlyOfItsKind = groups.filter((g) => g.thing.thing === thing.thing).length === 1;
    const isOfThese = (t: Taking): boolean => t.id === thing.thing && (isOnlyOfItsKind || ids.has(t.thingId ?? undefined));
    const ofThese = (takings: readonly Taking[]): number => takings.filter(isOfThese).reduce((sum, t) => sum + t.quantity, 0);
    const takings = counted.map((use) => ofThese(use.takings)).filter((quantity) => quantity > 0);
    const outlook = forecast({ stock, takings, days: (until - from) / DAY_MS });
    const [least, most] = [sumOf(waiting, ({ least: own }) => ofThese(own)), sumOf(waiting, ({ most: own }) => ofThese(own))];
    return {
      thing,
      stock,
      forecast: outlook,
      waits: most > 0 ? { least, most } : null,
      buyWithin: soonestOf([buyWithin(outlook), stock === null ? null : withinFor(thing.thing, stock, { least, most })]),
    };
  });
}

/** Who buys once a month buys these now, days. */
const A_MONTH = 30;

/** What is to be bought within a month, the most urgent first. */
export const shoppingList = <T>(outlooks: readonly Outlook<T>[]): (Outlook<T> & { buyWithin: number })[] =>
  outlooks
    .filter((o): o is Outlook<T> & { buyWithin: number } => o.buyWithin !== null && o.buyWithin <= A_MONTH)
    .sort((a, b) => a.buyWithin - b.buyWithin);

/** What a plan takes of materials; tools are washed. */
export const materialsIn = (takings: readonly Taking[]): (Taking & { id: Material })[] =>
  takings.filter((t): t is Taking & { id: Material } => !isTool(t.id));
