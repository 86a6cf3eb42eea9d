import { describe, expect, it } from 'vitest';
import * as care from '../index.js';

describe('a trait’s record', () => {
  it.each(Object.keys(care.TRAITS) as care.TraitId[])('%s is whole', (id) => expect(care.checkTrait(id, care.TRAITS[id])).toEqual([]));

  it.each([
    ['names a kind', { of: {} }, /names no kind/],
    ['says what it changes', { why: 'Sets what is usual' }, /a sentence that says what it changes/],
    ['lies within its choices', { input: 'choice', choices: ['multi'], of: { lens: 'double' } }, /no choice/],
    ['has a span', { input: 'number', min: 3, max: 3 }, /min must be below max/],
  ] as const)('%s, or it is told so by name', (_, change, fault) =>
    expect(care.checkTrait('x', { ...care.TRAITS.yearMade, ...change }).join()).toMatch(fault),
  );
});

describe('the knowledge tables', () => {
  it('give every kind surfaces that are there once, whatever its traits', () => {
    for (const kind of care.ITEM_KINDS) {
      const all = care.traitsOf(kind).filter((t) => care.TRAITS[t].input === 'yes-no');
      for (const traits of [{}, Object.fromEntries(all.map((t) => [t, true])), Object.fromEntries(all.map((t) => [t, false]))]) {
        const surfaces = care.surfacesOf(kind, traits);
        expect(new Set(surfaces).size, kind).toBe(surfaces.length);
        expect(surfaces.length, kind).toBeGreaterThan(0);
      }
    }
  });

  it('show a filter’s faces on a lens only when one is fitted', () => {
    expect(care.surfacesOf('lens', {})).not.toContain('filter-front');
    expect(care.surfacesOf('lens', { filterFitted: true }).slice(0, 3)).toEqual(['filter-front', 'filter-back', 'front-glass']);
  });

  it('give each school the choice it defaults to', () => {
    for (const id of care.SCHOOL_IDS) expect(care.schoolChoices(id)).toContain(care.DEFAULT_SCHOOLS[id]);
  });

  it('price a self-made wet clean in fluid and wipes at about 0.20 to 0.28 at the most (common practice, science.md, Money)', () => {
    const wet = care.planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      findings: [{ surface: 'front-glass', soil: 'skin-oil', severity: 2 }],
    });
    expect(wet.totals.cost).toBeGreaterThan(0.05);
    expect(wet.totals.cost).toBeLessThanOrEqual(0.28);
  });

  it('count well over 100 cleans to a 60 mL bottle at 2 to 4 drops, 20 drops to the mL (common practice)', () => {
    const heavy = care.planCleaning({
      item: { kind: 'lens', traits: {} },
      place: 'home',
      findings: [{ surface: 'front-glass', soil: 'fingerprint', severity: 4 }],
    });
    const drops = heavy.totals.materials.find((m) => m.material === 'lens-fluid')!.amount.quantity;
    expect((60 * 20) / drops).toBeGreaterThan(100);
  });

  /** UN GHS, hazard statements of the fluids (from memory): isopropanol H225 H319 H336; hydrogen peroxide at household strength irritates. */
  it.each([
    ['isopropanol', 'flammable-fluid'],
    ['isopropanol', 'solvent-vapour'],
    ['sensor-fluid', 'flammable-fluid'],
    ['peroxide', 'skin-and-eyes'],
    ['peroxide', 'never-mix'],
    ['vinegar', 'never-mix'],
    ['adhesive-remover', 'flammable-fluid'],
  ] as const)('warn with %s of %s', (material, hazard) => {
    expect(care.materialFacts(material).hazards).toContain(hazard);
  });

  it('title every rule by what it is about', () => {
    for (const rule of care.RULES) {
      expect(rule.title.length, rule.id).toBeGreaterThan(10);
    }
    expect(new Set(care.RULES.map((r) => r.id)).size).toBe(care.RULES.length);
  });
});
