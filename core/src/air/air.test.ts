import fc from 'fast-check';
import * as psychrolib from 'psychrolib';
import { describe, expect, it } from 'vitest';
import {
  absoluteHumidityGm3,
  applyCorrection,
  correctedHumidityPct,
  correctionOf,
  correctionOver,
  dewPointC,
  driftPctPerYear,
  humidityPctFrom,
  saltPointPct,
  SALTS,
  saltUncertaintyPct,
  saturationPressureHPa,
  ZONES,
  zoneOf,
} from './index.js';

/** IAPWS-IF97, region 4: saturation pressure in MPa from kelvins. Coefficients of the release (2007), as oracle. */
function iapwsSaturationMPa(kelvin: number): number {
  const n = [
    1167.0521452767, -724213.16703206, -17.073846940092, 12020.82470247, -3232555.0322333, 14.91510861353, -4823.2657361591,
    405113.40542057, -0.23855557567849, 650.17534844798,
  ] as const;
  const theta = kelvin + n[8] / (kelvin - n[9]);
  const a = theta * theta + n[0] * theta + n[1];
  const b = n[2] * theta * theta + n[3] * theta + n[4];
  const c = n[5] * theta * theta + n[6] * theta + n[7];
  return ((2 * c) / (-b + Math.sqrt(b * b - 4 * a * c))) ** 4;
}

describe('saturation over liquid water', () => {
  it.each([
    [300, 0.00353658941],
    [500, 2.63889776],
    [600, 12.3443146],
  ])('the oracle gives the verification value of IAPWS-IF97 (table 35) at %i K', (kelvin, mpa) => {
    expect(iapwsSaturationMPa(kelvin) / mpa).toBeCloseTo(1, 8);
  });

  it('lies within 0.05 % of IAPWS-IF97 from 0.01 to 60 degC', () => {
    for (let t = 0.01; t <= 60; t += 0.5) {
      const ratio = saturationPressureHPa(t) / (iapwsSaturationMPa(t + 273.15) * 1e4);
      expect(Math.abs(ratio - 1), `${t} degC`).toBeLessThan(0.0005);
    }
  });

  it.each([
    [10, 12.282],
    [20, 23.392],
  ])('at %i degC is %f hPa (steam tables)', (t, hpa) => {
    expect(Math.abs(saturationPressureHPa(t) / hpa - 1)).toBeLessThan(0.001);
  });

  /** WMO-No. 8, Annex 4.B (water, ordinary range), and Alduchov & Eskridge 1996 (AERK), both from memory. */
  it.each([
    ['WMO-No. 8 Annex 4.B', (t: number) => 6.112 * Math.exp((17.62 * t) / (243.12 + t))],
    ['Alduchov & Eskridge 1996', (t: number) => 6.1094 * Math.exp((17.625 * t) / (243.04 + t))],
  ])('lies within 0.4 %% of %s from -30 to 50 degC', (_, other) => {
    for (let t = -30; t <= 50; t += 1) expect(Math.abs(saturationPressureHPa(t) / other(t) - 1), `${t} degC`).toBeLessThan(0.004);
  });

  it('agrees with the reference library psychrolib (ASHRAE) from 0.01 to 60 degC within 0.1 %', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    for (let t = 0.01; t <= 60; t += 1)
      expect(Math.abs(saturationPressureHPa(t) / (psychrolib.GetSatVapPres(t) / 100) - 1), `${t} degC`).toBeLessThan(0.001);
  });

  it('refuses kelvins and what is no number', () => {
    expect(() => saturationPressureHPa(293)).toThrow(/kelvins/);
    expect(() => saturationPressureHPa(NaN)).toThrow(RangeError);
  });
});

const anyC = fc.double({ min: -30, max: 60, noNaN: true });
const anyPct = fc.double({ min: 0.5, max: 100, noNaN: true });

describe('dew point', () => {
  it('agrees with psychrolib within 0.05 K where it lies above 0 degC', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    for (let t = 5; t <= 50; t += 5)
      for (let h = 20; h <= 100; h += 5) {
        const ours = dewPointC(t, h);
        if (ours > 0.1) expect(Math.abs(ours - psychrolib.GetTDewPointFromRelHum(t, h / 100)), `${t} degC ${h} %`).toBeLessThan(0.05);
      }
  });

  it('never lies above the temperature, rises with humidity, and is the temperature of saturated air', () => {
    fc.assert(
      fc.property(anyC, anyPct, anyPct, (t, a, b) => {
        expect(dewPointC(t, a)).toBeLessThanOrEqual(t);
        // A hair of rounding is no fall.
        if (a < b) expect(dewPointC(t, a)).toBeLessThanOrEqual(dewPointC(t, b) + 1e-9);
        expect(dewPointC(t, 100)).toBeCloseTo(t, 6);
      }),
      { seed: 4890 },
    );
  });

  it('is where the vapour pressure saturates, within 0.02 K', () => {
    fc.assert(
      fc.property(anyC, anyPct, (t, h) => {
        const pressure = (saturationPressureHPa(t) * h) / 100;
        const dew = dewPointC(t, h);
        if (dew > -79) expect(Math.abs(saturationPressureHPa(dew) / pressure - 1)).toBeLessThan(0.0015);
      }),
      { seed: 4891 },
    );
  });

  it('refuses a fraction for a percentage, and 0 %', () => {
    expect(() => dewPointC(20, 0)).toThrow(/multiplied by 100/);
    expect(() => dewPointC(20, 101)).toThrow(RangeError);
  });
});

describe('absolute humidity', () => {
  it.each([
    [0, 4.85],
    [20, 17.3],
    [30, 30.4],
  ])('of saturated air at %i degC is %f g/m3 (handbook tables)', (t, gm3) => {
    expect(Math.abs(absoluteHumidityGm3(t, 100) / gm3 - 1)).toBeLessThan(0.003);
  });

  it('and back gives the humidity it came from', () => {
    fc.assert(
      fc.property(anyC, anyPct, (t, h) => {
        expect(humidityPctFrom(t, absoluteHumidityGm3(t, h))).toBeCloseTo(h, 9);
      }),
      { seed: 4892 },
    );
  });
});

/** Greenspan 1977, table 2, at 25 and 20 degC. */
describe('salt points', () => {
  it.each([
    ['LiCl', 25, 11.3, 0.27],
    ['MgCl2', 25, 32.78, 0.16],
    ['Mg(NO3)2', 25, 52.89, 0.22],
    ['NaCl', 25, 75.29, 0.12],
    ['KCl', 25, 84.34, 0.26],
    ['K2SO4', 25, 97.3, 0.45],
    ['NaCl', 20, 75.47, 0.14],
    ['MgCl2', 20, 33.07, 0.18],
  ] as const)('%s at %i degC is %f', (salt, t, pct, within) => {
    expect(saltPointPct(salt, t)).toBe(pct);
    expect(saltUncertaintyPct(salt)).toBeLessThanOrEqual(within + 0.02);
  });

  it('are not told beyond the table', () => {
    expect(() => saltPointPct('NaCl', 55)).toThrow(/0 to 40/);
  });

  it('give a two-point correction: 36 over MgCl2 and 74 over NaCl make a reading of 55 a 54.0', () => {
    const calibration = {
      points: [
        { salt: 'NaCl', temperatureC: 25, rawPct: 74 },
        { salt: 'MgCl2', temperatureC: 25, rawPct: 36 },
      ],
    } as const;
    expect(correctionOf(calibration).gain).toBeCloseTo(1.1187, 4);
    expect(correctionOf(calibration).offsetPct).toBeCloseTo(-7.49, 2);
    expect(correctedHumidityPct(55, calibration)).toBeCloseTo(54.0, 1);
  });

  it('a correction at a calibration point returns the value of the salt, one point or two', () => {
    const point = fc.record({
      temperatureC: fc.double({ min: 5, max: 35, noNaN: true }),
      off: fc.double({ min: -6, max: 6, noNaN: true }),
    });
    fc.assert(
      fc.property(point, point, fc.constantFrom(...SALTS), (a, b, salt) => {
        const test = (s: (typeof SALTS)[number], { temperatureC, off }: typeof a) => {
          const rawPct = saltPointPct(s, temperatureC) + off;
          return { salt: s, temperatureC, rawPct };
        };
        const one = test(salt, a);
        expect(correctedHumidityPct(one.rawPct, { points: [one] })).toBeCloseTo(saltPointPct(salt, a.temperatureC), 9);
        const two = [test('MgCl2', a), test('NaCl', b)];
        for (const p of two) expect(correctedHumidityPct(p.rawPct, { points: two })).toBeCloseTo(saltPointPct(p.salt, p.temperatureC), 9);
      }),
      { seed: 4893 },
    );
  });

  it.each([
    ['none', [], /one or two/],
    [
      'a gain beyond 1.4',
      [
        { salt: 'MgCl2', temperatureC: 25, rawPct: 50 },
        { salt: 'NaCl', temperatureC: 25, rawPct: 75 },
      ],
      /gain/,
    ],
    [
      'two salts swapped',
      [
        { salt: 'NaCl', temperatureC: 25, rawPct: 30 },
        { salt: 'MgCl2', temperatureC: 25, rawPct: 74 },
      ],
      /swapped/,
    ],
    ['a shift of 30', [{ salt: 'NaCl', temperatureC: 25, rawPct: 45 }], /settle/],
  ] as const)('refuse %s as a bad salt test', (_, points, message) => {
    expect(() => correctionOf({ points: [...points] })).toThrow(message);
  });

  it('are kept over time: between two calibrations the drift is even, outside them it stays', () => {
    const dated = [
      { at: '2025-01-01T00:00:00Z', gain: 1, offsetPct: 2 },
      { at: '2026-01-01T00:00:00Z', gain: 1.1, offsetPct: -4 },
    ];
    const over = correctionOver(dated);
    const at = (text: string) => over(Date.parse(text));
    expect(at('2024-06-01T00:00:00Z').offsetPct).toBe(2);
    expect(at('2025-07-02T12:00:00Z').offsetPct).toBeCloseTo(-1, 2);
    expect(at('2027-01-01T00:00:00Z').gain).toBe(1.1);
    expect(correctionOver([])(0)).toEqual({ gain: 1, offsetPct: 0 });
    expect(driftPctPerYear(dated)).toBeCloseTo(0, 1);
    expect(driftPctPerYear(dated.slice(1))).toBeNull();
    expect(applyCorrection(99, dated[0]!)).toBe(100);
  });
});

describe('humidity zones', () => {
  it('cover every humidity once, in order, with our cut points', () => {
    expect(ZONES.map((z) => z.upTo)).toEqual([30, 40, 55, 60, 70, 80, Infinity]);
    expect([0, 29.9, 30, 45, 55, 60, 79.9, 80, 100].map(zoneOf)).toEqual([
      'too-dry',
      'too-dry',
      'dry',
      'good',
      'fair',
      'watch',
      'damp',
      'danger',
      'danger',
    ]);
  });
});
