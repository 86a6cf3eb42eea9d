import { Solver } from 'odex';
import { describe, expect, it } from 'vitest';
import { columnsOf, type Reading, saturatedGm3 } from '../../air/index.js';
import { logOf, seeded } from '../../testing/logs.js';
import { type FittedId, type FittedPlace, fitPlace, type PlaceFit, simulatePlace, usualPlace } from './index.js';
import { stepOver } from './twoStores.js';
import { hiddenPlace, homeOf, vapourOf, type HiddenPlace } from './testing.js';

const DAY = 24;
const HOUR_MS = 3_600_000;
const plain: FittedPlace = usualPlace({ volumeL: 50, airChangesPerDay: 2, openingsPerWeek: 0, targetPct: 60 }, null);
const cupboard: HiddenPlace = { airChangesPerDay: 3, vapourExcessGm3: 0.6, bufferPerDay: 6, bufferDays: 4, warmerC: -1.8, lagH: 14 };
const explained = (fit: ReturnType<typeof fitPlace>): PlaceFit => {
  if ('cannot' in fit) throw new Error(`it cannot: ${JSON.stringify(fit)}`);
  return fit;
};

describe('two stores in a row', () => {
  it('stay full where all around is full, whatever the rates', () => {
    const random = seeded(1);
    for (let i = 0; i < 200; i++) {
      const rates = { n: 10 ** (3 * random() - 2), kb: i % 5 === 0 ? 0 : 10 ** (3 * random() - 2), tb: 10 ** (3 * random() - 1) };
      const { uu, up, pu, pp, ug, pg, ur, pr } = stepOver(10 ** (2 * random() - 1), rates);
      expect(uu + up + ug * rates.n).toBeCloseTo(1, 9);
      expect(pu + pp + pg * rates.n).toBeCloseTo(1, 9);
      for (const part of [uu, up, pu, pp, ug, pg, ur, pr]) expect(part).toBeGreaterThanOrEqual(-1e-12);
    }
  });
  it('two half steps are one whole step', () => {
    const rates = { n: 0.7, kb: 2.5, tb: 9 };
    const [half, whole] = [stepOver(0.5, rates), stepOver(1, rates)];
    expect(half.uu * half.uu + half.up * half.pu).toBeCloseTo(whole.uu, 12);
    expect(half.pu * half.up + half.pp * half.pp).toBeCloseTo(whole.pp, 12);
  });
});

/** The reference: the same balance as differential equations, solved by an ODE library (odex) to a far finer tolerance. */
function reference(place: FittedPlace, outside: readonly Reading[]): number[] {
  const vapours = outside.map(vapourOf);
  const [n, kb, tb] = [place.airChangesPerDay / 24, place.bufferPerDay / 24, place.bufferDays * 24];
  const around = (h: number) => {
    const i = Math.min(outside.length - 2, Math.max(0, Math.floor(h)));
    const s = h - i;
    return {
      t: outside[i]!.temperatureC + s * (outside[i + 1]!.temperatureC - outside[i]!.temperatureC),
      c: vapours[i]! + s * (vapours[i + 1]! - vapours[i]!),
    };
  };
  const startC = outside[0]!.temperatureC;
  let y = [vapours[0]! + place.vapourExcessGm3, 0, startC];
  y[1] = Math.min(1, y[0]! / saturatedGm3(startC + place.warmerC));
  const solver = new Solver(3);
  solver.absoluteTolerance = solver.relativeTolerance = 1e-9;
  const rates = (h: number, [c, phi, slow]: number[]) => {
    const { t, c: out } = around(h);
    const saturated = saturatedGm3(slow! + place.warmerC);
    return [n * (out + place.vapourExcessGm3 - c!) + kb * (saturated * phi! - c!), (c! / saturated - phi!) / tb, (t - slow!) / place.lagH];
  };
  return outside.map((_, h) => {
    // Begun anew at each reading, where the course around has a corner.
    if (h > 0) y = solver.solve(rates, h - 1, y, h).y;
    return (100 * y[0]!) / saturatedGm3(y[2]! + place.warmerC);
  });
}

describe('the air in a place along the air around it', () => {
  const outside = logOf(60 * DAY, (h) => [
    17 + 4 * Math.sin((2 * Math.PI * h) / 24) + 3 * Math.sin(h / 150),
    60 + 12 * Math.sin(h / 130) + 5 * Math.cos((2 * Math.PI * h) / 24),
  ]);
  it.each([
    ['a cupboard', { airChangesPerDay: 3, vapourExcessGm3: 0.6, bufferPerDay: 6, bufferDays: 4, warmerC: -1.8, lagH: 14 }],
    ['a tight case', { airChangesPerDay: 0.3, bufferPerDay: 2, bufferDays: 10, warmerC: 0, lagH: 3 }],
    ['an airy room', { airChangesPerDay: 30, vapourExcessGm3: 1.5, bufferPerDay: 40, bufferDays: 1, warmerC: 2, lagH: 24 }],
    ['nothing that holds', { airChangesPerDay: 5, vapourExcessGm3: -0.5, bufferPerDay: 0, warmerC: 1, lagH: 8 }],
  ])('is that of an ODE library within 0.1 % RH: %s', (_, more) => {
    const place = { ...plain, ...more };
    const own = simulatePlace(place, outside).readings;
    const wanted = reference(place, outside);
    const worst = Math.max(...own.map((r, i) => Math.abs(r.humidityPct - wanted[i]!)));
    expect(worst).toBeLessThan(0.1);
  });
  it('is told at the instants of the log, however it was kept', () => {
    const seldom = outside.filter((_, i) => i % 6 === 0);
    const readings = simulatePlace({ ...plain, airChangesPerDay: 1, lagH: 30 }, seldom).readings;
    expect(readings.map((r) => r.at)).toEqual(seldom.map((r) => r.at));
    expect(simulatePlace(plain, []).readings).toEqual([]);
    expect(simulatePlace(plain, [outside[0]!]).readings[0]!.humidityPct).toBeCloseTo(outside[0]!.humidityPct, 6);
  });
  it('with gel in it is what the box itself comes to', () => {
    const gel = { kind: 'silica-gel', massG: 200, loadingGPerG: 0.1 } as const;
    const dry = simulatePlace({ ...plain, airChangesPerDay: 0.5, desiccant: gel }, outside).readings;
    const bare = simulatePlace({ ...plain, airChangesPerDay: 0.5 }, outside).readings;
    const mean = (log: Reading[]) => log.reduce((sum, r) => sum + r.humidityPct, 0) / log.length;
    expect(mean(dry)).toBeLessThan(mean(bare) - 15);
    // Gel lets the day's swing through hardly at all.
    const swing = (log: Reading[]) =>
      Math.max(...log.slice(0, 48).map((r) => r.humidityPct)) - Math.min(...log.slice(0, 48).map((r) => r.humidityPct));
    expect(swing(dry)).toBeLessThan(swing(bare));
  });
});

describe('a place that explains its past', () => {
  it('finds what is hidden in a cupboard, and says how sure it is', () => {
    const { outside, inside } = homeOf(cupboard, 120, 5);
    const fit = explained(fitPlace(inside, outside));
    expect(fit.hindcast.medianPct).toBeLessThan(0.6);
    expect(fit.hindcast.p90Pct).toBeLessThan(1.5);
    expect(fit.place.warmerC).toBeCloseTo(-1.8, 1);
    expect(fit.place.lagH).toBeGreaterThan(12);
    expect(fit.place.lagH).toBeLessThan(16);
    expect(fit.fittedDays).toBeCloseTo(80, 0);
    for (const [id, { low, high }] of Object.entries(fit.intervals)) {
      const value = fit.place[id as keyof FittedPlace] as number;
      expect(low, id).toBeLessThanOrEqual(value);
      expect(high, id).toBeGreaterThanOrEqual(value);
    }
    expect(fit.somethingElse).toEqual([]);
  });

  it('beats by far what is usual for its kind', () => {
    const { outside, inside } = homeOf(cupboard, 120, 6);
    const { hindcast } = explained(fitPlace(inside, outside));
    const from = inside.findIndex((r) => r.at >= hindcast.from);
    const usual = simulatePlace(
      usualPlace({ volumeL: 300, airChangesPerDay: 12, openingsPerWeek: 5, targetPct: 60 }, null),
      outside,
    ).readings;
    const off = usual.slice(from).map((r, i) => Math.abs(r.humidityPct - inside[from + i]!.humidityPct));
    const median = off.sort((a, b) => a - b)[Math.floor(off.length / 2)]!;
    expect(median).toBeGreaterThan(5 * hindcast.medianPct);
  });

  // Truth hidden from the fit, recovered within its 95 % intervals in nine of ten homes at least.
  it('recovers a hundred hidden homes within its intervals, and each hindcast holds', () => {
    const random = seeded(2027);
    const held = new Map<FittedId, { asked: number; within: number }>();
    for (let i = 0; i < 100; i++) {
      const hidden = hiddenPlace(random);
      const { outside, inside } = homeOf(hidden, 84, 1000 + i);
      const fit = explained(fitPlace(inside, outside));
      expect(fit.hindcast.medianPct, `home ${i}`).toBeLessThanOrEqual(1.5);
      expect(fit.hindcast.p90Pct, `home ${i}`).toBeLessThanOrEqual(4);
      for (const id of ['airChangesPerDay', 'vapourExcessGm3', 'bufferPerDay', 'bufferDays', 'warmerC', 'lagH'] as const) {
        const interval = fit.intervals[id];
        if (!interval) continue;
        const { asked, within } = held.get(id) ?? { asked: 0, within: 0 };
        held.set(id, { asked: asked + 1, within: within + (interval.low <= hidden[id] && hidden[id] <= interval.high ? 1 : 0) });
      }
    }
    expect(held.size).toBe(6);
    for (const [id, { asked, within }] of held) {
      expect(asked, id).toBeGreaterThan(80);
      expect(within / asked, id).toBeGreaterThanOrEqual(0.9);
    }
  });

  it('finds the set-point of a cabinet, and tells of the days it had no current', () => {
    const held = { ...cupboard, bufferPerDay: 1, setPointPct: 42 };
    const { outside, inside } = homeOf(held, 90, 9);
    const passive = homeOf({ ...held, setPointPct: 100 }, 90, 9).inside;
    const cut = inside.map((r, i) => (i > 30 * 48 && i < 34 * 48 ? passive[i]! : r));
    const fit = explained(fitPlace(cut, outside, { dries: { usualAirChangesPerDay: 2 } }));
    expect(fit.place.setPointPct).toBeCloseTo(42, 0);
    expect(fit.place.airChangesPerDay).toBe(2);
    expect(fit.intervals).not.toHaveProperty('airChangesPerDay');
    expect(fit.hindcast.p90Pct).toBeLessThan(2);
    expect(fit.somethingElse.length).toBeGreaterThan(0);
    for (const { from, to, byPct } of fit.somethingElse) {
      expect(byPct).toBeGreaterThan(5);
      expect(from >= cut[30 * 48]!.at && to <= cut[34 * 48]!.at).toBe(true);
    }
  });
  it('a cabinet without current all along is fitted as what it then is', () => {
    const { outside, inside } = homeOf(cupboard, 90, 10);
    const fit = explained(fitPlace(inside, outside, { dries: { usualAirChangesPerDay: 2 } }));
    expect(fit.place.setPointPct).toBeNull();
    expect(fit.intervals.airChangesPerDay!.high).toBeLessThan(10);
  });

  it('knows gel in it, and the leak beside it', () => {
    const { outside } = homeOf(cupboard, 60, 11);
    const hidden = { ...plain, airChangesPerDay: 0.8, desiccant: { kind: 'silica-gel', massG: 150, loadingGPerG: 0.12 } } as const;
    const random = seeded(3);
    const inside = simulatePlace(hidden, outside).readings.map((r) => ({
      ...r,
      humidityPct: Math.round(10 * (r.humidityPct + random() - 0.5)) / 10,
    }));
    const fit = explained(fitPlace(inside, outside, { volumeL: 50, desiccant: { kind: 'silica-gel', massG: 150 } }));
    expect(fit.place.airChangesPerDay).toBeGreaterThan(0.7);
    expect(fit.place.airChangesPerDay).toBeLessThan(0.9);
    expect(fit.place.desiccant!.loadingGPerG).toBeCloseTo(0.12, 2);
    expect(fit.hindcast.medianPct).toBeLessThan(0.5);
  });

  it('a room in the weather: heated, and with what people add fading as it warms', () => {
    const random = seeded(12);
    let front = 0;
    const weather = logOf(240 * DAY, (h) => {
      front += -front / 60 + 0.5 * (random() - 0.5);
      return [9 - 9 * Math.cos((2 * Math.PI * h) / 8760) + 3 * Math.sin((2 * Math.PI * h) / 24) + front, 78 + 8 * Math.sin(h / 70)];
    });
    const room: FittedPlace = { ...plain, airChangesPerDay: 14, vapourExcessGm3: 4, excess: 'fades', warmerC: 3, lagH: 20, heatedToC: 19 };
    const inside = simulatePlace(room, weather).readings.map((r) => ({ ...r, humidityPct: r.humidityPct + (random() - 0.5) }));
    const fit = explained(fitPlace(inside, weather, { weather: true }));
    expect(fit.place).toMatchObject({ excess: 'fades' });
    expect(fit.place.heatedToC).toBeCloseTo(19, 0);
    expect(fit.place.vapourExcessGm3).toBeGreaterThan(3.5);
    expect(fit.place.vapourExcessGm3).toBeLessThan(4.5);
    expect(fit.hindcast.medianPct).toBeLessThan(1.5);
    expect(fit.hindcast.p90Pct).toBeLessThan(4);
  });
});

describe('what went wrong meanwhile', () => {
  const days = 90;
  const { outside, inside } = homeOf(cupboard, days, 21);
  const readingsOn = (day: number) => day * 48;
  const shifted = (log: Reading[], hours: number) =>
    log.map((r) => ({ ...r, at: new Date(Date.parse(r.at) + hours * HOUR_MS).toISOString() }));

  it('a hole in either log promises no less, and nothing of it is made up', () => {
    const hole = (log: Reading[], from: number, to: number) => log.filter((_, i) => i < readingsOn(from) || i >= readingsOn(to));
    for (const fit of [
      explained(fitPlace(hole(inside, 20, 35), outside)),
      explained(fitPlace(inside, hole(outside, 20, 35))),
      explained(fitPlace(hole(inside, 65, 72), hole(outside, 30, 40))),
    ]) {
      expect(fit.hindcast.medianPct).toBeLessThan(0.6);
      expect(fit.place.airChangesPerDay).toBeGreaterThan(2);
      expect(fit.place.airChangesPerDay).toBeLessThan(4);
    }
  });
  it('ten years with a hole of one', () => {
    // Every six hours: such a log is kept as means.
    const random = seeded(77);
    const long = logOf(
      10 * 365 * DAY,
      (h) => [18 + 5 * Math.sin((2 * Math.PI * h) / 8760) + random(), 60 + 10 * Math.sin(h / 400) + 2 * random()],
      3,
    );
    const within = simulatePlace({ ...plain, airChangesPerDay: 1, warmerC: -1, lagH: 20 }, long).readings;
    const year = (r: Reading) => Number(r.at.slice(0, 4));
    const fit = explained(
      fitPlace(
        within.filter((r) => year(r) !== 2030),
        long,
      ),
    );
    expect(fit.hindcast.p90Pct).toBeLessThan(1.5);
    expect(fit.place.warmerC).toBeCloseTo(-1, 1);
  });
  it('a box that stood open for a week is told of, with its days, and the fit is not led astray', () => {
    const odd = inside.map((r, i) =>
      i >= readingsOn(30) && i < readingsOn(37) ? { ...r, humidityPct: Math.min(99, r.humidityPct + 14) } : r,
    );
    const fit = explained(fitPlace(odd, outside));
    expect(fit.somethingElse).toHaveLength(1);
    const [{ from, to, byPct }] = fit.somethingElse as [PlaceFit['somethingElse'][number]];
    expect(Math.abs(Date.parse(from) - Date.parse(inside[readingsOn(30)]!.at))).toBeLessThan(6 * HOUR_MS);
    expect(Math.abs(Date.parse(to) - Date.parse(inside[readingsOn(37)]!.at))).toBeLessThan(6 * HOUR_MS);
    expect(byPct).toBeCloseTo(14, -1);
    expect(fit.place.airChangesPerDay).toBeGreaterThan(2);
    expect(fit.place.airChangesPerDay).toBeLessThan(4);
  });
  it('a hygrometer that was moved to another place half-way promises nothing', () => {
    const { inside: other } = homeOf({ ...cupboard, warmerC: 3, vapourExcessGm3: -0.5 }, days, 21);
    const moved = [...inside.slice(0, readingsOn(62)), ...other.slice(readingsOn(62))];
    const fit = fitPlace(moved, outside);
    expect(fit).toMatchObject({ cannot: 'something-else' });
    if ('cannot' in fit && fit.cannot === 'something-else') expect(fit.medianPct).toBeGreaterThan(3);
  });
  it('a clock that is off by hours is held against the days it never saw like any other', () => {
    for (const hours of [-3, 3]) {
      const fit = fitPlace(shifted(inside, hours), outside);
      if ('cannot' in fit) expect(fit.cannot).toBe('something-else');
      else expect(fit.hindcast.p90Pct).toBeLessThan(8);
    }
  });
  it.each([
    ['inside', 20],
    ['inside', 99],
    ['outside', 99],
  ] as const)('a sensor %s that came to its stop at %i % tells no humidity', (which, pct) => {
    const stopped = (log: Reading[]) =>
      log.map((r) => ({ ...r, humidityPct: pct > 50 ? Math.min(pct, r.humidityPct + 45) : Math.max(pct, r.humidityPct - 60) }));
    const fit = which === 'inside' ? fitPlace(stopped(inside), outside) : fitPlace(inside, stopped(outside));
    expect(fit).toEqual({ cannot: 'at-its-stop', which, pct });
  });
  it('an instrument that stands still tells no air, however often it does', () => {
    const still = (log: Reading[]) => log.map((r, i) => (i > readingsOn(10) ? { ...log[readingsOn(10)]!, at: r.at } : r));
    expect(fitPlace(still(inside), outside)).toMatchObject({ cannot: 'stands-still', which: 'inside' });
    expect(fitPlace(inside, still(outside))).toMatchObject({ cannot: 'stands-still', which: 'outside' });
  });
  it('says what is missing: a log, the same time, days, readings', () => {
    const upTo = (log: Reading[], day: number) => log.slice(0, readingsOn(day));
    expect(fitPlace([], outside)).toEqual({ cannot: 'inside-not-measured' });
    expect(fitPlace(inside, [])).toEqual({ cannot: 'outside-not-measured' });
    expect(fitPlace(inside, shifted(outside, 24 * 365))).toEqual({ cannot: 'not-the-same-time' });
    expect(fitPlace(upTo(inside, 2), outside)).toMatchObject({ cannot: 'too-short', needDays: 21 });
    // Nothing to hold it against, however much was fitted.
    const early = inside.filter((_, i) => i < readingsOn(60) || i > inside.length - 5);
    expect(fitPlace(early, outside)).toEqual({ cannot: 'full-of-holes' });
    const weekly = inside.filter((_, i) => i % (7 * 48) === 0);
    expect(fitPlace(weekly, outside)).toMatchObject({ cannot: 'too-seldom', hours: weekly.length });
  });
  it('columns and readings are the same log', () => {
    expect(fitPlace(columnsOf(inside), columnsOf(outside))).toEqual(fitPlace(inside, outside));
  });
});
