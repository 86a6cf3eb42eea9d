import { routes, type StorageOverview } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { WarmUpPage } from './WarmUpPage';

afterEach(endPage);

const nothing: StorageOverview = { places: [], outdoors: null, ribbonDays: 30, longOwned: [] };
const show = (address = '/warm-up', more: Record<string, Handler> = {}) =>
  showPage(WarmUpPage, '/warm-up', address, { [`GET ${routes.storage}`]: nothing, ...more });

describe('in from the cold', () => {
  /** Dew point of 20 degC at 50 %: 9.3 degC; of 25 degC at 60 %: 16.7 degC. Psychrometric table, common practice. */
  it.each([
    ['20', '50', '9.3'],
    ['25', '60', '16.7'],
  ])('names the dew point of a room of %s °C at %s %%: %s °C', async (room, pct, dewPoint) => {
    show(`/warm-up?startC=-5&roomC=${room}&roomHumidityPct=${pct}`);
    expect(await screen.findByText(new RegExp(`^The room’s dew point is ${dewPoint} °C`))).toBeTruthy();
    expect(screen.getByText(/^It fogs: leave it shut for /)).toBeTruthy();
  });

  it('says that what is warmer than the dew point stays clear, and offers no timer for it', async () => {
    show('/warm-up?startC=15&roomC=20&roomHumidityPct=50');
    expect(await screen.findByText('It will not fog')).toBeTruthy();
    expect(screen.queryByRole('button', { name: /^Start a timer/ })).toBeNull();
  });

  it('warns of what lies bare, and takes the bag at once when it is put in one', async () => {
    const page = show('/warm-up?startC=-5&roomC=20&roomHumidityPct=50&wrapping=bare');
    expect(await screen.findByText(/^Bare, it gets wet while it warms/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /plastic bag/i }));
    await waitFor(() => expect(page.address()).toContain('wrapping=plastic-bag'));
    expect(screen.queryByText(/^Bare, it gets wet/)).toBeNull();
  });

  it('keeps what cannot be, says what may be, and answers nothing meanwhile', async () => {
    show();
    const cold = await screen.findByLabelText('How cold is it, °C');
    fireEvent.change(cold, { target: { value: '-80' } });
    expect(await screen.findByText('A number from -40 to 50.')).toBeTruthy();
    expect((cold as HTMLInputElement).value).toBe('-80');
    expect(screen.queryByText(/dew point/)).toBeNull();
    fireEvent.change(cold, { target: { value: '-8,5' } });
    expect(await screen.findByText(/^The room’s dew point is/)).toBeTruthy();
  });

  it('starts the wait as a timer, and says where it stands', async () => {
    const page = show('/warm-up?startC=-5&roomC=20&roomHumidityPct=50', {
      [`POST ${routes.timers}`]: { id: 't', endsAt: '2026-03-10T12:30:00Z' },
    });
    const start = await screen.findByRole('button', { name: /^Start a timer for / });
    fireEvent.click(start);
    expect(await screen.findByText(/^Over at .*It stands on Today/)).toBeTruthy();
    expect(page.written()[0]).toMatchObject({ path: routes.timers, body: { size: 'mid-lens', wrapping: 'plastic-bag', itemId: null } });
    expect((page.written()[0]!.body as { minutes: number }).minutes).toBeGreaterThan(10);
  });

  it('opened from an outing that comes in cold, the wait that begins settles what it asked for', async () => {
    const page = show('/warm-up?outing=o1&startC=-5&roomC=20&roomHumidityPct=50', {
      [`POST ${routes.timers}`]: { id: 't', endsAt: '2026-03-10T12:30:00Z' },
      [`POST ${routes.dutyDone}`]: { entryId: 'e' },
    });
    fireEvent.click(await screen.findByRole('button', { name: /^Start a timer for / }));
    await waitFor(() => expect(page.written()).toHaveLength(2));
    expect(page.written()[1]).toMatchObject({
      path: routes.dutyDone,
      body: { code: 'comes-in-cold', subject: { kind: 'outing', id: 'o1' }, at: null },
    });
  });

  it('opened from an outing, what is not cold at all has nothing to wait for', async () => {
    const page = show('/warm-up?outing=o1&startC=15&roomC=20&roomHumidityPct=50', { [`POST ${routes.dutyDone}`]: { entryId: 'e' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Nothing to wait for' }));
    expect(await screen.findByText(/^Noted; the outing asks for it no more/)).toBeTruthy();
    expect(page.written()[0]).toMatchObject({ body: { code: 'comes-in-cold', subject: { kind: 'outing', id: 'o1' } } });
  });

  it('says so where the timer could not be kept', async () => {
    const refused = new Refusal({ status: 503, code: 'disk-full', detail: 'The disk is nearly full.' });
    show('/warm-up?startC=-5&roomC=20&roomHumidityPct=50', { [`POST ${routes.timers}`]: refused });
    fireEvent.click(await screen.findByRole('button', { name: /^Start a timer for / }));
    expect(await screen.findByText('The disk is nearly full.')).toBeTruthy();
  });
});
