import { routes, type Supply } from '@bright-keeper/contract';
import { care, type supplies } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { SuppliesPage } from './SuppliesPage';

afterEach(endPage);

const supply = (id: string, thing: care.Tool | care.Material, more: Partial<Supply> = {}): Supply => ({
  id,
  version: 1,
  thing,
  role: care.thingFacts(thing).role,
  state: 'clean',
  usesSinceWash: 0,
  stock: null,
  packSize: null,
  packPrice: null,
  openedOn: null,
  widthMm: null,
  note: '',
  kit: null,
  ...more,
});
const settings = settingsIn('NOK');
const show = (supplies: Supply[], more: Record<string, Handler> = {}) =>
  showPage(SuppliesPage, '/supplies', '/supplies', {
    [`GET ${routes.supplies}`]: { supplies, isAll: false, along: null },
    [`GET ${routes.settings}`]: settings,
    [`GET ${routes.benchUses}`]: { uses: [] },
    [`GET ${routes.waitingCleans}`]: { waiting: [] },
    ...more,
  });
const row = (name: RegExp) => screen.findByRole('row', { name });

describe('the drawer', () => {
  it('stands in a table for each role: what touches glass apart from what touches shells', async () => {
    show([supply('1', 'glass-cloth', { usesSinceWash: 3 }), supply('2', 'body-cloth'), supply('3', 'lens-tissue', { stock: 34 })]);
    const glass = await screen.findByRole('table', { name: 'For glass' });
    expect(within(glass).getByRole('row', { name: /Microfibre kept for glass 3 of 10 uses since its wash/ })).toBeTruthy();
    expect(within(glass).getByRole('row', { name: /Lens tissue 34 sheets left/ })).toBeTruthy();
    expect(within(glass).queryByText(/Body cloth/)).toBeNull();
    expect(screen.getByRole('table', { name: 'For shells' })).toBeTruthy();
  });

  it.each([
    ['Washed', routes.supplyWash('1'), { version: 1 }],
    ['It touched a shell', routes.supplyDemote('1'), { version: 1 }],
  ] as const)('says what happened to a cloth in one tap: %s', async (name, path, body) => {
    const page = show([supply('1', 'glass-cloth')], { [`POST ${path}`]: supply('1', 'glass-cloth') });
    fireEvent.click(within(await row(/Microfibre kept for glass/)).getByRole('button', { name }));
    await waitFor(() => expect(page.written().map((c) => c.path)).toEqual([path]));
    expect(page.written()[0]!.body).toMatchObject(body);
  });

  it('is told of a wash of an earlier day, and says what then stays with shells', async () => {
    const path = routes.supplyWash('1');
    const page = show([supply('1', 'glass-cloth', { role: 'shell' })], { [`POST ${path}`]: supply('1', 'glass-cloth') });
    const cloth = within(await row(/used on a shell/));
    fireEvent.click(cloth.getByRole('button', { name: 'Washed earlier…' }));
    expect(cloth.getByText(/stays with shells until it is washed again/)).toBeTruthy();
    fireEvent.change(cloth.getByLabelText('It was washed on'), { target: { value: '2026-01-02T18:00' } });
    fireEvent.click(cloth.getByRole('button', { name: 'Done then' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ version: 1, at: expect.stringMatching(/^2026-01-02T/) }));
    await waitFor(() => expect(cloth.queryByLabelText('It was washed on')).toBeNull());
  });

  it('gives the row way to its form, with what a pack costs in the keeper’s currency', async () => {
    const page = show([supply('1', 'lens-tissue', { stock: 34 })], {
      [`PUT ${routes.supply('1')}`]: supply('1', 'lens-tissue', { stock: 30 }),
    });
    fireEvent.click(within(await row(/Lens tissue/)).getByRole('button', { name: 'Edit' }));
    expect(await screen.findByLabelText('A pack costs, NOK')).toBeTruthy();
    fireEvent.change(screen.getByLabelText(/How much is left/), { target: { value: '30' } });
    fireEvent.change(screen.getByLabelText('A pack costs, NOK'), { target: { value: '49,50' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ stock: 30, packPrice: 49.5, version: 1 }));
  });

  it('says why something could not be done, and keeps it there', async () => {
    const refused = new Refusal({ status: 409, code: 'stale', title: 'This was changed elsewhere in the meantime' });
    show([supply('1', 'glass-cloth')], { [`POST ${routes.supplyWash('1')}`]: refused });
    fireEvent.click(within(await row(/Microfibre kept for glass/)).getByRole('button', { name: 'Washed' }));
    expect(await screen.findByText('This was changed elsewhere in the meantime')).toBeTruthy();
    expect(await row(/Microfibre kept for glass/)).toBeTruthy();
  });

  it('offers drawers to begin with while it is empty', async () => {
    show([]);
    expect((await screen.findAllByRole('button', { name: 'Begin with this' })).length).toBe(4);
  });
});

describe('how long things last', () => {
  const bench = (daysAgo: number, id: care.Material, quantity: number) => ({
    at: new Date(Date.now() - daysAgo * 86_400_000).toISOString(),
    takings: [{ id, thingId: null, quantity }],
  });

  it('is told by what the benches took, with how far it may be off; of what nobody counted it says what to do', async () => {
    const uses = Array.from({ length: 13 }, (_, i) => bench(130 - 10 * i, 'lens-tissue', 2));
    show([supply('1', 'lens-tissue', { stock: 60, packSize: 50, packPrice: 45 }), supply('2', 'lens-fluid')], {
      [`GET ${routes.benchUses}`]: { uses },
    });
    const table = await screen.findByRole('table', { name: 'How long it lasts' });
    // Twelve benches of two sheets in 130 days.
    expect(
      within(table).getByRole('row', { name: /Lens tissue 60 sheets About 11 months as it is used now; nine times in ten/ }),
    ).toBeTruthy();
    expect(within(table).queryByText(/Lens fluid/)).toBeNull();
    expect(screen.getByText(/^Lens fluid: Say how much is left/)).toBeTruthy();
    expect(screen.queryByText('To buy')).toBeNull();
  });

  it('is told beside what waits to be cleaned, and too little for that is bought now', async () => {
    const needed = (id: care.Material, least: number, most: number): supplies.Needed => ({
      least: [{ id, thingId: null, quantity: least }],
      most: [{ id, thingId: null, quantity: most }],
    });
    const uses = Array.from({ length: 13 }, (_, i) => bench(130 - 10 * i, 'lens-tissue', 2));
    show([supply('1', 'lens-tissue', { stock: 60 }), supply('2', 'sensor-swab', { stock: 5, widthMm: 24 })], {
      [`GET ${routes.benchUses}`]: { uses },
      [`GET ${routes.waitingCleans}`]: { waiting: [needed('lens-tissue', 2, 4), needed('lens-tissue', 1, 1), needed('sensor-swab', 6, 9)] },
    });
    const table = await screen.findByRole('table', { name: 'How long it lasts' });
    expect(within(table).getByText('What waits to be cleaned takes 3 to 5 sheets.')).toBeTruthy();
    const bought = screen.getByRole('listitem');
    expect(bought.textContent).toMatch(/^Sensor swab.*, nowWhat waits to be cleaned takes 6 to 9 swabs\. 5 swabs left\.$/);
  });

  it('puts what is nearly gone on a list, with the pack that was bought before', async () => {
    show([supply('1', 'lens-tissue', { stock: 2, packSize: 50, packPrice: 45 })]);
    expect(await screen.findByText(/^Lens tissue: 50 sheets for NOK/)).toBeTruthy();
    expect(within(screen.getByRole('list')).getByText('now')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Copy the list' })).toBeTruthy();
  });
});
