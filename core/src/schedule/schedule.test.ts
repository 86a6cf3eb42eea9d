import { addDays as addDaysReference, addMonths as addMonthsReference, differenceInCalendarDays, format } from 'date-fns';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  addMonths,
  daysBetween,
  dueWindows,
  localDay,
  nextWindow,
  TASK_IDS,
  tasksFor,
  urgencyOf,
  type CareRule,
} from './index.js';

const anyDay = fc
  .date({ min: new Date('1990-01-01T12:00:00Z'), max: new Date('2090-12-31T12:00:00Z'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10));
const noon = (day: string) => new Date(`${day}T12:00:00`);
const text = (date: Date) => format(date, 'yyyy-MM-dd');

/** Reference library: date-fns. */
describe('calendar days', () => {
  it('agree with date-fns on adding days and months and on counting days between', () => {
    fc.assert(
      fc.property(anyDay, anyDay, fc.integer({ min: -400, max: 400 }), (day, other, n) => {
        expect(addDays(day, n)).toBe(text(addDaysReference(noon(day), n)));
        expect(addMonths(day, n)).toBe(text(addMonthsReference(noon(day), n)));
        expect(daysBetween(day, other)).toBe(differenceInCalendarDays(noon(other), noon(day)));
      }),
      { seed: 4872 },
    );
  });

  it('end on the last day of a shorter month', () => {
    expect(addMonths('2026-11-30', 3)).toBe('2027-02-28');
    expect(addMonths('2027-11-30', 3)).toBe('2028-02-29');
  });

  it('are those of the user’s zone, not of UTC', () => {
    expect(localDay('2026-03-28T23:30:00Z', 'Europe/Lisbon')).toBe('2026-03-28');
    expect(localDay('2026-03-29T23:30:00Z', 'Europe/Lisbon')).toBe('2026-03-30');
    expect(localDay('2026-03-28T23:30:00Z', 'Pacific/Auckland')).toBe('2026-03-29');
  });

  it('refuse what is no day', () => {
    expect(() => addDays('2026-2-3', 1)).toThrow(/YYYY-MM-DD/);
    expect(() => addDays('soon', 1)).toThrow(/YYYY-MM-DD/);
  });
});

const rule = (more: Partial<CareRule> = {}): CareRule => ({
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

/** Rhythms of the trade: common practice. */
describe('rhythms', () => {
  it('look through each lens every 3 months, give or take 2 weeks', () => {
    expect(nextWindow('light-test', 'x', '2026-05-31')).toMatchObject({ earliest: '2026-08-17', due: '2026-08-31', latest: '2026-09-14' });
  });

  it('look at a quarantined thing every 4 weeks, give or take 4 days', () => {
    expect(nextWindow('quarantine-look', 'x', '2026-05-01')).toMatchObject({
      earliest: '2026-05-25',
      due: '2026-05-29',
      latest: '2026-06-02',
    });
  });

  it('ask for no ordinary looks at a thing in quarantine', () => {
    expect(tasksFor('lens', {}, 'quarantined')).toEqual(['quarantine-look']);
    expect(tasksFor('lens', {}, 'in-use')).toEqual(['light-test', 'exercise']);
    expect(tasksFor('mirrorless-body', {}, 'in-use')).toEqual(['sensor-frame', 'exercise', 'battery-contacts']);
  });

  it('know every task by name', () => expect(new Set(TASK_IDS).size).toBe(TASK_IDS.length));
});
