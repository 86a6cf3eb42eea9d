import { routes, type ItemPage, type LookDoc } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, keptDocument, Refusal, showPage, SILENCE, type Handler } from '../../testing/page';
import { settingsIn } from '../../testing/settings';
import { LookPage } from './LookPage';

afterEach(endPage);

const item = { id: 'i', name: 'Corvane 35/2', kind: 'lens', traits: {}, status: 'in-use', surfaces: [], version: 1 } as unknown as ItemPage;
const look: LookDoc = {
  id: 'l',
  itemId: 'i',
  itemName: 'Corvane 35/2',
  version: 1,
  at: null,
  answers: [],
  startedAt: '2026-03-10T10:00:00Z',
  finishedAt: null,
};
const settings = settingsIn('EUR');

/** A server that keeps the look, but for what it is told to do first. */
function show(faults: unknown[] = [], more: Record<string, Handler> = {}) {
  const kept = keptDocument(look, faults);
  const page = showPage(
    LookPage,
    '/look/:id',
    '/look/l',
    {
      [`GET ${routes.look('l')}`]: kept.get,
      [`GET ${routes.item('i')}`]: item,
      [`GET ${routes.settings}`]: settings,
      [`PUT ${routes.look('l')}`]: kept.put,
      ...more,
    },
    { wait: () => Promise.resolve() },
  );
  return { ...page, kept: kept.get };
}
const tap = (name: string | RegExp) => fireEvent.click(screen.getAllByRole('button', { name })[0]!);

describe('a look', () => {
  it('says at once what was tapped comes to, and sends it whole', async () => {
    const page = show();
    await screen.findByRole('heading', { name: 'Front glass' });
    tap('fingerprint');
    tap('obvious');
    expect(screen.getByText('Clean it')).toBeTruthy();
    expect(screen.getByText(/A print on the glass veils into the light and feeds fungus/)).toBeTruthy();
    expect(await screen.findByText('Saved')).toBeTruthy();
    expect(page.kept().answers).toEqual([{ surface: 'front-glass', findings: [{ soil: 'fingerprint', severity: 3 }], note: '' }]);
  });

  describe('asks how large the largest speck on the front is', () => {
    const known = { ...item, traits: { focalMm: 50, smallestFNumber: 11 } };

    it('and leaves what can never show, with a sky to see it by; tapped again it is not measured after all', async () => {
      const page = show([], { [`GET ${routes.item('i')}`]: known });
      await screen.findByRole('heading', { name: 'Front glass' });
      expect(screen.queryByText('The largest is as large as')).toBeNull();
      tap('dust');
      expect(screen.getByText('Clean it')).toBeTruthy();
      tap(/a grain of sand/);
      expect(screen.getByText(/^Dust of 0.5 mm cannot show at 50 mm and f\/11/)).toBeTruthy();
      expect(screen.getAllByRole('img', { name: /^At f\/(5\.6|8|11): nothing shows$/ })).toHaveLength(3);
      expect(await screen.findByText('Saved')).toBeTruthy();
      expect(page.kept().answers[0]!.findings).toEqual([{ soil: 'dust', severity: 2, sizeMm: 0.5 }]);
      // More of it is a veil, however small each is; the size stays.
      tap('obvious');
      expect(screen.getByText('Clean it')).toBeTruthy();
      tap('light');
      tap(/a grain of sand/);
      await waitFor(() => expect(page.kept().answers[0]!.findings).toEqual([{ soil: 'dust', severity: 2 }]));
    });

    it('and asks the lens once for what it must know, naming what cannot be', async () => {
      const page = show([], { [`PUT ${routes.item('i')}`]: known });
      await screen.findByRole('heading', { name: 'Front glass' });
      tap('dust');
      tap(/a pinhead/);
      const [focal, stop] = [screen.getByLabelText(/^Focal length/), screen.getByLabelText(/^Smallest aperture/)];
      fireEvent.change(focal, { target: { value: '1' } });
      expect(screen.getByText('From 2 to 2000.')).toBeTruthy();
      const keep = screen.getByRole<HTMLButtonElement>('button', { name: 'Keep with the lens' });
      expect(keep.disabled).toBe(true);
      fireEvent.change(focal, { target: { value: '50' } });
      fireEvent.change(stop, { target: { value: '5,6' } });
      fireEvent.click(keep);
      await waitFor(() =>
        expect(page.written().find((c) => c.path === routes.item('i'))!.body).toMatchObject({
          traits: { focalMm: 50, smallestFNumber: 5.6 },
        }),
      );
    });

    it('but not of what is a film, nor elsewhere', async () => {
      show([], { [`GET ${routes.item('i')}`]: known });
      await screen.findByRole('heading', { name: 'Front glass' });
      tap('fingerprint');
      expect(screen.queryByText('The largest is as large as')).toBeNull();
    });
  });

  it('goes on to the next surface and remembers that nothing was on this one', async () => {
    const page = show();
    await screen.findByRole('heading', { name: 'Front glass' });
    tap(/^Nothing here/);
    expect(await screen.findByRole('heading', { name: 'Inner glass' })).toBeTruthy();
    await waitFor(() => expect(page.kept()).toMatchObject({ at: 'inner-glass', answers: [{ surface: 'front-glass', findings: [] }] }));
  });

  it('keeps what was tapped while the server is silent, and sends it when it answers', async () => {
    const page = show([SILENCE, SILENCE]);
    await screen.findByRole('heading', { name: 'Front glass' });
    tap('dust');
    await waitFor(() => expect(page.kept().answers[0]?.findings[0]?.soil).toBe('dust'));
    expect(page.written().length).toBe(3);
  });

  it('offers the newer look where it went on in another window', async () => {
    const newer = { ...look, version: 8, at: 'rear-glass', answers: [{ surface: 'rear-glass', findings: [], note: 'theirs' }] };
    show([new Refusal({ status: 409, code: 'stale', current: newer })]);
    await screen.findByRole('heading', { name: 'Front glass' });
    tap('dust');
    const take = await screen.findByRole('button', { name: 'Take that state' });
    expect(screen.getByText('Not saved')).toBeTruthy();
    fireEvent.click(take);
    expect(await screen.findByDisplayValue('theirs')).toBeTruthy();
  });

  it('ends at the plan where something asks for it, and at the thing where nothing does', async () => {
    const finished = {
      ...item,
      surfaces: [{ surface: 'front-glass', verdict: 'clean', findings: [], because: { reason: 'nothing-found' } }],
    };
    const page = show([], { [`POST ${routes.lookFinish('l')}`]: finished });
    await screen.findByRole('heading', { name: 'Front glass' });
    tap('dust');
    tap('Finish the look');
    await waitFor(() => expect(page.address()).toBe('/gear/i/plan'));
    expect(page.written().at(-1)!.body).toEqual({ version: 2, at: null });
  });

  it('is told for an earlier day where it was one, and not for one that is still to come', async () => {
    const page = show([], { [`POST ${routes.lookFinish('l')}`]: { ...item, surfaces: [] } });
    await screen.findByRole('heading', { name: 'Front glass' });
    tap('dust');
    tap('Not now, earlier…');
    const field = screen.getByLabelText('you looked on');
    fireEvent.change(field, { target: { value: '2999-01-01T10:00' } });
    expect(screen.getByText('This is still to come.')).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Finish the look' }).disabled).toBe(true);
    fireEvent.change(field, { target: { value: '2026-03-01T10:00' } });
    tap('Finish the look');
    await waitFor(() => expect(page.address()).toBe('/gear/i'));
    expect(page.written().at(-1)!.body).toEqual({ version: 2, at: schedule.instantOfLocal('2026-03-01T10:00', settings.timeZone) });
  });

  it('is dropped while nothing was looked at', async () => {
    const page = show([], { [`DELETE ${routes.look('l')}`]: undefined });
    await screen.findByRole('heading', { name: 'Front glass' });
    tap('Drop this look');
    await waitFor(() => expect(page.address()).toBe('/gear/i'));
  });
});
