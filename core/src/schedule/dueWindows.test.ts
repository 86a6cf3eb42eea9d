import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anyDay } from './day.test.js';
import { addDays, daysBetween, dueWindows, urgencyOf, type CareRule, type Every, type Trigger, type Use } from './index.js';

const rule = (more: { startsOn?: string; every?: Every; earlyDays?: number; lateDays?: number } = {}): CareRule => ({
  id: 'light-test',
  subjectId: 'a',
  every: { months: 3 },
  startsOn: '2026-01-10',
  earlyDays: 14,
  lateDays: 14,
  minutes: 8,
  ...more,
});
// Ends before the window of January 2027 opens.
const span = { from: '2026-01-01', to: '2026-12-20', now: '2026-01-20' };

describe('due windows', () => {
  it('count from the start until something was done', () => {
    expect(dueWindows([rule()], [], span)[0]).toEqual({
      ruleId: 'light-test',
      subjectId: 'a',
      earliest: '2026-03-27',
      due: '2026-04-10',
      latest: '2026-04-24',
      minutes: 8,
    });
  });

  it('count from the last time it was done', () => {
    const history = [
      { ruleId: 'light-test', subjectId: 'a', on: '2026-01-15' },
      { ruleId: 'light-test', subjectId: 'a', on: '2026-01-18' },
      { ruleId: 'light-test', subjectId: 'b', on: '2026-01-19' },
    ];
    expect(dueWindows([rule()], history, span)[0]?.due).toBe('2026-04-18');
  });

  it('recur through the span', () => {
    expect(dueWindows([rule()], [], span).map((w) => w.due)).toEqual(['2026-04-10', '2026-07-10', '2026-10-10']);
  });

  it('keep what is overdue, and count the following one from now', () => {
    const late = dueWindows([rule({ startsOn: '2025-01-10' })], [], { ...span, from: '2026-01-20' });
    expect(late.map((w) => w.due).slice(0, 2)).toEqual(['2025-04-10', '2026-04-20']);
  });

  it('refuse an interval that never passes', () => {
    expect(() => dueWindows([rule({ every: { days: 0 } })], [], span)).toThrow(/at least one day/);
  });

  it('lie in order, each holding its due day, and never more than the rhythm asks for', () => {
    fc.assert(
      fc.property(anyDay, fc.integer({ min: 1, max: 200 }), fc.integer({ min: 0, max: 30 }), (startsOn, days, slack) => {
        const windows = dueWindows([rule({ startsOn, every: { days }, earlyDays: slack, lateDays: slack })], [], {
          from: startsOn,
          to: addDays(startsOn, 500),
          now: startsOn,
        });
        for (const [i, w] of windows.entries()) {
          expect(w.earliest <= w.due && w.due <= w.latest).toBe(true);
          if (i > 0) expect(daysBetween(windows[i - 1]!.due, w.due)).toBe(days);
        }
        expect(windows.length).toBe(Math.floor((500 + slack) / days));
      }),
      { seed: 4873 },
    );
  });

  it.each([
    ['2026-04-24', 'overdue', '2026-04-25'],
    ['2026-04-24', 'due', '2026-04-24'],
    ['2026-04-24', 'due', '2026-04-10'],
    ['2026-04-24', 'soon', '2026-03-27'],
    ['2026-04-24', 'later', '2026-03-26'],
  ] as const)('ending %s are %s on %s', (latest, urgency, today) => {
    expect(urgencyOf({ earliest: '2026-03-27', due: '2026-04-10', latest }, today)).toBe(urgency);
  });
});

const NOW = '2026-06-01';
const year = { from: NOW, to: '2027-06-01', now: NOW, zone: 'UTC' };
const triggered = (...triggers: Trigger[]): CareRule => ({
  id: 'frame',
  subjectId: 'a',
  startsOn: '2026-01-01',
  triggers,
  earlyDays: 14,
  lateDays: 14,
  minutes: 10,
});
const quarterly: Trigger = { on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=3', from: 'last-done' };
const done = (on: string) => [{ ruleId: 'frame', subjectId: 'a', on }];
const outing = (day: string, more: Partial<Use> = {}): Use => ({ day, counts: { outings: 1 }, met: [], ...more });
const facts = (more: object) => [{ subjectId: 'a', ...more }];

describe('triggers', () => {
  it('of several, the first to come decides: 3 months or 10 outings', () => {
    const rule = triggered(quarterly, { on: 'use', of: 'outings', count: 10 });
    const uses = Array.from({ length: 10 }, (_, i) => outing(addDays('2026-05-10', i)));
    expect(dueWindows([rule], done('2026-05-01'), { ...year, facts: facts({ uses: uses.slice(0, 3) }) })[0]).toMatchObject({
      due: '2026-08-01',
    });
    const reached = dueWindows([rule], done('2026-05-01'), { ...year, facts: facts({ uses }) })[0]!;
    expect(reached).toMatchObject({ due: '2026-05-19', latest: '2026-06-02' });
    expect(reached.estimate).toBeUndefined();
  });

  it('use is foretold from the last year, and says how sure it is', () => {
    const uses = Array.from({ length: 24 }, (_, i) => outing(addDays('2025-06-05', i * 15)));
    const [window] = dueWindows([triggered({ on: 'use', of: 'outings', count: 10 })], done('2026-05-20'), {
      ...year,
      facts: facts({ uses }),
    });
    expect(window!.estimate!.from < window!.due && window!.due < window!.estimate!.to).toBe(true);
    // Two outings a month: ten of them in about five months.
    expect(daysBetween(NOW, window!.due)).toBeGreaterThan(120);
    expect(daysBetween(NOW, window!.due)).toBeLessThan(180);
  });

  it('exposure does not wait for the calendar: hours from when it was met, in the zone of the household', () => {
    const rule = triggered(quarterly, { on: 'exposure', to: ['salt'], withinHours: 24 });
    const met = [outing('2026-05-31', { at: '2026-05-31T20:00:00Z', met: ['salt'] })];
    const at = (zone: string) => dueWindows([rule], done('2026-05-01'), { ...year, zone, facts: facts({ uses: met }) })[0];
    expect(at('UTC')).toMatchObject({ earliest: '2026-05-31', due: '2026-05-31', latest: '2026-06-01' });
    expect(at('Pacific/Auckland')).toMatchObject({ latest: '2026-06-02' });
  });

  it('exposure known by its day alone is due that same day', () => {
    const rule = triggered({ on: 'exposure', to: ['sand', 'rain'], withinHours: 24 });
    const [window] = dueWindows([rule], done('2026-05-01'), { ...year, facts: facts({ uses: [outing('2026-05-30', { met: ['rain'] })] }) });
    expect(window).toMatchObject({ due: '2026-05-30', latest: '2026-05-30' });
  });

  it('idleness counts from the last use', () => {
    const rule = triggered({ on: 'idleness', after: { months: 3 } });
    const [window] = dueWindows([rule], done('2026-02-01'), { ...year, facts: facts({ uses: [outing('2026-05-20')] }) });
    expect(window).toMatchObject({ due: '2026-08-20' });
  });

  it('climate comes so many days before what is foretold, never before today', () => {
    const rule = triggered({ on: 'climate', sign: 'gel', daysAhead: 14 });
    const foretell = (day: string) => facts({ foretold: [{ sign: 'gel', day, from: addDays(day, -3), to: addDays(day, 3) }] });
    expect(dueWindows([rule], [], { ...year, facts: foretell('2026-07-01') })[0]).toMatchObject({
      due: '2026-06-17',
      latest: '2026-07-01',
      estimate: { from: '2026-06-14', to: '2026-06-20' },
    });
    expect(dueWindows([rule], [], { ...year, facts: foretell('2026-06-05') })[0]).toMatchObject({ due: NOW });
  });

  it('what holds only under fungus risk waits for it', () => {
    const rule = triggered(quarterly, { on: 'calendar', rrule: 'FREQ=MONTHLY', from: 'last-done', while: 'fungus-risk' });
    const due = (fungusRisk: boolean) => dueWindows([rule], done('2026-05-20'), { ...year, facts: facts({ fungusRisk }) })[0]!.due;
    expect([due(false), due(true)]).toEqual(['2026-08-20', '2026-06-20']);
  });
});

describe('done early or late', () => {
  const fixed = triggered({ on: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=11;BYMONTHDAY=1', from: '2020-11-01' });
  it('moves what is counted from it', () => {
    expect(dueWindows([triggered(quarterly)], done('2026-05-20'), year)[0]!.due).toBe('2026-08-20');
  });
  it('leaves a fixed day where it is, and an early one counts for it', () => {
    expect(dueWindows([fixed], done('2025-11-20'), year)[0]!.due).toBe('2026-11-01');
    const early = { ...year, from: '2026-10-25', now: '2026-10-25', to: '2028-01-01' };
    expect(dueWindows([fixed], done('2026-10-24'), early)[0]!.due).toBe('2027-11-01');
  });
  it('of a fixed day, what nobody did while the program was off is asked for once', () => {
    const monthly = triggered({ on: 'calendar', rrule: 'FREQ=MONTHLY;BYDAY=1SA', from: '2025-01-04' });
    const windows = dueWindows([{ ...monthly, startsOn: '2025-01-01', earlyDays: 3, lateDays: 3 }], done('2025-02-01'), year);
    expect(windows.slice(0, 3).map((w) => w.due)).toEqual(['2025-03-01', '2026-06-06', '2026-07-04']);
  });
  it('never makes two next ones, whatever the rule and whenever it was done', () => {
    const rules: Trigger[][] = [
      [quarterly],
      [{ on: 'calendar', rrule: 'FREQ=MONTHLY;BYDAY=1SA', from: '2024-01-06' }],
      [{ on: 'calendar', rrule: 'FREQ=YEARLY;BYMONTH=11;BYMONTHDAY=1', from: '2020-11-01' }],
      [{ on: 'idleness', after: { months: 3 } }, quarterly],
    ];
    fc.assert(
      fc.property(fc.constantFrom(...rules), fc.integer({ min: 0, max: 400 }), (triggers, ago) => {
        const on = addDays(NOW, -ago);
        const rule = { ...triggered(...triggers), earlyDays: 5, lateDays: 5 };
        const windows = dueWindows([rule], done(on), year);
        for (const [i, w] of windows.entries()) if (i > 0) expect(w.earliest > windows[i - 1]!.earliest).toBe(true);
        // Done today, nothing of it is asked for today any more.
        expect(dueWindows([rule], [...done(on), ...done(NOW)], year).filter((w) => w.earliest <= NOW)).toEqual([]);
      }),
      { seed: 4874 },
    );
  });
});
