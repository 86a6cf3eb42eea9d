import { schedule } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { dutyOf, lensOf } from '../../testing/duties';
import { agendaHeadings, filterFrom, forbiddenOn, isMovable, monthWeeks, passes, standsOn, yearWeeks } from './calendarView';

// A Tuesday.
const TODAY = '2026-03-10';
const on = (due: string, more: Partial<schedule.Duty> = {}) =>
  dutyOf('light-test', { window: { earliest: due, due, latest: due }, subject: lensOf(due), ...more });

describe('the agenda', () => {
  it('stands under overdue, this week, next week and months; only what is near stands open', () => {
    const headings = agendaHeadings(
      [on('2026-05-02'), on('2026-03-17'), on('2026-03-12'), on('2026-02-01', { urgency: 'overdue' }), on('2026-03-30')],
      TODAY,
    );
    expect(headings.map((h) => [h.title, h.duties.length, h.near])).toEqual([
      ['Overdue', 1, true],
      ['This week', 1, true],
      ['Next week', 1, true],
      ['March 2026', 1, false],
      ['May 2026', 1, false],
    ]);
  });
  it('puts what is late on today, and what the keeper put on a day there', () => {
    expect(standsOn(on('2026-02-01'), TODAY)).toBe(TODAY);
    expect(standsOn(on('2026-02-01', { plannedOn: '2026-03-14' }), TODAY)).toBe('2026-03-14');
    expect(standsOn(on('2026-04-01'), TODAY)).toBe('2026-04-01');
  });
});

describe('filters in the address', () => {
  it('let through what they name, and what is no filter is none', () => {
    const filter = filterFrom(new URLSearchParams('subject=thing&gravity=nonsense&duty=light-test'));
    expect(filter).toEqual({ subject: 'thing', gravity: null, code: 'light-test' });
    expect([on('2026-03-12'), dutyOf('exercise')].filter(passes(filter)).map((d) => d.code)).toEqual(['light-test']);
  });
});

describe('a month', () => {
  it('is shown in whole weeks from Monday', () => {
    const weeks = monthWeeks('2026-02-14');
    expect(weeks[0]![0]).toBe('2026-01-26');
    expect(weeks.at(-1)!.at(-1)).toBe('2026-03-01');
    expect(weeks.every((w) => w.length === 7)).toBe(true);
  });
});

describe('where a task may be put', () => {
  const duty = dutyOf('light-test', { window: { earliest: '2026-03-12', due: '2026-03-15', latest: '2026-03-20' } });
  it.each([
    ['2026-03-09', 'over'],
    ['2026-03-11', 'before-window'],
    ['2026-03-12', null],
    ['2026-03-20', null],
    ['2026-03-21', 'after-window'],
  ] as const)('on %s: %s', (day, why) => expect(forbiddenOn(duty, day, TODAY)).toBe(why));
  it('what is overdue may be put on any day from now on', () => {
    expect(forbiddenOn({ ...duty, urgency: 'overdue' }, '2026-05-01', TODAY)).toBeNull();
  });
  it('only the one at hand moves, and nothing that warms', () => {
    expect([
      isMovable(duty),
      isMovable({ ...duty, ahead: 1 }),
      isMovable(dutyOf('warm-up', { facts: { says: 'warming' } as never })),
    ]).toEqual([true, false, false]);
  });
});

describe('a year', () => {
  it('counts each week’s minutes, and how many are guesses; nothing is counted twice', () => {
    const weeks = yearWeeks(
      [on('2026-03-12'), on('2026-03-15'), on('2026-03-16', { estimate: { from: TODAY, to: TODAY } }), on('2028-01-01')],
      TODAY,
    );
    expect(weeks.slice(0, 2)).toEqual([
      { monday: '2026-03-09', minutes: 16, count: 2, guessed: 0 },
      { monday: '2026-03-16', minutes: 8, count: 1, guessed: 1 },
    ]);
    expect(weeks.reduce((sum, w) => sum + w.count, 0)).toBe(3);
  });
});
