import { routes, type ItemInput, type Shelf, type ShelfItem, type Vocabulary } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { idOf, pageOf } from '../../testing/kept';
import { settingsIn } from '../../testing/settings';
import { AddItemPage } from './AddItemPage';
import { ShelfPage } from './ShelfPage';
import { recalledFilters, rememberFilters } from './shelfView';

afterEach(endPage);

const settings = settingsIn('NOK');

describe('a new thing', () => {
  const show = (query: string, more: Record<string, Handler> = {}) =>
    showPage(AddItemPage, '/gear/new', `/gear/new${query}`, {
      [`GET ${routes.settings}`]: settings,
      [`POST ${routes.gear}`]: { id: 'n1' },
      ...more,
    });
  const named = (name: string) => fireEvent.change(screen.getByRole('textbox', { name: 'Name' }), { target: { value: name } });

  it('is put on the shelf, and shown', async () => {
    const page = show('');
    named('Corvane 35/2');
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(page.address()).toBe('/gear/n1'));
    expect(page.written().map((c) => c.path)).toEqual([routes.gear]);
    expect(page.written()[0]!.body).toMatchObject({ name: 'Corvane 35/2', kind: 'lens' });
  });

  it('that bothers one is looked at without another tap', async () => {
    const page = show('?then=look', { [`POST ${routes.looks}`]: { id: 'look-1' } });
    named('Corvane 35/2');
    fireEvent.click(screen.getByRole('button', { name: 'Look at it' }));
    await waitFor(() => expect(page.address()).toBe('/look/look-1'));
    expect(page.written().map((c) => c.path)).toEqual([routes.gear, routes.looks]);
  });

  it('asks for its worth in the keeper’s currency', async () => {
    show('');
    expect(await screen.findByLabelText(/^Value, NOK/)).toBeTruthy();
    expect(screen.getByLabelText(/^Service price, NOK/)).toBeTruthy();
  });

  it('without a name is refused beside the field, and nothing is sent', async () => {
    const page = show('');
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    expect(await screen.findByText('This must not be empty.')).toBeTruthy();
    expect(page.written()).toEqual([]);
  });

  const open = (group: RegExp) => fireEvent.click(screen.getByRole('button', { name: group }));
  const type = (label: string | RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

  it('takes its number, tags, thread and price where one wants to say them, and nothing of the rest', async () => {
    const page = show('', { [`GET ${routes.gearVocabulary}`]: { tags: [{ tag: 'kit', things: 2 }], words: { mount: ['Arc'] } } });
    named('Corvane 35/2');
    fireEvent.click(screen.getByRole('button', { name: /^Add its number/ }));
    open(/^Maker, serial/);
    type('Serial number', '  K 11-204 ');
    type('Tags', 'kit, her lenses,,');
    expect(await screen.findByText('In use: kit.')).toBeTruthy();
    open(/^What it fits/);
    type('Filter thread, mm', '40,5');
    open(/^Bought/);
    type('Paid, NOK', '900');
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(page.address()).toBe('/gear/n1'));
    expect((page.written()[0]!.body as ItemInput).particulars).toEqual({
      serial: 'K 11-204',
      tags: ['kit', 'her lenses'],
      threadMm: 40.5,
      paid: 900,
    });
  });

  it('opens what is refused though it was folded, and says why beside the field', async () => {
    const page = show('', { [`GET ${routes.gearVocabulary}`]: { tags: [], words: {} } });
    named('Corvane 35/2');
    fireEvent.click(screen.getByRole('button', { name: /^Add its number/ }));
    open(/^What it fits/);
    type('Filter thread, mm', 'wide');
    open(/^What it fits/);
    expect(screen.queryByLabelText('Filter thread, mm')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    const field = await screen.findByLabelText<HTMLInputElement>('Filter thread, mm');
    expect(field.value).toBe('wide');
    expect(field.getAttribute('aria-invalid')).toBe('true');
    expect(page.written()).toEqual([]);
  });

  it('of another kind leaves behind what that does not have', async () => {
    const page = show('', { [`GET ${routes.gearVocabulary}`]: { tags: [], words: {} } });
    named('Corvane');
    fireEvent.click(screen.getByRole('button', { name: /^Add its number/ }));
    open(/^What it fits/);
    type('Goes on mount', 'Arc');
    open(/^Maker, serial/);
    type('Maker', 'Corvane');
    fireEvent.click(screen.getByRole('radio', { name: 'filter' }));
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(page.written()).toHaveLength(1));
    expect(page.written()[0]!.body).toMatchObject({ kind: 'filter', particulars: { maker: 'Corvane' } });
  });

  it('like another has what two of them share, and asks for what is of one alone', async () => {
    const before = pageOf(idOf(1), {
      name: 'ND 64',
      kind: 'filter',
      traits: { coating: 'single' },
      particulars: { maker: 'Corvane', threadMm: 77, serial: '12', paid: 80 },
    });
    const page = show(`?like=${before.id}`, {
      [`GET ${routes.item(before.id)}`]: before,
      [`GET ${routes.gearVocabulary}`]: { tags: [], words: {} },
    });
    expect(await screen.findByText(/^Like ND 64/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    await waitFor(() => expect(page.written()).toHaveLength(1));
    const sent = page.written()[0]!.body as ItemInput;
    expect([sent.name, sent.kind, sent.particulars]).toEqual(['ND 64', 'filter', { maker: 'Corvane', threadMm: 77 }]);
    expect(sent.traits.coating).toBe('single');
  });

  it('keeps everything that was typed when the server refuses it', async () => {
    show('', {
      [`POST ${routes.gear}`]: new Refusal({
        status: 400,
        code: 'bad-input',
        title: 'Some fields need another look',
        fields: { name: 'Too long.' },
      }),
    });
    named('Corvane');
    fireEvent.click(screen.getByRole('button', { name: 'Put it on the shelf' }));
    expect(await screen.findByText('Too long.')).toBeTruthy();
    expect(screen.getByDisplayValue('Corvane')).toBeTruthy();
  });
});

describe('the shelf', () => {
  const item = (id: string, more: Partial<ShelfItem> = {}): ShelfItem =>
    ({
      id,
      name: `Lens ${id}`,
      kind: 'lens',
      traits: {},
      particulars: {},
      status: 'in-use',
      surfaces: [],
      verdict: null,
      nextDue: null,
      ...more,
    }) as unknown as ShelfItem;
  const show = (items: ShelfItem[], query = '', tags: Vocabulary['tags'] = []) =>
    showPage(ShelfPage, '/gear', `/gear${query}`, {
      [`GET ${routes.gear}`]: { items, nextCursor: null, total: items.length } satisfies Shelf,
      [`GET ${routes.gearVocabulary}`]: { tags, words: {} } satisfies Vocabulary,
    });

  it('is a table of things with their last verdict and what comes next', async () => {
    show([item('1', { verdict: 'clean' }), item('2', { status: 'quarantined', verdict: 'isolate' })]);
    expect(await screen.findByRole('table', { name: 'The shelf' })).toBeTruthy();
    expect(screen.getByRole('row', { name: /^Lens 1 lens Clean it –$/ })).toBeTruthy();
    expect(screen.getByRole('row', { name: /^Lens 2 ?quarantine lens Isolate –$/ })).toBeTruthy();
  });

  it('is sorted by its headings where it is kept, over all its pages, and the address keeps it', async () => {
    const page = show([item('1')]);
    fireEvent.click(await screen.findByRole('button', { name: /^Next/ }));
    await waitFor(() => expect(page.address()).toBe('/gear?sort=due'));
    await waitFor(() => expect(page.calls.length).toBeGreaterThan(1));
    expect(screen.getByRole('columnheader', { name: /^Next/ }).getAttribute('aria-sort')).toBe('ascending');
  });

  describe('many at once', () => {
    const places = { places: [{ id: 'box', name: 'Gasket box' }] };
    const choose = (more: Record<string, Handler>) => {
      const items = ['1', '2', '3', '4'].map((id) => item(id));
      return showPage(ShelfPage, '/gear', '/gear', {
        [`GET ${routes.gear}`]: { items, nextCursor: null, total: 4 } satisfies Shelf,
        [`GET ${routes.gearVocabulary}`]: { tags: [], words: {} },
        [`GET ${routes.places}`]: places,
        ...more,
      });
    };
    const box = (n: number) => screen.getByRole<HTMLInputElement>('checkbox', { name: `Choose Lens ${n}` });
    const begin = async () => {
      fireEvent.click(await screen.findByRole('button', { name: 'Choose several' }));
      return screen.findByText('0 things chosen');
    };

    it('are chosen by taps and ranges, moved in one go, and taken back in one', async () => {
      const page = choose({
        [`POST ${routes.moves}`]: {
          entryIds: ['e1', 'e2'],
          refused: [
            { itemId: '3', name: 'Lens 3', because: 'lay-elsewhere', placeName: 'Bag' },
            { itemId: '4', name: 'Lens 4', because: 'quarantined' },
          ],
        },
        [`POST ${routes.movesTakenBack}`]: { takenBack: 1, kept: 1 },
      });
      await begin();
      const moveThem = screen.getByRole<HTMLButtonElement>('button', { name: 'Move them' });
      expect(moveThem.disabled).toBe(true);
      fireEvent.click(box(1));
      fireEvent.click(box(3), { shiftKey: true });
      expect(screen.getByText('3 things chosen')).toBeTruthy();
      expect(moveThem.disabled).toBe(true);
      await screen.findByRole('option', { name: 'Gasket box' });
      fireEvent.change(screen.getByLabelText('Move them to'), { target: { value: 'box' } });
      fireEvent.click(moveThem);
      expect(
        await screen.findByText(
          '2 things moved to Gasket box. Not moved: Lens 3 still lay in Bag then; Lens 4 is in quarantine and stays apart.',
        ),
      ).toBeTruthy();
      expect(page.written()[0]!.body).toEqual({ itemIds: ['1', '2', '3'], placeId: 'box', since: null });
      expect(screen.getByText('0 things chosen')).toBeTruthy();
      fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
      expect(await screen.findByText('Taken back for 1 thing. 1 thing changed since and stayed as they are.')).toBeTruthy();
      expect(page.written()[1]!.body).toEqual({ entryIds: ['e1', 'e2'] });
      expect(screen.queryByRole('button', { name: 'Take it back' })).toBe(null);
    });

    it('are told to lie there since a day, and none of tomorrow', async () => {
      const page = choose({ [`POST ${routes.moves}`]: { entryIds: ['e1'], refused: [] } });
      await begin();
      fireEvent.click(box(2));
      await screen.findByRole('option', { name: 'Gasket box' });
      fireEvent.click(screen.getByRole('button', { name: 'Not now, earlier…' }));
      fireEvent.change(screen.getByLabelText('They lie in'), { target: { value: 'box' } });
      const since = screen.getByLabelText('since');
      fireEvent.change(since, { target: { value: '2999-01-01T10:00' } });
      expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Move them' }).disabled).toBe(true);
      fireEvent.change(since, { target: { value: '2026-01-05T12:00' } });
      fireEvent.click(screen.getByRole('button', { name: 'Move them' }));
      await waitFor(() => expect(page.written()[0]!.body).toEqual({ itemIds: ['2'], placeId: 'box', since: '2026-01-05T12:00:00.000Z' }));
    });

    it('are archived, all that match, over every page of them, and put back', async () => {
      const all = ['1', '2', '3', '4'];
      const page = choose({ [`POST ${routes.gearArchive}`]: { itemIds: all }, [`POST ${routes.gearRestore}`]: { itemIds: all } });
      await begin();
      fireEvent.click(screen.getByRole('button', { name: 'Choose all 4 that match' }));
      expect(await screen.findByText('4 things chosen')).toBeTruthy();
      fireEvent.click(screen.getByRole('button', { name: 'Archive them' }));
      expect(await screen.findByText('4 things taken off the shelf.')).toBeTruthy();
      fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
      expect(await screen.findByText('Taken back for 4 things.')).toBeTruthy();
      expect(page.written().map((c) => [c.path, c.body])).toEqual([
        [routes.gearArchive, { itemIds: all }],
        [routes.gearRestore, { itemIds: all }],
      ]);
      fireEvent.click(screen.getByRole('button', { name: 'Done choosing' }));
      expect(screen.queryByRole('checkbox')).toBe(null);
    });
  });

  it('tags many at once, says which had it, and takes it back', async () => {
    const items = ['1', '2', '3'].map((id) => item(id));
    const page = showPage(ShelfPage, '/gear', '/gear', {
      [`GET ${routes.gear}`]: { items, nextCursor: null, total: 3 } satisfies Shelf,
      [`GET ${routes.gearVocabulary}`]: { tags: [], words: {} },
      [`GET ${routes.places}`]: { places: [] },
      [`POST ${routes.gearTags}`]: { itemIds: ['1', '3'] },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Choose several' }));
    await screen.findByText('0 things chosen');
    for (const n of [1, 2, 3]) fireEvent.click(screen.getByRole('checkbox', { name: `Choose Lens ${n}` }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Tag them' }).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Tag with'), { target: { value: ' trip ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Tag them' }));
    expect(await screen.findByText('2 things tagged “trip”. 1 thing had it already, or as many tags as there is room for.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    expect(await screen.findByText('Taken back for 2 things.')).toBeTruthy();
    expect(page.written().map((c) => c.body)).toEqual([
      { itemIds: ['1', '2', '3'], tag: 'trip', has: true },
      { itemIds: ['1', '3'], tag: 'trip', has: false },
    ]);
  });

  it('shows its tags, and is filtered by one; one that is asked for and gone is still named', async () => {
    const tags = [{ tag: 'kit', things: 2 }];
    const page = show([item('1', { particulars: { tags: ['kit', 'old'] } })], '', tags);
    expect(await screen.findByRole('row', { name: /^Lens 1 kit old lens/ })).toBeTruthy();
    fireEvent.change(await screen.findByLabelText('Tag'), { target: { value: 'kit' } });
    await waitFor(() => expect(page.address()).toBe('/gear?tag=kit'));
    endPage();
    show([], '?tag=gone', tags);
    expect(await screen.findByRole('option', { name: 'gone (0)' })).toBeTruthy();
  });

  it('comes back as one left it, says that something is left out, and shows all of it in one tap', async () => {
    const page = show([item('1')]);
    fireEvent.change(await screen.findByLabelText('Kind'), { target: { value: 'lens' } });
    await waitFor(() => expect(page.address()).toBe('/gear?kind=lens'));
    const kept = recalledFilters();
    endPage();
    // What a browser remembers ends with each page of a test.
    rememberFilters(new URLSearchParams(kept));
    const again = show([item('1')]);
    await waitFor(() => expect(again.address()).toBe('/gear?kind=lens'));
    expect(await screen.findByText('Only what matches is shown.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Show the whole shelf' }));
    await waitFor(() => expect(again.address()).toBe('/gear'));
    expect(screen.queryByText('Only what matches is shown.')).toBeNull();
    endPage();
    // An address that says something itself is followed as it is; a search ends with what was found.
    const other = show([item('1')], '?sort=added');
    expect(await screen.findByRole('table', { name: 'The shelf' })).toBeTruthy();
    expect(other.address()).toBe('/gear?sort=added');
  });

  it('tells an empty shelf from one on which nothing matches', async () => {
    show([]);
    expect(await screen.findByText('The shelf is empty')).toBeTruthy();
    endPage();
    const page = show([], '?kind=filter');
    fireEvent.click(await screen.findByRole('button', { name: 'Show the whole shelf' }));
    await waitFor(() => expect(page.address()).toBe('/gear'));
  });

  it('shows the whole shelf again when nothing matched what was typed, and does not search for it anew', async () => {
    const page = show([], '?search=lost');
    fireEvent.click(await screen.findByRole('button', { name: 'Show the whole shelf' }));
    const field = screen.getByRole<HTMLInputElement>('searchbox', { name: 'Search the shelf' });
    await waitFor(() => expect(field.value).toBe(''));
    fireEvent.change(field, { target: { value: 'found' } });
    await waitFor(() => expect(page.address()).toBe('/gear?search=found'));
  });
});
