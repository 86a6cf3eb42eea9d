import { schedule } from '@bright-keeper/core';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { useState } from 'react';
import { afterEach, describe, expect, it } from 'vitest';
import { FRESH } from './rhythmState';
import { TriggerFields } from './TriggerFields';

afterEach(cleanup);

/** The fields over a trigger that changes as they say; tells what it is now. */
function show(start: schedule.Trigger): () => schedule.Trigger {
  let now = start;
  function Kept() {
    const [trigger, set] = useState(start);
    now = trigger;
    return <TriggerFields trigger={trigger} set={set} drop={null} error={undefined} today="2026-03-10" />;
  }
  render(<Kept />);
  return () => now;
}
const put = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('what makes a duty due', () => {
  // RFC 5545, section 3.3.10: the rule as a calendar writes it.
  it.each<[string, () => void, string]>([
    ['every 6 weeks', () => (put('How many', '6'), put('Unit', 'weeks')), 'FREQ=WEEKLY;INTERVAL=6'],
    [
      'the last Sunday of every second month',
      () => (put('How it recurs', 'nth-weekday'), put('Which', '-1'), put('Weekday', 'SU'), put('Months', '2')),
      'FREQ=MONTHLY;INTERVAL=2;BYDAY=-1SU',
    ],
    ['each May', () => (put('How it recurs', 'each-month'), put('Month', '5')), 'FREQ=YEARLY;BYMONTH=5'],
    ['a written rule', () => (put('How it recurs', 'written'), put('Rule (RFC 5545)', 'FREQ=WEEKLY;BYDAY=TU')), 'FREQ=WEEKLY;BYDAY=TU'],
  ])('is put together by choosing: %s', (_, choose, rule) => {
    const now = show(FRESH.calendar);
    choose();
    const { rrule } = now() as Extract<schedule.Trigger, { on: 'calendar' }>;
    expect(Object.fromEntries(rrule.split(';').map((part) => part.split('=')))).toMatchObject(
      Object.fromEntries(rule.split(';').map((part) => part.split('='))),
    );
    expect(schedule.rhythmTroubles({ triggers: [now()], earlyDays: 0, lateDays: 0 }, '2026-03-10')).toEqual([]);
  });

  it('stays a written rule while it is written, though it reads as a plain one on the way', () => {
    show(FRESH.calendar);
    put('How it recurs', 'written');
    put('Rule (RFC 5545)', 'FREQ=WEEKLY;INTERVAL=2');
    expect(screen.getByLabelText<HTMLInputElement>('Rule (RFC 5545)').value).toBe('FREQ=WEEKLY;INTERVAL=2');
  });

  it('is counted from a fixed day, today to begin with, or from when it was last done', () => {
    const now = show(FRESH.calendar);
    put('Counted from', 'day');
    expect(now()).toMatchObject({ from: '2026-03-10' });
    put('Fixed day', '2026-04-01');
    expect(now()).toMatchObject({ from: '2026-04-01' });
    put('Counted from', 'last-done');
    expect(now()).toMatchObject({ from: 'last-done' });
    expect(screen.queryByLabelText('Fixed day')).toBeNull();
  });

  it('holds only while the risk is raised, where one says so, and always again', () => {
    const now = show(FRESH.calendar);
    const box = screen.getByLabelText(/only while the fungus risk is raised/);
    fireEvent.click(box);
    expect(now()).toMatchObject({ while: 'fungus-risk' });
    fireEvent.click(box);
    expect('while' in now()).toBe(false);
  });

  it('is so many frames, changes of lenses or hours', () => {
    const now = show(FRESH.use);
    put('How many', '5000');
    for (const of of schedule.USE_UNITS) {
      put('Of what', of);
      expect(now()).toMatchObject({ on: 'use', count: 5000, of });
    }
    put('How many', '');
    expect(now()).toMatchObject({ count: 0 });
    expect(schedule.rhythmTroubles({ triggers: [now()], earlyDays: 0, lateDays: 0 }, '2026-03-10')).not.toEqual([]);
  });

  it('is so many hours after what it met; each of them is ticked', () => {
    const now = show({ on: 'exposure', to: ['salt'], withinHours: 24 });
    put('Hours', '12');
    fireEvent.click(screen.getByLabelText(/sand/i));
    expect(now()).toMatchObject({ to: ['salt', 'sand'], withinHours: 12 });
    fireEvent.click(screen.getByLabelText(/salt/i));
    expect(now()).toMatchObject({ to: ['sand'] });
  });

  it('is some days before what the air foretells, or months without use', () => {
    const air = show(FRESH.climate);
    put('Days ahead', '5');
    put('What the air foretells', 'damp');
    expect(air()).toMatchObject({ on: 'climate', daysAhead: 5, sign: 'damp' });
    cleanup();
    const idle = show({ on: 'idleness', after: { days: 61 } });
    expect(screen.getByLabelText<HTMLInputElement>('Months').value).toBe('2');
    put('Months', '3');
    expect(idle()).toEqual({ on: 'idleness', after: { months: 3 } });
  });
});
