import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { addDays, addMonths, daysBetween, isDay, localDay, monthOf, weekdayOf, weekStart } from './index.js';

export const anyDay = fc
  .date({ min: new Date('1990-01-01T12:00:00Z'), max: new Date('2090-12-31T12:00:00Z'), noInvalidDate: true })
  .map((d) => d.toISOString().slice(0, 10));

/** Reference library: temporal-polyfill, which shares no line with the one the days rest on. */
describe('calendar days', () => {
  it('agree with Temporal on adding days and months, counting days between, weekdays and weeks', () => {
    fc.assert(
      fc.property(anyDay, anyDay, fc.integer({ min: -400, max: 400 }), (day, other, n) => {
        const plain = Temporal.PlainDate.from(day);
        expect(addDays(day, n)).toBe(plain.add({ days: n }).toString());
        expect(addMonths(day, n)).toBe(plain.add({ months: n }).toString());
        expect(daysBetween(day, other)).toBe(plain.until(other).days);
        expect(weekdayOf(day)).toBe(plain.dayOfWeek % 7);
        expect(weekStart(day)).toBe(plain.subtract({ days: plain.dayOfWeek - 1 }).toString());
        expect(monthOf(day).last).toBe(plain.with({ day: plain.daysInMonth }).toString());
      }),
      { seed: 4872 },
    );
  });

  it('end on the last day of a shorter month, leap years included', () => {
    expect(addMonths('2026-11-30', 3)).toBe('2027-02-28');
    expect(addMonths('2027-11-30', 3)).toBe('2028-02-29');
    expect(addMonths('2028-02-29', 12)).toBe('2029-02-28');
  });

  it('are those of the household’s zone, not of UTC', () => {
    expect(localDay('2026-03-28T23:30:00Z', 'Europe/Lisbon')).toBe('2026-03-28');
    expect(localDay('2026-03-29T23:30:00Z', 'Europe/Lisbon')).toBe('2026-03-30');
    expect(localDay('2026-03-28T23:30:00Z', 'Pacific/Auckland')).toBe('2026-03-29');
  });

  it.each(['2026-2-3', 'soon', '2026-02-30', '2025-02-29', '2026-13-01', ''])('refuse %j, which is no day', (text) => {
    expect(isDay(text)).toBe(false);
    expect(() => addDays(text, 1)).toThrow(/YYYY-MM-DD/);
  });
});
