import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dewPointC, type Reading } from '../air/index.js';
import { airingHours, airingNow, isOfNow } from './index.js';

const START = Date.UTC(2026, 0, 10, 12);
const HOUR = 3_600_000;
const at = (h: number): string => new Date(START + h * HOUR).toISOString();
const foretold = (...air: [temperatureC: number, humidityPct: number][]): Reading[] =>
  air.map(([temperatureC, humidityPct], h) => ({ at: at(h), temperatureC, humidityPct }));

describe('opening', () => {
  // Common practice, and Lawrence 2005 for the dew points: winter air at 0 °C dries a room though it is at 95 %, summer air wets a cellar.
  it('dries in winter, however damp it looks outside, and wets a cool cellar in summer', () => {
    expect(airingNow({ temperatureC: 20, humidityPct: 60 }, { temperatureC: 0, humidityPct: 95 })).toMatchObject({ effect: 'dries' });
    expect(airingNow({ temperatureC: 14, humidityPct: 75 }, { temperatureC: 28, humidityPct: 55 })).toEqual({ effect: 'wets', toPct: 100 });
    expect(airingNow({ temperatureC: 20, humidityPct: 50 }, { temperatureC: 20, humidityPct: 51 })).toMatchObject({ effect: 'neither' });
    // 4.6 g/m³ of 17.3 that air of 20 °C can hold (Magnus).
    expect(airingNow({ temperatureC: 20, humidityPct: 60 }, { temperatureC: 0, humidityPct: 95 }).toPct).toBeCloseTo(26.6, 0);
  });

  it('never dries by air whose dew point is higher, nor wets by one whose is lower by a kelvin', () => {
    const air = fc.record({ temperatureC: fc.integer({ min: -10, max: 35 }), humidityPct: fc.integer({ min: 5, max: 100 }) });
    fc.assert(
      fc.property(air, air, (inside, outside) => {
        const [own, other] = [inside, outside].map((a) => dewPointC(a.temperatureC, a.humidityPct)) as [number, number];
        const { effect, toPct } = airingNow(inside, outside);
        if (effect === 'dries') expect(toPct).toBeLessThan(inside.humidityPct);
        if (effect === 'wets') expect(toPct).toBeGreaterThan(inside.humidityPct - 1e-9);
        // The same dew point is not quite the same water where one is warmer: by 1 % in 3 K.
        if (other > own + 2) expect(effect).not.toBe('dries');
        if (other < own - 2) expect(effect).not.toBe('wets');
      }),
      { seed: 27 },
    );
  });

  it('is told for the hours of the next two days, those that do the same as one', () => {
    const inside = { temperatureC: 20, humidityPct: 55 };
    const spans = airingHours(inside, foretold([5, 80], [6, 75], [18, 95], [18, 95], [14, 78], [4, 80]), START + HOUR / 2);
    expect(spans.map(({ from, to, effect }) => [from, to, effect])).toEqual([
      [at(0.5), at(2), 'dries'],
      [at(2), at(4), 'wets'],
      [at(5), at(6), 'dries'],
    ]);
    expect(spans[0]!.toPct).toBeLessThan(spans[2]!.toPct + 5);
    expect(spans[1]!.toPct).toBeGreaterThan(80);
  });

  it('says nothing of the past, of more than two days ahead, and of hours for which nothing was foretold', () => {
    const inside = { temperatureC: 20, humidityPct: 55 };
    const far = Array.from({ length: 100 }, (_, h): Reading => ({ at: at(h), temperatureC: 2, humidityPct: 80 }));
    expect(airingHours(inside, far, START)).toMatchObject([{ from: at(0), to: at(48), effect: 'dries' }]);
    expect(airingHours(inside, far.slice(0, 5), START + 20 * HOUR)).toEqual([]);
    const gap: Reading[] = [far[0]!, far[10]!];
    expect(airingHours(inside, gap, START).map(({ from, to }) => [from, to])).toEqual([
      [at(0), at(3)],
      [at(10), at(11)],
    ]);
    expect(airingHours(inside, [], START)).toEqual([]);
  });

  it('goes by readings of now', () => {
    expect([-2, -0.5, 0, 3, 3.1].map((h) => isOfNow({ at: at(-h) }, START))).toEqual([false, true, true, true, false]);
  });
});
