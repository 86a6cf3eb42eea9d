import { describe, expect, it } from 'vitest';
import { planCleaning, type PlanRequest } from '../care/index.js';
import type { Material, Tool } from '../care/knowledge/index.js';
import { soldFor } from './drawerThing.js';
import { kitsOf, onHandAt, withinReach } from './kits.js';

const thing = (of: Tool | Material, kit: string | null) => ({
  ...{ id: `${of}/${kit ?? 'home'}`, thing: of, role: soldFor(of), state: 'clean' as const, usesSinceWash: 0, stock: null },
  ...{ packSize: null, packPrice: null, widthMm: null, note: '', kit },
});
const DRAWER = [
  thing('lens-tissue', null),
  thing('bulb-blower', 'Boat box'),
  thing('sealed-wipe', 'Belt pouch'),
  thing('bulb-blower', null),
  thing('bulb-blower', 'Belt pouch'),
];
const ids = (things: readonly { id: string }[]) => things.map(({ id }) => id);

describe('kits', () => {
  it('are those that hold something', () => {
    expect(kitsOf(DRAWER)).toEqual(['Belt pouch', 'Boat box']);
    expect(kitsOf([])).toEqual([]);
    // One kit, whoever writes its name with small letters or large.
    expect(kitsOf([{ kit: 'Boat box' }, { kit: 'boat BOX' }, {}, { kit: null }])).toEqual(['Boat box']);
    expect(ids(withinReach(DRAWER, 'field', 'BELT pouch'))).toEqual(ids(withinReach(DRAWER, 'field', 'Belt pouch')));
  });

  it('are there at home as well, after the drawer; outdoors only what is along', () => {
    expect(ids(withinReach(DRAWER, 'home', 'Belt pouch'))).toEqual([
      'lens-tissue/home',
      'bulb-blower/home',
      'bulb-blower/Boat box',
      'sealed-wipe/Belt pouch',
      'bulb-blower/Belt pouch',
    ]);
    expect(ids(withinReach(DRAWER, 'field', 'Belt pouch'))).toEqual(['sealed-wipe/Belt pouch', 'bulb-blower/Belt pouch']);
    expect(ids(withinReach(DRAWER, 'field', null))).toEqual(['bulb-blower/Boat box', 'sealed-wipe/Belt pouch', 'bulb-blower/Belt pouch']);
    expect(ids(withinReach(DRAWER, 'field', 'Nowhere'))).toEqual([]);
    const without = DRAWER.filter(({ kit }) => kit === null);
    expect(ids(withinReach(without, 'field', null))).toEqual(ids(without));
  });

  it.each([true, false])(
    'hold what they hold: nothing more is assumed out there, whether or not the drawer is all there is (%s)',
    (isAll) => {
      const told = (place: 'home' | 'field', kit: string | null, supplies = DRAWER) => onHandAt({ supplies, isAll }, place, kit);
      expect(told('field', 'Belt pouch').moreOnHand).toBe(false);
      expect(told('home', null).moreOnHand).toBe(!isAll);
      expect(told('home', null, [])).toEqual({});
      expect(told('field', null, [])).toEqual({});
      // A kit that was named and is empty has nothing.
      expect(told('field', 'Empty', [])).toEqual({ onHand: [], moreOnHand: false, kit: 'Empty' });
    },
  );

  it('decide a field plan: with a wipe the print is taken off, without one it waits for home, and what lacks is said', () => {
    const plan = (kit: string) => {
      const request: PlanRequest = {
        item: { kind: 'lens', traits: {} },
        findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }],
        place: 'field',
        ...onHandAt({ supplies: DRAWER, isAll: false }, 'field', kit),
      };
      return planCleaning(request);
    };
    expect(plan('Belt pouch').steps.map((s) => s.method)).toContain('wet-wipe');
    const boat = plan('Boat box');
    expect(boat.steps.map((s) => s.method)).not.toContain('wet-wipe');
    expect(boat.missing.map((m) => m.material ?? m.tool)).toContain('sealed-wipe');
    expect(boat.deferred).toMatchObject([{ surface: 'front-glass', until: 'home' }]);
  });
});
