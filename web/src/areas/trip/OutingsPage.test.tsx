import { routes, type Outing } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage, type Handler } from '../../testing/page';
import { OutingsPage } from './OutingsPage';
import { outingWords } from './words';

afterEach(endPage);
const ONE = '018f0000-0000-7000-8000-000000000001';
const TWO = '018f0000-0000-7000-8000-000000000002';
const past: Outing = {
  id: 'o',
  version: 2,
  name: 'Breakwater',
  from: '2026-03-07',
  to: '2026-03-08',
  place: 'shore',
  also: [],
  weather: [],
  travel: 'own-way',
  kit: null,
  itemIds: [ONE],
  met: ['salt', 'rain'],
  frames: 240,
  lensChanges: null,
  used: {},
  hours: null,
  note: '',
};
const show = (outings: Outing[], more: Record<string, Handler> = {}, address = '/outings') =>
  showPage(
    OutingsPage,
    '/outings',
    address,
    {
      [`GET ${routes.outings}`]: outings,
      [`GET ${routes.gear}`]: {
        items: [
          { id: ONE, name: 'Lens 1' },
          { id: TWO, name: 'Lens 2' },
        ],
        nextCursor: null,
        total: 2,
      },
      ...more,
    },
    { now: () => new Date('2026-03-10T10:00:00Z') },
  );

describe('outings', () => {
  it('are told with what came along and what they met, past and to come apart', async () => {
    show([{ ...past, id: 'n', name: 'Bird island', from: '2026-03-20', to: '2026-03-21' }, past]);
    expect(await screen.findByText('To come')).toBeTruthy();
    expect(screen.getAllByText(/met salt and rain; 240 frames/).length).toBe(2);
    expect(screen.getAllByRole('link', { name: 'Lens 1' }).length).toBe(2);
  });
  it('stand under way from their first day to their last, with two days that differ', async () => {
    show([{ ...past, id: 'n', name: 'Bird island', from: '2026-03-08', to: '2026-03-10' }]);
    expect(await screen.findByRole('heading', { name: 'Under way' })).toBeTruthy();
    expect(screen.getByText(/8 Mar to 10 Mar/)).toBeTruthy();
    expect(screen.queryByRole('heading', { name: 'Past' })).toBeNull();
  });
  it('take what is tagged, and what belongs to what comes along', async () => {
    const lens = { id: ONE, name: 'Lens 1', particulars: { tags: ['walks'] }, belongsTo: null };
    const hood = { id: TWO, name: 'Hood', particulars: {}, belongsTo: ONE };
    const page = show([], {
      [`POST ${routes.outings}`]: past,
      [`GET ${routes.gear}`]: { items: [lens, hood], nextCursor: null, total: 2 },
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Note an outing' }));
    expect(screen.queryByRole('button', { name: /^And what belongs to them/ })).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'All tagged “walks”' }));
    fireEvent.click(screen.getByRole('button', { name: 'And what belongs to them (1)' }));
    expect(screen.queryByRole('button', { name: /^And what belongs to them/ })).toBeNull();
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Walk' } });
    fireEvent.click(screen.getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ itemIds: [ONE, TWO] }));
  });
  it('are noted in a few taps, and refused beside the field where they end before they begin', async () => {
    const page = show([], { [`POST ${routes.outings}`]: past });
    fireEvent.click(await screen.findByRole('button', { name: 'Note an outing' }));
    fireEvent.change(screen.getByLabelText('Name'), { target: { value: 'Pier' } });
    fireEvent.change(screen.getByLabelText('To'), { target: { value: '2026-03-01' } });
    fireEvent.click(screen.getByRole('button', { name: 'Note it' }));
    expect(await screen.findByText('It ends before it begins.')).toBeTruthy();
    expect(page.written()).toEqual([]);
    fireEvent.change(screen.getByLabelText(/^To/), { target: { value: '2026-03-10' } });
    fireEvent.click(screen.getByLabelText('Salt'));
    fireEvent.click(screen.getByLabelText('Lens 2'));
    fireEvent.click(screen.getByRole('button', { name: 'Note it' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ name: 'Pier', met: ['salt'], itemIds: [TWO], frames: null }));
  });
  it('are changed and removed', async () => {
    const page = show([past], { [`PUT ${routes.outing('o')}`]: past, [`DELETE ${routes.outing('o')}`]: undefined }, '/outings?outing=o');
    fireEvent.click(await screen.findByLabelText('Dust'));
    fireEvent.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ version: 2, met: ['salt', 'rain', 'dust'] }));
    fireEvent.click(await screen.findByRole('button', { name: 'Change Breakwater' }));
    fireEvent.click(screen.getByRole('button', { name: 'Remove this outing' }));
    await waitFor(() => expect(page.written().at(-1)!.method).toBe('DELETE'));
  });
  it('say only what was counted', () => {
    expect(outingWords({ met: [], frames: null, lensChanges: null, hours: null })).toBe('');
    expect(outingWords({ met: ['sand'], frames: null, lensChanges: 3, hours: 5 })).toBe('met sand; 3 lens changes, 5 hours');
  });
});
