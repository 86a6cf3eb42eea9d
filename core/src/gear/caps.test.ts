import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { capsAndHoods, type Holding } from './caps.js';
import { jointsOf } from './fit.js';

const thing = (id: string, kind: Holding['kind'], particulars: Holding['particulars'], more: Partial<Holding> = {}): Holding => ({
  ...{ id, kind, particulars, belongsTo: null, hoodFitted: false, lost: [] },
  ...more,
});

describe('caps and hoods', () => {
  it('a lost cap is replaced by a spare one of its thread or mount, and told with its size where there is none (common practice)', () => {
    const { wanted, spare } = capsAndHoods([
      thing('wide', 'lens', { threadMm: 67, mount: 'Lantern K' }, { lost: ['front-cap', 'rear-cap'] }),
      thing('tele', 'lens', { threadMm: 77 }, { lost: ['front-cap', 'rear-cap'] }),
      thing('body', 'slr-body', { takesMount: 'Lantern K' }, { lost: ['body-cap'] }),
      thing('cap 67', 'accessory', { part: 'front-cap', threadMm: 67, count: 2 }),
      thing('its own', 'accessory', { part: 'front-cap', threadMm: 77 }, { belongsTo: 'another' }),
      thing('rear', 'accessory', { part: 'rear-cap', mount: 'lantern-k' }),
      thing('ring', 'accessory', { threadMm: 77, takesThreadMm: 82 }),
    ]);
    expect(wanted).toEqual([
      { of: 'wide', cap: 'front-cap', size: { threadMm: 67 }, spare: 'cap 67' },
      { of: 'wide', cap: 'rear-cap', size: { mount: 'Lantern K' }, spare: 'rear' },
      { of: 'tele', cap: 'front-cap', size: { threadMm: 77 }, spare: null },
      { of: 'tele', cap: 'rear-cap', size: null, spare: null },
      { of: 'body', cap: 'body-cap', size: { mount: 'Lantern K' }, spare: null },
    ]);
    expect(spare).toEqual([
      { id: 'cap 67', left: 1 },
      { id: 'rear', left: 0 },
    ]);
  });

  it('a lens has a hood of its own or one that belongs to it; where no hood is written down, nothing is said of any', () => {
    const lenses = [thing('bare', 'lens', {}), thing('fitted', 'lens', {}, { hoodFitted: true }), thing('with', 'lens', {})];
    expect(capsAndHoods([thing('bare', 'lens', {})]).hoodless).toEqual([]);
    expect(capsAndHoods([...lenses, thing('hood', 'accessory', { part: 'hood' }, { belongsTo: 'with' })])).toMatchObject({
      hoodless: ['bare'],
      spare: [],
    });
  });

  it('replaces no two caps by one, and never by one of another size', () => {
    const mm = fc.constantFrom(52, 58, 67);
    fc.assert(
      fc.property(fc.array(mm), fc.array(fc.tuple(mm, fc.integer({ min: 1, max: 3 }))), (lenses, caps) => {
        const shelf = [
          ...lenses.map((threadMm, i) => thing(`lens ${i}`, 'lens', { threadMm }, { lost: ['front-cap'] })),
          ...caps.map(([threadMm, count], i) => thing(`cap ${i}`, 'accessory', { part: 'front-cap', threadMm, count })),
        ];
        const { wanted, spare } = capsAndHoods(shelf);
        for (const size of [52, 58, 67]) {
          const there = caps.filter(([threadMm]) => threadMm === size).reduce((sum, [, count]) => sum + count, 0);
          const lost = lenses.filter((threadMm) => threadMm === size).length;
          const replaced = wanted.filter((w) => w.spare !== null && w.size !== null && 'threadMm' in w.size && w.size.threadMm === size);
          // As many as there are on both sides: no fewer would be the best.
          expect(replaced).toHaveLength(Math.min(there, lost));
          for (const { spare: cap } of replaced) expect(shelf.find(({ id }) => id === cap)!.particulars.threadMm).toBe(size);
          const left = spare.filter(({ id }) => shelf.find((t) => t.id === id)!.particulars.threadMm === size);
          expect(left.reduce((sum, s) => sum + s.left, 0)).toBe(there - replaced.length);
        }
      }),
    );
  });

  it('a cap with a mount is no lens that goes on a body', () => {
    const shelf = [thing('body', 'slr-body', { takesMount: 'K' }), thing('cap', 'accessory', { part: 'body-cap', mount: 'K' })];
    expect(jointsOf(shelf)).toEqual([]);
  });
});
