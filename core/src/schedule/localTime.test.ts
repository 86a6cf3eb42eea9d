import fc from 'fast-check';
import { Temporal } from 'temporal-polyfill';
import { describe, expect, it } from 'vitest';
import { instantOfLocal, localOfInstant, startOfDay, zonedToUtc } from './localTime.js';

const ZONES = ['UTC', 'Europe/Lisbon', 'America/St_Johns', 'Asia/Kathmandu', 'Pacific/Apia', 'Australia/Lord_Howe'];
const anyInstant = fc.date({ min: new Date('1980-01-01T00:00:00Z'), max: new Date('2035-12-31T00:00:00Z'), noInvalidDate: true });

/** Reference library: temporal-polyfill. */
describe('the clock on the wall of a zone', () => {
  it('shows what Temporal says, and leads back to an instant that shows the same', () => {
    fc.assert(
      fc.property(anyInstant, fc.constantFrom(...ZONES), (at, zone) => {
        const shown = Temporal.Instant.fromEpochMilliseconds(at.getTime()).toZonedDateTimeISO(zone).toPlainDateTime();
        const local = localOfInstant(at, zone);
        expect(local).toBe(shown.toString({ smallestUnit: 'minute', roundingMode: 'trunc' }));
        expect(localOfInstant(new Date(instantOfLocal(local, zone)!), zone)).toBe(local);
      }),
      { seed: 2811, numRuns: 400 },
    );
  });

  it('begins each day where Temporal has it begin, where a day has a midnight', () => {
    for (const zone of ['Europe/Lisbon', 'Asia/Kathmandu', 'UTC'])
      for (const day of ['2026-03-28', '2026-03-29', '2026-03-30', '2026-10-25', '2026-10-26', '2026-12-31'])
        expect(new Date(startOfDay(day, zone)).toISOString()).toBe(
          new Date(Temporal.PlainDate.from(day).toZonedDateTime(zone).epochMilliseconds).toISOString(),
        );
  });

  it('takes no text for a time that is none', () => {
    for (const text of ['', 'yesterday', '2026-11-28', '2026-13-01T10:00', '2026-11-28T25:00', '2026-11-28T10:00Z'])
      expect(instantOfLocal(text, 'UTC'), text).toBe(null);
  });

  // Summer time, from the zone database.
  it.each([
    ['Europe/Lisbon', '2026-03-28T12:00', '2026-03-28T12:00'],
    ['Europe/Lisbon', '2026-03-29T12:00', '2026-03-29T11:00'],
    ['Europe/Lisbon', '2026-10-26T12:00', '2026-10-26T12:00'],
    ['Asia/Kathmandu', '2026-06-01T12:00', '2026-06-01T06:15'],
    ['UTC', '2026-06-01T12:00', '2026-06-01T12:00'],
  ])('in %s shows %s when it is %s in UTC', (zone, local, utc) => {
    expect(new Date(zonedToUtc(Date.parse(`${local}Z`), zone)).toISOString().slice(0, 16)).toBe(utc);
  });
});
