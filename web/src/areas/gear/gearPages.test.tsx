import { routes, type Shelf, type ShelfItem } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { AddItemPage } from './AddItemPage';
import { ShelfPage } from './ShelfPage';

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
      status: 'in-use',
      surfaces: [],
      verdict: null,
      nextDue: null,
      ...more,
    }) as unknown as ShelfItem;
  const show = (items: ShelfItem[], query = '', total = items.length) =>
    showPage(ShelfPage, '/gear', `/gear${query}`, { [`GET ${routes.gear}`]: { items, nextCursor: null, total } satisfies Shelf });

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
