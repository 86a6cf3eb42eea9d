import { longDate } from '@bright-keeper/words';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fullInstant, shortDate, shortInstant, shortWeekday, wholeWeekday } from './dates';

/** Calendar facts: 29 February 2024 was a Thursday (any almanac). */
describe('a day in words', () => {
  it.each([
    [longDate, /^Thu,? 29 February 2024$/],
    [shortDate, /^29 Feb$/],
    [shortWeekday, /^Thu,? 29 Feb$/],
    [wholeWeekday, /^Thursday,? 29 February$/],
  ])('%#: is that day', (words, expected) => expect(words('2024-02-29')).toMatch(expected));

  it('is never the day before or after, whatever the zone of the browser', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('1970-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }), (date) => {
        const day = date.toISOString().slice(0, 10);
        expect(longDate(day)).toContain(` ${Number(day.slice(8))} `);
        expect(longDate(day)).toContain(day.slice(0, 4));
      }),
      { seed: 4872 },
    );
  });
});

describe('an instant in words', () => {
  it('is told by the clock of the household, in summer time too', () => {
    expect(fullInstant('2026-07-01T12:00:00Z', 'Europe/Lisbon')).toMatch(/^Wednesday,? 1 July 2026 at 13:00$/);
    expect(fullInstant('2026-01-01T12:00:00Z', 'Europe/Lisbon')).toMatch(/^Thursday,? 1 January 2026 at 12:00$/);
    expect(shortInstant(Date.parse('2026-03-28T23:30:00Z'), 'Pacific/Auckland')).toBe('29 Mar 2026, 12:30');
  });
});
