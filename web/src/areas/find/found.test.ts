import type { Place, ShelfItem, Supply } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { BARE_PAGES, PAGES } from '../../pages';
import { pageOf } from '../../testing/kept';
import { foundBy, isFoundBy, NAMED_PAGES, says } from './found';

const NOTHING = { things: [], places: [], supplies: [] };
const names = (text: string, known: Partial<Parameters<typeof foundBy>[1]> = {}) =>
  foundBy(text, { ...NOTHING, ...known }).map(({ title, found }) => [title, found.map((f) => f.name)]);

describe('finding anything', () => {
  it('leads to pages that are there', () => {
    const known = [...PAGES, ...BARE_PAGES].map((p) => p.path);
    for (const to of NAMED_PAGES) expect(known).toContain(to);
  });

  it('finds nothing by nothing, and offers the handbook by anything', () => {
    expect(names('  ')).toEqual([]);
    expect(names('xyzzy')).toEqual([['Handbook', ['Ask the handbook: “xyzzy”']]]);
    expect(foundBy('a & b', NOTHING).at(-1)!.found[0]!.to).toBe('/handbook?search=a%20%26%20b');
  });

  it('finds places, supplies and pages by words in any order, the things first', () => {
    const places = [{ id: 'p', name: 'Oak cupboard', note: 'in the hall' }] as unknown as Place[];
    const supplies = [{ id: 's', thing: care.MATERIAL_IDS[0], note: '' }] as unknown as Supply[];
    const things = [pageOf('00000000-0000-4000-8000-000000000001', { name: 'Oak-handled loupe' })] as ShelfItem[];
    expect(names('oak', { places, things })).toEqual([
      ['Things', ['Oak-handled loupe']],
      ['Places', ['Oak cupboard']],
      ['Handbook', ['Ask the handbook: “oak”']],
    ]);
    expect(names('hall oak', { places })[0]).toEqual(['Places', ['Oak cupboard']]);
    expect(names('insurance')[0]).toEqual(['Pages', ['Print the inventory']]);
    expect(names(care.thingName(care.MATERIAL_IDS[0]!), { supplies })[0]![0]).toBe('Supplies');
  });

  it('out of reach, finds a thing by what was told of it', () => {
    const item = pageOf('00000000-0000-4000-8000-000000000002', {
      name: 'Lens',
      notes: 'from the estate',
      particulars: { serial: 'KX-55', tags: ['walks'], massG: 150 },
    });
    for (const text of ['kx-5', 'WALKS', 'estate lens']) expect(isFoundBy(item, text), text).toBe(true);
    expect(isFoundBy(item, '150')).toBe(false);
    expect(says('a b', 'b a')).toBe(true);
  });
});
