import { describe, expect, it } from 'vitest';
import type { Material, Tool } from '../care/knowledge/index.js';
import { soldFor } from '../supplies/index.js';
import { heldOf } from './held.js';

const thing = (of: Tool | Material, kit: string | null, more: object = {}) => ({
  ...{ thing: of, role: soldFor(of), state: 'clean' as const, usesSinceWash: 0, stock: null, packPrice: null, packSize: null, kit },
  ...more,
});

describe('what is there of all that may be carried', () => {
  it('lies in the kit that goes along, else at home, else in another kit', () => {
    const drawer = [thing('bulb-blower', 'Boat box'), thing('bulb-blower', null), thing('carbon-pen', 'Boat box')];
    expect(heldOf(drawer, 'boat box')).toEqual([
      { id: 'blower', kit: 'Boat box' },
      { id: 'carbon-pen', kit: 'Boat box' },
    ]);
    expect(heldOf(drawer, 'Belt pouch')).toEqual([
      { id: 'blower', kit: null },
      { id: 'carbon-pen', kit: 'Boat box' },
    ]);
    expect(heldOf([], null)).toEqual([]);
  });

  it('is not what is used up, dirty, or due for a wash', () => {
    expect(heldOf([thing('sealed-wipe', null, { stock: 0 })], null)).toEqual([]);
    expect(heldOf([thing('glass-cloth', null, { state: 'dirty' })], null)).toEqual([]);
    expect(heldOf([thing('glass-cloth', null, { usesSinceWash: 10 })], null)).toEqual([]);
    expect(heldOf([thing('sealed-wipe', null, { stock: 3 })], null)).toEqual([{ id: 'wet-wipes', kit: null }]);
  });
});
