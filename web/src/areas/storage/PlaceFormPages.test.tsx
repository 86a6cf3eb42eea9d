import { routes } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { AddPlacePage, EditPlacePage } from './PlaceFormPages';

afterEach(endPage);

const SHELF = '01998ebe-4141-7000-8005-0c0000000143';
const shelf = {
  id: SHELF,
  version: 3,
  name: 'Open shelf',
  kind: 'shelf',
  volumeL: 400,
  airChangesPerDay: null,
  openingsPerWeek: 0,
  lining: 'none',
  lowPct: 35,
  highPct: 60,
  standsInId: null,
  note: 'By the door',
  archivedAt: null,
};
const box = { ...shelf, id: 'b', version: 1, name: 'Gasket box', kind: 'sealed-box', volumeL: 20, standsInId: SHELF, note: '' };
const PLACES = { [`GET ${routes.places}`]: { places: [shelf, box] } };

const add = (address: string, more: Record<string, Handler> = {}) =>
  showPage(AddPlacePage, '/storage/new', address, { ...PLACES, [`POST ${routes.places}`]: { ...shelf, id: 'n' }, ...more });
const edit = (more: Record<string, Handler> = {}) =>
  showPage(EditPlacePage, '/storage/:id/edit', '/storage/b/edit', { ...PLACES, ...more });
const field = (label: string) => screen.findByLabelText<HTMLInputElement>(label);
const type = async (label: string, value: string) => fireEvent.change(await field(label), { target: { value } });

describe('a new place', () => {
  it('takes the usual size of what it is, and keeps a size that was typed', async () => {
    add('/storage/new');
    await type('What it is', 'sealed-box');
    const usual = (await field('Volume, litres')).value;
    expect(Number(usual)).toBeGreaterThan(0);
    await type('What it is', 'cupboard');
    expect((await field('Volume, litres')).value).not.toBe(usual);
    await type('Volume, litres', '123');
    await type('What it is', 'dry-cabinet');
    expect((await field('Volume, litres')).value).toBe('123');
  });

  it('asks for changes of air only of what can be closed', async () => {
    add('/storage/new');
    await field('Name');
    expect(screen.queryByLabelText('Changes of air a day')).toBeNull();
    await type('What it is', 'sealed-box');
    expect(await field('Changes of air a day')).toBeTruthy();
  });

  it('is kept as it was typed, a comma for a point, and leads on to its first reading where one came for that', async () => {
    const page = add('/storage/new?then=hygrometer');
    await type('Name', 'Attic box');
    await type('What it is', 'sealed-box');
    await type('Volume, litres', '12,5');
    await type('Changes of air a day', '0,4');
    await type('Stands in', SHELF);
    fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(page.address()).toBe('/storage/n'));
    expect(page.written()[0]!.body).toMatchObject({
      name: 'Attic box',
      kind: 'sealed-box',
      volumeL: 12.5,
      airChangesPerDay: 0.4,
      standsInId: SHELF,
    });
  });

  it('says beside the field what is missing, and sends nothing', async () => {
    const page = add('/storage/new');
    await type('Should stay below, %', '140');
    fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
    await waitFor(() => expect(document.querySelectorAll('[aria-invalid="true"]').length).toBe(2));
    expect((await field('Should stay below, %')).value).toBe('140');
    expect(page.written()).toEqual([]);
  });
});

describe('a place that is changed', () => {
  it('begins as it is, cannot stand in itself, and goes back to its page with what was changed', async () => {
    const page = edit({ [`PUT ${routes.place('b')}`]: (sent: object) => ({ ...box, ...sent, version: 2 }) });
    expect((await field('Name')).value).toBe('Gasket box');
    expect([...(await screen.findByLabelText<HTMLSelectElement>('Stands in')).options].map((o) => o.text)).toEqual([
      'no place we know',
      'Open shelf',
    ]);
    await type('Note', 'Lid by the window');
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(page.address()).toBe('/storage/b'));
    expect(page.written()[0]!.body).toMatchObject({ version: 1, note: 'Lid by the window', name: 'Gasket box' });
  });

  it('says that somebody else was quicker, and keeps what was typed', async () => {
    edit({ [`PUT ${routes.place('b')}`]: new Refusal({ status: 409, code: 'stale' }) });
    await type('Name', 'Gasket box II');
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText(/changed elsewhere in the meantime/)).toBeTruthy();
    expect((await field('Name')).value).toBe('Gasket box II');
  });

  it('puts a refusal of the server beside its field', async () => {
    const refused = new Refusal({ status: 422, code: 'stands-in-itself', fields: { standsInId: 'That one stands in this one.' } });
    edit({ [`PUT ${routes.place('b')}`]: refused });
    await field('Name');
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    expect(await screen.findByText('That one stands in this one.')).toBeTruthy();
  });
});
