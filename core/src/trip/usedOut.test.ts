import { describe, expect, it } from 'vitest';
import type { DrawerThing } from '../supplies/index.js';
import { usedOut } from './usedOut.js';

type Pack = DrawerThing & { id: string };
const pack = (id: string, more: Partial<Pack>): Pack =>
  ({ id, thing: 'sealed-wipe', role: 'glass', state: 'clean', stock: 9, kit: null, widthMm: null, ...more }) as Pack;
const bench = (at: string, ...takings: [id: string, thingId: string, quantity: number][]) => ({
  at,
  takings: takings.map(([id, thingId, quantity]) => ({ id: id as never, thingId, quantity })),
});
const OUTING = { from: '2026-03-09', to: '2026-03-10', kit: 'Belt pouch' };
const zone = 'Europe/Berlin';

describe('what went of a kit on an outing', () => {
  const drawer = [
    pack('out', { kit: 'belt pouch' }),
    pack('home', { stock: 30 }),
    pack('more', { stock: 4 }),
    pack('other-kit', { kit: 'Car', stock: 50 }),
    pack('swabs', { thing: 'cotton-swab', kit: 'Belt pouch', stock: null }),
    pack('cloth', { thing: 'glass-cloth', kit: 'Belt pouch', stock: null }),
    pack('home-swabs', { thing: 'cotton-swab', stock: null }),
  ];
  const uses = [
    // A quarter to midnight of the day before in Berlin, and of the last day.
    bench('2026-03-08T22:45:00Z', ['sealed-wipe', 'out', 7]),
    bench('2026-03-09T18:00:00Z', ['sealed-wipe', 'out', 2], ['glass-cloth', 'cloth', 1]),
    bench('2026-03-10T22:45:00Z', ['sealed-wipe', 'out', 1], ['cotton-swab', 'swabs', 3], ['sealed-wipe', 'home', 1]),
    bench('2026-03-10T23:15:00Z', ['sealed-wipe', 'out', 5]),
  ];
  const told = (kit: string | null) =>
    usedOut({ ...OUTING, kit }, uses, drawer, zone).map(({ pack: p, used, atHome }) => [p.id, used, atHome]);

  it('is what its benches took of its packs on its days, with what of the same lies at home; a cloth is washed, not used up', () => {
    expect(told('Belt pouch')).toEqual([
      ['out', 3, 34],
      ['swabs', 3, null],
    ]);
  });
  it('is nothing of a kit nothing was taken from, nor without one', () => {
    expect(told('Car')).toEqual([]);
    expect(told(null)).toEqual([]);
  });
  it('is to be bought where none of it lies at home', () => {
    expect(usedOut(OUTING, uses, drawer.slice(0, 1), zone)).toMatchObject([{ used: 3, atHome: 0 }]);
  });
});
