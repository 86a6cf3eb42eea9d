import fc from 'fast-check';
import { Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { absoluteHumidityGm3, humidityPctFrom, type Reading, saturatedGm3 } from '../air/index.js';
import { gauss, logOf, seeded } from '../testing/logs.js';
import { balanceHumidityPct, desiccantForBox, desiccantUptake, simulateBox, type Box } from './index.js';

const DAY = 24;
const box = (more: Partial<Box> = {}): Box => ({ volumeL: 50, airChangesPerDay: 0.5, openingsPerWeek: 0, targetPct: 45, ...more });
const gel = (massG: number, loadingGPerG = 0.02) => ({ kind: 'silica-gel' as const, massG, loadingGPerG });
const days = (iso: string | null) => (iso === null ? Infinity : (Date.parse(iso) - Date.parse('2026-01-01')) / 86_400_000);
const year = logOf(365 * DAY, (h) => [
  19 + 5 * Math.sin((2 * Math.PI * h) / 8760) + 1.5 * Math.sin((2 * Math.PI * h) / 24),
  62 + 14 * Math.sin((2 * Math.PI * h) / 1400) + 5 * Math.cos((2 * Math.PI * h) / 24),
]);

describe('an empty box in a steady room', () => {
  it('closes in on the room with the exact exponential', () => {
    const run = simulateBox(
      box({ airChangesPerDay: 2 }),
      logOf(5 * DAY, () => [20, 70]),
      { startHumidityPct: 30 },
    );
    for (const [i, r] of run.readings.entries()) expect(r.humidityPct).toBeCloseTo(70 - 40 * Math.exp((-2 * i) / 24), 6);
  });

  it('keeps its vapour when the room only warms, but for its breath', () => {
    const room = logOf(2 * DAY, (h) => [h < 24 ? 15 : 25, 50]);
    const run = simulateBox(box({ airChangesPerDay: 0 }), room, { startHumidityPct: 60 });
    const vapour = absoluteHumidityGm3(15, 60);
    expect(run.readings.at(-1)!.humidityPct).toBeCloseTo(humidityPctFrom(25, vapour), 0);
  });

  it('swaps half of its air at an opening', () => {
    const run = simulateBox(
      box({ airChangesPerDay: 0 }),
      logOf(DAY, () => [20, 80]),
      {
        startHumidityPct: 40,
        openings: ['2026-01-01T12:00:00.000Z'],
      },
    );
    expect(run.readings[11]!.humidityPct).toBeCloseTo(40, 6);
    expect(run.readings[12]!.humidityPct).toBeCloseTo(60, 6);
  });
});

/** The reference: the same balance as a differential equation, solved by an ODE library (odex) to a tolerance far finer than ours. */
function reference(b: Box, room: readonly Reading[], startPct: number): number[] {
  const volumeM3 = b.volumeL / 1000;
  const vapours = room.map((r) => absoluteHumidityGm3(r.temperatureC, r.humidityPct));
  const at = (hour: number): { t: number; cr: number } => {
    const i = Math.min(Math.floor(hour), room.length - 2);
    const s = hour - i;
    return {
      t: room[i]!.temperatureC + s * (room[i + 1]!.temperatureC - room[i]!.temperatureC),
      cr: vapours[i]! + s * (vapours[i + 1]! - vapours[i]!),
    };
  };
  const water = (t: number, c: number) => {
    const pct = Math.min(100, humidityPctFrom(t, c));
    return volumeM3 * c + (b.desiccant ? b.desiccant.massG * desiccantUptake(b.desiccant.kind, t, pct) : 0) + (b.bufferGPerPct ?? 0) * pct;
  };
  const vapourOf = (t: number, w: number) => {
    let [low, high] = [0, 2 * saturatedGm3(t)];
    for (let i = 0; i < 42; i++) {
      const mid = (low + high) / 2;
      if (water(t, mid) < w) low = mid;
      else high = mid;
    }
    return (low + high) / 2;
  };
  const flow = (hour: number, w: number) => {
    const { t, cr } = at(hour);
    return (b.airChangesPerDay / 24) * volumeM3 * (cr - vapourOf(t, w));
  };
  const solver = new Solver(1);
  solver.absoluteTolerance = solver.relativeTolerance = 1e-8;
  let w = water(room[0]!.temperatureC, absoluteHumidityGm3(room[0]!.temperatureC, startPct));
  // Restarted at each reading: the room's course has a corner there, which no smooth method steps over well.
  return room.map((r, i) => {
    if (i > 0) w = solver.solve((x, y) => [flow(x, y[0]!)], i - 1, [w], i).y[0]!;
    return humidityPctFrom(r.temperatureC, vapourOf(r.temperatureC, w));
  });
}

describe('a box with gel or a lining, hour by hour', () => {
  it.each([
    ['100 g of gel and a fair seal', 365, box({ desiccant: gel(100) }), 20],
    ['20 g of gel in a leaky box', 60, box({ desiccant: gel(20), airChangesPerDay: 8 }), 20],
    ['a felt lining', 60, box({ bufferGPerPct: 0.1, airChangesPerDay: 2 }), 50],
    ['a jar of rice', 60, box({ desiccant: { kind: 'rice', massG: 500, loadingGPerG: 0.1 }, airChangesPerDay: 1 }), 35],
  ])('with %s over %i days lies within 0.05 %% RH of a fine-step integration by odex', (_, lengthDays, b, startPct) => {
    const span = year.slice(0, lengthDays * DAY);
    const run = simulateBox(b, span, { startHumidityPct: startPct });
    const truth = reference(b, span, startPct);
    const worst = Math.max(...run.readings.map((r, i) => Math.abs(r.humidityPct - truth[i]!)));
    expect(worst).toBeLessThan(0.05);
  });

  it('refuses a room whose humidity no air has, wherever in its log it stands', () => {
    const room = logOf(DAY, (h) => [20, h === 12 ? 120 : 60]);
    expect(() => simulateBox(box({ desiccant: gel(100) }), room)).toThrow(/120 is outside/);
    expect(() => simulateBox(box(), room)).toThrow(RangeError);
  });

  it('begins in balance with its gel', () => {
    const run = simulateBox(
      box({ desiccant: gel(100, 0.1) }),
      logOf(1, () => [22, 65]),
    );
    expect(run.readings[0]!.humidityPct).toBeCloseTo(balanceHumidityPct('silica-gel', 22, 0.1), 6);
    expect(run.loadingGPerG[0]).toBeCloseTo(0.1, 6);
  });

  it('just filled with dry gel, shares the water of its lining with it', () => {
    const lined = box({ desiccant: gel(100), bufferGPerPct: 0.5 });
    const room = logOf(1, () => [22, 65]);
    const fresh = simulateBox(lined, room, { freshDesiccant: true }).readings[0]!.humidityPct;
    expect(fresh).toBeGreaterThan(simulateBox(lined, room).readings[0]!.humidityPct + 10);
    // Half a gram a percent from 65 % down, against 98 g of uptake: both sides hold the same water.
    const given = 0.5 * (65 - fresh) + 0.05 * (absoluteHumidityGm3(22, 65) - absoluteHumidityGm3(22, fresh));
    expect(100 * (desiccantUptake('silica-gel', 22, fresh) - 0.02)).toBeCloseTo(given, 3);
  });

  /** `science.md`: 50 L, room 22 degC 65 %, two openings a week swapping half, gel at 2 %. */
  it.each([
    [0.5, 20, 20],
    [0.5, 50, 49],
    [0.5, 100, 97],
    [0.5, 200, 193],
    [2, 20, 6],
    [2, 50, 15],
    [2, 100, 29],
    [2, 200, 58],
  ])('at %f changes a day %i g last about %i days', (airChangesPerDay, massG, lasts) => {
    const run = simulateBox(
      box({ airChangesPerDay, openingsPerWeek: 2, desiccant: gel(massG) }),
      logOf(260 * DAY, () => [22, 65], 3),
    );
    expect(Math.abs(days(run.exhaustedAt) - lasts)).toBeLessThan(Math.max(1.5, lasts * 0.06));
  });
});

describe('whatever the room does', () => {
  const rooms = fc.integer({ min: 1, max: 1e6 }).map((seed) => {
    const random = seeded(seed);
    let [t, h] = [18, 60];
    return logOf(20 * DAY, () => {
      t = Math.min(30, Math.max(8, t + gauss(random) * 0.4));
      h = Math.min(95, Math.max(25, h + gauss(random) * 1.5));
      return [t, h];
    });
  });
  const last = (run: { readings: Reading[] }) => run.readings.at(-1)!.humidityPct;

  it('more gel never means damper, once both began at the same dryness', () => {
    fc.assert(
      fc.property(rooms, fc.integer({ min: 1, max: 300 }), fc.integer({ min: 1, max: 300 }), (room, a, b) => {
        // Vapour flows in as long as the room is the damper side, which it is in every one of these rooms.
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        const damp = room.map((r) => ({ ...r, temperatureC: 20 }));
        expect(last(simulateBox(box({ desiccant: gel(more) }), damp))).toBeLessThanOrEqual(
          last(simulateBox(box({ desiccant: gel(less) }), damp)) + 1e-6,
        );
      }),
      { seed: 4901, numRuns: 40 },
    );
  });

  it('a tighter box never follows the room faster', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 20, noNaN: true }), fc.double({ min: 1.01, max: 4, noNaN: true }), (n, factor) => {
        const steady = logOf(5 * DAY, () => [20, 80]);
        const gap = (airChangesPerDay: number) => 80 - last(simulateBox(box({ airChangesPerDay }), steady, { startHumidityPct: 40 }));
        expect(gap(n)).toBeGreaterThanOrEqual(gap(n * factor) - 1e-9);
      }),
      { seed: 4902 },
    );
  });

  it('stays between nothing and saturation, and is the same however often it is asked', () => {
    fc.assert(
      fc.property(rooms, (room) => {
        const run = simulateBox(box({ desiccant: gel(30), openingsPerWeek: 5 }), room);
        for (const { humidityPct } of run.readings) expect(humidityPct >= 0 && humidityPct <= 100).toBe(true);
        expect(simulateBox(box({ desiccant: gel(30), openingsPerWeek: 5 }), room)).toEqual(run);
      }),
      { seed: 4903, numRuns: 30 },
    );
  });

  it('refuses a box that cannot be, naming what is wrong with it', () => {
    expect(() => simulateBox(box({ volumeL: 0 }), year)).toThrow(/volume 0 L/);
    expect(() => simulateBox(box({ airChangesPerDay: NaN }), year)).toThrow(/air changes/);
    expect(simulateBox(box(), [])).toEqual({ readings: [], loadingGPerG: [], exhaustedAt: null });
  });
});

describe('how much gel for so many days', () => {
  const question = {
    volumeL: 50,
    airChangesPerDay: 0.5,
    openingsPerWeek: 2,
    room: { temperatureC: 22, humidityPct: 65 },
    targetPct: 45,
    kind: 'silica-gel' as const,
  };
  it('is about 100 g for 97 days, as the run says the other way round', () => {
    expect(desiccantForBox({ ...question, days: 97 }).massG / 100).toBeCloseTo(1, 1);
  });
  it('grows with the days, and is far more of rice than of gel', () => {
    const forDays = (d: number) => desiccantForBox({ ...question, days: d }).massG;
    expect(forDays(180)).toBeGreaterThan(forDays(90));
    expect(desiccantForBox({ ...question, days: 90, kind: 'rice' }).massG).toBeGreaterThan(5 * forDays(90));
  });
  it('is nothing where the room is dry enough, and puts the packaging standards beside it', () => {
    const dry = desiccantForBox({ ...question, room: { temperatureC: 22, humidityPct: 40 }, days: 90 });
    expect(dry.massG).toBe(0);
    expect(desiccantForBox({ ...question, days: 30 }).sealedPackG.milStd2073).toBeCloseTo((1.2 * 50 * 28.5) / 28.3168, 1);
    expect(() => desiccantForBox({ ...question, days: 0 })).toThrow(/above 0/);
  });
});
