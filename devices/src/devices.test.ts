import { sources } from '@bright-keeper/core';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { windAndRain } from './climate.js';
import { airAt, history, isHeard, read, SPOTS, type SensorSpec } from './index.js';
import { readOptions } from './options.js';
import { answering, logging } from './outlets.js';

const DAY = 86_400_000;
const WINTER = Date.parse('2026-01-20T12:00:00Z');
const SUMMER = Date.parse('2026-08-05T12:00:00Z');
const mean = (spot: (typeof SPOTS)[number], from: number, of: 'temperatureC' | 'humidityPct', story = {}) =>
  Array.from({ length: 14 * 24 }, (_, h) => airAt(spot, from + (h * DAY) / 24, story)[of]).reduce((a, b) => a + b, 0) / (14 * 24);
const spec: SensorSpec = { spot: 'room', seed: 3, offsetPct: 4, driftPctPerYear: 1, madeMs: WINTER };

describe('the made-up climate', () => {
  it('is the same at the same instant and stays within what air can be', () => {
    for (const spot of SPOTS)
      for (let ms = WINTER; ms < WINTER + 400 * DAY; ms += 7.3 * 3_600_000) {
        const { temperatureC, humidityPct } = airAt(spot, ms);
        expect(airAt(spot, new Date(ms))).toEqual({ temperatureC, humidityPct });
        expect(temperatureC > -15 && temperatureC < 40 && humidityPct > 0 && humidityPct < 100).toBe(true);
      }
  });
  it('has seasons outside, a heated room in winter, a damper cupboard and a dry cabinet', () => {
    expect(mean('outdoors', SUMMER, 'temperatureC')).toBeGreaterThan(mean('outdoors', WINTER, 'temperatureC') + 8);
    expect(mean('room', WINTER, 'temperatureC')).toBeGreaterThan(18);
    expect(mean('room', WINTER, 'humidityPct')).toBeLessThan(mean('room', SUMMER, 'humidityPct'));
    expect(mean('cupboard', SUMMER, 'humidityPct')).toBeGreaterThan(mean('room', SUMMER, 'humidityPct') + 3);
    expect(mean('dry-cabinet', SUMMER, 'humidityPct')).toBeLessThan(46);
  });
  it('blows and rains as weather does: never below nothing, rain only in air that is nearly full', () => {
    const hours = Array.from({ length: 400 * 24 }, (_, h) => WINTER + h * 3_600_000).map((ms) => ({
      ...airAt('outdoors', ms),
      ...windAndRain(ms),
    }));
    expect(hours.every(({ windMs, rainMmPerH }) => windMs >= 0 && windMs < 20 && rainMmPerH >= 0 && rainMmPerH < 10)).toBe(true);
    expect(hours.every(({ humidityPct, rainMmPerH }) => rainMmPerH === 0 || humidityPct > 88)).toBe(true);
    const wet = hours.filter(({ rainMmPerH }) => rainMmPerH >= 0.2).length / hours.length;
    expect(wet).toBeGreaterThan(0.01);
    expect(wet).toBeLessThan(0.3);
  });
  it('lets the cabinet drift in a power cut and recover', () => {
    const story = { powerCutFrom: SUMMER, powerCutTo: SUMMER + 4 * DAY };
    expect(airAt('dry-cabinet', SUMMER + 3.9 * DAY, story).humidityPct).toBeGreaterThan(55);
    expect(airAt('dry-cabinet', SUMMER + 6 * DAY, story).humidityPct).toBeLessThan(48);
    expect(mean('outdoors', SUMMER, 'humidityPct', { wetFrom: SUMMER, wetTo: SUMMER + 14 * DAY })).toBeGreaterThan(
      mean('outdoors', SUMMER, 'humidityPct') + 6,
    );
  });
});

describe('a simulated sensor', () => {
  it('is off, drifts, and reads in steps of a tenth', () => {
    const off = (ms: number) => {
      const hours = Array.from({ length: 200 }, (_, i) => ms + i * 3_600_000);
      return hours.reduce((sum, h) => sum + read(spec, h).humidityPct - airAt('room', h).humidityPct, 0) / hours.length;
    };
    expect(off(WINTER)).toBeCloseTo(4, 0);
    expect(off(WINTER + 365 * DAY) - off(WINTER)).toBeCloseTo(1, 0);
    expect(String(read(spec, WINTER).humidityPct)).toMatch(/^\d+(\.\d)?$/);
  });
  it('is not heard now and then, and its history leaves those hours out', () => {
    const log = history(spec, WINTER, WINTER + 60 * DAY, 1_800_000);
    expect(log.length).toBeLessThan(60 * 48);
    expect(log.length).toBeGreaterThan(60 * 48 * 0.96);
    expect(log.every((r) => isHeard(spec, Date.parse(r.at)))).toBe(true);
  });
});

describe('the command line', () => {
  it('wants a key and known values, and says which one is wrong', () => {
    expect(() => readOptions([], {})).toThrow(/--token/);
    expect(() => readOptions(['--token', 'x', '--serve', '8099'], {})).toThrow(/one of/);
    expect(() => readOptions(['--token', 'x', '--spot', 'moon'], {})).toThrow(/--spot/);
    expect(() => readOptions(['--token', 'x', '--every', 'often'], {})).toThrow(/--every/);
    expect(readOptions(['--every', '5', '--url', 'http://localhost:1/'], { BRIGHT_KEEPER_DEVICE_TOKEN: 'k' })).toMatchObject({
      everyMs: 5000,
      way: { by: 'push', url: 'http://localhost:1', token: 'k' },
    });
  });
});

describe('a simulated device', () => {
  const at = '2026-03-10T10:00:00.000Z';
  const readings = [{ at, temperatureC: 20.4, humidityPct: 55.1 }];
  const own = { batteryPct: 14, signalDbm: -67 };

  it('answers at its address with what the program reads', async () => {
    const port = 18_099;
    const tell = await answering(port);
    await tell(readings, own);
    const body: unknown = await (await fetch(`http://127.0.0.1:${port}/`)).json();
    expect(sources.readPushed('json', body, new Date(at))).toMatchObject({ readings, vitals: own, setAside: [] });
  });

  it('writes a log that has one heading', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-log-'));
    const tell = logging(folder);
    await tell(readings, own);
    await tell(readings, own);
    expect(readFileSync(join(folder, 'hygrometer-2026-03.csv'), 'utf8')).toBe(
      `time,temperature,humidity\n${at},20.4,55.1\n${at},20.4,55.1\n`,
    );
    rmSync(folder, { recursive: true });
  });
});
