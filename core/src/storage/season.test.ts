import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOf, readingsOf, type AirLog } from '../air/index.js';
import { logOf, LOG_START } from '../testing/logs.js';
import { MS_PER_DAY } from '../units.js';
import { spellsPast } from './alerts.js';
import { boxAlong, DRIED_LOADING, dryingOf, reckonGel, seasonAhead, tooDamp, usualPlace, type GelEvent, type Season } from './index.js';
import { asLastYear } from './yearAhead.js';

const DAYS = 400;
const nowMs = Date.parse(LOG_START) + DAYS * MS_PER_DAY;
const now = new Date(nowMs).toISOString();
/** A year whose dampest day is `peakDay` days after now, a year ago: 50 % in the mean. */
const year = (swingPct: number, peakDay: number): AirLog =>
  columnsOf(logOf(DAYS * 24, (h) => [20, 50 + swingPct * Math.cos((2 * Math.PI * (h / 24 - (DAYS - 365) - peakDay)) / 365)]));
const daysFrom = (iso: string): number => (Date.parse(iso) - nowMs) / MS_PER_DAY;
/** A shelf that follows its room at once. */
const shelf = usualPlace({ volumeL: 100, airChangesPerDay: 100, openingsPerWeek: 0, targetPct: 60 }, null);
const ask = (around: AirLog, more = {}): Exclude<Season, { cannot: string }> => {
  const season = seasonAhead({
    place: shelf,
    offPct: 2,
    around,
    measured: columnsOf(readingsOf(around).slice(-48)),
    highPct: 60,
    nowMs,
    ...more,
  });
  if ('cannot' in season) throw new Error(season.cannot);
  return season;
};

describe('the air of the year ahead', () => {
  it('is that of the year behind, moved by a year, hour for hour', () => {
    const log = year(15, 100);
    const ahead = asLastYear(log, nowMs)!;
    expect(ahead.length).toBe(365 * 24 + 1);
    expect(ahead.ms[0]).toBe(nowMs);
    expect(ahead.ms.at(-1)).toBe(nowMs + 365 * MS_PER_DAY);
    expect(ahead.humidityPct[24 * 100]).toBeCloseTo(65, 6);
  });

  it('is not told where a week of it was not read, at its beginning, in its middle or its end', () => {
    const log = year(15, 100);
    const without = (fromDay: number) => {
      const from = nowMs + (fromDay - 365) * MS_PER_DAY;
      const keep = [...log.ms.keys()].filter((i) => log.ms[i]! < from || log.ms[i]! > from + 7 * MS_PER_DAY);
      const pick = (c: Float64Array) => Float64Array.from(keep, (i) => c[i]!);
      return { length: keep.length, ms: pick(log.ms), temperatureC: pick(log.temperatureC), humidityPct: pick(log.humidityPct) };
    };
    for (const day of [-1, 180, 357]) expect(asLastYear(without(day), nowMs), `${day}`).toBe(null);
    expect(seasonAhead({ place: shelf, offPct: 2, around: without(180), measured: year(15, 100), highPct: 60, nowMs })).toEqual({
      cannot: 'no-year',
    });
    expect(asLastYear(columnsOf([]), nowMs)).toBe(null);
  });
});

describe('how the coming season goes in a place', () => {
  // Worked by hand: 50 + 15 cos(2 pi (d - 100) / 365) passes 60 % at d = 100 - 365 / (2 pi) arccos(2/3) = 51.1, a mean of the day half a day later.
  it('leaves its band on the day the room of last year did, with what the model is off on either side', () => {
    const { leaves, out, weeksPct } = ask(year(15, 100));
    expect(out).toBe(null);
    expect(leaves!.side).toBe('damp');
    expect(Math.abs(daysFrom(leaves!.at) - 51.6)).toBeLessThan(0.5);
    // By 58 and by 62 %.
    expect(Math.abs(daysFrom(leaves!.earliest) - 41.8)).toBeLessThan(0.6);
    expect(Math.abs(daysFrom(leaves!.latest!) - 63.2)).toBeLessThan(0.6);
    expect(weeksPct).toHaveLength(53);
    expect(Math.max(...weeksPct)).toBeCloseTo(65, 0);
  });

  it('may leave it where that is within what the model is off, and stays in it where it is not', () => {
    expect(ask(year(9, 100))).toMatchObject({ leaves: null, mayLeave: { side: 'damp' }, out: null });
    expect(ask(year(5, 100))).toMatchObject({ leaves: null, mayLeave: null, out: null });
    expect(ask(year(10.5, 100)).leaves!.latest).toBe(null);
  });

  it('is out of it now, and comes back by itself or not at all', () => {
    const { out, leaves } = ask(year(15, 0));
    // Above 60 % again: a year less 48.9 days.
    expect(Math.abs(daysFrom(leaves!.at) - 316.6)).toBeLessThan(0.6);
    // Back below 58 %: 50 + 15 cos(x) = 58 at 58.6 days.
    expect(out!.side).toBe('damp');
    expect(Math.abs(daysFrom(out!.back!) - 59.1)).toBeLessThan(0.6);
    expect(ask(columnsOf(logOf(DAYS * 24, () => [20, 75]))).out).toEqual({ side: 'damp', back: null });
  });

  it('is out until it is dry enough for the alarm to end, though it is below the limit already', () => {
    const measured = columnsOf(logOf(DAYS * 24, (h) => [20, h > (DAYS - 3) * 24 ? 59 : 63]));
    const season = ask(columnsOf(logOf(DAYS * 24, () => [20, 59])), { measured });
    expect(season).toMatchObject({ out: { side: 'damp', back: null }, leaves: null });
  });

  it('does not take a day or two past a limit for a season', () => {
    const rain = (days: number) => columnsOf(logOf(DAYS * 24, (h) => [20, h / 24 > 100 && h / 24 < 100 + days ? 75 : 45]));
    expect(ask(rain(4))).toMatchObject({ leaves: null, mayLeave: null });
    expect(Math.abs(daysFrom(ask(rain(12)).leaves!.at) - 65)).toBeLessThan(1);
  });

  it('tells dryness as well, whichever comes first', () => {
    const { leaves } = ask(year(-22, 100));
    expect(leaves!.side).toBe('dry');
    expect(ask(year(25, 91)).leaves!.side).toBe('damp');
  });

  it('never leaves earlier in a drier room, nor later for a lower band', () => {
    fc.assert(
      fc.property(fc.integer({ min: 8, max: 30 }), fc.integer({ min: 60, max: 300 }), fc.integer({ min: 1, max: 8 }), (swing, peak, by) => {
        const damp = year(swing, peak);
        const drier = { ...damp, humidityPct: damp.humidityPct.map((p) => Math.max(0, p - by)) };
        const at = (s: ReturnType<typeof ask>) =>
          s.out?.side === 'damp' ? 0 : s.leaves?.side === 'damp' ? daysFrom(s.leaves.at) : Infinity;
        const first = at(ask(damp));
        const later = ask(drier);
        if (later.leaves?.side !== 'dry' && later.out?.side !== 'dry') expect(at(later)).toBeGreaterThanOrEqual(first);
        const lower = ask(damp, { highPct: 60 - by });
        if (lower.leaves?.side !== 'dry' && lower.out?.side !== 'dry') expect(at(lower)).toBeLessThanOrEqual(first);
      }),
      { seed: 271, numRuns: 12 },
    );
  });
});

describe('when gel goes into the oven next', () => {
  const set = (massG: number, loadingPct = 8): GelEvent => ({ at: now, kind: 'gel-set', desiccant: 'silica-gel', massG, loadingPct });
  const box = { volumeL: 60, airChangesPerDay: 2, openingsPerWeek: 2, targetPct: 45 };
  const reckon = (massG: number, room = year(15, 150), loadingPct = 8) =>
    reckonGel({ events: [set(massG, loadingPct)], box, room, inside: columnsOf([]), now })!;
  const dryingIn = (massG: number, room = year(15, 150)) => dryingOf({ box, room, now }, reckon(massG, room))!;
  /** Walked through by itself: is it damp in the box between two instants, dried on the first of them? */
  const isDamp = (massG: number, room: AirLog, from: string, to: string | null): boolean => {
    const ahead = asLastYear(room, nowMs)!;
    const keep = [...ahead.ms.keys()].filter((i) => ahead.ms[i]! >= Date.parse(from) && i % 6 === 0);
    const pick = (c: Float64Array) => Float64Array.from(keep, (i) => c[i]!);
    const part = { length: keep.length, ms: pick(ahead.ms), temperatureC: pick(ahead.temperatureC), humidityPct: pick(ahead.humidityPct) };
    const dried = { kind: 'silica-gel' as const, massG, loadingGPerG: DRIED_LOADING['silica-gel'] };
    const [first] = spellsPast(boxAlong({ ...box, desiccant: dried }, part).air, tooDamp(box.targetPct));
    return first !== undefined && (to === null || first.from < to);
  };

  it('takes the room to go on as last year, and as last month where nobody read it then', () => {
    expect(reckon(300).roomAs).toBe('last-year');
    const short = reckonGel({
      events: [set(300)],
      box,
      room: logOf(60 * 24, () => [20, 60]),
      inside: [],
      now: logOf(60 * 24, () => [20, 60]).at(-1)!.at,
    })!;
    expect(short.roomAs).toBe('last-month');
    const lately = logOf(60 * 24, () => [20, 60]);
    expect(dryingOf({ box, room: lately, now: lately.at(-1)!.at }, short)).toBe(null);
  });

  it('names the days between which one drying lasts past the damp season, and no earlier one does', () => {
    const room = year(15, 150);
    const gel = reckon(500, room);
    const drying = dryingIn(500, room);
    if (drying.dry !== 'once') throw new Error(drying.dry);
    expect(drying.by).toBe(gel.spentOn);
    expect(drying.from <= drying.by).toBe(true);
    expect(isDamp(500, room, drying.from, drying.until)).toBe(false);
    const fortnightBefore = new Date(Date.parse(drying.from) - 14 * MS_PER_DAY).toISOString();
    if (fortnightBefore > now) expect(isDamp(500, room, fortnightBefore, drying.until)).toBe(true);
  });

  it('names each drying where one is not enough, and says where no number of them is', () => {
    const room = year(15, 150);
    const gel = reckon(120, room);
    const drying = dryingIn(120, room);
    if (drying.dry !== 'again') throw new Error(drying.dry);
    const { by, until } = drying;
    expect(by[0]).toBe(gel.spentOn);
    by.forEach((at, i) => {
      expect(isDamp(120, room, at, by[i + 1] ?? until)).toBe(false);
      if (by[i + 1]) expect(isDamp(120, room, at, null)).toBe(true);
    });
    expect(dryingIn(10, room)).toEqual({ dry: 'too-little' });
  });

  it('asks for none where the room stays dry all year', () => {
    const room = logOf(DAYS * 24, () => [20, 40]);
    const gel = reckonGel({ events: [set(200)], box, room, inside: [], now })!;
    expect(gel.spentOn).toBe(null);
    expect(dryingOf({ box, room, now }, gel)).toBe(null);
  });

  it('in more gel is never spent earlier', () => {
    const days = [60, 120, 240, 480, 960].map((massG) => {
      const { spentOn } = reckon(massG);
      return spentOn ? daysFrom(spentOn) : Infinity;
    });
    expect(days).toEqual([...days].sort((a, b) => a - b));
  });
});
