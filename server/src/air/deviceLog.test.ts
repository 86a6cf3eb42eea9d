import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { hourlyOf, withDays, type DeviceLog } from './deviceLog.js';
import { packHours } from './packedDay.js';

const dayNumber = (n: number): string => new Date(Date.UTC(2026, 0, 1) + n * 86_400_000).toISOString().slice(0, 10);
/** A day of one reading in an hour. */
const packed = (n: number, hour: number, hundredths: number) => ({
  deviceId: 'd',
  day: dayNumber(n),
  count: 1,
  hours: packHours({
    length: 1,
    second: Uint32Array.of(hour * 3600 + 1),
    temperature: Int16Array.of(hundredths),
    humidity: Uint16Array.of(hundredths),
  }),
});
const offset = (offsetPct: number): DeviceLog['corrections'] => [{ at: '2026-01-01T00:00:00.000Z', gain: 1, offsetPct }];

const told = fc.array(fc.tuple(fc.integer({ min: 0, max: 40 }), fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 9999 })), {
  maxLength: 6,
});

describe('the hours of a device', () => {
  it('come to the same whether they are worked out anew or from where they changed, in whatever order days are told', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ told, pct: fc.constantFrom(0, 0, 0, 2.5) }), { maxLength: 12 }), (rounds) => {
        let log: Pick<DeviceLog, 'days' | 'corrections' | 'hourly'> | undefined;
        for (const { told, pct } of rounds) {
          const corrections = pct === 0 ? [] : offset(pct);
          const days = withDays(
            log?.days ?? new Map(),
            told.map((t) => packed(...t)).sort((a, b) => (a.day < b.day ? -1 : 1)),
          );
          const hourly = hourlyOf({ days, corrections }, log);
          expect(hourly).toEqual(hourlyOf({ days, corrections }));
          expect([...hourly.ms]).toEqual([...hourly.ms].sort((a, b) => a - b));
          log = { days, corrections, hourly };
        }
      }),
    );
  });

  it('are the very same where nothing was told', () => {
    const days = withDays(new Map(), [packed(1, 5, 2000), packed(2, 6, 2100)]);
    const hourly = hourlyOf({ days, corrections: [] });
    expect(hourlyOf({ days, corrections: [] }, { days, corrections: [], hourly })).toBe(hourly);
    expect(hourly.length).toBe(2);
  });
});
