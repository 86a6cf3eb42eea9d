import { gear } from '@bright-keeper/core';
import { afterEach, describe, expect, it } from 'vitest';
import { replaceOutside } from '../../outside';
import { filtersOf, groupTitle, recalledFilters, recalledView, rememberFilters, rememberView, type ShelfView } from './shelfView';

const remembering = (kept: string | null) => {
  const store = new Map(kept === null ? [] : [['shelf-view', kept]]);
  replaceOutside({
    recall: (key) => store.get(key) ?? null,
    remember: (key, value) => void (value === null ? store.delete(key) : store.set(key, value)),
  });
};
afterEach(() => replaceOutside({}));

describe('how the shelf is laid out', () => {
  it('stays as it was chosen', () => {
    remembering(null);
    const view: ShelfView = { layout: 'cards', columns: ['serial', 'worth'], sort: 'due', by: 'tag' };
    rememberView(view);
    expect(recalledView()).toEqual(view);
  });

  it.each(['', 'nonsense', '[]', 'null', '{"layout":"moon","columns":[1,"kind","toString"],"sort":"x","by":"constructor"}'])(
    'is as usual where %j is remembered, but for what we know of it',
    (kept) => {
      remembering(kept);
      expect(recalledView()).toMatchObject({ layout: 'auto', sort: '', by: null });
      expect(['kind', 'kind,needs,due']).toContain(recalledView().columns.join());
    },
  );

  it('keeps what leaves things out, and neither a search nor an order', () => {
    remembering(null);
    expect(recalledFilters()).toBe('');
    rememberFilters(new URLSearchParams('search=lost&kind=lens&sort=due&tag=&due=week&script=1'));
    expect(recalledFilters()).toBe('kind=lens&due=week');
    rememberFilters(new URLSearchParams());
    expect(recalledFilters()).toBe('');
  });

  it.each(gear.GROUPINGS)('by %s: what has no such is named, and filtered to by a filter of its own', (by) => {
    const none = filtersOf(by, null, { search: 'x' });
    expect(Object.keys(none)).toHaveLength(2);
    if (by !== 'kind') expect(groupTitle(by, { key: null, name: null, lines: 1, things: 1, worth: { sum: 0, known: 0 } })).not.toBe('');
  });
});
