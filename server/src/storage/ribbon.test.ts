import { air, fungus, schedule, type storage, MS_PER_HOUR } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { ribbonOf } from './ribbon.js';

/** Hours from an instant on, the first the driest: each a percent damper than the one before, so that an extreme tells which hour it is. */
function hoursFrom(from: string, count: number): storage.Part[] {
  return Array.from({ length: count }, (_, i) => ({
    at: Date.parse(from) + i * MS_PER_HOUR,
    count: 6,
    temperatureC: { min: 20, mean: 20, max: 20 },
    humidityPct: { min: 10 + i, mean: 10 + i, max: 10 + i },
  }));
}
function ribbon(hours: storage.Part[], timeZone: string) {
  const log = air.columnsOf(
    hours.map(({ at, humidityPct }) => ({ at: new Date(at).toISOString(), temperatureC: 20, humidityPct: humidityPct.mean })),
  );
  return ribbonOf(hours, log, fungus.warningAlong(log), timeZone);
}

/** IANA zones, rules as published for 2026: Auckland is 13 h ahead in January, Los Angeles 8 h behind; Lisbon's 29 March has 23 hours and its 25 October 25. */
describe('a day of a ribbon', () => {
  it.each([
    ['UTC', ['2026-01-10', '2026-01-11']],
    ['Pacific/Auckland', ['2026-01-10', '2026-01-11', '2026-01-12']],
    ['America/Los_Angeles', ['2026-01-09', '2026-01-10', '2026-01-11']],
  ])('is one of the household’s clock: %s', (zone, days) => {
    expect(ribbon(hoursFrom('2026-01-10T00:00:00Z', 48), zone).map((d) => d.day)).toEqual(days);
  });

  it('begins at midnight there', () => {
    // Midnight in Auckland is 11:00 UTC of the day before.
    const [first, second] = ribbon(hoursFrom('2026-01-10T00:00:00Z', 48), 'Pacific/Auckland');
    expect([first!.minPct, first!.maxPct]).toEqual([10, 20]);
    expect([second!.minPct, second!.maxPct]).toEqual([21, 44]);
  });

  it.each([
    ['2026-03-29', 23],
    ['2026-10-25', 25],
  ])('has as many hours as the clock gives it: %s in Lisbon %i', (day, hours) => {
    const around = hoursFrom(new Date(schedule.startOfDay(day, 'Europe/Lisbon') - 3 * MS_PER_HOUR).toISOString(), 48);
    const found = ribbon(around, 'Europe/Lisbon').find((d) => d.day === day)!;
    expect(found.maxPct - found.minPct + 1).toBe(hours);
    expect(found.minPct).toBe(13);
  });

  it('stands where the early warning stood at its end', () => {
    const hours = hoursFrom('2026-01-10T00:00:00Z', 72);
    const log = air.columnsOf(hours.map(({ at }) => ({ at: new Date(at).toISOString(), temperatureC: 25, humidityPct: 92 })));
    const along = fungus.warningAlong(log);
    // Eleven whole hours of the first day in Auckland, then a day and eleven hours more.
    const days = ribbonOf(hours, log, along, 'Pacific/Auckland');
    expect(days[0]!.dose).toBeCloseTo(along.dose[10]!, 4);
    expect(days[1]!.dose).toBeCloseTo(along.dose[34]!, 4);
    expect(days.at(-1)!.dose).toBeCloseTo(along.dose.at(-1)!, 4);
  });
});
