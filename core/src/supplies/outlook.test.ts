import { describe, expect, it } from 'vitest';
import type { DrawerThing } from './drawerThing.js';
import * as care from '../care/index.js';
import { neededBy } from './waiting.js';
import { type BenchUse, materialsIn, outlookOf, shoppingList } from './outlook.js';

const pack = (
  id: string,
  thing: DrawerThing['thing'],
  stock: number | null,
  widthMm: number | null = null,
): DrawerThing & { id: string } => ({
  id,
  thing,
  role: 'any',
  state: 'clean',
  usesSinceWash: 0,
  stock,
  packPrice: null,
  packSize: null,
  widthMm,
});
const NOW = '2026-12-01T12:00:00Z';
const daysAgo = (days: number): string => new Date(Date.parse(NOW) - days * 86_400_000).toISOString();
const bench = (days: number, ...takings: [DrawerThing['thing'], number, string?][]): BenchUse => ({
  at: daysAgo(days),
  takings: takings.map(([id, quantity, thingId]) => ({ id, quantity, thingId: thingId ?? null })),
});

describe('what the benches tell of the drawer', () => {
  it('is reckoned from the first bench on, which begins the time and is not counted', () => {
    const uses = [100, 75, 50, 25, 0].map((days) => bench(days, ['lens-tissue', 2]));
    const [tissue] = outlookOf([pack('a', 'lens-tissue', 60)], { uses, waiting: [] }, NOW);
    if (!tissue!.forecast.isKnown) throw new Error('known');
    // Four benches of two sheets in a hundred days.
    expect(tissue!.forecast.days).toBeCloseTo(60 / (8 / 100));
    expect(tissue!.buyWithin).toBe(Math.floor(tissue!.forecast.soonest) - 14);
  });

  it('takes packs of a kind and width together, and one that nobody counted leaves all of them unknown', () => {
    const uses = [90, 60, 40, 20, 10].map((days) => bench(days, ['isopropanol', 4]));
    const [both] = outlookOf([pack('a', 'isopropanol', 100), pack('b', 'isopropanol', 100)], { uses, waiting: [] }, NOW);
    const [one] = outlookOf([pack('a', 'isopropanol', 200)], { uses, waiting: [] }, NOW);
    expect(both!.forecast).toEqual(one!.forecast);
    const [unknown] = outlookOf([pack('a', 'isopropanol', 100), pack('b', 'isopropanol', null)], { uses, waiting: [] }, NOW);
    expect(unknown!.forecast).toEqual({ isKnown: false, because: 'not-counted' });
  });

  it('tells widths of a swab apart by the very pack that was taken', () => {
    const uses = [90, 60, 40, 20, 10].map((days) => bench(days, ['sensor-swab', 2, 'wide']));
    const drawer = [pack('wide', 'sensor-swab', 20, 24), pack('narrow', 'sensor-swab', 20, 16)];
    expect(outlookOf(drawer, { uses, waiting: [] }, NOW).map((o) => o.forecast.isKnown)).toEqual([true, false]);
  });

  it('leaves out what was longer ago than a year, and what is not over yet', () => {
    const old = [500, 480, 470, 460].map((days) => bench(days, ['lens-tissue', 9]));
    const [tissue] = outlookOf([pack('a', 'lens-tissue', 60)], { uses: [...old, bench(-3, ['lens-tissue', 50])], waiting: [] }, NOW);
    expect(tissue!.forecast).toEqual({ isKnown: false, because: 'too-few' });
  });

  it('of an empty record nothing is said; what is nearly gone is bought all the same, tools never', () => {
    const drawer = [pack('a', 'lens-tissue', 2), pack('b', 'lens-fluid', 900), pack('c', 'bulb-blower', null), pack('d', 'paper-towel', 0)];
    const outlooks = outlookOf(drawer, { uses: [], waiting: [] }, NOW);
    expect(outlooks.map((o) => [o.thing.id, o.buyWithin])).toEqual([
      ['a', 0],
      ['b', null],
      ['d', 0],
    ]);
    expect(shoppingList(outlooks).map((o) => o.thing.id)).toEqual(['a', 'd']);
    expect(materialsIn([{ id: 'bulb-blower', thingId: null, quantity: 1 }, { id: 'lens-tissue', thingId: null, quantity: 2 }])).toHaveLength(1); // prettier-ignore
  });

  it('is bought at once where what waits takes more than there is, however seldom it was used', () => {
    const needed = (least: number, most: number) => ({
      least: [{ id: 'sensor-swab' as const, thingId: 'wide', quantity: least }],
      most: [{ id: 'sensor-swab' as const, thingId: 'wide', quantity: most }],
    });
    const drawer = [pack('wide', 'sensor-swab', 10, 24), pack('narrow', 'sensor-swab', 10, 16)];
    const outlook = (waiting: ReturnType<typeof needed>[]) => outlookOf(drawer, { uses: [], waiting }, NOW);
    expect(outlook([needed(4, 8), needed(6, 9)]).map(({ waits, buyWithin }) => [waits, buyWithin])).toEqual([
      [{ least: 10, most: 17 }, 14],
      [null, null],
    ]);
    expect(outlook([needed(4, 9)]).map(({ buyWithin }) => buyWithin)).toEqual([null, null]);
    expect(outlook([needed(4, 8), needed(7, 9)]).map(({ buyWithin }) => buyWithin)).toEqual([0, null]);
  });
});

describe('what a plan will take', () => {
  it('is known for every situation of the book: no bench goes on for ever, and the least is never more than the most', () => {
    for (const { id, ...rest } of care.SITUATIONS) {
      const plan = care.planCleaning(care.requestOf({ id, ...rest }));
      for (const answer of care.ANSWERS) expect([id, care.workThrough(plan, [answer]).length < 100]).toEqual([id, true]);
      const { least, most } = neededBy(plan);
      for (const { id: material, thingId, quantity } of least) {
        const there = most.find((t) => t.id === material && t.thingId === thingId)?.quantity ?? 0;
        expect([id, material, there >= quantity]).toEqual([id, material, true]);
      }
    }
  });

  it('is what the benches of the book then took', () => {
    const plan = care.planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
    });
    const { least, most } = neededBy(plan);
    const quantities = (takings: typeof least) => takings.reduce((sum, t) => sum + t.quantity, 0);
    expect(quantities(least)).toBeGreaterThan(0);
    expect(quantities(most)).toBeGreaterThan(quantities(least));
  });
});
