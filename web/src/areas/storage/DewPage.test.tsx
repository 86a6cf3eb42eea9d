import { routes, type StorageOverview } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { replaceOutside } from '../../outside';
import { endPage, showPage } from '../../testing/page';
import { DewPage } from './DewPage';
import { dewAhead, dewFrom } from './dewState';

afterEach(() => {
  endPage();
  vi.restoreAllMocks();
});

const nothing: StorageOverview = { places: [], outdoors: null, ribbonDays: 30, longOwned: [] };
const NOW = new Date('2026-03-10T20:00:00Z');
const hour = (n: number) => new Date(NOW.getTime() + n * 3_600_000).toISOString();
const show = (address = '/dew', overview = nothing) => showPage(DewPage, '/dew', address, { [`GET ${routes.storage}`]: overview });
const station = (temperatureC: number, humidityPct: number, readings: { at: string; temperatureC: number; humidityPct: number }[] = []) =>
  ({
    ...nothing,
    outdoors: {
      name: 'Mast',
      latest: { at: NOW.toISOString(), temperatureC, humidityPct },
      forecast: { issuedAt: NOW.toISOString(), readings },
    },
  }) as unknown as StorageOverview;

describe('dew tonight', () => {
  /** 10 °C, 80 %, calm and clear: dew point 6.7 °C, glass at about 2 °C, about 1 W at the strap of a 77 mm front (as in the core's check). */
  it('says that it takes dew, what that follows from, and what keeps it clear for how long', async () => {
    show();
    expect(await screen.findByText('The front takes dew')).toBeTruthy();
    expect(screen.getByText(/^Under this sky it cools to [12]\.\d °C; dew settles below 6\.7 °C\.$/)).toBeTruthy();
    expect(
      screen.getByText(/^A strap of 1\.1 W keeps it a degree above that; the cell lasts for 33 hours, less in the cold\.$/),
    ).toBeTruthy();
    expect(screen.getByText(/^A dew shield costs nothing/)).toBeTruthy();
    expect(screen.queryByText(/By the forecast/)).toBeNull();
  });

  it('stays clear under clouds, in wind, or behind a shield, as it is chosen; the address keeps it', async () => {
    const page = show();
    fireEvent.click(await screen.findByRole('button', { name: 'Overcast' }));
    await waitFor(() => expect(page.address()).toBe('/dew?sky=overcast'));
    expect(screen.getByText('The front stays clear')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Clear' }));
    fireEvent.click(screen.getByRole('button', { name: 'A dew shield' }));
    await waitFor(() => expect(page.address()).toBe('/dew?sky=clear&hood=long'));
    expect(screen.queryByText(/^A dew shield costs nothing/)).toBeNull();
  });

  it('keeps what cannot be, says what may be, and answers nothing meanwhile', async () => {
    show();
    const damp = await screen.findByLabelText('The air, % RH');
    fireEvent.change(damp, { target: { value: '140' } });
    expect(await screen.findByText('A number from 5 to 100.')).toBeTruthy();
    expect(screen.queryByText(/^The front (takes|stays)/)).toBeNull();
    fireEvent.change(damp, { target: { value: '62,5' } });
    expect(await screen.findByText(/^The front (takes|stays)/)).toBeTruthy();
  });

  it('takes the air from the station, and tells from when by its forecast', async () => {
    vi.spyOn(Date, 'now').mockReturnValue(NOW.getTime());
    replaceOutside({ now: () => NOW });
    const dry = { temperatureC: 12, humidityPct: 30 };
    const wet = { temperatureC: 8, humidityPct: 90 };
    show(
      '/dew',
      station(11.6, 41, [
        { at: hour(1), ...dry },
        { at: hour(3), ...wet },
        { at: hour(6), ...wet },
        { at: hour(30), ...wet },
      ]),
    );
    await waitFor(() => expect(screen.getByLabelText<HTMLInputElement>('The air, °C').value).toBe('12'));
    expect(screen.getByText('The air is filled in from your weather station.')).toBeTruthy();
    expect(await screen.findByText(/^By the forecast it takes dew from \d\d:\d\d, under the same sky\.$/)).toBeTruthy();
  });

  it('reckons the hours ahead only, and none where it stays clear', () => {
    const ways = { sky: 'clear', wind: 'calm', hood: 'none' } as const;
    const readings = [
      { at: hour(-3), temperatureC: 8, humidityPct: 95 },
      { at: hour(2), temperatureC: 8, humidityPct: 95 },
      { at: hour(5), temperatureC: 8, humidityPct: 95 },
      { at: hour(19), temperatureC: 8, humidityPct: 95 },
    ];
    const forecast = { issuedAt: NOW.toISOString(), readings };
    expect(dewAhead(forecast, ways, NOW.getTime())).toEqual({ fromMs: Date.parse(hour(2)), toMs: null });
    const dry = { at: hour(7), temperatureC: 12, humidityPct: 30 };
    expect(dewAhead({ ...forecast, readings: [...readings.slice(0, 3), dry] }, ways, NOW.getTime())).toEqual({
      fromMs: Date.parse(hour(2)),
      toMs: Date.parse(hour(7)),
    });
    const now = [{ at: hour(-0.5), temperatureC: 8, humidityPct: 95 }];
    expect(dewAhead({ ...forecast, readings: now }, ways, NOW.getTime())).toEqual({ fromMs: NOW.getTime(), toMs: null });
    expect(dewAhead(forecast, { ...ways, wind: 'wind', sky: 'overcast' }, NOW.getTime())).toBeNull();
  });

  it('takes no way from the address that there is none of', () => {
    const view = dewFrom(new URLSearchParams('sky=toString&wind=gale&hood='), {});
    expect([view.sky, view.wind, view.hood]).toEqual(['clear', 'calm', 'none']);
  });
});
