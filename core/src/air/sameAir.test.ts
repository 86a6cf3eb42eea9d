import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MS_PER_DAY, MS_PER_HOUR } from '../units.js';
import { apartNow, APART_PCT, columnsOf, readingsOf, sameAir, type Instrument } from './index.js';

const START = Date.UTC(2026, 2, 1);
/** Readings of one instrument, so many % each hour from the start on; null where it took none. */
const told = (pcts: readonly (number | null)[], temperatureC = 20) =>
  columnsOf(
    pcts.flatMap((humidityPct, h) =>
      humidityPct === null ? [] : [{ at: new Date(START + h * MS_PER_HOUR).toISOString(), temperatureC, humidityPct }],
    ),
  );
const pcts = (log: ReturnType<typeof told>) => readingsOf(log).map((r) => r.humidityPct);
const hours = (n: number, pct: number) => Array.from({ length: n }, () => pct);

describe('several instruments in the same air', () => {
  it('are averaged while they agree, and where they do not the careful one counts, whole', () => {
    const [a, b] = [told([50, 52, 48, null, 70], 20), told([54, 58, 48, 60], 23)];
    expect(pcts(sameAir([a, b], 'wetter'))).toEqual([52, 58, 48, 60, 70]);
    expect(pcts(sameAir([a, b], 'drier'))).toEqual([52, 52, 48, 60, 70]);
    // With its own temperature: what is in the air is told by both together.
    expect(readingsOf(sameAir([a, b], 'wetter'))[1]!.temperatureC).toBe(23);
    expect(readingsOf(sameAir([a, b], 'drier'))[1]!.temperatureC).toBe(20);
  });

  it('say every hour once, in order, within what any said, and never less by the wetter than by the drier', () => {
    const log = fc.array(fc.option(fc.integer({ min: 0, max: 100 }), { nil: null }), { maxLength: 30 });
    fc.assert(
      fc.property(fc.array(log, { maxLength: 4 }), (all) => {
        const logs = all.map((one) => told(one));
        const [wetter, drier] = [sameAir(logs, 'wetter'), sameAir(logs, 'drier')];
        const said = new Map<number, number[]>();
        for (const one of all) for (const [h, p] of one.entries()) if (p !== null) said.set(h, [...(said.get(h) ?? []), p]);
        expect([...wetter.ms]).toEqual([...said.keys()].sort((x, y) => x - y).map((h) => START + h * MS_PER_HOUR));
        expect([...drier.ms]).toEqual([...wetter.ms]);
        for (let i = 0; i < wetter.length; i++) {
          const own = said.get((wetter.ms[i]! - START) / MS_PER_HOUR)!;
          const [least, most] = [Math.min(...own), Math.max(...own)];
          const [w, d] = [wetter.humidityPct[i]!, drier.humidityPct[i]!];
          if (most - least > APART_PCT) expect([w, d]).toEqual([most, least]);
          else expect(w).toBeCloseTo(own.reduce((x, y) => x + y) / own.length, 9);
          expect(w).toBeGreaterThanOrEqual(d);
        }
      }),
      { seed: 43 },
    );
  });
});

describe('two instruments that disagree', () => {
  const NOW = START + 10 * MS_PER_DAY;
  const apart = (...logs: ReturnType<typeof told>[]) =>
    apartNow(
      logs.map((log, i): Instrument => ({ id: String(i), log })),
      NOW,
    );

  it('are told with what each said last, the wetter first, and since when', () => {
    const [a, b] = [told([...hours(24, 50), ...hours(24, 48)]), told([...hours(24, 52), ...hours(24, 61)], 23)];
    expect(apart(a, b)).toEqual({
      wetter: { id: '1', humidityPct: 61, temperatureC: 23 },
      drier: { id: '0', humidityPct: 48, temperatureC: 20 },
      at: new Date(START + 47 * MS_PER_HOUR).toISOString(),
      since: new Date(START + 24 * MS_PER_HOUR).toISOString(),
    });
  });

  it('are not where they are as far apart as instruments may be, or were never read within an hour', () => {
    expect(apart(told(hours(48, 50)), told(hours(48, 50 + APART_PCT)))).toBeNull();
    expect(apart(told([50, null, null, null]), told([null, null, null, 80]))).toBeNull();
    expect(apart(told(hours(48, 50)))).toBeNull();
    expect(apart()).toBeNull();
  });

  it('are compared within an hour, as a dial that is read once a week beside a logger', () => {
    const logger = told([...hours(100, 50)]);
    const dial = columnsOf([{ at: new Date(START + 60.4 * MS_PER_HOUR).toISOString(), temperatureC: 20, humidityPct: 60 }]);
    expect(apart(logger, dial)).toMatchObject({ wetter: { id: '1', humidityPct: 60 }, drier: { id: '0', humidityPct: 50 } });
  });

  it('agree again once they have for a day, not for an hour; and what was weeks ago is over', () => {
    const steady = told(hours(96, 50));
    expect(apart(steady, told([...hours(24, 60), ...hours(23, 50)]))).not.toBeNull();
    expect(apart(steady, told([...hours(24, 60), ...hours(26, 50)]))).toBeNull();
    const logs = [told(hours(48, 50)), told(hours(48, 60))].map((log, i): Instrument => ({ id: String(i), log }));
    expect(apartNow(logs, START + 30 * MS_PER_DAY)).toBeNull();
  });

  it('of three are the two that are furthest apart', () => {
    expect(apart(told(hours(5, 50)), told(hours(5, 58)), told(hours(5, 66)))).toMatchObject({ wetter: { id: '2' }, drier: { id: '0' } });
  });
});
