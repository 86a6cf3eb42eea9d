import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { WeatherHour } from '../air/index.js';
import { hourTold, weatherTold } from './weatherTold.js';
import { WEATHERS } from './index.js';

const zone = 'Europe/Berlin';
const hour = (at: string, temperatureC: number, humidityPct: number, more: Partial<WeatherHour> = {}): WeatherHour => ({
  at,
  temperatureC,
  humidityPct,
  ...more,
});
const DAYS = { from: '2026-01-10', to: '2026-01-11' };

describe('what a forecast means for an outing', () => {
  it.each([
    ['a dry, still, mild day', [hour('2026-01-10T11:00:00Z', 12, 50, { windMs: 2, rainMmPerH: 0 })], []],
    // Beaufort 4 begins at 5.5 m/s: raises dust and loose paper (WMO-No. 8).
    ['force 4', [hour('2026-01-10T11:00:00Z', 12, 50, { windMs: 5.5 })], ['wind']],
    ['force 3', [hour('2026-01-10T11:00:00Z', 12, 50, { windMs: 5.4 })], []],
    ['a shower', [hour('2026-01-10T11:00:00Z', 12, 50, { rainMmPerH: 0.4 })], ['rain']],
    ['a trace', [hour('2026-01-10T11:00:00Z', 12, 50, { rainMmPerH: 0.1 })], []],
    ['frost in the morning', [hour('2026-01-10T07:00:00Z', -1, 60)], ['cold']],
    ['a humid night', [hour('2026-01-10T22:00:00Z', 6, 92)], ['damp-night']],
    // 23 h of the day before in Berlin is 22 h UTC; at noon the sun is not reckoned with.
    ['the same air at noon', [hour('2026-01-10T11:00:00Z', 6, 92)], []],
    ['the same night under rain', [hour('2026-01-10T22:00:00Z', 6, 92, { rainMmPerH: 1 })], ['rain']],
    ['a desert night', [hour('2026-01-10T22:00:00Z', 18, 20)], []],
  ])('%s', (_, hours, expects) => {
    expect(weatherTold(hours, DAYS, zone)?.expects).toEqual(expects);
  });

  it('counts days as the household does, and says of which it speaks', () => {
    const night = [hour('2026-01-09T22:59:00Z', -9, 20), hour('2026-01-09T23:00:00Z', 3, 20), hour('2026-01-10T12:00:00Z', 5, 20)];
    expect(weatherTold(night, DAYS, zone)).toEqual({
      ...{ expects: [], coldestC: 3, warmestC: 5, windiestMs: null, wettestMmPerH: null },
      ...{ from: '2026-01-10', to: '2026-01-10' },
    });
    expect(weatherTold(night, { from: '2026-01-12', to: '2026-01-14' }, zone)).toBeNull();
    expect(weatherTold([], DAYS, zone)).toBeNull();
  });

  it('more hours never expect less (law)', () => {
    const hours = fc.array(
      fc.record({
        at: fc.integer({ min: 0, max: 47 }).map((h) => new Date(Date.UTC(2026, 0, 10, h)).toISOString()),
        temperatureC: fc.integer({ min: -20, max: 30 }),
        humidityPct: fc.integer({ min: 5, max: 100 }),
        windMs: fc.option(fc.integer({ min: 0, max: 30 }), { nil: undefined }),
        rainMmPerH: fc.option(fc.integer({ min: 0, max: 20 }), { nil: undefined }),
      }),
      { minLength: 1, maxLength: 12 },
    );
    const days = { from: '2026-01-10', to: '2026-01-12' };
    fc.assert(
      fc.property(hours, hours, (some, more) => {
        const [few, many] = [weatherTold(some, days, zone)!, weatherTold([...some, ...more] as WeatherHour[], days, zone)!];
        expect(WEATHERS.filter((w) => few.expects.includes(w) && !many.expects.includes(w))).toEqual([]);
        expect(many.coldestC).toBeLessThanOrEqual(few.coldestC);
      }),
      { seed: 12, numRuns: 200 },
    );
  });
});

describe('this hour by the forecast', () => {
  const now = Date.parse('2026-01-10T11:20:00Z');
  it('is the nearest there is, as one would type it', () => {
    const hours = [
      hour('2026-01-10T11:00:00Z', 3.6, 71.4, { windMs: 8, rainMmPerH: 3 }),
      hour('2026-01-10T12:00:00Z', 9, 50, { windMs: 0, rainMmPerH: 0 }),
    ];
    expect(hourTold(hours, now)).toEqual({ wind: 'raises-dust', inTheAir: ['heavy-rain'], temperatureC: 4, humidityPct: 71 });
    expect(hourTold(hours.slice(1), now)).toEqual({ wind: 'still', inTheAir: [], temperatureC: 9, humidityPct: 50 });
  });
  it('says nothing of wind where none was told, and mist where the air is at its dew point', () => {
    expect(hourTold([hour('2026-01-10T11:00:00Z', 5, 98)], now)).toEqual({ inTheAir: ['dew'], temperatureC: 5, humidityPct: 98 });
  });
  it('is not there where no hour is of now', () => {
    expect(hourTold([hour('2026-01-10T15:00:00Z', 5, 98)], now)).toBeNull();
    expect(hourTold([hour('2026-01-10T06:00:00Z', 5, 98)], now)).toBeNull();
  });
});
