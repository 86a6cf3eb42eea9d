import { describe, expect, it } from 'vitest';
import { logOf } from '../testing/logs.js';
import { readForecast, readSenml, type SenmlRecord, toSenml } from './index.js';

/** RFC 8428. */
describe('a SenML pack', () => {
  const now = new Date('2026-03-10T10:00:00Z');
  it('of section 5.1.4 style, with a base time and relative offsets, is resolved and joined', () => {
    const pack = [
      { bn: 'urn:dev:mac:0024befffe804ff1:', bt: 1773136800, n: 'temperature', u: 'Cel', v: 20.3 },
      { n: 'humidity', u: '%RH', v: 55.4 },
      { n: 'temperature', u: 'Cel', t: 60, v: 20.4 },
      { n: 'humidity', u: '%RH', t: 60, v: 55.6 },
    ];
    expect(readSenml(pack, now)).toMatchObject({
      readings: [
        { at: '2026-03-10T10:00:00.000Z', temperatureC: 20.3, humidityPct: 55.4 },
        { at: '2026-03-10T10:01:00.000Z', temperatureC: 20.4, humidityPct: 55.6 },
      ],
      setAside: [],
    });
  });
  it('without a time is now, with a small one counts from now, and reads kelvins', () => {
    const { readings } = readSenml(
      [
        { n: 't', u: 'K', v: 293.15, t: -60 },
        { n: 'h', u: '%RH', v: 40, t: -60 },
      ],
      now,
    );
    expect(readings[0]!.at).toBe('2026-03-10T09:59:00.000Z');
    expect(readings[0]!.temperatureC).toBeCloseTo(20, 9);
  });
  it('adds its base value to each, until another one is told (section 4.1)', () => {
    const { readings } = readSenml(
      [
        { bn: 'probe:', bt: 1773136800, n: 'temperature', bu: 'Cel', bv: 20, v: 0.3 },
        { n: 'humidity', u: '%RH', bv: 50, v: 5.4 },
        { n: 'humidity', u: '%RH', t: 60, v: -1 },
        { n: 'temperature', t: 60, bv: 0, v: 21 },
      ],
      now,
    );
    expect(readings.map((r) => [r.temperatureC, r.humidityPct])).toEqual([
      [20.3, 55.4],
      [21, 49],
    ]);
  });
  it.each([
    ['/', 0.554, 'humidity'],
    ['/100', 55.4, 'rh'],
    ['/1000', 554, 'Hum_1'],
  ])('takes a ratio in %s for a humidity where its name says so, and for nothing where it does not', (u, v, n) => {
    const warm = { n: 'temperature', u: 'Cel', v: 20 };
    expect(readSenml([warm, { n, u, v }], now).readings[0]!.humidityPct).toBeCloseTo(55.4, 9);
    expect(
      readSenml(
        [
          { bn: 'shelf-humidity:', ...warm },
          { n: 'value', u, v },
        ],
        now,
      ).readings[0]!.humidityPct,
    ).toBeCloseTo(55.4, 9);
    for (const other of ['fill', 'threshold', 'signal'])
      expect(readSenml([warm, { n: other, u, v }], now)).toMatchObject({
        readings: [],
        setAside: [
          { index: 0, reason: 'half-a-reading' },
          { index: 1, reason: 'unknown-unit' },
        ],
      });
  });
  it('of which something must be understood that is not is not taken at all (section 4.4)', () => {
    const pack = [{ n: 't', u: 'Cel', v: 20 }, { n: 'h', u: '%RH', v: 50, odd_: 1 } as SenmlRecord];
    expect(readSenml(pack, now)).toMatchObject({ readings: [], setAside: [{ index: 1, reason: 'must-be-understood' }] });
  });
  it.each([
    ['a wrong unit', { u: 'Fahr', v: 70 }, 'unknown-unit'],
    ['a humidity of 140', { u: '%RH', v: 140 }, 'out-of-range'],
    ['tomorrow', { u: '%RH', v: 50, t: 86_400 }, 'in-the-future'],
    ['before anybody counted', { u: '%RH', v: 50, t: -1e300 }, 'no-time'],
    ['beyond any calendar', { u: '%RH', v: 50, t: 1e300 }, 'in-the-future'],
    ['a humidity alone', { u: '%RH', v: 50, t: -5 }, 'half-a-reading'],
    ['a version of tomorrow', { bver: 11, u: '%RH', v: 50 }, 'wrong-version'],
  ])('sets aside %s with its reason and keeps the good ones', (_, bad, reason) => {
    const good = [
      { n: 't', u: 'Cel', v: 20 },
      { n: 'h', u: '%RH', v: 50 },
    ];
    const result = readSenml([...good, bad], now);
    expect(result.readings).toHaveLength(1);
    expect(result.setAside).toEqual([{ index: 2, reason }]);
  });
  it('that is a forecast may lie ahead, in absolute or relative times, and no further than it says', () => {
    const inHours = (h: number) => [
      { n: 't', u: 'Cel', v: 20, t: h * 3600 },
      { n: 'h', u: '%RH', v: 50, t: h * 3600 },
    ];
    const threeDays = 3 * 86_400_000;
    expect(readForecast(inHours(24), now, threeDays).readings.map((r) => r.at)).toEqual(['2026-03-11T10:00:00.000Z']);
    expect(readForecast(inHours(100), now, threeDays).setAside[0]).toEqual({ index: 0, reason: 'in-the-future' });
  });
  it('that is a forecast tells wind and rain where it has them, gusts not; as readings of now they are none of ours', () => {
    const at = (t: number) => [
      { n: 't', u: 'Cel', v: 8, t },
      { n: 'h', u: '%RH', v: 80, t },
    ];
    const pack = [
      ...at(3600),
      { n: 'wind', u: 'km/h', v: 36, t: 3600 },
      { n: 'wind-gust', u: 'm/s', v: 25, t: 3600 },
      { n: 'rain', u: 'mm/h', v: 1.5, t: 3600 },
      ...at(7200),
      { n: 'rain', u: 'mm/h', v: -2, t: 7200 },
    ];
    const { readings, setAside } = readForecast(pack, now, 86_400_000);
    expect(readings).toEqual([
      { at: '2026-03-10T11:00:00.000Z', temperatureC: 8, humidityPct: 80, windMs: 10, rainMmPerH: 1.5 },
      { at: '2026-03-10T12:00:00.000Z', temperatureC: 8, humidityPct: 80 },
    ]);
    expect(setAside).toEqual([
      { index: 3, reason: 'unknown-unit' },
      { index: 7, reason: 'out-of-range' },
    ]);
    expect(readSenml(toSenml('w', readings.slice(0, 1)), new Date(readings[0]!.at))).toMatchObject({
      readings: [{ at: '2026-03-10T11:00:00.000Z', temperatureC: 8, humidityPct: 80 }],
      setAside: [
        { index: 2, reason: 'unknown-unit' },
        { index: 3, reason: 'unknown-unit' },
      ],
    });
    expect(readForecast(toSenml('w', readings), now, 86_400_000).readings).toEqual(readings);
  });
  it('goes out and comes back the same', () => {
    const log = logOf(5, (h) => [20 + h / 10, 50 + h]);
    expect(readSenml(toSenml('x', log), now).readings).toEqual(log);
    expect(toSenml('x', [])).toEqual([]);
  });
});
