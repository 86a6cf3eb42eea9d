import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOf } from '../air/index.js';
import { logOf } from '../testing/logs.js';
import {
  assess,
  CLASSES,
  criticalHumidityPct,
  daysToGermination,
  earlyWarning,
  filledGaps,
  gapsOf,
  mouldIndex,
  SENSITIVITIES,
  surfaceStateOf,
} from './index.js';

const DAY = 24;
const steady = (days: number, t: number, h: number, everyH = 1) => logOf(days * DAY, () => [t, h], everyH);
const last = <T>(all: readonly T[]): T => all.at(-1)!;

/** Hukka & Viitanen 1999. */
describe('the mould index', () => {
  it('of the most sensitive class at 20 degC and 90 % reaches 1 in 4.20 weeks', () => {
    const first = mouldIndex(steady(40, 20, 90), { sensitivity: 'very-sensitive' }).findIndex((m) => m.index >= 1);
    expect(first / DAY / 7).toBeCloseTo(4.2, 1);
  });

  it.each([
    ['very-sensitive', 6],
    ['sensitive', 5.3],
    ['medium-resistant', 3.5],
    ['resistant', 2],
  ] as const)('of a %s material in saturated air comes up to %f and no further', (sensitivity, most) => {
    const index = last(mouldIndex(steady(3000, 25, 100, 6), { sensitivity })).index;
    expect(index).toBeLessThanOrEqual(most);
    expect(index).toBeGreaterThan(most - 0.35);
  });

  it('needs 80.04 % at 20 degC by its polynomial, and more in the cold', () => {
    expect(criticalHumidityPct(20, CLASSES['very-sensitive'])).toBeCloseTo(80.04, 1);
    expect(criticalHumidityPct(5, CLASSES['very-sensitive'])).toBeGreaterThan(85);
    expect(criticalHumidityPct(30, CLASSES['medium-resistant'])).toBe(85);
  });

  it('falls by 0.00133 an hour for six hours, rests until a day is over, then falls by 0.000667, times the factor', () => {
    const at = (hours: number, decline: number) =>
      2 -
      last(
        mouldIndex(
          logOf(hours, () => [20, 50]),
          { sensitivity: 'sensitive', decline, start: 2 },
        ),
      ).index;
    expect(at(6, 1)).toBeCloseTo(6 * 0.00133, 9);
    expect(at(24, 1)).toBeCloseTo(6 * 0.00133, 9);
    expect(at(48, 1)).toBeCloseTo(6 * 0.00133 + 24 * 0.000667, 9);
    expect(at(48, 0.25)).toBeCloseTo(at(48, 1) / 4, 9);
  });

  it('is the same however finely a steady stretch is told, within a hundredth', () => {
    const coarse = last(mouldIndex(steady(90, 22, 95, 24), { sensitivity: 'sensitive' })).index;
    const fine = last(mouldIndex(steady(90, 22, 95, 1), { sensitivity: 'sensitive' })).index;
    expect(Math.abs(coarse - fine)).toBeLessThan(0.01);
  });

  it('is never negative nor above its published maximum, and damper air never means less of it', () => {
    const air = fc.array(fc.tuple(fc.double({ min: -10, max: 35, noNaN: true }), fc.double({ min: 20, max: 99, noNaN: true })), {
      minLength: 2,
      maxLength: 60,
    });
    const most = { 'very-sensitive': 6, sensitive: 5.3, 'medium-resistant': 3.5, resistant: 2 };
    fc.assert(
      fc.property(air, fc.constantFrom(...SENSITIVITIES), (points, sensitivity) => {
        const log = logOf((points.length - 1) * DAY, (h) => points[h / DAY]!, DAY);
        const damper = log.map((r) => ({ ...r, humidityPct: Math.min(100, r.humidityPct + 3) }));
        const series = mouldIndex(log, { sensitivity });
        for (const { index } of series) {
          expect(index).toBeGreaterThanOrEqual(0);
          expect(index).toBeLessThanOrEqual(most[sensitivity]);
        }
        expect(last(mouldIndex(damper, { sensitivity })).index).toBeGreaterThanOrEqual(last(series).index - 1e-9);
      }),
      { seed: 4895 },
    );
  });

  it('refuses a decline factor that would let it grow in dry air', () => {
    expect(() => mouldIndex(steady(1, 20, 50), { sensitivity: 'sensitive', decline: -1 })).toThrow(/0 to 1/);
  });
});

/** Our choice; the points are those of `science.md`. */
describe('the early warning', () => {
  it.each([
    [25, 70, 100],
    [25, 80, 27.1],
    [25, 90, 7.4],
    [16, 75, 71],
  ])('at %i degC and %i %% expects growth in %f days', (t, h, days) => {
    expect(Math.abs(daysToGermination(t, h) / days - 1)).toBeLessThan(0.01);
  });

  it.each([
    ['at or below 60 %', 25, 60],
    ['in the frost', 0, 90],
    ['above 45 degC', 46, 90],
  ])('expects none %s', (_, t, h) => expect(daysToGermination(t, h)).toBe(Infinity));

  it('reaches 1 when those days are over, and recovers below 60 %', () => {
    expect(last(earlyWarning(steady(100, 25, 70))).dose).toBeCloseTo(1, 6);
    const dry = earlyWarning(logOf(200 * DAY, (h) => [25, h < 100 * DAY ? 70 : 45], 6));
    expect(last(dry).dose).toBeLessThan(1);
    expect(last(dry).dose).toBeCloseTo(0.9, 1);
  });
});

describe('the verdict on a log', () => {
  const options = (humiditySchool: 'relaxed' | 'standard' | 'cautious', surfaceState: 'clean-glass' | 'soiled-glass' = 'soiled-glass') => ({
    humiditySchool,
    surfaceState,
  });
  // 72 % for half a year: nothing for the mould index, more than two doses for the early warning.
  const dampish = steady(180, 22, 72, 6);

  it('lets the schools differ: the index alone, a warning at 1, an alarm at 1', () => {
    expect(assess(dampish, options('relaxed')).level).toBe('safe');
    expect(assess(dampish, options('standard')).level).toBe('watch');
    expect(assess(dampish, options('cautious')).level).toBe('act');
  });

  it('alarms for soiled glass before clean glass: a clean lens is a safer lens', () => {
    const wet = steady(80, 22, 88, 6);
    expect(assess(wet, options('relaxed', 'soiled-glass')).level).toBe('act');
    expect(assess(wet, options('relaxed', 'clean-glass')).level).toBe('safe');
  });

  it('says since when, and how long until growth if it goes on like this', () => {
    const young = assess(steady(20, 25, 70, 6), options('cautious'));
    expect(young.level).toBe('safe');
    expect(young.daysToGrowth.byDose).toBeCloseTo(80, 0);
    expect(young.daysToGrowth.byIndex).toBeNull();
    expect(young.reasons).toContainEqual({ says: 'growth-in', days: young.daysToGrowth.byDose });
    const later = assess(steady(60, 25, 70, 6), options('cautious'));
    expect(later.since).toBe('2026-02-20T00:00:00.000Z');
  });

  it('is widened by a gap: best and worst case differ, and only a gap never alarms by itself', () => {
    const log = [...logOf(60 * DAY, (h) => [24, h > 56 * DAY ? 92 : 50], 6)];
    const holed = log.filter((r) => r.at < '2026-01-20' || r.at > '2026-02-18');
    expect(gapsOf(holed)).toHaveLength(1);
    const a = assess(holed, options('cautious'));
    expect(a.worst.dose).toBeGreaterThan(a.best.dose + 1);
    expect([a.best.level, a.worst.level, a.level]).toEqual(['watch', 'act', 'watch']);
    expect(a.reasons.at(-1)).toMatchObject({ says: 'gap', best: 'watch', worst: 'act', days: expect.closeTo(29, 0) as number });
    expect(assess(log, options('cautious')).gapHours).toBe(0);
  });

  it('brackets the truth with its best and worst case wherever a gap is cut', () => {
    const season = (h: number): [number, number] => [18 + 5 * Math.sin(h / 900), 66 + 14 * Math.sin(h / 400)];
    const whole = logOf(150 * DAY, season, 6);
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 500 }), fc.integer({ min: 4, max: 60 }), (from, length) => {
        const holed = whole.filter((_, i) => i <= from || i >= from + length);
        const truth = assess(whole, options('standard')).now.dose;
        const { best, worst } = assess(holed, options('standard'));
        expect(best.dose).toBeLessThanOrEqual(truth + 0.02);
        expect(worst.dose).toBeGreaterThanOrEqual(truth - 0.02);
      }),
      { seed: 4896, numRuns: 60 },
    );
  });

  it('fills a gap and nothing else', () => {
    const log = steady(3, 20, 50);
    expect(filledGaps(log, 'worst')).toEqual(columnsOf(log));
    expect(assess([], options('standard'))).toMatchObject({ level: 'safe', gapHours: 0 });
  });
});

describe('what a thing offers to mould', () => {
  it.each([
    ['a lens whose glass was found clean', 'lens', [{ surface: 'front-glass', findings: [] }], 'clean-glass'],
    ['one with a fingerprint', 'lens', [{ surface: 'front-glass', findings: [{ soil: 'fingerprint', severity: 3 }] }], 'soiled-glass'],
    ['one with a trace of dust', 'lens', [{ surface: 'front-glass', findings: [{ soil: 'dust', severity: 1 }] }], 'clean-glass'],
    ['one nobody looked at', 'lens', [], 'soiled-glass'],
    ['a strap or a case', 'accessory', [], 'leather-or-cloth'],
  ] as const)('%s counts as %#', (_, kind, known, state) => {
    expect(surfaceStateOf(kind, known)).toBe(state);
  });
});
