import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOf, type AirLog } from '../air/index.js';
import { assess } from '../fungus/index.js';
import { logOf } from '../testing/logs.js';
import { adviseChange, badness, courseOf, figuresOf, type FittedPlace, roomInClimate, type Trial, tryChange, usualPlace } from './index.js';

const DAY = 24;
const room = columnsOf(logOf(120 * DAY, (h) => [21, 68 + 6 * Math.sin(h / 90)], 3));
const band = { lowPct: 30, highPct: 50 };
const options = { humiditySchool: 'standard', surfaceState: 'clean-glass' } as const;
const box = {
  volumeL: 50,
  airChangesPerDay: 3,
  openingsPerWeek: 1,
  targetPct: 50,
  desiccant: { kind: 'silica-gel', massG: 50, loadingGPerG: 0.05 },
} as const;
const leaky = usualPlace(box, null);
const trialOf = (place: FittedPlace, outside: AirLog = room, measured: AirLog | null = null): Trial => ({
  place,
  ends: [],
  outside,
  measured,
});
const nowOf = (trial: Trial) => tryChange(trial, {}, band, options);
const advise = (trial: Trial, others: Parameters<typeof adviseChange>[4] = []) => adviseChange(nowOf(trial), trial, band, options, others);

describe('what if', () => {
  it('ranks only changes that bring it where it should be, best for their trouble first', () => {
    const now = nowOf(trialOf(leaky));
    const advice = advise(trialOf(leaky));
    if (advice.verdict !== 'helps') throw new Error(`expected help, not ${advice.verdict}`);
    for (const { result } of advice.changes) {
      expect(result.above).toBeLessThanOrEqual(0.25);
      expect(result.below).toBeLessThanOrEqual(0.25);
      expect(badness(result)).toBeLessThan(badness(now));
    }
    expect(advice.changes.map((t) => t.worth)).toEqual(advice.changes.map((t) => t.worth).sort((a, b) => b - a));
    expect(now.below + now.within + now.above).toBeCloseTo(1, 9);
  });
  it('calls it no advice when the box is still too damp most of the time', () => {
    const advice = advise(trialOf(usualPlace({ ...box, airChangesPerDay: 20 }, null)));
    const ids = advice.verdict === 'helps' ? advice.changes.map((t) => t.change.id) : [];
    for (const id of ['more-gel', 'better-seal', 'fewer-openings'] as const) expect(ids).not.toContain(id);
    expect(ids).toContain('electric');
  });
  it('says that nothing single helps, and names the nearest', () => {
    const wet = columnsOf(logOf(60 * DAY, () => [21, 92], 3));
    const shelf = trialOf(usualPlace({ ...box, airChangesPerDay: 100 }, null), wet);
    const damp = { lowPct: 30, highPct: 40 };
    const advice = adviseChange(tryChange(shelf, {}, damp, options), shelf, damp, options);
    expect(advice).toMatchObject({ verdict: 'nothing-helps', nearest: { change: { id: 'dry-room' } } });
  });
  it('finds nothing to change where nothing is wrong', () => {
    const { desiccant: _, ...bare } = box;
    const dry = columnsOf(logOf(60 * DAY, () => [21, 42], 3));
    expect(advise(trialOf(usualPlace(bare, null), dry))).toEqual({ verdict: 'nothing-needed' });
  });
  it('never puts gel into an electric cabinet: its set-point is lowered, or the room is dried', () => {
    const advice = advise(trialOf(usualPlace(box, 58)));
    if (advice.verdict !== 'helps') throw new Error(`expected help, not ${advice.verdict}`);
    expect(advice.changes[0]!.change.id).toBe('lower-set-point');
    for (const { change } of advice.changes) expect(['lower-set-point', 'dry-room', 'other-room']).toContain(change.id);
  });
  it('knows of a drier place to stand in', () => {
    const office = { name: 'Office', readings: logOf(120 * DAY, () => [21, 44], 3) };
    const advice = advise(trialOf(usualPlace({ ...box, airChangesPerDay: 100 }, null)), [office]);
    expect(advice).toMatchObject({ verdict: 'helps' });
    if (advice.verdict === 'helps') expect(advice.changes[0]!.change).toMatchObject({ id: 'other-room', placeName: 'Office' });
  });
  it('knows a cold wall when it stands on one, and what to move it away brings', () => {
    const airy = columnsOf(logOf(120 * DAY, (h) => [21, 47 + 2 * Math.sin(h / 90)], 3));
    const cold: FittedPlace = { ...usualPlace({ ...box, airChangesPerDay: 100 }, null), desiccant: null, warmerC: -3 };
    const advice = advise(trialOf(cold, airy));
    if (advice.verdict !== 'helps') throw new Error(`expected help, not ${advice.verdict}`);
    expect(advice.changes[0]!.change).toMatchObject({ id: 'off-the-wall', amount: 3 });
  });

  it('never dries the weather: what stands in it is the room, and that is dried', () => {
    const weather = columnsOf(logOf(120 * DAY, (h) => [12, 80 + 5 * Math.sin(h / 50)], 3));
    const measured = columnsOf(logOf(120 * DAY, (h) => [20, 64 + 4 * Math.sin(h / 50)], 3));
    const shelf: Trial = {
      place: { ...usualPlace({ ...box, airChangesPerDay: 20 }, null), desiccant: null, warmerC: 8, vapourExcessGm3: 2 },
      ends: [],
      outside: weather,
      weather: true,
      open: true,
      measured,
    };
    const shelfBand = { lowPct: 35, highPct: 60 };
    const advice = adviseChange(figuresOf(measured, shelfBand, options), shelf, shelfBand, options);
    if (advice.verdict !== 'helps') throw new Error(`expected help, not ${advice.verdict}`);
    // An open shelf takes neither gel nor a seal.
    expect(advice.changes.map((t) => t.change.id)).toEqual(['dry-room']);
    expect(advice.changes[0]!.change).toMatchObject({ elsewhere: null, change: { setPointPct: 50 } });
    // In the air of another place it has that air: what people add to the weather stays behind.
    const office = columnsOf(logOf(120 * DAY, () => [20, 45], 3));
    const { air } = courseOf({ ...shelf, measured: null }, {}, office);
    expect(air.humidityPct.at(-1)).toBeCloseTo(45, 0);
  });

  describe('too dry', () => {
    it('a cabinet that is set too low is turned up to the middle of its band', () => {
      const advice = advise(trialOf(usualPlace(box, 22)));
      if (advice.verdict !== 'helps') throw new Error(`expected help, not ${advice.verdict}`);
      expect(advice.changes[0]!.change).toMatchObject({ id: 'higher-set-point', amount: 40, change: { setPointPct: 40 } });
    });
    it('a box with gel in a room that is fine by itself wants it taken out', () => {
      const fine = columnsOf(logOf(120 * DAY, (h) => [21, 43 + 3 * Math.sin(h / 90)], 3));
      const desiccant = { kind: 'silica-gel', massG: 400, loadingGPerG: 0.03 } as const;
      const trial = trialOf(usualPlace({ ...box, airChangesPerDay: 0.5, desiccant }, null), fine);
      expect(nowOf(trial).below).toBeGreaterThan(0.9);
      const advice = advise(trial);
      if (advice.verdict !== 'helps') throw new Error(`expected help, not ${advice.verdict}`);
      expect(advice.changes[0]!.change).toMatchObject({ id: 'less-gel', amount: 400, change: { desiccant: null } });
      // One amount of it is advised, the best.
      expect(advice.changes.filter((t) => t.change.id === 'less-gel')).toHaveLength(1);
    });
  });

  it('goes on from where the place stood, so that nothing changed ends where it ends', () => {
    const warm = logOf(40 * DAY, () => [24, 74], 1);
    const [first, second] = [warm.slice(0, 20 * 24), warm.slice(20 * 24)];
    const before = assess([...first, second[0]!], options);
    const whole = assess(warm, options);
    const measured = columnsOf(second);
    const then = tryChange(trialOf(leaky, room, measured), {}, band, { ...options, start: before.now });
    expect(then.end.dose).toBeCloseTo(whole.now.dose, 6);
    expect(then.end.daysPast).toBeCloseTo(whole.now.daysPast, 6);
    expect(then.level).toBe(whole.level);
  });
  it('knows what an earlier gap may hide', () => {
    const damp = (from: number, to: number) => logOf(to * DAY, () => [24, 78], 1).slice(from * DAY);
    const log = [...damp(0, 10), ...damp(20, 60)];
    const [first, second] = [log.filter((r) => r.at <= log[30 * DAY]!.at), log.filter((r) => r.at >= log[30 * DAY]!.at)];
    const { now, best, worst } = assess(first, options);
    const whole = assess(log, options);
    const rest = assess(second, { ...options, start: now, startRange: { best, worst } });
    expect(rest.worst.dose).toBeCloseTo(whole.worst.dose, 6);
    expect(rest.best.dose).toBeCloseTo(whole.best.dose, 6);
    expect(rest.level).toBe(whole.level);
  });
  it('keeps another climate within what air can be', () => {
    const wet = roomInClimate(room, { warmerC: 4, damperPct: 30 });
    expect(Math.max(...wet.humidityPct)).toBe(99);
    expect(wet.temperatureC[0]).toBe(25);
    expect(Math.min(...roomInClimate(room, { warmerC: 0, damperPct: -80 }).humidityPct)).toBe(2);
    expect(roomInClimate(room, { warmerC: 0, damperPct: 0 })).toEqual(room);
  });
  it('lets a dry cabinet drift towards the room in a power cut and no further', () => {
    const cabinet = trialOf(usualPlace(box, 42));
    expect(Math.max(...nowOf(cabinet).air.humidityPct)).toBeCloseTo(42, 9);
    const cut = tryChange(cabinet, { powerCut: { from: '2026-02-01', to: '2026-02-08' } }, band, options);
    const worst = Math.max(...cut.air.humidityPct);
    expect(worst).toBeGreaterThan(55);
    expect(worst).toBeLessThan(75);
  });
});

describe('the laws of what if, over places and changes of every sort', () => {
  const short = columnsOf(logOf(20 * DAY, (h) => [18 + 3 * Math.sin(h / 24), 62 + 12 * Math.sin(h / 60)], 1));
  const measured = columnsOf(logOf(20 * DAY, (h) => [17 + 2 * Math.sin(h / 24), 66 + 8 * Math.sin(h / 70 + 1)], 1));
  const place = fc.record({
    airChangesPerDay: fc.double({ min: 0.1, max: 60, noNaN: true }),
    openingsPerWeek: fc.integer({ min: 0, max: 5 }),
    vapourExcessGm3: fc.double({ min: -1, max: 3, noNaN: true }),
    bufferPerDay: fc.constantFrom(0, 2, 40),
    bufferDays: fc.double({ min: 0.2, max: 40, noNaN: true }),
    warmerC: fc.double({ min: -4, max: 4, noNaN: true }),
    lagH: fc.double({ min: 0.2, max: 60, noNaN: true }),
    massG: fc.constantFrom(0, 0, 60, 400),
  });
  const made = ({ massG, ...more }: typeof place extends fc.Arbitrary<infer T> ? T : never): FittedPlace => ({
    ...usualPlace({ ...box, desiccant: { kind: 'silica-gel', massG: 0, loadingGPerG: 0.05 } }, null),
    ...more,
    desiccant: massG > 0 ? { kind: 'silica-gel', massG, loadingGPerG: 0.1 } : null,
  });
  const drier = (log: AirLog, byPct: number) => roomInClimate(log, { warmerC: 0, damperPct: -byPct });
  const ordered = (low: AirLog, high: AirLog) => low.humidityPct.every((pct, i) => pct <= high.humidityPct[i]! + 1e-6);

  it('a change of nothing is what was measured, to the last digit', () => {
    fc.assert(
      fc.property(place, (p) => {
        const trial = { ...trialOf(made(p), short, measured), ends: [made({ ...p, airChangesPerDay: 3 })] };
        const { air, halfPct, ...then } = tryChange(trial, {}, band, options);
        expect(air).toEqual(measured);
        expect(Math.max(...halfPct)).toBe(0);
        expect(then).toMatchObject(figuresOf(measured, band, options));
      }),
      { seed: 27, numRuns: 60 },
    );
  });
  it('a drier room never makes it damper, nor a damper one drier', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: 1, max: 25 }), (p, byPct) => {
        const trial = trialOf(made(p), short, measured);
        expect(ordered(courseOf(trial, {}, drier(short, byPct)).air, measured)).toBe(true);
        expect(ordered(measured, courseOf(trial, {}, drier(short, -byPct)).air)).toBe(true);
      }),
      { seed: 2701, numRuns: 60 },
    );
  });
  // Hour by hour gel may hold back a dry day as it does a damp one: what it never does is bring water of its own.
  it('dry gel never makes it damper on the whole, nor more of it damper than less', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: 20, max: 500 }), (p, massG) => {
        const trial = trialOf({ ...made(p), desiccant: null }, short, measured);
        const mean = (desiccant: FittedPlace['desiccant']) => tryChange(trial, { desiccant }, band, options).meanPct;
        const gel = (g: number) => mean({ kind: 'silica-gel', massG: g, loadingGPerG: 0.02 });
        expect(gel(massG)).toBeLessThanOrEqual(mean(null) + 0.02);
        expect(gel(2 * massG)).toBeLessThanOrEqual(gel(massG) + 0.02);
      }),
      { seed: 2702, numRuns: 40 },
    );
  });
  it('a cabinet that is put in is never above its set-point, whatever went on before', () => {
    fc.assert(
      fc.property(place, fc.integer({ min: 30, max: 55 }), (p, setPointPct) => {
        const { air } = courseOf(trialOf({ ...made(p), desiccant: null }, short, measured), { setPointPct });
        expect(Math.max(...air.humidityPct)).toBeLessThanOrEqual(setPointPct + 1e-9);
      }),
      { seed: 2703, numRuns: 40 },
    );
  });
  it('stays within what air can be, for every change', () => {
    const change = fc.record({
      leakShare: fc.double({ min: 0.01, max: 20, noNaN: true }),
      openingsPerWeek: fc.integer({ min: 0, max: 40 }),
      warmerC: fc.double({ min: -10, max: 10, noNaN: true }),
    });
    fc.assert(
      fc.property(place, change, (p, c) => {
        const { air, halfPct } = courseOf({ ...trialOf(made(p), short, measured), ends: [made({ ...p, warmerC: 0 })] }, c);
        expect(air.humidityPct.every((pct) => pct >= 0 && pct <= 100)).toBe(true);
        expect(halfPct.every((h) => h >= 0 && Number.isFinite(h))).toBe(true);
      }),
      { seed: 2704, numRuns: 60 },
    );
  });
});
