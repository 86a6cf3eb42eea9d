import { routes, type PlacePage as PlaceData } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { agendaOf, dutyOf } from '../../testing/duties';
import { PlacePage } from './PlacePage';

afterEach(endPage);

const cupboard = {
  id: 'p',
  version: 1,
  name: 'Oak cupboard',
  kind: 'cupboard',
  volumeL: 300,
  airChangesPerDay: null,
  openingsPerWeek: 5,
  lining: 'wood',
  lowPct: 35,
  highPct: 60,
  standsInId: null,
  note: '',
  latest: null,
  zone: null,
  things: 0,
  assessment: null,
  standing: { says: 'not-measured' },
  ribbon: [],
  gel: null,
  items: [],
  events: [],
  seal: null,
  airChanges: { perDay: null, from: 'usual' },
  room: { source: 'assumed', name: 'a usual room', readings: 0 },
  airing: null,
} as unknown as PlaceData;
const UNEXPLAINED = {
  around: { source: 'assumed', name: '20 °C, 65 %', readings: 0, dampest: null },
  fit: { cannot: 'too-short', days: 9.6, needDays: 21 },
  advice: null,
  season: null,
};
const show = (place: Partial<PlaceData>, more: Record<string, Handler> = {}) =>
  showPage(PlacePage, '/storage/:id', '/storage/p', {
    [`GET ${routes.placePage('p')}`]: { ...cupboard, ...place },
    [`GET ${routes.placeExplanation('p')}`]: UNEXPLAINED,
    [`GET ${routes.devices}`]: { devices: [] },
    [`GET ${routes.agenda}`]: agendaOf(),
    ...more,
  });

async function type(temperature: string, humidity: string): Promise<void> {
  fireEvent.change(await screen.findByLabelText('It reads, °C'), { target: { value: temperature } });
  fireEvent.change(screen.getByLabelText('and % RH'), { target: { value: humidity } });
  fireEvent.click(screen.getByRole('button', { name: 'That is what it shows' }));
}

describe('a place that was never measured', () => {
  it('asks for the one thing that fills it, and begins its log with a hygrometer read by hand', async () => {
    const page = show(
      {},
      { [`POST ${routes.devices}`]: { id: 'd' }, [`POST ${routes.deviceReadings('d')}`]: { accepted: 1, duplicates: 0, setAside: [] } },
    );
    expect(await screen.findByText('Nothing is measured here yet')).toBeTruthy();
    await type('18,5', '72');
    await waitFor(() => expect(page.written().map((c) => c.path)).toEqual([routes.devices, routes.deviceReadings('d')]));
    expect(page.written()[0]!.body).toMatchObject({ name: 'Oak cupboard, by hand', source: 'hand', placeId: 'p' });
    expect(page.written()[1]!.body).toEqual({ at: null, temperatureC: 18.5, humidityPct: 72 });
  });

  it('adds no second hygrometer where one lies there already', async () => {
    const page = show(
      {},
      {
        [`GET ${routes.devices}`]: { devices: [{ id: 'old', placeId: 'p', source: 'hand' }] },
        [`POST ${routes.deviceReadings('old')}`]: { accepted: 1, duplicates: 0, setAside: [] },
      },
    );
    await screen.findByText('Nothing is measured here yet');
    await type('18', '60');
    await waitFor(() => expect(page.written().map((c) => c.path)).toEqual([routes.deviceReadings('old')]));
  });

  it('says beside its field what cannot be, and what the server refuses, and keeps what was typed', async () => {
    const refused = new Refusal({ status: 422, code: 'in-the-future', detail: 'This lies in the future.' });
    const page = show({}, { [`POST ${routes.devices}`]: { id: 'd' }, [`POST ${routes.deviceReadings('d')}`]: refused });
    await screen.findByText('Nothing is measured here yet');
    await type('18', '720');
    expect(await screen.findByText(/At most 100/)).toBeTruthy();
    expect(page.written()).toEqual([]);
    await type('18', '72');
    expect(await screen.findByText('This lies in the future.')).toBeTruthy();
    expect(screen.getByDisplayValue('72')).toBeTruthy();
  });

  it('tells what the first reading means, and asks for the next', async () => {
    show({ latest: { at: '2026-03-10T10:00:00Z', temperatureC: 18.5, humidityPct: 72, dewPointC: 13.4 } as never, zone: 'damp' });
    expect(await screen.findByText(/^One day of readings so far: /)).toBeTruthy();
    expect(screen.getByText(/type in what it shows tomorrow/)).toBeTruthy();
  });
});

describe('a place that alarms', () => {
  it('says what, why and since when, with the one action that leads to what helps', async () => {
    const duty = dutyOf('damp', {
      subject: { kind: 'place', id: 'p', name: 'Oak cupboard' },
      facts: { says: 'air', cause: 'damp', highPct: 60, placeId: 'p', since: '2026-03-01T00:00:00Z' },
    });
    show({}, { [`GET ${routes.agenda}`]: agendaOf(duty) });
    expect(await screen.findByText('The mean of the day has been above its band.', { exact: false })).toBeTruthy();
    expect(screen.getByRole('link', { name: 'What would help?' }).getAttribute('href')).toBe('/storage/p/what-if');
  });

  it('may be given up while nothing lies there', async () => {
    const page = show({}, { [`POST ${routes.placeArchive('p')}`]: undefined });
    fireEvent.click(await screen.findByRole('button', { name: 'Give this place up' }));
    await waitFor(() => expect(page.written().map((c) => c.path)).toEqual([routes.placeArchive('p')]));
  });
});

describe('a place in the hand', () => {
  const thing = (n: number, more = {}) => ({
    itemId: `i${n}`,
    name: `Thing ${n}`,
    since: '2026-03-01T00:00:00Z',
    sick: false,
    better: null,
    ...more,
  });

  it('lists what is to be said of, and folds the many others', async () => {
    const items = Array.from({ length: 135 }, (_, n) => thing(n, n === 100 ? { sick: true } : {}));
    show({ items: items });
    expect(await screen.findByText('Thing 100')).toBeTruthy();
    expect(screen.getByText(/It has fungus/)).toBeTruthy();
    expect(screen.queryByText('Thing 1')).toBe(null);
    fireEvent.click(screen.getByRole('button', { name: '134 more' }));
    expect(screen.getByText('Thing 1')).toBeTruthy();
    expect(screen.getAllByText('Thing 100')).toHaveLength(1);
  });

  it('lists a few as they are', async () => {
    show({ items: [thing(1), thing(2)] as never });
    expect(await screen.findByText('Thing 2')).toBeTruthy();
  });

  it('has what is alike of one day in one line that opens', async () => {
    const at = (n: number) => `2026-03-09T10:0${n}:00.000Z`;
    const events = [2, 1, 0].map((n) => ({ id: `e${n}`, at: at(n), data: { kind: 'item-in', name: `Thing ${n}` } }));
    show({ events: [...events, { id: 'n', at: at(0), data: { kind: 'note', text: 'Damp wall' } }] as never });
    expect(await screen.findByText('3 things put in')).toBeTruthy();
    expect(screen.getByText(/^Thing 2 put in, /)).toBeTruthy();
    expect(screen.getByText('Damp wall')).toBeTruthy();
  });
});

describe('the year ahead of a place', () => {
  const latest = { at: '2026-03-10T10:00:00Z', temperatureC: 18.5, humidityPct: 52, dewPointC: 8.4 };
  const day = (d: number) => ({ day: `2026-03-0${d}`, meanPct: 52, maxPct: 55, minPct: 50, dose: 0, daysPast: 0 });
  const lived = { latest, zone: 'good', ribbon: [day(8), day(9)] } as never;
  const weeksPct = Array.from({ length: 53 }, (_, i) => 45 + i / 2);
  const showWith = (season: object | null) =>
    show(lived, {
      [`GET ${routes.placeExplanation('p')}`]: { ...UNEXPLAINED, season },
      [`GET ${routes.placeChart('p')}`]: { points: [], events: [] },
    });

  it('names the day it leaves its band, between which days that lies, and draws the weeks', async () => {
    const leaves = { side: 'damp', at: '2026-06-12T09:00:00Z', earliest: '2026-06-01T09:00:00Z', latest: null };
    showWith({ out: null, leaves, mayLeave: null, weeksPct });
    expect(await screen.findByText('It will be damper than 60 % from about 12 June.')).toBeTruthy();
    expect(screen.getByText(/^At the earliest on 1 June, and perhaps not at all, if nothing is done/)).toBeTruthy();
    expect(screen.getByRole('img', { name: /^The year ahead by weeks: between 45 and 71 %/ })).toBeTruthy();
  });

  it('says why nobody can tell, and nothing where its past does not explain it', async () => {
    showWith({ cannot: 'no-year' });
    expect(await screen.findByText(/was not measured all through the last year/)).toBeTruthy();
    endPage();
    showWith(null);
    expect(await screen.findByText(/It takes 21: 11 days more/)).toBeTruthy();
    expect(screen.queryByText('The year ahead')).toBe(null);
  });
});
