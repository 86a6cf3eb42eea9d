import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { balanceHumidityPct, DESICCANT_KINDS, desiccantUptake, desiccantUnitsDin, desiccantUnitsMil, UNIT_GEL_G } from './index.js';

describe('silica gel', () => {
  it.each([
    [20, 10.5],
    [40, 21],
    [50, 26.2],
    [90, 39.3],
  ])('holds at %i %% and 25 degC %f %% (Tóth isotherm, Chua/Ng et al. 2001, from memory)', (pct, percent) => {
    expect(100 * desiccantUptake('silica-gel', 25, pct)).toBeCloseTo(percent, 0);
  });

  /** MIL-D-3464: a unit takes up at least 3.0 g at 20 % and 6.0 g at 40 %, 25 degC. */
  it('makes a desiccant unit of 28.5 g by both points of MIL-D-3464', () => {
    expect(3 / desiccantUptake('silica-gel', 25, 20)).toBeCloseTo(UNIT_GEL_G, 0);
    expect(6 / desiccantUptake('silica-gel', 25, 40)).toBeCloseTo(UNIT_GEL_G, 0);
  });

  /** JIS Z 0701 type A: at least 8, 20 and 30 % at 20, 50 and 90 %. */
  it.each([
    [20, 8],
    [50, 20],
    [90, 30],
  ])('at %i %% passes JIS Z 0701 type A with at least %i %%', (pct, percent) => {
    expect(100 * desiccantUptake('silica-gel', 25, pct)).toBeGreaterThanOrEqual(percent);
  });
});

describe('rough rice', () => {
  it('holds 14.4 % of its dry mass at 25 degC and 65 % (ASABE D245, from memory)', () => {
    expect(100 * desiccantUptake('rice', 25, 65)).toBeCloseTo(14.4, 1);
  });

  it('takes up 3.5 % between 40 and 65 %, where gel takes 12: a buffer, not a dryer', () => {
    const between = (kind: 'rice' | 'silica-gel') => 100 * (desiccantUptake(kind, 25, 65) - desiccantUptake(kind, 25, 40));
    expect(between('rice')).toBeCloseTo(3.5, 0);
    expect(between('silica-gel')).toBeGreaterThan(11);
  });
});

describe('an isotherm', () => {
  it('rises with humidity, falls with warmth, and inverts', () => {
    const t = fc.double({ min: 0, max: 40, noNaN: true });
    const pct = fc.double({ min: 5, max: 90, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...DESICCANT_KINDS), t, pct, pct, (kind, temperatureC, a, b) => {
        const low = Math.min(a, b);
        const high = Math.max(a, b);
        const w = desiccantUptake(kind, temperatureC, low);
        expect(desiccantUptake(kind, temperatureC, high)).toBeGreaterThanOrEqual(w);
        if (w > 0.002) expect(balanceHumidityPct(kind, temperatureC, w)).toBeCloseTo(low, 4);
      }),
      { seed: 4900 },
    );
  });

  it('refuses a humidity that cannot be and a loading below nothing', () => {
    expect(() => desiccantUptake('rice', 20, 130)).toThrow(/0 to 100/);
    expect(() => balanceHumidityPct('silica-gel', 20, -0.1)).toThrow(RangeError);
  });
});

/** Both packaging standards from memory. */
describe('a sealed pack', () => {
  it('by DIN 55474: 1 m3 of air with 12 g/m3, 2 kg of packing at 90 g/kg and a barrier, to 40 %, is 38.7 units', () => {
    const units = desiccantUnitsDin({
      volumeM3: 1,
      vapourGm3: 12,
      packingKg: 2,
      packingGPerKg: 90,
      barrierM2: 6,
      transmission: 0.2,
      climate: 1,
      days: 33.5,
      targetPct: 40,
    });
    // (12 + 180 + 40.2) / 6
    expect(units).toBeCloseTo(38.7, 1);
  });

  it('by MIL-STD-2073-1: 1.2 units a cubic foot of rigid container', () => {
    expect(desiccantUnitsMil(28.316846592)).toBeCloseTo(1.2, 9);
  });
});
