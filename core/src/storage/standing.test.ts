import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { columnsOf, type Reading } from '../air/index.js';
import { assess } from '../fungus/index.js';
import { logOf, LOG_START } from '../testing/logs.js';
import { placeStanding, thingStanding } from './index.js';

const DAY_MS = 86_400_000;
const school = 'standard' as const;
const options = { humiditySchool: school, surfaceState: 'soiled-glass' } as const;
/** How a place stands with such a log, so many days after it began. */
function standing(readings: Reading[], days: number, band = { lowPct: 35, highPct: 60 }) {
  const log = columnsOf(readings);
  return placeStanding({
    log,
    ...band,
    models: log.length > 0 ? assess(log, options) : null,
    school,
    nowMs: Date.parse(LOG_START) + days * DAY_MS,
  });
}
const days = (many: number, pct: (day: number) => number, everyH = 1) => logOf(many * 24, (h) => [20, pct(h / 24)], everyH);

describe('how a place stands', () => {
  it('is safe only when measured, in its band, long enough and up to now', () => {
    expect(
      standing(
        days(40, () => 48),
        40,
      ),
    ).toEqual({ says: 'safe', days: 40, inBand: true });
    expect(standing([], 40)).toEqual({ says: 'not-measured' });
    const heard = placeStanding({ log: columnsOf([]), lowPct: 35, highPct: 60, models: null, school, nowMs: 0, heard: true });
    expect(heard).toEqual({ says: 'too-little', days: 0, needDays: 14 });
    expect(
      standing(
        days(5, () => 48),
        5,
      ),
    ).toMatchObject({ says: 'too-little', needDays: 14 });
    expect(
      standing(
        days(40, () => 48),
        47,
      ),
    ).toEqual({ says: 'not-heard', since: '2026-02-10T00:00:00.000Z' });
  });
  it('is too damp by the wetter and too dry by the drier of two that disagree, and never safe until it is known which is right', () => {
    const nowMs = Date.parse(LOG_START) + 40 * DAY_MS;
    const two = (wetterPct: number, drierPct: number, disputed = true) => {
      const log = columnsOf(days(40, () => wetterPct));
      const drier = columnsOf(days(40, () => drierPct));
      return placeStanding({ log, drier, disputed, lowPct: 35, highPct: 60, models: assess(log, options), school, nowMs }).says;
    };
    expect(two(55, 45)).toBe('disputed');
    expect(two(64, 45)).toBe('over-band');
    expect(two(45, 30)).toBe('under-band');
    // Both were tested, and do not stand in the same air: the careful one counts.
    expect(two(55, 45, false)).toBe('safe');
    expect(two(45, 30, false)).toBe('under-band');
  });
  it('says nothing of what was before it looks back', () => {
    // A power cut five months ago is not denied.
    const cut = days(200, (d) => (d > 40 && d < 44 ? 70 : 45));
    expect(standing(cut, 200)).toEqual({ says: 'safe', days: 90, inBand: true });
    expect(
      standing(
        days(200, () => 64),
        200,
        { lowPct: 35, highPct: 60 },
      ).says,
    ).not.toBe('safe');
  });
  it('read once a week it is never safe, however dry', () => {
    expect(['too-little', 'not-heard']).toContain(
      standing(
        days(60, () => 45, 24 * 7),
        60,
      ).says,
    );
  });
  it('above its band says since when, and back in it that it was', () => {
    expect(
      standing(
        days(40, (d) => (d < 35 ? 50 : 64)),
        40,
      ),
    ).toMatchObject({ says: 'over-band', days: expect.closeTo(4.3, 0) });
    expect(
      standing(
        days(40, (d) => (d > 30 && d < 33 ? 66 : 50)),
        40,
      ),
    ).toMatchObject({
      says: 'back-in-band',
      since: expect.stringMatching(/^2026-02-03/),
    });
    expect(
      standing(
        days(80, (d) => (d > 30 && d < 33 ? 66 : 50)),
        80,
      ),
    ).toMatchObject({ says: 'safe' });
  });
  it('too dry is no safer than too damp', () => {
    expect(
      standing(
        days(40, (d) => (d < 30 ? 45 : 25)),
        40,
      ),
    ).toMatchObject({ says: 'under-band' });
    expect(
      standing(
        days(40, () => 25),
        40,
      ),
    ).toMatchObject({ says: 'under-band' });
  });
  it('on its way to growth is not safe, though the band allows it', () => {
    expect(
      standing(
        days(20, () => 68),
        20,
        { lowPct: 35, highPct: 75 },
      ),
    ).toMatchObject({ says: 'on-its-way' });
    expect(
      standing(
        days(400, () => 76),
        400,
        { lowPct: 35, highPct: 80 },
      ),
    ).toEqual({ says: 'watch' });
    // It dries out for a while before it is forgotten.
    const dried = days(90, (d) => (d < 60 ? 74 : 50));
    expect(standing(dried, 90, { lowPct: 35, highPct: 80 })).toEqual({ says: 'drying-out' });
  });
  it('law: safe is never said of a log that was out of its band, too short, too thin, or over', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 60 }),
        fc.integer({ min: 20, max: 90 }),
        fc.integer({ min: 0, max: 10 }),
        fc.constantFrom(1, 6, 24, 72),
        (length, pct, silent, everyH) => {
          const { says } = standing(
            days(length, () => pct, everyH),
            length + silent,
          );
          const earned = pct <= 60 && pct >= 35 && silent <= 2 && length >= 7 && everyH === 1;
          if (says === 'safe') expect(earned).toBe(true);
          if (pct > 61 || pct < 34) expect(says).not.toBe('safe');
        },
      ),
      { seed: 2710, numRuns: 150 },
    );
  });
});

describe('how a thing stands', () => {
  const models = (pct: number, many = 60) => assess(columnsOf(days(many, () => pct)), options);
  const of = (more: Partial<Parameters<typeof thingStanding>[0]>) =>
    thingStanding({
      models: models(45),
      school,
      growth: false,
      measuredDays: 60,
      keptDays: 90,
      heardMs: 0,
      disputed: false,
      nowMs: DAY_MS,
      ...more,
    });
  it('is safe when most of its time was measured, and dry', () => {
    expect(of({})).toEqual({ says: 'safe', days: 60, inBand: false });
    expect(of({ keptDays: 200 })).toMatchObject({ says: 'too-little', needDays: 100 });
    expect(of({ models: null, measuredDays: 0, heardMs: null })).toEqual({ says: 'not-measured' });
    expect(of({ models: models(85) })).toEqual({ says: expect.stringMatching(/act|watch/) });
  });
  it('is not called safe where the hygrometers around it disagree, and is told of what is worse', () => {
    expect(of({ disputed: true })).toEqual({ says: 'disputed' });
    expect(of({ disputed: true, growth: true })).toEqual({ says: 'growth-found' });
    expect(of({ disputed: true, models: models(85) })).toEqual({ says: expect.stringMatching(/act|watch/) });
  });
  it('whose hygrometer died is not safe by what it read before', () => {
    expect(of({ heardMs: 0, nowMs: 90 * DAY_MS })).toEqual({ says: 'not-heard', since: '1970-01-01T00:00:00.000Z' });
  });
  it('with growth in it is never safe, whatever its air', () => {
    for (const pct of [30, 45, 85]) expect(of({ growth: true, models: models(pct) })).toEqual({ says: 'growth-found' });
    expect(of({ growth: true, models: null })).toEqual({ says: 'growth-found' });
  });
});
