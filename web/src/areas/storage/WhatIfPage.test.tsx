import { routes, type WhatIfStart } from '@bright-keeper/contract';
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
const START: WhatIfStart = {
  exposure: { index: 0, dose: 0, daysPast: 0 },
  measured: null,
  box: {
    volumeL: 50,
    airChangesPerDay: 2,
    openingsPerWeek: 2,
    targetPct: 50,
    bufferGPerPct: 0,
    desiccant: { kind: 'silica-gel', massG: 40, loadingGPerG: 0.18 },
  },
  setPointPct: null,
  lowPct: 35,
  highPct: 50,
  room: roomOf(68),
  roomName: 'Damp room',
};
const other = { id: 'r2', name: 'Dry room' };

/** The page over a place; what it asks of its worker is counted, and answered by what really runs in there. */
function show(address = '/storage/p/what-if') {
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
      [`GET ${routes.placeWhatIf('p')}`]: START,
      [`GET ${routes.places}`]: { places: [{ id: 'p', name: 'Gasket box' }, other] },
      [`GET ${routes.placePage('p')}`]: { id: 'p', name: 'Gasket box', advice: null },
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
  it('shows today and what if side by side, and the same of both while nothing is changed', async () => {
    show();
    expect(await screen.findByText(/^Over the last 40 days of the room around it \(Damp room\)/)).toBeTruthy();
    expect(await above('What if')).toBe(await above('Today'));
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
    expect(await above('Today')).toBeGreaterThan(20);
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
    expect(slider(/^Room damper by/).value).toBe('-10');
    fireEvent.click(screen.getByRole('link', { name: 'As it is today' }));
    await waitFor(() => expect(slider(/^Desiccant/).value).toBe('40'));
    expect(address()).toBe('/storage/p/what-if');
  });

  it('in another climate is drier where the room is', async () => {
    show();
    const now = await above('What if');
    drag(/^Room damper by/, [-30]);
    await waitFor(async () => expect(await above('What if')).toBeLessThan(now));
    drag(/^Room damper by/, [0]);
    await waitFor(async () => expect(await above('What if')).toBe(now));
  });
});
