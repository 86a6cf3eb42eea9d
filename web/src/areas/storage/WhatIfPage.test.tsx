import { routes, type WhatIfStart } from '@bright-keeper/contract';
import { storage } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, showPage } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { workerOf } from '../../testing/worker';
import { boxApi } from '../../workers/box';
import { WhatIfPage } from './WhatIfPage';

afterEach(endPage);

const HOURS = 40 * 24;
const roomOf = (meanPct: number) =>
  Array.from({ length: HOURS }, (_, h) => ({
    at: new Date(Date.UTC(2026, 0, 1, h)).toISOString(),
    temperatureC: 20 + Math.sin(h / 4),
    humidityPct: meanPct + 4 * Math.sin(h / 30),
  }));
const GEL_BOX = storage.usualPlace(
  {
    volumeL: 50,
    airChangesPerDay: 2,
    openingsPerWeek: 2,
    targetPct: 50,
    desiccant: { kind: 'silica-gel', massG: 40, loadingGPerG: 0.18 },
  },
  null,
);
const NONE = { index: 0, dose: 0, daysPast: 0 };
/** Nothing was measured in it. */
const START: WhatIfStart = {
  around: { source: 'place', name: 'Damp room', readings: HOURS, dampest: null },
  fit: { cannot: 'inside-not-measured' },
  advice: { by: 'usual', verdict: 'nothing-helps', nearest: null },
  place: GEL_BOX,
  ends: [],
  closed: true,
  now: '2026-02-10T00:00:00Z',
  lowPct: 35,
  highPct: 50,
  outside: roomOf(68),
  start: { start: NONE, startRange: { best: NONE, worst: NONE } },
  measured: null,
  hindcast: null,
};
/** A cupboard that was measured, and is explained. */
const CUPBOARD: storage.FittedPlace = { ...GEL_BOX, desiccant: null, airChangesPerDay: 6, warmerC: -2, bufferPerDay: 5, bufferDays: 3 };
const EXPLAINED: WhatIfStart = {
  ...START,
  place: CUPBOARD,
  ends: [{ ...CUPBOARD, warmerC: -1.5 }],
  highPct: 75,
  fit: {
    place: CUPBOARD,
    intervals: { warmerC: { low: -2.2, high: -1.8 } },
    hindcast: { medianPct: 0.5, p90Pct: 1.3, days: 40 },
    somethingElse: [{ from: '2026-01-10T12:00:00Z', to: '2026-01-13T12:00:00Z', byPct: 12 }],
    fittedDays: 80,
    leakPerDay: 5,
  },
  advice: { by: 'past', verdict: 'nothing-needed' },
  // What was measured is not what the model says: something else went on.
  measured: roomOf(78),
  hindcast: { from: '2026-01-20T00:00:00Z', to: '2026-02-09T00:00:00Z', modelled: [70, 72, 71], measured: [71, null, 72] },
};
const other = { id: 'r2', name: 'Dry room' };

/** The page over a place; what it asks of its worker is counted, and answered by what really runs in there. */
function show(address = '/storage/p/what-if', start = START) {
  const asked: string[] = [];
  const counted = Object.fromEntries(
    Object.entries(boxApi).map(([name, work]) => [
      name,
      (...given: unknown[]): unknown => {
        asked.push(name);
        return (work as (...all: unknown[]) => unknown)(...given);
      },
    ]),
  );
  const page = showPage(
    WhatIfPage,
    '/storage/:id/what-if',
    address,
    {
      [`GET ${routes.placeWhatIf('p')}`]: start,
      [`GET ${routes.places}`]: { places: [{ id: 'p', name: 'Gasket box' }, other] },
      [`GET ${routes.placePage('p')}`]: { id: 'p', name: 'Gasket box' },
      [`GET ${routes.settings}`]: settingsIn('EUR'),
    },
    { startWorker: () => workerOf(counted) },
  );
  return { ...page, asked };
}

const slider = (name: RegExp) => screen.getByLabelText<HTMLInputElement>(name);
const drag = (name: RegExp, values: readonly number[]) => {
  for (const value of values) fireEvent.change(slider(name), { target: { value: String(value) } });
};
const above = async (side: string): Promise<number> => {
  const region = await screen.findByRole('region', { name: side });
  return Number.parseInt(within(region).getByText('Above its band').nextElementSibling!.textContent, 10);
};

describe('what if', () => {
  it('is exactly what was measured while nothing is changed, verdict and all, and shows how well it explains the past', async () => {
    show(undefined, EXPLAINED);
    expect(await screen.findByText(/^Over the last 40 days of the room around it \(Damp room\)/)).toBeTruthy();
    const side = async (name: string) => (await screen.findByRole('region', { name })).textContent.replace(name, '');
    expect(await side('What if')).toBe(await side('Today, as measured'));
    expect(await side('What if')).toMatch(/On average7[78] %/);
    expect(screen.getByText(/^On 40 days it had never seen it was off by 0\.5 % in the middle/)).toBeTruthy();
    expect(screen.getByText(/^From .*10 January 2026 to .*13 January 2026 it was 12 % damper than that explains/)).toBeTruthy();
    expect(screen.queryByRole('note')).toBeNull();
    expect(screen.queryByTestId('how-sure')).toBeNull();
  });
  it('tells a change with its band: away from the cold wall it is drier, more or less', async () => {
    show(undefined, EXPLAINED);
    const before = await above('Today, as measured');
    drag(/^Warmer than the air around it by/, [0]);
    await waitFor(async () => expect(await above('What if')).toBeLessThan(before - 20));
    expect(await above('Today, as measured')).toBe(before);
    expect(screen.getByTestId('how-sure')).toBeTruthy();
    expect(screen.queryByLabelText(/^Set-point/)).toBeNull();
  });
  it('promises nothing of a place that is not explained: no verdict, and what to measure', async () => {
    show();
    const note = await screen.findByRole('note');
    expect(note.textContent).toMatch(/^Nothing is promised here.*Lay a hygrometer in it for 21 days\..*held against nothing/);
    expect(await above('What if')).toBe(await above('Unchanged'));
    const region = await screen.findByRole('region', { name: 'What if' });
    expect(within(region).queryByText(/Safe|Watch|Act now|its band for \d|Early warning|Mould index/)).toBeNull();
  });

  it('keeps up with a dragged slider: the last place counts, what lay between is left out, the rooms are told once', async () => {
    const { asked, address } = show();
    await above('What if');
    const before = asked.length;
    drag(
      /^Desiccant/,
      Array.from({ length: 60 }, (_, i) => 50 + 10 * i),
    );
    expect(slider(/^Desiccant/).value).toBe('640');
    await waitFor(async () => expect(await above('What if')).toBeLessThan(5));
    expect(await above('Unchanged')).toBeGreaterThan(20);
    const during = asked.slice(before);
    expect(during.length).toBeLessThan(20);
    expect(during).not.toContain('keepRoom');
    await waitFor(() => expect(address()).toBe('/storage/p/what-if?massG=640'));
    expect(slider(/^Desiccant/).value).toBe('640');
  });

  it('begins where the address says, and is as today again by one link', async () => {
    const { address } = show('/storage/p/what-if?massG=640&damperPct=-10');
    await above('What if');
    expect(slider(/^Desiccant/).value).toBe('640');
    expect(slider(/^The air around damper by/).value).toBe('-10');
    fireEvent.click(screen.getByRole('link', { name: 'As it is today' }));
    await waitFor(() => expect(slider(/^Desiccant/).value).toBe('40'));
    expect(address()).toBe('/storage/p/what-if');
  });

  it('in another climate is drier where the room is', async () => {
    show();
    const now = await above('What if');
    drag(/^The air around damper by/, [-30]);
    await waitFor(async () => expect(await above('What if')).toBeLessThan(now));
    drag(/^The air around damper by/, [0]);
    await waitFor(async () => expect(await above('What if')).toBe(now));
  });
});
