import { describe, expect, it } from 'vitest';
import { care } from '@bright-keeper/core';
import { readPlan } from './plan.js';

const { checkSituation, SITUATIONS } = care;

describe('the book of situations', () => {
  it.each(SITUATIONS.map((s) => [s.id, s] as const))('%s', (_, situation) => {
    expect(checkSituation(situation, readPlan), situation.told).toEqual([]);
  });

  it('has at least 420 rows, each with a name of its own, told in words, and claiming something', () => {
    expect(SITUATIONS.length).toBeGreaterThanOrEqual(420);
    expect(new Set(SITUATIONS.map((s) => s.id)).size).toBe(SITUATIONS.length);
    for (const s of SITUATIONS) {
      expect(s.told.length, s.id).toBeGreaterThan(10);
      expect(Object.keys(s.must).length + (s.bench ? 1 : 0), s.id).toBeGreaterThan(0);
    }
  });

  it('goes through every kind, and through home and field', () => {
    expect(new Set(SITUATIONS.map((s) => s.thing.kind))).toEqual(new Set(care.ITEM_KINDS));
    expect(new Set(SITUATIONS.map((s) => s.place))).toEqual(new Set(['home', 'field']));
  });

  it('finds every soil, whose record is whole, and every family', () => {
    const found = new Set<string>(SITUATIONS.flatMap((s) => s.found.map((f) => f.soil)));
    for (const soil of care.SOIL_IDS) expect(care.checkSoil(soil, care.soilFacts(soil), found)).toEqual([]);
    const families = new Set(SITUATIONS.flatMap((s) => s.found.map((f) => care.familyOf(f.surface))));
    for (const family of care.FAMILIES) expect(families, family).toContain(family);
  });

  it('follows each choice of every school that shapes a plan', () => {
    for (const school of care.CARE_SCHOOL_IDS)
      for (const choice of care.schoolChoices(school)) {
        const told = SITUATIONS.some((s) => s.schools?.[school] === choice);
        expect(told, `${school} ${choice}`).toBe(true);
      }
  });

  it('works from full, thin and empty drawers', () => {
    expect(SITUATIONS.some((s) => s.drawer === undefined)).toBe(true);
    expect(SITUATIONS.some((s) => s.drawer?.length === 0)).toBe(true);
    expect(SITUATIONS.filter((s) => s.drawer && s.drawer.length > 0).length).toBeGreaterThan(10);
  });
});

/** Each rule is switched off in turn: a rule whose absence nobody notices is not shown by the book. */
describe('with a rule switched off', () => {
  it.each(care.RULES.map((r) => r.id))('%s: some row notices', (id) => {
    const rules = care.RULES.filter((r) => r.id !== id);
    const noticing = SITUATIONS.find((s) => checkSituation(s, readPlan, rules).length > 0);
    expect(noticing?.id).toBeDefined();
  });
});

/** Each soil taken out of what was found, in turn: a soil whose absence nobody notices is not shown by the book. */
describe('with a soil overlooked', () => {
  it.each(care.SOIL_IDS)('%s: some row notices', (soil) => {
    const noticing = SITUATIONS.find((s) => {
      const found = s.found.filter((f) => f.soil !== soil);
      return found.length < s.found.length && checkSituation({ ...s, found }, readPlan).length > 0;
    });
    expect(noticing?.id).toBeDefined();
  });
});
