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
  riskLevel,
  SENSITIVITIES,
  soonestGrowth,
  surfaceStateOf,
  warningShare,
  type Sensitivity,
} from './index.js';

const DAY = 24;
const steady = (days: number, t: number, h: number, everyH = 1) => logOf(days * DAY, () => [t, h], everyH);
const last = <T>(all: readonly T[]): T => all.at(-1)!;

/**
 * The published model told a second time, as its authors print it and in steps of a minute: dM/dt = k1 k2 / (7 exp(-0.68 ln T -
 * 13.9 ln RH + 66.02)) a day, k2 = max(1 - exp(2.3 (M - Mmax)), 0), Mmax = A + B x - C x², x = (RHcrit - RH) / (RHcrit - 100).
 * Hukka & Viitanen 1999; Ojanen et al. 2010 for the classes (from memory).
 */
const PRINTED: Record<Sensitivity, { k1: [number, number]; abc: [number, number, number]; min: number }> = {
  'very-sensitive': { k1: [1, 2], abc: [1, 7, 2], min: 80 },
  sensitive: { k1: [0.578, 0.386], abc: [0.3, 6, 1], min: 80 },
  'medium-resistant': { k1: [0.072, 0.097], abc: [0, 5, 1.5], min: 85 },
  resistant: { k1: [0.033, 0.014], abc: [0, 3, 1], min: 85 },
};
const critical = (t: number, min: number) => (t > 20 ? min : Math.max(min, -0.00267 * t ** 3 + 0.16 * t ** 2 - 3.13 * t + 100));

function grownByThePaper(start: number, t: number, h: number, hours: number, sensitivity: Sensitivity): number {
  const { k1, abc, min } = PRINTED[sensitivity];
  const rhCrit = critical(t, min);
  if (t <= 0 || h < min || h < rhCrit) return NaN;
  const x = (rhCrit - h) / (rhCrit - 100);
  const most = abc[0] + abc[1] * x - abc[2] * x ** 2;
  const days = 7 * Math.exp(-0.68 * Math.log(t) - 13.9 * Math.log(h) + 66.02);
  let m = start;
  for (let minute = 0; minute < hours * 60; minute++) {
    const k2 = Math.max(1 - Math.exp(2.3 * (m - most)), 0);
    m += ((m < 1 ? k1[0] : k1[1]) * k2) / days / 1440;
  }
  return m;
}

describe('the mould index beside the paper', () => {
  const started = (start: number, t: number, h: number, hours: number, sensitivity: Sensitivity, everyH = hours) =>
    last(
      mouldIndex(
        logOf(hours, () => [t, h], everyH),
        { sensitivity, start },
      ),
    ).index;

  it('grows within three thousandths of an index of it over two days, from any start, in any damp air, for every class', () => {
    const start = fc.double({ min: 0, max: 5.5, noNaN: true });
    const [t, h] = [fc.double({ min: 1, max: 40, noNaN: true }), fc.double({ min: 80, max: 100, noNaN: true })];
    let grew = 0;
    fc.assert(
      fc.property(start, t, h, fc.constantFrom(...SENSITIVITIES), (from, temperature, humidity, sensitivity) => {
        const paper = grownByThePaper(from, temperature, humidity, 48, sensitivity);
        fc.pre(!Number.isNaN(paper));
        const most = CLASSES[sensitivity].a + CLASSES[sensitivity].b - CLASSES[sensitivity].c;
        // A stride that begins below 1 is of the speed of below 1 to its end.
        fc.pre(from < most && (from >= 1 || paper < 1));
        if (paper > from + 0.001) grew += 1;
        expect(Math.abs(started(from, temperature, humidity, 48, sensitivity) - paper)).toBeLessThan(0.003);
      }),
      { seed: 4903, numRuns: 300 },
    );
    expect(grew).toBeGreaterThan(80);
  });

  it.each(SENSITIVITIES)('slows as it nears what such air lets grow, for a %s material', (sensitivity) => {
    for (const from of [0.2, 0.9, 1.1, 1.9]) {
      const paper = grownByThePaper(from, 22, 97, 1, sensitivity);
      expect(started(from, 22, 97, 1, sensitivity) - from).toBeCloseTo(paper - from, 5);
    }
  });

  it('is the sum of what single hours bring', () => {
    expect(started(0, 22, 95, 96, 'sensitive', 1)).toBeCloseTo(started(0, 22, 95, 96, 'sensitive', 96), 4);
    expect(started(1, 22, 95, 5, 'sensitive', 5) - 1).toBeCloseTo(grownByThePaper(1, 22, 95, 5, 'sensitive') - 1, 5);
  });

  it.each([
    ['at the frost', 'very-sensitive', 0, 99, false],
    ['a little above it, in saturated air', 'very-sensitive', 0.5, 100, true],
    ['below its least humidity', 'very-sensitive', 25, 79.9, false],
    ['at its least humidity, where that is critical', 'very-sensitive', 25, 80, true],
    ['below what is critical in the cold', 'very-sensitive', 5, 86, false],
    ['above what is critical in the cold', 'very-sensitive', 5, 90, true],
  ] as const)('%s a %s material at %f degC and %f %%: grows %s', (_, sensitivity, t, h, grows) => {
    expect(started(0, t, h, 240, sensitivity) > 0).toBe(grows);
  });

  it.each([
    [20, 80.04],
    [20.5, 80],
    [22, 80],
    [40, 80],
    [10, -2.67 + 16 - 31.3 + 100],
    [0, 100],
  ])('is critical at %f degC from %f %%', (t, pct) => expect(criticalHumidityPct(t, CLASSES.sensitive)).toBeCloseTo(pct, 2));

  it('goes on falling where it left off, and begins to fall anew after it grew', () => {
    const dryFor = (hours: number, everyH: number) =>
      last(
        mouldIndex(
          logOf(hours, () => [20, 40], everyH),
          { sensitivity: 'sensitive', decline: 1, start: 3 },
        ),
      ).index;
    expect(dryFor(60, 1)).toBeCloseTo(dryFor(60, 60), 9);
    const damp = logOf(72, (h) => [20, h >= 24 && h < 26 ? 97 : 40], 1);
    const [first, later] = [24, 72].map((n) => mouldIndex(damp, { sensitivity: 'resistant', decline: 1, start: 2 })[n]!.index);
    // A day of it costs the first six hours; two damp hours end it, and the next 46 cost six and 22 more.
    expect(2 - first!).toBeCloseTo(6 * 0.00133, 6);
    expect(first! - later!).toBeCloseTo(6 * 0.00133 + 22 * 0.000667, 4);
  });

  it('stays at nothing in dry air, and comes down to it', () => {
    expect(started(0, 20, 40, 500, 'sensitive')).toBe(0);
    expect(started(0.001, 20, 40, 5000, 'sensitive')).toBe(0);
  });
});

describe('the early warning, step by step', () => {
  it.each([
    [45, 90, true],
    [45.1, 90, false],
    [0.1, 90, true],
    [0, 90, false],
    [-5, 90, false],
    [20, 60, false],
    [20, 60.1, true],
  ])('expects growth at %f degC and %f %% at all: %s', (t, h, does) => expect(Number.isFinite(daysToGermination(t, h))).toBe(does));

  it('is fastest from 30 degC on, and a power of the temperature below', () => {
    expect(daysToGermination(40, 80)).toBe(daysToGermination(30, 80));
    expect(daysToGermination(10, 80) / daysToGermination(25, 80)).toBeCloseTo((10 / 25) ** -0.68, 9);
  });

  it('keeps its slope on both sides of 70 %: tenfold in five below, fiftyfold in thirty above', () => {
    expect(daysToGermination(25, 65) / daysToGermination(25, 70)).toBeCloseTo(10, 6);
    expect(daysToGermination(25, 70) / daysToGermination(25, 100)).toBeCloseTo(50, 6);
    expect(daysToGermination(25, 70)).toBeCloseTo(100, 6);
  });

  const warnings = (points: readonly (readonly [number, number])[], start = 0) =>
    earlyWarning(
      logOf(points.length * DAY, (h) => [...points[Math.min(points.length - 1, h / DAY)]!], DAY),
      { start },
    );

  it('rests at 60 % exactly, and falls below it by one day of 65 % a day, never under nothing', () => {
    expect(last(warnings([[25, 60]], 0.5)).dose).toBe(0.5);
    expect(last(warnings([[25, 59.9]], 0.5)).dose).toBeCloseTo(0.5 - 1 / 1000, 9);
    expect(last(warnings([[25, 30]], 0.0001)).dose).toBe(0);
    // Too cold to grow, and damp: nothing dies of it.
    expect(last(warnings([[-3, 90]], 0.5)).dose).toBe(0.5);
  });

  it('counts the days past the point from the moment it was passed, and from nothing when it fell back', () => {
    const perDay = 1 / daysToGermination(25, 90);
    const series = warnings(
      Array.from({ length: 20 }, () => [25, 90] as const),
      0,
    );
    const passed = 1 / perDay;
    for (const [day, { daysPast }] of series.entries()) expect(daysPast).toBeCloseTo(Math.max(0, day - passed), 6);
    const fallen = warnings(
      [...Array.from({ length: 2 }, () => [25, 80] as const), ...Array.from({ length: 30 }, () => [25, 40] as const)],
      0.99,
    );
    expect(Math.max(...fallen.map((w) => w.daysPast))).toBeGreaterThan(0);
    const below = fallen.filter((w) => w.dose < 1);
    expect(below.every((w) => w.daysPast === 0)).toBe(true);
  });

  it('fills its scale at the point', () => expect([0, 0.4, 1, 3].map((dose) => warningShare({ dose }))).toEqual([0, 0.4, 1, 1]));
});

describe('which model speaks', () => {
  const SAYS: [index: number, dose: number, relaxed: string, standard: string, cautious: string][] = [
    [0, 0, 'safe', 'safe', 'safe'],
    [0.49, 0.49, 'safe', 'safe', 'safe'],
    [0, 0.5, 'safe', 'safe', 'watch'],
    [0, 0.99, 'safe', 'safe', 'watch'],
    [0, 1, 'safe', 'watch', 'act'],
    [0.5, 0, 'watch', 'watch', 'watch'],
    [0.99, 0.4, 'watch', 'watch', 'watch'],
    [0.7, 1, 'watch', 'watch', 'act'],
    [1, 0, 'act', 'act', 'act'],
    [1, 2, 'act', 'act', 'act'],
  ];
  it.each(SAYS)('index %f and dose %f: relaxed %s, standard %s, cautious %s', (index, dose, ...says) => {
    expect((['relaxed', 'standard', 'cautious'] as const).map((school) => riskLevel({ index, dose }, school))).toEqual(says);
  });

  it.each([
    ['relaxed', 30, 10, 30],
    ['relaxed', null, 10, null],
    ['standard', 30, 10, 10],
    ['cautious', 5, 10, 5],
    ['standard', null, 10, 10],
    ['standard', null, null, null],
  ] as const)('the %s school hears of growth in %s and %s days: %s', (school, byIndex, byDose, soonest) => {
    expect(soonestGrowth({ byIndex, byDose }, school)).toBe(soonest);
  });
});

describe('what a log is told to say', () => {
  const options = { humiditySchool: 'cautious', surfaceState: 'soiled-glass' } as const;

  it('remembers the most each model has been, in dry air afterwards', () => {
    const log = logOf(200 * DAY, (h) => [24, h < 40 * DAY ? 92 : 40], 6);
    const a = assess(log, options);
    const atPeak = assess(
      log.filter((r) => Date.parse(r.at) <= Date.parse(log[0]!.at) + 40 * DAY * 3_600_000),
      options,
    );
    expect(a.peak.index).toBeCloseTo(atPeak.now.index, 6);
    expect(a.peak.dose).toBeCloseTo(atPeak.now.dose, 6);
    expect(a.now.index).toBeLessThan(a.peak.index);
    expect(a.now.dose).toBeLessThan(a.peak.dose);
    expect(a.now.daysPast).toBe(a.peak.daysPast);
    const recovered = assess(
      logOf(900 * DAY, (h) => [24, h < 20 * DAY ? 80 : 40], 6),
      { ...options, start: { index: 0, dose: 0.5, daysPast: 0 } },
    );
    expect(recovered.now.daysPast).toBe(0);
    expect(recovered.peak.daysPast).toBeGreaterThan(recovered.now.daysPast);
    expect(recovered.daysToGrowth).toEqual({ byIndex: null, byDose: null });
    expect(recovered.reasons.map((r) => r.says)).toEqual(['mould-index', 'early-warning']);
  });

  it('begins where the models stood', () => {
    const start = { index: 0.6, dose: 0.7, daysPast: 0 };
    expect(assess([], { ...options, start })).toMatchObject({ level: 'watch', now: start, peak: start, since: null });
    const a = assess(steady(10, 25, 70, 6), { ...options, start });
    expect(a.now.dose).toBeCloseTo(0.8, 6);
    expect(a.level).toBe('watch');
    expect(a.since).toBeNull();
  });

  it('foresees growth by the last week alone, today where it is there, and not beyond two years', () => {
    const turned = assess(
      logOf(60 * DAY, (h) => [25, h < 53 * DAY ? 45 : 70], 6),
      options,
    );
    // A week of 70 % after dry weeks: 0.07 of the dose, a hundredth a day.
    expect(turned.now.dose).toBeCloseTo(0.07, 4);
    expect(turned.daysToGrowth.byDose).toBeCloseTo(93, 1);
    expect(assess(steady(120, 25, 70, 6), options).daysToGrowth.byDose).toBe(0);
    expect(assess(steady(60, 25, 65.5, 6), options).daysToGrowth.byDose).toBeNull();
    expect(assess(steady(60, 25, 67, 6), options).daysToGrowth.byDose).toBeGreaterThan(300);
    const [byIndex] = [assess(steady(20, 24, 92, 6), { ...options, humiditySchool: 'relaxed' }).daysToGrowth.byIndex];
    const when = mouldIndex(steady(120, 24, 92, 6), { sensitivity: 'sensitive' }).findIndex((m) => m.index >= 1) / 4;
    expect(Math.abs(byIndex! - (when - 20))).toBeLessThan(2);
  });

  it('foresees by the days there are where they are fewer than a week', () => {
    expect(assess(steady(2, 25, 70, 6), options).daysToGrowth.byDose).toBeCloseTo(98, 3);
  });

  it('is told no gap where there is none, and how long one was', () => {
    const log = steady(30, 22, 55, 6);
    expect(assess(log, options).reasons.map((r) => r.says)).toEqual(['mould-index', 'early-warning']);
    const holed = log.filter((_, i) => i < 40 || i >= 60);
    const a = assess(holed, options);
    expect(a.gapHours).toBe(21 * 6);
    expect(a.reasons.at(-1)).toMatchObject({ says: 'gap', days: 21 / 4 });
    // Six hours are no gap; a minute more is one.
    expect(gapsOf(log)).toEqual([]);
    expect(gapsOf([log[0]!, { ...log[1]!, at: '2026-01-01T06:01:00.000Z' }])).toEqual([
      { from: '2026-01-01T00:00:00.000Z', to: '2026-01-01T06:01:00.000Z' },
    ]);
  });
});

describe('what a gap is filled with', () => {
  /** Day by day around a gap of two days: a damp, a middling and a dry day on each side, the dampest and the driest far away. */
  const DAYS: Record<number, [number, number]> = { 0: [10, 95], 40: [18, 60], 41: [22, 70], 42: [20, 50], 45: [19, 62], 80: [30, 5] };
  const log = Object.entries(DAYS).flatMap(([day, air]) =>
    logOf(DAY, () => air, 6)
      .slice(0, 4)
      .map((r, i) => ({ ...r, at: new Date(Date.UTC(2026, 0, 1) + (Number(day) * DAY + i * 6) * 3_600_000).toISOString() })),
  );
  const inTheGap = (how: 'best' | 'worst') => {
    const { ms, temperatureC, humidityPct } = filledGaps(log, how);
    const from = Date.UTC(2026, 0, 1) + (42 * DAY + 18) * 3_600_000;
    return Array.from(ms, (at, i) => ({ h: (at - from) / 3_600_000, t: temperatureC[i], pct: humidityPct[i] })).filter(
      ({ h }) => h > 0 && h < 54,
    );
  };

  it('is a little damper than the dampest day of the month around it, every six hours', () => {
    expect(inTheGap('worst')).toEqual([6, 12, 18, 24, 30, 36, 42, 48].map((h) => ({ h, t: 22, pct: 73 })));
  });
  it('or a little drier than the driest', () => {
    expect(inTheGap('best')).toEqual([6, 12, 18, 24, 30, 36, 42, 48].map((h) => ({ h, t: 20, pct: 47 })));
  });
  it('and never damper than saturated, nor without any water', () => {
    const extreme = (pct: number) =>
      [steady(1, 20, pct, 6), steady(1, 20, pct, 6).map((r) => ({ ...r, at: r.at.replace('2026-01', '2026-02') }))].flat();
    expect(Math.max(...filledGaps(extreme(99), 'worst').humidityPct)).toBe(100);
    expect(Math.min(...filledGaps(extreme(2), 'best').humidityPct)).toBe(1);
  });
  it('with what was heard left as it was', () => {
    const filled = filledGaps(log, 'worst');
    const kept = columnsOf(log);
    const at = new Map(Array.from(filled.ms, (ms, i) => [ms, filled.humidityPct[i]]));
    for (let i = 0; i < kept.length; i++) expect(at.get(kept.ms[i]!)).toBe(kept.humidityPct[i]);
    expect([...filled.ms]).toEqual([...filled.ms].sort((a, b) => a - b));
    expect(filled.length).toBeGreaterThan(kept.length);
  });
});

describe('what feeds mould on glass', () => {
  it.each([
    ['dust', 2, 'soiled-glass'],
    ['dust', 1, 'clean-glass'],
    ['pollen', 2, 'soiled-glass'],
    ['pollen', 1, 'clean-glass'],
    ['fingerprint', 2, 'soiled-glass'],
    ['fungus-outside', 2, 'soiled-glass'],
    ['fine-scratch', 4, 'clean-glass'],
    ['salt', 4, 'clean-glass'],
  ] as const)('%s of %i: %s', (soil, severity, state) => {
    expect(surfaceStateOf('lens', [{ surface: 'inner-glass', findings: [{ soil, severity }] }])).toBe(state);
  });

  it('lies on glass, not on a barrel or a mount; one soiled face among clean ones is enough', () => {
    const print = [{ soil: 'fingerprint', severity: 3 }] as const;
    expect(surfaceStateOf('lens', [{ surface: 'barrel', findings: print }])).toBe('soiled-glass');
    expect(
      surfaceStateOf('lens', [
        { surface: 'barrel', findings: print },
        { surface: 'front-glass', findings: [] },
      ]),
    ).toBe('clean-glass');
    expect(
      surfaceStateOf('lens', [
        { surface: 'front-glass', findings: [] },
        { surface: 'rear-glass', findings: print },
      ]),
    ).toBe('soiled-glass');
  });
});
