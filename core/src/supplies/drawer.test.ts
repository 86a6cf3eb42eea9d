import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type BenchEvent, type CleaningPlan, planCleaning, type Tool, TOOLS } from '../care/index.js';
import {
  consumptionOf,
  isFit,
  mayDemote,
  mayTouch,
  onHandFrom,
  soldFor,
  starterFacts,
  STARTER_IDS,
  stockAmount,
  takeFrom,
  USES_BEFORE_WASH,
  washed,
  type DrawerThing,
} from './index.js';

const cloth: DrawerThing = {
  thing: 'glass-cloth',
  role: 'glass',
  state: 'clean',
  usesSinceWash: 0,
  stock: null,
  packPrice: null,
  packSize: null,
};
const pack = (thing: DrawerThing['thing'], stock: number): DrawerThing => ({ ...cloth, thing, role: 'any', stock });

/** Rule 10 of the trade: what has touched a shell never touches glass (common practice). */
describe('what a tool may touch', () => {
  it.each([
    [{ id: 'body-cloth' }, 'front-glass', { ok: false, reason: 'kept-for', role: 'shell' }],
    [{ id: 'glass-cloth' }, 'front-glass', { ok: true }],
    [{ id: 'glass-cloth', role: 'shell' }, 'front-glass', { ok: false, reason: 'kept-for', role: 'shell' }],
    [{ id: 'glass-cloth', role: 'shell' }, 'barrel', { ok: true }],
    [{ id: 'glass-cloth', state: 'dirty' }, 'front-glass', { ok: false, reason: 'not-clean' }],
    [{ id: 'bulb-blower' }, 'sensor-cover', { ok: true }],
    [{ id: 'glass-brush' }, 'sensor-cover', { ok: false, reason: 'kept-for', role: 'glass' }],
    [{ id: 'sensor-swab' }, 'front-glass', { ok: false, reason: 'kept-for', role: 'sensor' }],
  ] as const)('%j on %s: %j', (thing, surface, answer) => {
    expect(mayTouch(thing, surface)).toEqual(answer);
  });

  it('lets a glass tool be demoted and nothing be promoted', () => {
    expect(mayDemote(cloth)).toBe(true);
    for (const thing of Object.keys(TOOLS) as Tool[]) expect(mayDemote({ thing, role: 'shell' }), thing).toBe(false);
  });

  it('brings a demoted cloth back by washing, and leaves a body cloth what it is', () => {
    expect(washed({ ...cloth, role: 'shell', state: 'dirty', usesSinceWash: 9 })).toEqual(cloth);
    expect(washed({ ...cloth, thing: 'body-cloth', role: 'shell' }).role).toBe('shell');
  });

  it('counts a cloth as clean for ten uses (common practice)', () => {
    expect(isFit({ ...cloth, usesSinceWash: USES_BEFORE_WASH - 1 })).toBe(true);
    expect(isFit({ ...cloth, usesSinceWash: USES_BEFORE_WASH })).toBe(false);
    expect(isFit({ thing: 'bulb-blower', state: 'clean', usesSinceWash: 500 })).toBe(true);
  });
});

describe('the drawer as the planner sees it', () => {
  const plan = (drawer: DrawerThing[]): CleaningPlan =>
    planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
      onHand: onHandFrom(drawer),
    });
  const blower: DrawerThing = { ...cloth, thing: 'bulb-blower', role: 'any' };

  it('leaves out what is used up', () => {
    const out = plan([blower, pack('lens-fluid', 10), { ...pack('lens-tissue', 0), role: 'glass' }]);
    expect(out.missing.map((m) => m.material)).toContain('lens-tissue');
    expect(out.steps).toEqual([]);
  });

  it('takes the second cloth when the first was used on a shell', () => {
    const two = plan([blower, pack('lens-fluid', 10), { ...cloth, role: 'shell' }, cloth]);
    expect(two.steps.slice(0, 2).map((s) => s.tool)).toEqual(['bulb-blower', 'glass-cloth']);
    expect(plan([blower, pack('lens-fluid', 10), { ...cloth, role: 'shell' }]).steps).toEqual([]);
  });

  it('reckons the cost by what the pack cost: two drops for a usual front', () => {
    const priced = plan([blower, { ...pack('lens-fluid', 10), packPrice: 100, packSize: 10 }, cloth]);
    expect(priced.totals.cost).toBe(20);
  });
});

describe('what a cleaning takes', () => {
  const made = planCleaning({
    item: { kind: 'lens', traits: {} },
    place: 'home',
    findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
    onHand: onHandFrom([
      { ...cloth, thing: 'bulb-blower', role: 'any', id: 'blower' },
      { ...pack('lens-fluid', 100), id: 'bottle' },
      { ...pack('lens-tissue', 10), role: 'glass', id: 'tissues' },
    ]),
  });
  const [blow, wipe] = made.steps.map((s) => s.id) as [string, string];
  const twice: BenchEvent[] = [
    { type: 'ready' },
    { type: 'done', step: blow },
    { type: 'answer', step: blow, answer: 'no-change' },
    { type: 'done', step: wipe },
    { type: 'answer', step: wipe, answer: 'better' },
    { type: 'done', step: wipe },
  ];

  it('counts a step tried twice twice, and names the very things', () => {
    expect(consumptionOf(made, twice)).toEqual([
      { id: 'bulb-blower', thingId: 'blower', quantity: 1 },
      { id: 'lens-fluid', thingId: 'bottle', quantity: 4 },
      { id: 'lens-tissue', thingId: 'tissues', quantity: 4 },
    ]);
  });

  it('counts what was taken instead at the bench, and not what was planned', () => {
    const other: BenchEvent[] = [
      ...twice.slice(0, 3),
      { type: 'take', step: wipe, id: 'lens-tissue', thingId: 'other pack' },
      ...twice.slice(3),
    ];
    const tissue = consumptionOf(made, other).filter((t) => t.id === 'lens-tissue');
    expect(tissue).toEqual([{ id: 'lens-tissue', thingId: 'other pack', quantity: 4 }]);
  });

  it('never draws a swab from a pack of another width', () => {
    const swabs = (id: string, widthMm: number, stock: number): DrawerThing => ({
      ...pack('sensor-swab', stock),
      role: 'sensor',
      id,
      widthMm,
    });
    const drawer = [swabs('narrow', 16, 10), swabs('right', 24, 1)];
    const { draws, short } = takeFrom(drawer, [{ id: 'sensor-swab', thingId: 'right', quantity: 2 }]);
    expect(draws.map((d) => [d.thing.id, d.quantity])).toEqual([['right', 1]]);
    expect(short).toEqual([{ thing: 'sensor-swab', label: 'sensor swab, 24 mm', used: 2, held: 1 }]);
  });

  it('wears the cloth that was used, and leaves the demoted one beside it alone', () => {
    const drawer = [
      { ...cloth, id: 'demoted', role: 'shell' as const },
      { ...cloth, id: 'blue' },
    ];
    const { worn } = takeFrom(drawer, [{ id: 'glass-cloth', thingId: 'blue', quantity: 3 }]);
    expect(worn.map((w) => [w.thing.id, w.quantity])).toEqual([['blue', 3]]);
  });

  it('draws from what nobody counted without a number, and never calls it short', () => {
    const unknown = { ...pack('lens-fluid', 0), stock: null, id: 'bottle' };
    expect(takeFrom([unknown], [{ id: 'lens-fluid', thingId: 'bottle', quantity: 50 }])).toEqual({ draws: [], worn: [], short: [] });
  });

  it('never takes below nothing, takes all there is, and tells what was lacking', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(20), { minLength: 1, maxLength: 4 }), fc.nat(60), (stocks, used) => {
        const packs = stocks.map((s, i) => ({ ...pack('lens-fluid', s), id: `${i}` }));
        const held = stocks.reduce((a, b) => a + b, 0);
        const { draws, short } = takeFrom(packs, [{ id: 'lens-fluid', thingId: '0', quantity: used }]);
        for (const d of draws) expect(d.quantity).toBeLessThanOrEqual(d.thing.stock ?? 0);
        expect(draws.reduce((sum, d) => sum + d.quantity, 0)).toBe(Math.min(used, held));
        expect(short.map((s) => s.used - s.held)).toEqual(held < used ? [used - held] : []);
      }),
      { seed: 4875 },
    );
  });
});

describe('what a stock amounts to', () => {
  it('is millilitres and cleans of a fluid, pieces of the rest (20 drops to the mL, common practice)', () => {
    expect(stockAmount('lens-fluid', 1200)).toEqual({ nature: 'fluid', mL: 60, cleans: 600 });
    expect(stockAmount('lens-tissue', 34)).toEqual({ nature: 'consumable', pieces: 34, unit: 'sheet' });
  });
});

describe('a starter drawer', () => {
  it.each(STARTER_IDS)('%s takes a fingerprint off a lens by itself, and holds nothing twice', (id) => {
    const { things } = starterFacts(id);
    expect(new Set(things).size).toBe(things.length);
    const drawer = things.map((thing): DrawerThing => ({ ...cloth, thing, role: soldFor(thing), stock: null }));
    const made = planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
      onHand: onHandFrom(drawer),
    });
    expect(made.steps.length).toBeGreaterThan(1);
  });
});
