import { routes, type PlaceExplanation, type PlacePage } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage, type Handler } from '../../testing/page';
import { workerOf } from '../../testing/worker';
import { BoxCard } from './BoxCard';

afterEach(endPage);

type Question = Omit<storage.SizingQuestion, 'kind'>;
const box = {
  id: 'p',
  kind: 'sealed-box',
  volumeL: 20,
  openingsPerWeek: 1,
  lowPct: 35,
  highPct: 50,
  seal: null,
  airChanges: { perDay: 0.2, from: 'usual' },
  gel: null,
  room: { source: 'assumed', name: '20 °C, 65 %', readings: 0 },
  events: [],
} as unknown as PlacePage;

const unexplained: PlaceExplanation = {
  around: { source: 'assumed', name: '20 °C, 65 %', readings: 0, dampest: null },
  fit: { cannot: 'inside-not-measured' },
  advice: null,
  season: null,
};
const show = (size: (question: Question) => unknown, more: Record<string, Handler> = {}, explanation = unexplained) =>
  showPage(
    () => <BoxCard place={box} />,
    '/',
    '/',
    { [`GET ${routes.placeExplanation('p')}`]: explanation, ...more },
    { startWorker: () => workerOf({ size }) },
  );
const grams = (massG: number) => ({ massG, sealedPackG: { din55474: 30, milStd2073: 45 } });

describe('a place as a box', () => {
  it('says how much of each desiccant it would take, reckoned elsewhere, and again for another time', async () => {
    const asked: Question[] = [];
    show((question) => {
      asked.push(question);
      return { 'silica-gel': grams(question.days), rice: grams(Infinity) };
    });
    expect(screen.getByText('Reckoning…')).toBeTruthy();
    expect(await screen.findByText('90 g')).toBeTruthy();
    expect(screen.getByText(/of gel, or no amount of oven-dried rice\./)).toBeTruthy();
    expect(screen.getByText(/would want 45 g by MIL-STD-2073-1/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('To last'), { target: { value: '365' } });
    expect(await screen.findByText('365 g')).toBeTruthy();
    expect(asked.map((q) => q.days)).toEqual([90, 365]);
    expect(asked[0]).toMatchObject({ volumeL: 20, airChangesPerDay: 0.2, openingsPerWeek: 1, targetPct: 50 });
  });

  it('gives the same as core does, through the worker', async () => {
    show((question) => ({
      'silica-gel': storage.desiccantForBox({ ...question, kind: 'silica-gel' }),
      rice: storage.desiccantForBox({ ...question, kind: 'rice' }),
    }));
    const { massG } = storage.desiccantForBox({
      volumeL: 20,
      airChangesPerDay: 0.2,
      openingsPerWeek: 1,
      room: storage.ASSUMED_ROOM,
      targetPct: 50,
      days: 90,
      kind: 'silica-gel',
    });
    expect(await screen.findByText(`${Math.ceil(massG)} g`, {}, { timeout: 5000 })).toBeTruthy();
  });

  it('takes the seal its past tells, and the dampest month of the room that was measured', async () => {
    const place: storage.FittedPlace = {
      ...storage.usualPlace({ volumeL: 20, airChangesPerDay: 0.9, openingsPerWeek: 1, targetPct: 50 }, null),
    };
    const asked: Question[] = [];
    show(
      (question) => {
        asked.push(question);
        return { 'silica-gel': grams(90), rice: grams(90) };
      },
      {},
      {
        around: {
          source: 'place',
          name: 'Shelf',
          readings: 900,
          dampest: { temperatureC: 17.5, humidityPct: 71, from: '2025-11-01T00:00:00Z' },
        },
        fit: {
          place,
          intervals: { airChangesPerDay: { low: 0.8, high: 1.1 } },
          hindcast: { medianPct: 0.4, p90Pct: 1, days: 30 },
          somethingElse: [],
          fittedDays: 60,
          leakPerDay: storage.leakOf(place),
        },
        season: null,
        advice: { by: 'measured', verdict: 'nothing-needed' },
      },
    );
    expect(await screen.findByText(/changes of air a day, by its own past; 1 openings a week/)).toBeTruthy();
    expect(await screen.findByText(/in the dampest month around it, 17\.5.°C, 71.%/)).toBeTruthy();
    expect(screen.getByText(/Nothing has to change/)).toBeTruthy();
    await waitFor(() => expect(asked.at(-1)).toMatchObject({ room: { temperatureC: 17.5, humidityPct: 71 } }));
    expect(asked.at(-1)!.airChangesPerDay).toBeCloseTo(0.9, 6);
  });

  it('says so where it cannot be reckoned', async () => {
    show(() => {
      throw new RangeError('volume 0 L must be above 0');
    });
    expect(await screen.findByRole('alert')).toBeTruthy();
    expect(screen.getByText(/0\.20/)).toBeTruthy();
  });

  it('takes gel of a mass that can be, and keeps one that cannot be beside its field', async () => {
    const page = show(() => ({ 'silica-gel': grams(90), rice: grams(90) }), { [`POST ${routes.placeEvents('p')}`]: box });
    const mass = screen.getByLabelText(/Grams, dry/);
    fireEvent.change(mass, { target: { value: '0' } });
    expect(screen.getByText('A number from 1 on.')).toBeTruthy();
    fireEvent.change(mass, { target: { value: '250' } });
    fireEvent.click(screen.getByRole('button', { name: 'Put it in, freshly dried' }));
    await waitFor(() => expect(page.written()[0]!.body).toMatchObject({ kind: 'gel-set', desiccant: 'silica-gel', massG: 250 }));
  });

  it('says when its gel goes into the oven next, by what, and tells what was done for an earlier day', async () => {
    const gel = { kind: 'silica-gel', massG: 150, left: 0.4, spentOn: '2026-06-01T10:00:00Z', knownFrom: 'reckoned', roomAs: 'last-year' };
    const drying = { dry: 'once', from: '2026-04-01T10:00:00Z', by: '2026-06-01T10:00:00Z', until: '2026-11-02T10:00:00Z' };
    const page = showPage(
      () => <BoxCard place={{ ...box, gel, drying } as unknown as PlacePage} />,
      '/',
      '/',
      { [`GET ${routes.placeExplanation('p')}`]: unexplained, [`POST ${routes.placeEvents('p')}`]: box },
      { startWorker: () => workerOf({ size: () => ({ 'silica-gel': grams(1), rice: grams(1) }) }) },
    );
    expect(
      screen.getByText(/^Dry it between 1 April and 1 June: then it lasts past the damp season, which ends about 2 November\./),
    ).toBeTruthy();
    expect(screen.getByText('If the room goes on as in the year before.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Not now, earlier…' }));
    fireEvent.change(screen.getByLabelText('it was on'), { target: { value: '2026-03-01T18:30' } });
    fireEvent.click(screen.getByRole('button', { name: 'I dried it again' }));
    await waitFor(() => expect(page.written()[0]!.body).toEqual({ kind: 'gel-dried', at: '2026-03-01T18:30:00.000Z' }));
    expect(await screen.findByRole('button', { name: 'Not now, earlier…' })).toBeTruthy();
  });
});
