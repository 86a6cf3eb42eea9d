import { MS_PER_HOUR } from '@bright-keeper/core';
import { routes, type Chart, type PlacePage } from '@bright-keeper/contract';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { InZone } from '../../ui/zone';
import { ChartSection } from './ChartSection';

const START = Date.UTC(2026, 2, 9, 12);
const chart: Chart = {
  from: '2026-03-09T12:00:00.000Z',
  to: '2026-03-09T15:00:00.000Z',
  points: [50, 64, 71].map((mean, i) => ({
    at: START + i * MS_PER_HOUR,
    temperatureC: { min: 18, mean: 18.5, max: 19 },
    humidityPct: { min: mean - 2, mean, max: mean + 3 },
    dewPointC: 9.5,
    index: 0.4 * i,
    dose: 0.2,
    daysPast: 0,
  })),
  events: [{ id: 'e', at: '2026-03-09T13:30:00.000Z', data: { kind: 'opened' } }],
  gaps: [],
};
const place = { id: 'p', lowPct: 35, highPct: 60 } as PlacePage;

const show = (answer: Handler = chart, address = '/') =>
  showPage(
    () => (
      <InZone timeZone="UTC">
        <ChartSection place={place} />
      </InZone>
    ),
    '/',
    address,
    { [`GET ${routes.placeChart('p')}`]: answer, [`GET ${routes.settings}`]: settingsIn('EUR') },
  );
const drawn = () => screen.getAllByTestId('drawn').map((d) => d.textContent);

beforeEach(() => vi.stubGlobal('scrollTo', () => {}));
afterEach(() => {
  endPage();
  vi.unstubAllGlobals();
});

describe('the chart of a place', () => {
  it('draws the air with its extremes, and below it the models, with band and events', async () => {
    show();
    await waitFor(() => expect(screen.getAllByTestId('drawn')).toHaveLength(2));
    const [air, models] = drawn();
    for (const line of ['dampest: 3', 'driest: 3', 'humidity, %: 3', 'temperature, °C: 3', 'dew point, °C: 3']) expect(air).toContain(line);
    for (const mark of ['low', 'high', 'event0']) expect(air).toContain(mark);
    expect(models).toContain('mould index, of 6: 3');
    expect(screen.getByText(/^Upright lines: Opened/)).toBeTruthy();
    expect(screen.queryByText(/the log is silent/)).toBeNull();
  });

  it('reads out where its cursor stands, by key: first the newest, then back, and to the beginning', async () => {
    show();
    const slider = await screen.findByRole('slider', { name: 'Air and risk over time' });
    expect(slider.getAttribute('aria-valuetext')).toMatch(/^9 Mar 2026, 14:00: 71 % \(69–74\), 18.5 °C, dew point 9.5 °C; mould index 0.8/);
    fireEvent.keyDown(slider, { key: 'ArrowLeft' });
    fireEvent.keyDown(slider, { key: 'ArrowLeft' });
    expect(slider.getAttribute('aria-valuetext')).toMatch(/^9 Mar 2026, 13:00: 64 % \(62–67\)/);
    expect(screen.getByText(/^9 Mar 2026, 13:00: 64 %/)).toBeTruthy();
    expect(drawn()[0]).toContain('cursor');
    fireEvent.keyDown(slider, { key: 'Home' });
    expect(slider.getAttribute('aria-valuenow')).toBe('0');
    fireEvent.blur(slider);
    expect(drawn()[0]).not.toContain('cursor');
  });

  it('says where the log is silent, and when nothing was read at all', async () => {
    show({ ...chart, gaps: [{ from: '2026-03-09T12:10:00.000Z', to: '2026-03-09T12:50:00.000Z', hours: 0.7 }] });
    expect(await screen.findByText(/Grey: the log is silent, 1 time/)).toBeTruthy();
    expect(drawn()[0]).toContain('gap0');
    cleanup();
    endPage();
    show({ ...chart, points: [] });
    expect(await screen.findByText('No readings in this time.')).toBeTruthy();
  });

  it('keeps in the address how far back and how long one looks', async () => {
    const page = show();
    await screen.findByRole('slider');
    expect(screen.getByRole('button', { name: 'A month' }).getAttribute('aria-pressed')).toBe('true');
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Later' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'A week' }));
    await waitFor(() => expect(page.address()).toBe('/?span=week'));
    fireEvent.click(screen.getByRole('button', { name: 'Earlier' }));
    await waitFor(() => expect(page.address()).toBe('/?span=week&back=1'));
    fireEvent.click(screen.getByRole('button', { name: 'Later' }));
    await waitFor(() => expect(page.address()).toBe('/?span=week'));
  });

  it('says why it has nothing to draw, and asks again', async () => {
    let asked = 0;
    show(() => (asked++ === 0 ? new Refusal({ status: 503, code: 'busy', detail: 'The database is starting anew.' }) : chart));
    expect(await screen.findByText('The database is starting anew.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /again/i }));
    expect(await screen.findByRole('slider')).toBeTruthy();
  });

  it('waits for its code until it is near, and draws when it is seen', async () => {
    const watched: { margin: string; tell: (entries: { isIntersecting: boolean }[]) => void }[] = [];
    vi.stubGlobal(
      'IntersectionObserver',
      class {
        constructor(tell: (entries: { isIntersecting: boolean }[]) => void, { rootMargin }: { rootMargin: string }) {
          watched.push({ margin: rootMargin, tell });
        }
        observe(): void {}
        disconnect(): void {}
      },
    );
    show();
    await screen.findByRole('button', { name: 'A month' });
    expect(watched.map((w) => w.margin)).toEqual(['600px', '0px']);
    watched[0]!.tell([{ isIntersecting: true }]);
    expect(screen.queryByRole('slider')).toBeNull();
    watched[1]!.tell([{ isIntersecting: true }]);
    expect(await screen.findByRole('slider')).toBeTruthy();
  });
});
