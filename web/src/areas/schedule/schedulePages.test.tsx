import { routes, type BenchDayPage as BenchDayData, type BenchDays, type BusyCalendar, type KeptRhythm } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { agendaOf, dutyOf, lensOf } from '../../testing/duties';
import { endPage, Refusal, showPage, type Handler } from '../../testing/page';
import { BenchDayPage } from './BenchDayPage';
import { currentRun, setRun } from './benchRun';
import { CalendarPage } from './CalendarPage';
import { OtherCalendarsPage } from './OtherCalendarsPage';
import { RhythmsPage } from './RhythmsPage';
import { RunBar } from './RunBar';
import { WeekPage } from './WeekPage';

/** What a browser remembers, kept here. */
let memory = new Map<string, string>();
const now = () => new Date('2026-03-10T10:00:00Z');
const outside = {
  now,
  recall: (key: string) => memory.get(key) ?? null,
  remember: (key: string, value: string | null) => void (value === null ? memory.delete(key) : memory.set(key, value)),
};
afterEach(() => {
  endPage();
  memory = new Map();
});

const light = dutyOf('light-test', { subject: lensOf('1') });
const task = (duty: schedule.Duty) => ({
  id: duty.id,
  ruleId: duty.code,
  subjectId: duty.subject.id,
  ...duty.window,
  minutes: duty.minutes,
  setUp: duty.setUp,
  gravity: duty.gravity,
  duty,
});
const times = { version: 1, weekdays: [6, 0], minutesPerDay: 60, startsAt: '16:00', away: [] };
const benchDay = (...duties: schedule.Duty[]) => ({
  day: '2026-03-14',
  tasks: duties.map(task),
  minutes: 12,
  setUps: ['torch-and-loupe' as const],
  because: { because: 'most-together' as const, tasks: duties.length },
});
const benchDays = (more: Partial<BenchDays['plan']> = {}, rest: Partial<BenchDays> = {}): BenchDays => ({
  today: '2026-03-10',
  from: '2026-03-10',
  to: '2026-05-05',
  times,
  plan: { days: [benchDay(light)], late: [], fewest: 1, proven: true, ...more },
  remedy: null,
  busyDays: [],
  ...rest,
});

describe('the calendar', () => {
  const show = (bench: BenchDays, duties: schedule.Duty[], address = '/calendar', more: Record<string, Handler> = {}) =>
    showPage(
      CalendarPage,
      '/calendar',
      address,
      { [`GET ${routes.agenda}`]: agendaOf(...duties), [`GET ${routes.benchDays}`]: bench, ...more },
      outside,
    );

  it('proposes bench days with the proof, and says why each is that day', async () => {
    show(benchDays(), [light]);
    expect(await screen.findByText('1 day; fewer is impossible.')).toBeTruthy();
    expect(screen.getByText('There is room for it that day.')).toBeTruthy();
    expect(
      screen.getByRole('img', { name: /12 minutes: Lay out: torch and loupe, 4 min; Lens 1: Look through it with a torch, 8 min/ }),
    ).toBeTruthy();
    expect(screen.getByText('Your time: Saturdays and Sundays, 60 min from 16:00')).toBeTruthy();
  });

  it('says what slips, why, and the smallest change that would help', async () => {
    show(
      benchDays(
        { late: [{ window: task(light), reason: 'no-room' }] },
        { remedy: { change: 'minutes', minutesPerDay: 80, more: 20 }, busyDays: [{ day: '2026-03-14', minutes: 10 }] },
      ),
      [light],
    );
    expect(await screen.findByText(/1 task slips past its time\. With 20 minutes more a day all of it fits\./)).toBeTruthy();
    expect(screen.getByText(/1 day has less time because another calendar is busy/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'What slips, and why' }));
    expect(screen.getByText(/There is no room left on the days of its window\./)).toBeTruthy();
  });

  it('filters the agenda, in the address', async () => {
    const page = show(benchDays(), [light, dutyOf('exercise', { subject: lensOf('2') })]);
    expect(await screen.findByRole('button', { name: 'Look: Lens 1' })).toBeTruthy();
    fireEvent.change(screen.getByLabelText('What'), { target: { value: 'exercise' } });
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Look: Lens 1' })).toBeNull());
    expect(page.address()).toBe('/calendar?duty=exercise');
  });

  it('marks what is a guess, and between which days', async () => {
    const guess = dutyOf('light-test', {
      ahead: 1,
      id: 'g',
      urgency: 'later',
      window: { earliest: '2026-03-12', due: '2026-03-12', latest: '2026-03-12' },
      estimate: { from: '2026-03-02', to: '2026-03-30' },
    });
    show(benchDays(), [guess]);
    expect(await screen.findByText(/a guess: between 2 Mar and 30 Mar/)).toBeTruthy();
  });

  it('shows a month with its bench days and the tasks on their days, and goes to the next', async () => {
    const page = show(benchDays(), [light], '/calendar?view=month');
    expect(await screen.findByRole('table', { name: 'March 2026' })).toBeTruthy();
    const cell = screen.getByRole('cell', { name: 'Tue, 10 March 2026' });
    expect(within(cell).getByRole('button', { name: /Lens 1: Look through it/ })).toBeTruthy();
    expect(screen.getByRole('link', { name: '12 min' }).getAttribute('href')).toBe('/calendar/bench/2026-03-14');
    fireEvent.click(screen.getByRole('button', { name: 'Later month' }));
    expect(await screen.findByRole('table', { name: 'April 2026' })).toBeTruthy();
    expect(page.address()).toBe('/calendar?view=month&month=2026-04-01');
  });

  it('reads the year week by week with the keys', async () => {
    show(benchDays(), [light], '/calendar?view=year', { [`GET ${routes.places}`]: { places: [] } });
    const strip = await screen.findByRole('slider', { name: 'Weeks of the next year' });
    expect(strip.getAttribute('aria-valuetext')).toMatch(/^Week of Mon, 9 March 2026: 1 task, 8 min/);
    fireEvent.keyDown(strip, { key: 'ArrowRight' });
    expect(strip.getAttribute('aria-valuetext')).toMatch(/^Week of Mon, 16 March 2026: 0 tasks/);
  });

  it('saves when there is time, and says beside the field what cannot be', async () => {
    const page = show(benchDays(), [light], '/calendar', { [`PUT ${routes.benchTimes}`]: { ...times, version: 2 } });
    fireEvent.click(await screen.findByRole('button', { name: /^Your time/ }));
    fireEvent.change(screen.getByLabelText(/Minutes a day/), { target: { value: '5' } });
    fireEvent.click(screen.getByRole('button', { name: 'Save your time' }));
    expect(await screen.findByText('At least 10.')).toBeTruthy();
    expect(page.written()).toEqual([]);
    fireEvent.change(screen.getByLabelText(/Minutes a day/), { target: { value: '90' } });
    fireEvent.click(screen.getByLabelText('Wednesday'));
    fireEvent.click(screen.getByRole('button', { name: 'Save your time' }));
    await waitFor(() => expect(page.written()[0]?.body).toMatchObject({ minutesPerDay: 90, weekdays: [6, 0, 3] }));
  });
});

describe('a week on one sheet', () => {
  const show = (duties: schedule.Duty[], address = '/calendar/week') =>
    showPage(
      WeekPage,
      '/calendar/week',
      address,
      { [`GET ${routes.agenda}`]: agendaOf(...duties), [`GET ${routes.benchDays}`]: benchDays() },
      outside,
    );
  const late = dutyOf('exercise', {
    subject: lensOf('2'),
    urgency: 'overdue',
    window: { earliest: '2026-02-01', due: '2026-02-10', latest: '2026-02-20' },
  });
  const wednesday = dutyOf('shell-and-contacts', {
    subject: lensOf('3'),
    urgency: 'soon',
    window: { earliest: '2026-03-01', due: '2026-03-11', latest: '2026-03-20' },
  });
  const nextMonth = dutyOf('exercise', {
    subject: lensOf('4'),
    urgency: 'soon',
    window: { earliest: '2026-03-09', due: '2026-04-02', latest: '2026-04-10' },
  });

  it('has what is late first, the bench day with its tasks, each other task on its day, and what may be done already', async () => {
    show([light, late, wednesday, nextMonth]);
    expect(await screen.findByRole('heading', { name: '9 Mar – Sun, 15 March 2026' })).toBeTruthy();
    const of = (name: string) =>
      within(screen.getByRole('region', { name }))
        .getAllByRole('listitem')
        .map((li) => li.textContent);
    expect(of('Overdue')).toEqual([expect.stringMatching(/^Lens 2 · Exercise it/)]);
    expect(of('Wed, 11 March 2026')).toEqual([expect.stringMatching(/^Lens 3 · .*by 20 Mar$/)]);
    // What the bench day holds stands there and not on its due day as well.
    expect(of('Sat, 14 March 2026')).toEqual([expect.stringMatching(/^Lens 1 · Look through it/)]);
    expect(screen.getByText('Bench day from 16:00, 12 min')).toBeTruthy();
    expect(within(screen.getByRole('region', { name: 'Tue, 10 March 2026' })).queryAllByRole('listitem')).toEqual([]);
    expect(of('May be done already')).toEqual([expect.stringMatching(/^Lens 4/)]);
  });

  it('goes week by week, never before this one, and prints', async () => {
    const page = show([light, late], '/calendar/week?week=2020-01-01');
    fireEvent.click(await screen.findByRole('button', { name: 'Later week' }));
    expect(await screen.findByRole('heading', { name: '16 Mar – Sun, 22 March 2026' })).toBeTruthy();
    expect(page.address()).toBe('/calendar/week?week=2026-03-16');
    // What is late is of this week: on a later sheet it would be late twice.
    expect(screen.queryByRole('region', { name: 'Overdue' })).toBeNull();
    const print = vi.spyOn(window, 'print').mockImplementation(() => {});
    fireEvent.click(screen.getByRole('button', { name: 'Print' }));
    expect(print).toHaveBeenCalledOnce();
    fireEvent.click(screen.getByRole('button', { name: 'Earlier week' }));
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Earlier week' }).disabled).toBe(true);
  });
});

describe('passing over', () => {
  it('takes a reason and a note, and can be taken back', async () => {
    const page = showPage(
      CalendarPage,
      '/calendar',
      '/calendar',
      {
        [`GET ${routes.agenda}`]: agendaOf(light),
        [`GET ${routes.benchDays}`]: benchDays(),
        [`POST ${routes.dutySkip}`]: { entryId: 'e9' },
        [`POST ${routes.journalUndo('e9')}`]: { entryId: 'e10' },
      },
      outside,
    );
    fireEvent.click(await screen.findByRole('button', { name: 'More about Lens 1: Look through it with a torch' }));
    fireEvent.click(await screen.findByRole('menuitem', { name: 'Not this time, because…' }));
    fireEvent.change(await screen.findByLabelText('Not this time, because'), { target: { value: 'other' } });
    fireEvent.change(screen.getByLabelText('Note (if you like)'), { target: { value: ' shut in for the move ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Pass it over' }));
    await waitFor(() =>
      expect(page.written()[0]!.body).toMatchObject({ code: 'light-test', reason: 'other', note: 'shut in for the move' }),
    );
    fireEvent.click(await screen.findByRole('button', { name: 'Take it back' }));
    await waitFor(() => expect(page.written()[1]!.path).toBe(routes.journalUndo('e9')));
  });
});

describe('a bench day', () => {
  const other = dutyOf('exercise', { subject: lensOf('2'), setUp: 'desk' });
  const data: BenchDayData = {
    today: '2026-03-14',
    day: '2026-03-14',
    times,
    bench: benchDay(light, other),
    drawer: [{ thing: 'bulb-blower', label: 'bulb blower', for: ['Lens 1'] }],
    lacking: [{ thing: 'lens tissue', for: 'Lens 1' }],
  };
  const show = (duties: schedule.Duty[], more: Record<string, Handler> = {}) =>
    showPage(
      BenchDayPage,
      '/calendar/bench/:day',
      '/calendar/bench/2026-03-14',
      { [`GET ${routes.benchDay('2026-03-14')}`]: data, [`GET ${routes.agenda}`]: agendaOf(...duties), ...more },
      outside,
    );

  it('lays out everything once, and says what is not there', async () => {
    show([light, other]);
    const list = (await screen.findByText('Lay out first')).closest('section')!;
    expect(within(list).getByText('bulb blower')).toBeTruthy();
    expect(within(list).getByText('a torch')).toBeTruthy();
    expect(within(list).getByText(/Not in the drawer: lens tissue \(for Lens 1\)/)).toBeTruthy();
  });

  it('is run from its first task; the run is remembered, and what is done is ticked', async () => {
    const page = show([light, other], { [`POST ${routes.looks}`]: { id: 'l7' } });
    fireEvent.click(await screen.findByRole('button', { name: 'Start this day' }));
    await waitFor(() => expect(page.address()).toBe('/look/l7'));
    expect(currentRun()).toEqual({ day: '2026-03-14', ids: [light.id, other.id] });
    endPage();
    show([other]);
    expect((await screen.findAllByLabelText('done')).length).toBe(1);
  });

  it('keeps a task on this day when told to; a browser that comes later is told', async () => {
    const page = show([light, other], {
      [`POST ${routes.dutyPlan}`]: new Refusal({ status: 409, code: 'moved-elsewhere', title: 'It was moved elsewhere in the meantime' }),
    });
    fireEvent.click(await screen.findByRole('button', { name: 'Keep it on this day: Lens 1' }));
    expect(await screen.findByText('It was moved elsewhere in the meantime')).toBeTruthy();
    expect(page.written()[0]!.body).toMatchObject({ code: 'light-test', day: '2026-03-14', expected: null });
  });
});

describe('the bar over a bench day', () => {
  const show = (duties: schedule.Duty[], more: Record<string, Handler> = {}) =>
    showPage(RunBar, '/', '/', { [`GET ${routes.agenda}`]: agendaOf(...duties), ...more }, outside);
  const second = dutyOf('exercise', { subject: lensOf('2') });

  it('is not there while no day is run', () => {
    show([light]);
    expect(screen.queryByLabelText('Bench day')).toBeNull();
  });
  it('tells how far it is and what comes next, does it, and ends', async () => {
    memory.set('bench-run', JSON.stringify({ day: '2026-03-14', ids: [light.id, second.id] }));
    const page = show([second], { [`POST ${routes.dutyDone}`]: { entryId: 'e' } });
    expect(await screen.findByText('Bench day: 1 of 2 done')).toBeTruthy();
    expect(screen.getByText('Next: Lens 2, exercise it')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Done' }));
    await waitFor(() => expect(page.written()[0]!.path).toBe(routes.dutyDone));
    fireEvent.click(screen.getByRole('button', { name: 'Stop here' }));
    await waitFor(() => expect(screen.queryByLabelText('Bench day')).toBeNull());
  });
  it('takes what it remembers and cannot read for nothing', () => {
    memory.set('bench-run', '{"day":');
    show([light]);
    expect(currentRun()).toBeNull();
    setRun(null);
  });
});

describe('rhythms', () => {
  const standard = schedule.dutyFacts('exercise').rhythm!;
  const show = (kept: KeptRhythm[] = [], more: Record<string, Handler> = {}) =>
    showPage(
      RhythmsPage,
      '/calendar/rhythms',
      '/calendar/rhythms?duty=exercise',
      {
        [`GET ${routes.agenda}`]: agendaOf(dutyOf('exercise', { subject: lensOf('2') })),
        [`GET ${routes.rhythms}`]: kept,
        [`POST ${routes.rhythmPreview}`]: {
          before: [dutyOf('exercise')],
          after: [
            dutyOf('exercise'),
            dutyOf('exercise', { id: 'x', window: { earliest: '2026-05-01', due: '2026-05-01', latest: '2026-05-01' } }),
          ],
        },
        ...more,
      },
      outside,
    );

  it('shows what a change makes of the next year before it is saved, for whom it is', async () => {
    const page = show([], {
      [`PUT ${routes.rhythms}`]: { id: 'r', version: 1, code: 'exercise', scope: { for: 'all' }, rhythm: standard },
    });
    expect(await screen.findByText(/instead of 1 time in the next year/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('For'), { target: { value: 'one/2' } });
    fireEvent.change(screen.getByLabelText('Months'), { target: { value: '1' } });
    expect(screen.getByText(/^Due after 1 month without use/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Save this rhythm' }));
    await waitFor(() =>
      expect(
        page
          .written()
          .filter((c) => c.method === 'PUT')
          .map((c) => c.body),
      ).toEqual([
        {
          code: 'exercise',
          scope: { for: 'subject', id: '2' },
          version: null,
          rhythm: { ...standard, triggers: [{ on: 'idleness', after: { months: 1 } }] },
        },
      ]),
    );
  });

  it('says beside the trigger what nobody could keep, and saves nothing of it', async () => {
    const page = show();
    fireEvent.click(await screen.findByRole('button', { name: 'by the calendar' }));
    fireEvent.change(screen.getByLabelText('How it recurs'), { target: { value: 'written' } });
    fireEvent.change(screen.getByLabelText('Rule (RFC 5545)'), { target: { value: 'FREQ=HOURLY' } });
    expect(await screen.findByText(/more often than once a day\. The nearest: every day\./)).toBeTruthy();
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Save this rhythm' }).disabled).toBe(true);
    expect(page.written().filter((c) => c.method === 'PUT')).toEqual([]);
  });

  it('goes back to the usual', async () => {
    const page = show([{ id: 'r', version: 4, code: 'exercise', scope: { for: 'all' }, rhythm: null }], {
      [`DELETE ${routes.rhythm('r')}`]: undefined,
    });
    expect(await screen.findByText('It is not asked for.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Back to the usual' }));
    await waitFor(() => expect(page.written().map((c) => c.method)).toContain('DELETE'));
    expect(await screen.findByText(/^Due after 3 months without use/)).toBeTruthy();
  });
});

describe('other calendars', () => {
  const family: BusyCalendar = {
    id: 'b',
    name: 'Family',
    url: null,
    readAt: '2026-03-09T10:00:00Z',
    events: 2,
    busy: [{ from: '', to: '' }],
    problems: [{ line: 11, property: 'DTSTART', detail: 'is no time there is' }],
  };
  const show = (more: Record<string, Handler> = {}) =>
    showPage(
      OtherCalendarsPage,
      '/calendar/others',
      '/calendar/others',
      { [`GET ${routes.feeds}`]: [], [`GET ${routes.busy}`]: [family], ...more },
      outside,
    );

  it('shows a new address once, with what it means', async () => {
    const made = {
      id: 'f',
      name: 'Care',
      filter: { subjects: null, gravities: null, duties: true, benchDays: true },
      createdAt: '2026-03-10T10:00:00Z',
      fetchedAt: null,
      path: '/api/schedule/feed/KEY.ics',
    };
    const page = show({ [`POST ${routes.feeds}`]: made });
    fireEvent.click(await screen.findByRole('button', { name: 'Make an address' }));
    expect(await screen.findByText(/\/api\/schedule\/feed\/KEY\.ics$/)).toBeTruthy();
    expect(page.written()[0]!.body).toMatchObject({ name: 'Care', filter: { duties: true, benchDays: true } });
    fireEvent.click(screen.getByRole('button', { name: 'I have it' }));
    await waitFor(() => expect(screen.queryByText(/KEY\.ics/)).toBeNull());
  });

  it('tells what of another calendar could not be read, by line and property', async () => {
    show();
    expect(await screen.findByText('1 busy stretch from 2 events, read', { exact: false })).toBeTruthy();
    expect(screen.getByText('Line 11, DTSTART: is no time there is')).toBeTruthy();
  });

  it('keeps an address that was refused, with the reason', async () => {
    show({
      [`POST ${routes.busyAddress}`]: new Refusal({
        status: 400,
        code: 'not-nearby',
        title: 'Only calendars on this network are fetched',
        fields: { url: 'This is not on this network.' },
      }),
    });
    const field = await screen.findByLabelText('Or an address on this machine or its network');
    fireEvent.change(field, { target: { value: 'http://192.0.2.1/x.ics' } });
    fireEvent.click(screen.getByRole('button', { name: 'Fetch it' }));
    expect(await screen.findByText('This is not on this network.')).toBeTruthy();
    expect((field as HTMLInputElement).value).toBe('http://192.0.2.1/x.ics');
  });
});
