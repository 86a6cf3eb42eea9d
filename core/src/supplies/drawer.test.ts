import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planCleaning, TOOLS, type CleaningPlan, type Tool } from '../care/index.js';
import { consumptionOf, isFit, mayDemote, mayTouch, onHandFrom, takeFrom, USES_BEFORE_WASH, washed, type DrawerThing } from './index.js';

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
    [{ id: 'body-cloth' }, 'front-glass', false],
    [{ id: 'glass-cloth' }, 'front-glass', true],
    [{ id: 'glass-cloth', role: 'shell' }, 'front-glass', false],
    [{ id: 'glass-cloth', role: 'shell' }, 'barrel', true],
    [{ id: 'glass-cloth', state: 'dirty' }, 'front-glass', false],
    [{ id: 'bulb-blower' }, 'sensor-cover', true],
    [{ id: 'glass-brush' }, 'sensor-cover', false],
    [{ id: 'sensor-swab' }, 'front-glass', false],
  ] as const)('%j on %s: %s', (thing, surface, ok) => {
    const answer = mayTouch(thing, surface);
    expect(answer.ok).toBe(ok);
    if (!ok) expect(answer.reason).toMatch(/\.$/);
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
    expect(two.steps.map((s) => s.tool)).toEqual(['bulb-blower', 'glass-cloth']);
    expect(plan([blower, pack('lens-fluid', 10), { ...cloth, role: 'shell' }]).steps).toEqual([]);
  });

  it('reckons the cost by what the pack cost', () => {
    const priced = plan([blower, { ...pack('lens-fluid', 10), packPrice: 100, packSize: 10 }, cloth]);
    expect(priced.totals.cost).toBe(40);
  });
});

describe('what a cleaning takes', () => {
  it('counts a step tried twice twice', () => {
    const made = planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
    });
    const [blow, wipe] = made.steps.map((s) => s.id) as [string, string];
    expect(consumptionOf(made, [blow, wipe, wipe])).toEqual({
      materials: { 'lens-fluid': 8, 'lens-tissue': 4 },
      tools: { 'bulb-blower': 1 },
    });
  });

  it('never takes below nothing, takes all there is, and tells what was lacking', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(20), { maxLength: 4 }), fc.nat(60), (stocks, used) => {
        const packs = stocks.map((s) => pack('lens-fluid', s));
        const held = stocks.reduce((a, b) => a + b, 0);
        const { draws, short } = takeFrom(packs, { materials: { 'lens-fluid': used }, tools: {} });
        for (const d of draws) expect(d.stock).toBeGreaterThanOrEqual(0);
        const taken = draws.reduce((sum, d) => sum + d.thing.stock! - d.stock, 0);
        expect(taken).toBe(Math.min(used, held));
        expect(short).toEqual(stocks.length > 0 && held < used ? [{ material: 'lens-fluid', used, held }] : []);
      }),
      { seed: 4875 },
    );
  });
});
