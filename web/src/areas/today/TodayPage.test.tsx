import { routes, type Today } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, Refusal, showPage, SILENCE, type Handler } from '../../testing/page';
import { TodayPage } from './TodayPage';

afterEach(endPage);

const lens = (id: string) => ({ id, name: `Lens ${id}`, kind: 'lens', traits: {}, status: 'in-use' }) as const;
const nothing: Today = {
  day: '2026-03-10',
  counts: { items: 3, neverLooked: 0 },
  open: [],
  needs: [],
  alerts: [],
  timers: [],
  due: [],
  recent: [],
};
const due = (id: string, task: schedule.TaskId, urgency: schedule.Urgency = 'due'): Today['due'][number] => ({
  id,
  task,
  ruleId: task,
  subjectId: id,
  earliest: '2026-03-01',
  due: '2026-03-10',
  latest: '2026-03-20',
  minutes: 8,
  because: [{ because: 'last-look' }],
  item: lens(id),
  urgency,
});
const show = (today: Partial<Today>, more: Record<string, Handler> = {}) =>
  showPage(TodayPage, '/', '/', {
    [`GET ${routes.today}`]: { ...nothing, ...today },
    [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 90 },
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
      needs: [
        {
          item: lens('1'),
          verdict: 'isolate',
          surfaces: [
            {
              surface: 'inner-glass',
              verdict: 'isolate',
              findings: [{ soil: 'fungus', severity: 2 }],
              because: { reason: 'growth', soil: 'fungus' },
            },
            {
              surface: 'barrel',
              verdict: 'clean',
              findings: [{ soil: 'dust', severity: 2 }],
              because: { reason: 'worth-a-touch', soil: 'dust', surface: 'barrel' },
            },
          ],
        },
      ],
    });
    expect(await screen.findByText(/^Inner glass: fungus inside \(light\)\. Fungus grows.*1 more surface\.$/)).toBeTruthy();
    expect(screen.getByText('Isolate')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'See the plan' }).getAttribute('href')).toBe('/gear/1/plan');
  });

  it('shows the first few of what is due, and the rest in one line that opens', async () => {
    show({ due: [...'abcdefgh'].map((id) => due(id, 'light-test')) });
    expect((await screen.findAllByRole('button', { name: /^Look: / })).length).toBe(4);
    fireEvent.click(screen.getByRole('button', { name: /^4 more: Look through it with a torch/ }));
    expect(screen.getAllByRole('button', { name: /^Look: / }).length).toBe(8);
    expect(screen.getAllByText(/Counted from the last look\./).length).toBe(8);
  });

  it('ticks off what is done by doing it', async () => {
    const page = show({ due: [due('1', 'exercise')] }, { [`POST ${routes.dueDone('1')}`]: undefined });
    fireEvent.click(await screen.findByRole('button', { name: /^Done: Exercise it, Lens 1/ }));
    await waitFor(() => expect(page.written().map((c) => c.path)).toEqual([routes.dueDone('1')]));
  });

  it('begins a look where one is due, and goes there', async () => {
    const page = show({ due: [due('1', 'light-test')] }, { [`POST ${routes.looks}`]: { id: 'look-7' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Look: Lens 1' }));
    await waitFor(() => expect(page.address()).toBe('/look/look-7'));
    expect(page.written()[0]!.body).toEqual({ itemId: '1' });
  });

  it('says what a refused tick means, and keeps the row', async () => {
    show(
      { due: [due('1', 'exercise')] },
      { [`POST ${routes.dueDone('1')}`]: new Refusal({ status: 409, code: 'done-by-looking', title: 'This is done by looking' }) },
    );
    fireEvent.click(await screen.findByRole('button', { name: /^Done: / }));
    expect(await screen.findByText('This is done by looking')).toBeTruthy();
    expect(screen.getByRole('button', { name: /^Done: / })).toBeTruthy();
  });

  it('counts a wait down by the clock it is given, and lets it go', async () => {
    const timer = {
      id: 't',
      size: 'mid-lens',
      wrapping: 'padded-bag',
      itemId: null,
      startedAt: '2026-03-10T10:00:00Z',
      endsAt: '2026-03-10T10:45:00Z',
    } as const;
    const page = showPage(
      TodayPage,
      '/',
      '/',
      {
        [`GET ${routes.today}`]: { ...nothing, timers: [timer] },
        [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 90 },
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
      [`GET ${routes.storage}`]: { places: [], outdoors: null, ribbonDays: 90 },
    });
    const again = await screen.findByRole('button', { name: 'Try again' }, { timeout: 15_000 });
    expect(screen.getByText('Bright Keeper does not answer')).toBeTruthy();
    silent = false;
    fireEvent.click(again);
    expect(await screen.findByText(/Nothing needs you/)).toBeTruthy();
  }, 20_000);
});
