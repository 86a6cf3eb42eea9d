import { routes, type GlareTest } from '@bright-keeper/contract';
import { type sensor } from '@bright-keeper/core';
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { endPage, showPage, type Handler } from '../../testing/page';
import { workerOf } from '../../testing/worker';
import { FrontMarkPage } from './FrontMarkPage';
import { GlarePage } from './GlarePage';

afterEach(endPage);

const LENS = 'b0000000-0000-7000-8000-000000000002';
const ITEM = { id: LENS, name: 'Ostrane 58/2', kind: 'lens', traits: {}, surfaces: [], archivedAt: null };
const table = (more: Record<string, Handler> = {}): Record<string, Handler> => ({ [`GET ${routes.item(LENS)}`]: ITEM, ...more });
const jpeg = new File([new Uint8Array([0xff, 0xd8, 0xff])], 'card.jpg', { type: 'image/jpeg' });
const choose = (file: File) => fireEvent.change(document.querySelector('input[type=file]')!, { target: { files: [file] } });
const TAKEN = { takenAt: null, fNumber: 16, iso: 100, exposureS: 1, focalMm: 24, body: 'Corvane Z', lens: null, style: 'Contrast Soft' };

describe('haze in numbers', () => {
  const test = (id: string, takenAt: string, glarePct: number, more: Partial<GlareTest> = {}): GlareTest => ({
    id,
    itemId: LENS,
    takenAt,
    glarePct,
    lowPct: glarePct - 0.2,
    highPct: glarePct + 0.2,
    blackPct: 0,
    fNumber: 8,
    iso: 200,
    exposureS: 1 / 60,
    body: 'Corvane Z',
    style: null,
    note: '',
    ...more,
  });
  const show = (
    tests: GlareTest[],
    { cleanedAt = [] as string[], ...more }: Record<string, Handler> & { cleanedAt?: string[] } = {},
    outside = {},
  ) =>
    showPage(
      GlarePage,
      '/gear/:id/glare',
      `/gear/${LENS}/glare`,
      table({ [`GET ${routes.glareTests}`]: { tests, cleanedAt }, ...more }),
      outside,
    );

  it('tells whether a clean helped, as far as the test can tell', async () => {
    show([test('a', '2026-01-01T10:00:00Z', 9.3), test('b', '2026-02-01T10:00:00Z', 3.4), test('c', '2026-03-01T10:00:00Z', 3.5)], {
      cleanedAt: ['2026-01-20T10:00:00Z'],
    });
    expect(await screen.findByText('Less than before the clean, 9.3 %: it helped.')).toBeTruthy();
    expect(screen.getByText('No different from the time before, 3.4 %, as far as this test can tell.')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Glare over time: 9.3 %, 3.4 %, 3.5 %' })).toBeTruthy();
  });
  it('does not compare what cannot be compared', async () => {
    show([test('a', '2026-01-01T10:00:00Z', 9.3), test('b', '2026-02-01T10:00:00Z', 3.4, { exposureS: 1 / 15, body: 'Another' })]);
    expect(
      await screen.findByText('The time before, 9.3 %: not to be compared: it was taken with another body, another exposure.'),
    ).toBeTruthy();
    expect(screen.queryByText(/Less than/)).toBeNull();
  });
  it('reads a photograph of the card and keeps the test, or says why it could not', async () => {
    const glare: sensor.Glare = {
      glarePct: 4.2,
      lowPct: 4,
      highPct: 4.4,
      patches: Array.from({ length: 5 }, () => ({ x: 0.5, y: 0.5, radiusPx: 40, glarePct: 4.2 })),
    };
    let told: unknown = { trouble: 'clipped' };
    const page = show(
      [],
      { [`POST ${routes.glareTests}`]: test('n', '2026-03-01T10:00:00Z', 4.2) },
      { startWorker: () => workerOf({ readGlare: () => told }) },
    );
    await screen.findByText('There is no test of this lens yet.');
    choose(jpeg);
    expect(await screen.findByText(/The white of the card is clipped/)).toBeTruthy();
    told = { read: { taken: TAKEN, glare } };
    fireEvent.change(screen.getByRole('spinbutton'), { target: { value: '0.5' } });
    choose(jpeg);
    fireEvent.click(await screen.findByRole('button', { name: 'Keep this test' }));
    await waitFor(() =>
      expect(page.written()[0]!.body).toMatchObject({ itemId: LENS, glarePct: 4.2, blackPct: 0.5, fNumber: 16, style: 'Contrast Soft' }),
    );
  });
});

describe('the card', () => {
  it('is shown here, opens in a window for the other screen, and is taken along as a picture', async () => {
    const open = vi.spyOn(window, 'open').mockReturnValue(null);
    showPage(GlarePage, '/gear/:id/glare', `/gear/${LENS}/glare`, table({ [`GET ${routes.glareTests}`]: { tests: [], cleanedAt: [] } }));
    const link = await screen.findByRole('link', { name: 'Show the card on this screen' });
    expect(link.getAttribute('href')).toBe(`/gear/${LENS}/glare/card`);
    fireEvent.click(screen.getByRole('button', { name: 'In a window for the other screen' }));
    expect(open).toHaveBeenCalledWith(`/gear/${LENS}/glare/card`, 'glare-card', 'popup');
    open.mockRestore();
  });
});

describe('a mark on the front glass', () => {
  const show = (query: string, traits: object = {}) =>
    showPage(
      FrontMarkPage,
      '/gear/:id/front-mark',
      `/gear/${LENS}/front-mark${query}`,
      table({ [`GET ${routes.item(LENS)}`]: { ...ITEM, traits } }),
    );
  it('is a reason to leave the glass alone where it can never show', async () => {
    show('?d=0.2&focal=50&length=60&f=8');
    expect(await screen.findByText(/does not show.*a reason to leave the glass alone/)).toBeTruthy();
  });
  it('shows where it does, at each aperture a picture, and the address keeps the question', async () => {
    const page = show('?d=2');
    expect(await screen.findByText(/it can be seen/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /a lentil/ }));
    await waitFor(() => expect(page.address()).toContain('d=4'));
    expect(screen.getAllByRole('img', { name: /^At f\/\d/ })).toHaveLength(8);
  });
  it('begins with what the lens says of itself', async () => {
    show('', { focalMm: 135, smallestFNumber: 16 });
    expect((await screen.findByLabelText<HTMLInputElement>('Focal length, mm')).value).toBe('135');
    expect(screen.getByLabelText<HTMLInputElement>('Smallest aperture in use, f/').value).toBe('16');
    expect(screen.getByLabelText<HTMLInputElement>('Length of the lens, mm').value).toBe('135');
  });
  it('asks for numbers that can be, beside the field', async () => {
    show('?d=2&focal=0');
    expect(await screen.findByText('From 2 to 2000.')).toBeTruthy();
    expect(screen.queryByRole('status')).toBeNull();
  });
});
