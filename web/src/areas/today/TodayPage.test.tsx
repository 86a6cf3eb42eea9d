import { routes, type Today } from '@bright-keeper/contract';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, SILENCE, type Handler } from '../../testing/page';
import { dutyOf, lensOf } from '../../testing/duties';
import { TodayPage } from './TodayPage';

afterEach(endPage);

const nothing: Today = {
  day: '2026-03-10',
  counts: { items: 3, neverLooked: 0 },
  duties: [],
  nextBench: null,
  beforeLeaving: [],
  recent: [],
};
const show = (today: Partial<Today>, more: Record<string, Handler> = {}) =>
  showPage(TodayPage, '/', '/', {
    [`GET ${routes.today}`]: { ...nothing, ...today },
    [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 90, longOwned: [] },
    ...more,
  });

describe('Today', () => {
  it('offers three doors to an empty household, and nothing else', async () => {
    show({ counts: { items: 0, neverLooked: 0 } });
    const doors = await screen.findAllByRole('link');
    expect(doors.map((d) => d.getAttribute('href'))).toEqual(['/gear/new?then=look', '/gear/import', '/storage/new?then=hygrometer']);
  });

  it('says that nothing needs one, and nothing is due', async () => {
    show({});
    expect(await screen.findByText(/Nothing needs you/)).toBeTruthy();
    expect(screen.getByText('Nothing is due.')).toBeTruthy();
    expect(screen.getByText(/3 things on the shelf\./)).toBeTruthy();
  });

  it('tells a need in its own words: the gravest surface, what lies there, and why it matters', async () => {
    show({
      duties: [
        dutyOf('isolate', {
          facts: {
            says: 'need',
            verdict: 'isolate',
            surfaces: [
              {
                surface: 'inner-glass',
                verdict: 'isolate',
                findings: [{ soil: 'fungus', severity: 2 }],
                because: { reason: 'growth', soil: 'fungus', surface: 'inner-glass' },
              },
              {
                surface: 'barrel',
                verdict: 'clean',
                findings: [{ soil: 'dust', severity: 2 }],
                because: { reason: 'worth-a-touch', soil: 'dust', surface: 'barrel' },
              },
            ],
          },
        }),
      ],
    });
    expect(await screen.findByText(/^Inner glass: fungus inside \(light\)\. Fungus grows.*1 more surface\.$/)).toBeTruthy();
    expect(screen.getByText('Isolate')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'See the plan' }).getAttribute('href')).toBe('/gear/1/plan');
  });

  it('shows the first few of what is due, and the rest in one line that opens', async () => {
    show({ duties: [...'abcdefgh'].map((id) => dutyOf('light-test', { subject: lensOf(id) })) });
    expect((await screen.findAllByRole('button', { name: /^Look: / })).length).toBe(4);
    fireEvent.click(screen.getByRole('button', { name: /^4 more: Look through it with a torch/ }));
    expect(screen.getAllByRole('button', { name: /^Look: / }).length).toBe(8);
    expect(screen.getAllByText(/Counted from the last look\./).length).toBe(8);
  });

  it('ticks off what is done by doing it, says so, and takes it back', async () => {
    const page = show(
      { duties: [dutyOf('exercise')] },
      { [`POST ${routes.dutyDone}`]: { entryId: 'e1' }, [`POST ${routes.journalUndo('e1')}`]: { entryId: 'e2' } },
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Done: Exercise it, Lens 1' }));
    expect(await screen.findByText('Lens 1: Exercise it – done.')).toBeTruthy();
    expect(page.written()).toEqual([
      { method: 'POST', path: routes.dutyDone, body: { at: null, code: 'exercise', subject: { kind: 'thing', id: '1' } } },
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(page.written().at(-1)!.path).toBe(routes.journalUndo('e1')));
    await waitFor(() => expect(screen.queryByText(/– done\./)).toBeNull());
  });

  it('ticks off what was done on an earlier day, and on none that is still to come', async () => {
    const page = show({ duties: [dutyOf('exercise')] }, { [`POST ${routes.dutyDone}`]: { entryId: 'e1' } });
    fireEvent.click(await screen.findByRole('button', { name: 'More about Lens 1: Exercise it' }));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Done, but earlier…' }));
    const field = await screen.findByLabelText('It was done on');
    fireEvent.change(field, { target: { value: '2999-01-01T10:00' } });
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Done then' }).disabled).toBe(true);
    fireEvent.change(field, { target: { value: '2026-03-01T10:00' } });
    fireEvent.click(screen.getByRole('button', { name: 'Done then' }));
    expect(await screen.findByText('Lens 1: Exercise it – done then.')).toBeTruthy();
    expect((page.written()[0]!.body as { at: string }).at).toMatch(/^2026-03-01T/);
  });

  it.each([
    ['Put off for a week', routes.dutySnooze, { until: '2026-03-17' }],
    ['Not needed this time', routes.dutySkip, { reason: 'not-needed' }],
  ])('%s: says so to the server', async (words, path, body) => {
    const page = showPage(
      TodayPage,
      '/',
      '/',
      {
        [`GET ${routes.today}`]: { ...nothing, duties: [dutyOf('light-test')] },
        [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 90, longOwned: [] },
        [`POST ${path}`]: { entryId: 'e1' },
      },
      { now: () => new Date('2026-03-10T10:15:00Z') },
    );
    fireEvent.click(await screen.findByRole('button', { name: 'More about Lens 1: Look through it with a torch' }));
    fireEvent.click(await screen.findByRole('menuitem', { name: words }));
    await waitFor(() => expect(page.written()[0]).toMatchObject({ path, body }));
  });

  it('offers the next bench day as one button, and what cannot wait a week', async () => {
    show({
      nextBench: { day: '2026-03-14', minutes: 42, tasks: 5, things: ['A', 'B', 'C', 'D', 'E'] },
      beforeLeaving: [dutyOf('home-care')],
    });
    expect((await screen.findByRole('link', { name: 'Open this bench day' })).getAttribute('href')).toBe('/calendar/bench/2026-03-14');
    expect(screen.getByText('5 tasks, 42 min: A, B, C, D and 1 more.')).toBeTruthy();
    expect(screen.getByText('Do this first: it cannot wait that long.')).toBeTruthy();
  });

  it('begins a look where one is due, and goes there', async () => {
    const page = show({ duties: [dutyOf('light-test')] }, { [`POST ${routes.looks}`]: { id: 'look-7' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Look: Lens 1' }));
    await waitFor(() => expect(page.address()).toBe('/look/look-7'));
    expect(page.written()[0]!.body).toEqual({ itemId: '1' });
  });

  it('says what a refused tick means, and keeps the row', async () => {
    show(
      { duties: [dutyOf('exercise')] },
      { [`POST ${routes.dutyDone}`]: new Refusal({ status: 409, code: 'done-otherwise', title: 'This is not ticked off' }) },
    );
    fireEvent.click(await screen.findByRole('button', { name: /^Done: / }));
    expect(await screen.findByText('This is not ticked off')).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Done: / })).toBeTruthy();
  });

  it('counts a wait down by the clock it is given, and lets it go', async () => {
    const waiting = dutyOf('warm-up', {
      facts: {
        says: 'warming',
        timerId: 't',
        itemId: null,
        size: 'mid-lens',
        wrapping: 'padded-bag',
        startedAt: '2026-03-10T10:00:00Z',
        endsAt: '2026-03-10T10:45:00Z',
      },
    });
    const page = showPage(
      TodayPage,
      '/',
      '/',
      {
        [`GET ${routes.today}`]: { ...nothing, duties: [waiting] },
        [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 90, longOwned: [] },
        [`DELETE ${routes.timer('t')}`]: undefined,
      },
      { now: () => new Date('2026-03-10T10:15:00Z') },
    );
    const row = (await screen.findByText('A middling zoom warms in its padded bag')).closest('li')!;
    expect(within(row).getByText('Leave it shut for 30 min more.')).toBeTruthy();
    fireEvent.click(within(row).getByRole('button', { name: 'Stop waiting' }));
    await waitFor(() => expect(page.written().map((c) => c.method)).toEqual(['DELETE']));
  });

  it('says that the server is silent, and asks again when told to', async () => {
    let silent = true;
    showPage(TodayPage, '/', '/', {
      [`GET ${routes.today}`]: () => (silent ? SILENCE : nothing),
      [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 90, longOwned: [] },
    });
    const again = await screen.findByRole('button', { name: 'Try again' }, { timeout: 15_000 });
    expect(screen.getByText('Bright Keeper does not answer')).toBeTruthy();
    silent = false;
    fireEvent.click(again);
    expect(await screen.findByText(/Nothing needs you/)).toBeTruthy();
  });
});
