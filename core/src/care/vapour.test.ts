import { describe, expect, it } from 'vitest';
import { MATERIALS, materialFacts, type Material } from './knowledge/materials.js';
import { SOLVENT_IDS, solventFacts } from './knowledge/solvents.js';
import { AIRINGS, quarterLimitPpm, solventsIn, vapourIn, vapourVerdict } from './vapour.js';

const shut = (solvent: (typeof SOLVENT_IDS)[number], mL: number, roomM3 = 30) => vapourIn({ solvent, mL, roomM3, airChangesPerH: 0 });

describe('vapour of a fluid in a room', () => {
  // mL · density / M · 24.45 L/mol / V at 25 °C, the conversion of the NIOSH Pocket Guide; by hand, 10 mL in 30 m³.
  it.each([
    ['isopropanol', 106],
    ['methanol', 200],
    ['ethanol', 139],
    ['acetone', 110],
  ] as const)('10 mL of %s in 30 m³ are %i ppm', (solvent, ppm) => expect(Math.round(shut(solvent, 10).atOncePpm)).toBe(ppm));

  // NIOSH Pocket Guide to Chemical Hazards: 1 ppm of each is so many mg/m³ at 25 °C and 1 atm.
  it.each([
    ['isopropanol', 2.46],
    ['methanol', 1.31],
    ['ethanol', 1.89],
    ['acetone', 2.38],
  ] as const)('1 ppm of %s is %f mg/m³', (solvent, mgM3) => {
    const { densityGMl } = solventFacts(solvent);
    const ppm = vapourIn({ solvent, mL: mgM3 / 1000 / densityGMl, roomM3: 1, airChangesPerH: 0 }).atOncePpm;
    expect(Math.abs(ppm - 1)).toBeLessThan(0.006);
  });

  it('is aired out as the balance of a mixed room has it, stepped through second by second', () => {
    const told = vapourIn({ solvent: 'acetone', mL: 25, roomM3: 20, airChangesPerH: 3 });
    let [ppm, sum, quarter] = [told.atOncePpm, 0, 0];
    const seconds = 8 * 3600;
    for (let s = 0; s < seconds; s++) {
      sum += ppm;
      if (s < 900) quarter += ppm;
      ppm -= (ppm * 3) / 3600;
    }
    expect(told.quarterPpm).toBeCloseTo(quarter / 900, 0);
    expect(told.dayPpm).toBeCloseTo(sum / seconds, 0);
  });

  it('more fluid, a smaller room or less air is never less in it (law)', () => {
    for (const solvent of SOLVENT_IDS)
      for (const mL of [0, 0.1, 5, 60])
        for (const roomM3 of [8, 30, 90])
          for (const airChangesPerH of [0, 0.5, 8]) {
            const at = vapourIn({ solvent, mL, roomM3, airChangesPerH });
            expect(at.atOncePpm).toBeGreaterThanOrEqual(at.quarterPpm);
            expect(at.quarterPpm).toBeGreaterThanOrEqual(at.dayPpm);
            for (const [key, worse] of [
              ['fluid', { mL: mL + 1, roomM3, airChangesPerH }],
              ['room', { mL, roomM3: roomM3 / 2, airChangesPerH }],
              ['air', { mL, roomM3, airChangesPerH: airChangesPerH / 2 }],
            ] as const)
              for (const of of ['atOncePpm', 'quarterPpm', 'dayPpm'] as const)
                expect(vapourIn({ solvent, ...worse })[of], key).toBeGreaterThanOrEqual(at[of]);
          }
  });

  it('drops are within every limit; a bottle of methanol spilled in a shut room is not, and a window helps', () => {
    for (const solvent of SOLVENT_IDS) expect(vapourVerdict(solvent, shut(solvent, 0.5))).toBe('within');
    expect(vapourVerdict('methanol', shut('methanol', 60))).toBe('quarter');
    expect(vapourVerdict('methanol', shut('methanol', 500))).toBe('danger');
    // 11 mL are 220 ppm in a shut room: over the day's 200, under the quarter of an hour's 250.
    expect(vapourVerdict('methanol', shut('methanol', 11))).toBe('day');
    const aired = vapourIn({ solvent: 'methanol', mL: 11, roomM3: 30, airChangesPerH: AIRINGS.open });
    expect(vapourVerdict('methanol', aired)).toBe('within');
    expect(quarterLimitPpm('acetone')).toBe(750);
  });

  it.each([
    ['less than nothing', { mL: -1 }],
    ['no room', { roomM3: 0 }],
    ['air that comes back', { airChangesPerH: -1 }],
    ['no number', { mL: NaN }],
  ])('is refused for %s', (_, wrong) =>
    expect(() => vapourIn({ solvent: 'acetone', mL: 1, roomM3: 30, airChangesPerH: 1, ...wrong })).toThrow(RangeError),
  );
});

describe('what goes into the air from a plan', () => {
  it('every material that holds alcohol or acetone says which vapour comes of it, and nothing else does', () => {
    for (const id of Object.keys(MATERIALS) as Material[]) {
      const { contains, vapour } = materialFacts(id);
      expect(vapour !== undefined, id).toBe(contains.some((one) => one === 'alcohol' || one === 'acetone'));
    }
  });
  it('adds up drops, mists, millilitres and wipes by solvent; water is none', () => {
    expect(
      solventsIn([
        { material: 'isopropanol', amount: { quantity: 10, unit: 'drop' } },
        { material: 'lens-fluid', amount: { quantity: 2, unit: 'spray' } },
        { material: 'sealed-wipe', amount: { quantity: 1, unit: 'wipe' } },
        { material: 'sensor-fluid', amount: { quantity: 0.2, unit: 'mL' } },
        { material: 'water', amount: { quantity: 9, unit: 'mL' } },
      ]),
    ).toEqual([
      { solvent: 'isopropanol', mL: expect.closeTo(0.5 + 0.3 + 1, 9) as number },
      { solvent: 'methanol', mL: expect.closeTo(0.2, 9) as number },
    ]);
    expect(solventsIn([])).toEqual([]);
  });
});
