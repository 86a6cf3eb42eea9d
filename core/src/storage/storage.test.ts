import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dewPointC } from '../air/index.js';
import { logOf } from '../testing/logs.js';
import {
  CLOSED_FOR_LONG_DAYS,
  downsample,
  indoorFromOutdoor,
  lumpedTauS,
  lumpedTimeS,
  dampSpells,
  passedSince,
  PLACE_KINDS,
  placeFacts,
  shiftBetween,
  isSilent,
  tooDamp,
  tooDry,
  warmUpMinutes,
  type Part,
} from './index.js';

const DAY = 24;
const lens = { startC: -5, roomC: 21, massG: 600, lengthMm: 80, diameterMm: 75 };

describe('warming up', () => {
  /** Incropera & DeWitt, example 5.1: a thermocouple junction, tau 1 s, from 25 to 199 in gas of 200 degC takes 5.2 s. */
  it('takes the thermocouple junction of Incropera’s example 5.1 5.2 s', () => {
    const [density, capacity, h, diameter] = [8500, 400, 400, 7.06e-4];
    const mass = (density * Math.PI * diameter ** 3) / 6;
    const tau = lumpedTauS(mass, capacity, h, Math.PI * diameter ** 2);
    expect(tau).toBeCloseTo(1, 2);
    expect(lumpedTimeS(tau, 25, 200, 199)).toBeCloseTo(5.2, 1);
  });

  it.each([
    [40, 17, 23.6],
    [60, 32, 44.6],
  ])('a lens from -5 into 21 degC and %i %% waits between %f and %f min bare (science.md)', (roomHumidityPct, from, to) => {
    for (const massG of [450, 600]) {
      const { minutes, allowanceMinutes } = warmUpMinutes({ ...lens, massG, roomHumidityPct, wrapping: 'bare' });
      expect(minutes).toBeGreaterThanOrEqual(from);
      expect(minutes).toBeLessThanOrEqual(to);
      expect(allowanceMinutes).toBeCloseTo(1.5 * minutes, 9);
    }
  });

  it('does not fog what is warmer than the dew point, and never clears in a room at its dew point', () => {
    expect(warmUpMinutes({ ...lens, startC: 15, roomHumidityPct: 40, wrapping: 'bare' })).toMatchObject({ willFog: false, minutes: 0 });
    expect(warmUpMinutes({ ...lens, roomHumidityPct: 97, wrapping: 'bare' }).minutes).toBe(Infinity);
  });

  it('lasts longer the colder, the damper, the heavier and the better wrapped', () => {
    const wait = (more: Partial<Parameters<typeof warmUpMinutes>[0]>) =>
      warmUpMinutes({ ...lens, roomHumidityPct: 50, wrapping: 'bare', ...more }).minutes;
    const base = wait({});
    for (const more of [
      { startC: -15 },
      { roomHumidityPct: 65 },
      { massG: 900 },
      { wrapping: 'plastic-bag' as const },
      { wrapping: 'padded-bag' as const },
    ])
      expect(wait(more)).toBeGreaterThan(base);
    expect(warmUpMinutes({ ...lens, roomHumidityPct: 50, wrapping: 'bare' }).dewPointC).toBe(dewPointC(21, 50));
  });

  it('warns where the lump is too thick for the sum', () => {
    expect(
      warmUpMinutes({ ...lens, diameterMm: 200, lengthMm: 300, massG: 6000, roomHumidityPct: 50, wrapping: 'bare' }).biot,
    ).toBeGreaterThan(0.1);
    expect(() => warmUpMinutes({ ...lens, massG: 0, roomHumidityPct: 50, wrapping: 'bare' })).toThrow(/above 0/);
  });
});

/** EN 15026, annex C (from memory). */
describe('a lived-in room', () => {
  it.each([
    [-15, 20, 30],
    [5, 20, 45],
    [15, 22.5, 55],
    [28, 25, 60],
  ])('with %i degC outside has %f degC and %f %%', (outside, temperatureC, humidityPct) => {
    expect(indoorFromOutdoor(outside)).toEqual({ temperatureC, humidityPct });
  });
});

describe('downsampling', () => {
  const part = (at: number, value: number): Part => ({
    at,
    count: 1,
    temperatureC: { min: value, mean: value, max: value },
    humidityPct: { min: value, mean: value, max: value },
  });
  it('keeps every extreme, never widens one, and makes no more stretches than asked for', () => {
    const log = fc.array(fc.tuple(fc.integer({ min: 0, max: 10_000 }), fc.double({ min: 0, max: 100, noNaN: true })), {
      minLength: 1,
      maxLength: 300,
    });
    fc.assert(
      fc.property(log, fc.integer({ min: 1, max: 50 }), (points, buckets) => {
        const parts = points.map(([at, v]) => part(at, v)).sort((a, b) => a.at - b.at);
        const out = downsample(parts, 0, 10_000, buckets);
        expect(out.length).toBeLessThanOrEqual(buckets);
        expect(Math.max(...out.map((b) => b.humidityPct.max))).toBe(Math.max(...points.map(([, v]) => v)));
        expect(Math.min(...out.map((b) => b.humidityPct.min))).toBe(Math.min(...points.map(([, v]) => v)));
        for (const [at, v] of points)
          expect(out.some((b) => b.humidityPct.min <= v && v <= b.humidityPct.max && Math.abs(b.at - at) <= 10_000 / buckets)).toBe(true);
        for (const b of out) expect(b.humidityPct.mean).toBeGreaterThanOrEqual(b.humidityPct.min - 1e-9);
      }),
      { seed: 4905 },
    );
  });
  it('in two rounds gives what one round gives', () => {
    const parts = Array.from({ length: 1000 }, (_, i) => part(i, Math.sin(i) * 40 + 50));
    const hours = downsample(parts, 0, 1000, 100).map((b): Part => ({ ...b, count: 10 }));
    const once = downsample(parts, 0, 1000, 10);
    downsample(hours, 0, 1000, 10).forEach((b, i) => {
      expect(b.humidityPct.max).toBe(once[i]!.humidityPct.max);
      expect(b.humidityPct.mean).toBeCloseTo(once[i]!.humidityPct.mean, 9);
    });
  });
  it('leaves a gap a gap', () => {
    expect(downsample([part(1, 5), part(99, 6)], 0, 100, 10)).toHaveLength(2);
    expect(() => downsample([], 5, 5, 3)).toThrow(/span/);
  });
});

describe('limits with hysteresis', () => {
  const climbing = (values: number[]) => logOf((values.length - 1) * DAY, (h) => [20, values[h / DAY]!], DAY);
  it('are raised beyond one value and cleared only at the other', () => {
    expect(passedSince(climbing([50, 50, 63, 63, 59.5, 59.5]), tooDamp(60))).toBe('2026-01-04T00:00:00.000Z');
    expect(passedSince(climbing([50, 50, 63, 63, 50, 50, 50]), tooDamp(60))).toBeNull();
    expect(passedSince(climbing([50, 20, 20, 31, 31]), tooDry)).toBe('2026-01-03T00:00:00.000Z');
  });
  it('damp spells end where the air dried, where nothing was heard for long, and with what was read last', () => {
    const day = (n: number) => new Date(Date.UTC(2026, 0, 1 + n)).toISOString();
    expect(dampSpells(climbing([50, 63, 63, 50, 50, 50, 70, 70, 70]), 60)).toEqual([
      { from: day(2), until: day(3) },
      { from: day(7), until: day(8) },
    ]);
    const hourly = (from: number, to: number) =>
      Array.from({ length: to - from }, (_, i) => ({
        at: new Date(Date.UTC(2026, 0, 1, from + i)).toISOString(),
        temperatureC: 20,
        humidityPct: 80,
      }));
    expect(dampSpells([...hourly(0, 48), ...hourly(24 * 20, 24 * 21)], 60)).toEqual([
      { from: '2026-01-01T00:00:00.000Z', until: '2026-01-02T23:00:00.000Z' },
      { from: '2026-01-21T00:00:00.000Z', until: '2026-01-21T23:00:00.000Z' },
    ]);
    expect(dampSpells([], 60)).toEqual([]);
  });
  it('take no notice of a door that stood open for an hour', () => {
    expect(
      passedSince(
        logOf(100, (h) => [20, h === 50 ? 95 : 50]),
        tooDamp(60),
      ),
    ).toBeNull();
  });
  it('call a hygrometer silent after six of its intervals, two hours at least', () => {
    const HOUR = 3_600_000;
    expect([2 * HOUR, 2 * HOUR + 1].map((ms) => isSilent(ms, 5))).toEqual([false, true]);
    expect([6 * HOUR, 6 * HOUR + 1].map((ms) => isSilent(ms, 60))).toEqual([false, true]);
    // A clock may run ahead a little; a word that is dated next year is none of today.
    expect([-60_000, -24 * HOUR].map((ms) => isSilent(ms, 5))).toEqual([false, true]);
  });
});

describe('each kind of place', () => {
  it('wins something and costs something', () => {
    for (const kind of PLACE_KINDS) expect(placeFacts(kind).tradeOff).toMatch(/; but|damp|damper/);
    expect(CLOSED_FOR_LONG_DAYS).toBe(14);
  });
});

describe('a log read in the wrong time zone', () => {
  const truth = logOf(10 * DAY, (h) => [
    19 + 3 * Math.sin((2 * Math.PI * h) / 24) + Math.sin(h * 0.9),
    55 + 6 * Math.cos(h / 5) + 2 * Math.sin(h * 1.7),
  ]);
  const shifted = (hours: number) => truth.map((r) => ({ ...r, at: new Date(Date.parse(r.at) + hours * 3_600_000).toISOString() }));
  it.each([1, -2, 9])('is noticed where it overlaps: %i h', (hours) => {
    expect(shiftBetween(truth, shifted(hours))).toBe(hours);
  });
  it('is not claimed of a sensor that is only off, nor of logs that hardly overlap', () => {
    expect(
      shiftBetween(
        truth,
        truth.map((r) => ({ ...r, humidityPct: r.humidityPct + 4 })),
      ),
    ).toBeNull();
    expect(shiftBetween(truth, shifted(9 * DAY))).toBeNull();
    expect(shiftBetween([], truth)).toBeNull();
  });
});
