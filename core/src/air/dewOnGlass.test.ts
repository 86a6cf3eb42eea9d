import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dewOnGlass, strapWatts, type OpenSky } from './dewOnGlass.js';

const NIGHT: OpenSky = { airC: 10, humidityPct: 80, windMs: 0, cloud: 0, hoodRatio: 0 };

/** The balance written anew, and its root by the secant method: an independent way to the same temperature. */
function byHand({ airC, windMs, cloud, hoodRatio }: OpenSky, dewPointC: number): (glassC: number) => number {
  const clear = 0.711 + 0.56 * (dewPointC / 100) + 0.73 * (dewPointC / 100) * (dewPointC / 100);
  const sky4 = (clear + cloud * (1 - clear) * 0.84) * (airC + 273.15) ** 4;
  return (glassC) =>
    ((0.9 * 5.670374419e-8) / (1 + hoodRatio * hoodRatio)) * ((glassC + 273.15) ** 4 - sky4) + (5.7 + 3.8 * windMs) * (glassC - airC);
}
function rootOf(f: (x: number) => number, from: number): number {
  let [a, b] = [from, from - 1];
  for (let i = 0; i < 40 && Math.abs(b - a) > 1e-11; i += 1) [a, b] = [b, b - (f(b) * (b - a)) / (f(b) - f(a) || 1)];
  return b;
}

const anySky = fc.record({
  airC: fc.double({ min: -20, max: 35, noNaN: true }),
  humidityPct: fc.double({ min: 5, max: 100, noNaN: true }),
  windMs: fc.double({ min: 0, max: 15, noNaN: true }),
  cloud: fc.double({ min: 0, max: 1, noNaN: true }),
  hoodRatio: fc.double({ min: 0, max: 5, noNaN: true }),
});

describe('dew on glass under an open sky', () => {
  /** The worked point: 10 °C, 80 %, calm, clear, no hood (balance after McAdams; sky after Berdahl & Martin 1984). */
  it('10 °C, 80 %, calm and clear: the glass cools to 2 °C, the dew point is 6.7 °C, 58 W/m² keep it clear', () => {
    const dew = dewOnGlass(NIGHT);
    expect(dew.dewPointC).toBeCloseTo(6.7, 1);
    expect(dew.glassC).toBeCloseTo(2.0, 0);
    expect(dew.dew).toBe(true);
    expect(dew.wattsPerM2).toBeGreaterThan(56);
    expect(dew.wattsPerM2).toBeLessThan(60);
    // A front of 77 mm wants 0.27 W, about 1 W at the strap.
    expect(strapWatts(dew, 77) * 0.25).toBeCloseTo(0.27, 2);
    expect(strapWatts(dew, 77)).toBeCloseTo(1.1, 1);
  });

  it('an overcast sky, a wind or a deep hood keep it clear; dry air needs nothing', () => {
    expect(dewOnGlass({ ...NIGHT, cloud: 1 }).dew).toBe(false);
    expect(dewOnGlass({ ...NIGHT, windMs: 6 }).dew).toBe(false);
    expect(dewOnGlass({ ...NIGHT, hoodRatio: 3 }).dew).toBe(false);
    const dry = dewOnGlass({ ...NIGHT, humidityPct: 25 });
    expect([dry.dew, dry.wattsPerM2]).toEqual([false, 0]);
  });

  it('is the root another way finds, anywhere', () => {
    fc.assert(
      fc.property(anySky, (sky) => {
        const { glassC, dewPointC } = dewOnGlass(sky);
        expect(glassC).toBeCloseTo(rootOf(byHand(sky, dewPointC), sky.airC), 6);
      }),
    );
  });

  it('never warms the glass above the air; wind, cloud, a hood never cool it, and damp never makes dew less', () => {
    fc.assert(
      fc.property(anySky, fc.double({ min: 0, max: 1, noNaN: true }), (sky, more) => {
        const { glassC, dew } = dewOnGlass(sky);
        expect(glassC).toBeLessThanOrEqual(sky.airC + 1e-9);
        const cloudier = Math.min(1, sky.cloud + more);
        for (const warmer of [
          { ...sky, windMs: sky.windMs + more },
          { ...sky, cloud: cloudier },
          { ...sky, hoodRatio: sky.hoodRatio + more },
        ])
          expect(dewOnGlass(warmer).glassC).toBeGreaterThanOrEqual(glassC - 1e-9);
        const damper = dewOnGlass({ ...sky, humidityPct: Math.min(100, sky.humidityPct + more * 10) });
        if (dew) expect(damper.dew).toBe(true);
      }),
    );
  });

  it('takes the air for the sky where that would be warmer', () => {
    expect(dewOnGlass({ ...NIGHT, airC: 55, humidityPct: 100 }).glassC).toBeCloseTo(55, 6);
  });

  it('asks for warmth wherever there is dew', () => {
    fc.assert(
      fc.property(anySky, (sky) => {
        const { dew, wattsPerM2 } = dewOnGlass(sky);
        if (dew) expect(wattsPerM2).toBeGreaterThan(0);
      }),
    );
  });

  it.each<Partial<OpenSky>>([
    { airC: Number.NaN },
    { airC: 80 },
    { humidityPct: 0 },
    { humidityPct: 101 },
    { windMs: -1 },
    { cloud: 1.2 },
    { hoodRatio: -0.1 },
  ])('refuses %o', (wrong) => expect(() => dewOnGlass({ ...NIGHT, ...wrong })).toThrow(RangeError));
});
