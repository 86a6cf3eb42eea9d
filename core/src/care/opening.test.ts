import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as care from './index.js';

const MANUAL: care.Traits = { electronicContacts: false, value: 200, servicePrice: 90 };
const ask = (more: Partial<care.OpeningQuestion> = {}) =>
  care.adviseOpening({
    item: { kind: 'lens', traits: MANUAL },
    soil: 'fungus',
    severity: 2,
    depth: 'front-group',
    experience: 'this-type',
    ...more,
  });
const lens = (traits: care.Traits): care.OpeningQuestion['item'] => ({ kind: 'lens', traits: { ...MANUAL, ...traits } });

/** What is never opened by its owner: common practice. */
describe('go or no-go for opening', () => {
  it.each([
    ['suspected radioactive glass', lens({ radioactiveGlass: true }), 'radioactive', 'radioactive-glass'],
    ['a body', { kind: 'slr-body', traits: {} }, 'flash', 'flash-capacitor'],
    ['a compact with its flash', { kind: 'compact', traits: {} }, 'flash', 'flash-capacitor'],
  ] as const)('never opens %s, and warns', (_, item, bar, caution) => {
    const advice = ask({ item });
    expect(advice).toMatchObject({ forbidden: true, odds: null });
    expect(advice.reasons[0]).toEqual({ says: 'barred', bar });
    expect(advice.cautions).toContain(caution);
  });

  it('never opens an electronic lens', () => {
    expect(ask({ item: lens({ electronicContacts: true }) })).toMatchObject({ forbidden: true, advice: 'service' });
  });

  it('opens one ring of a manual lens whose owner knows the type', () => {
    expect(ask()).toMatchObject({ advice: 'open', forbidden: false, expectedLoss: expect.closeTo(10, 6) as number });
  });

  it.each([
    ['where it lies', { depth: null }, ['depth']],
    ['what one opened before', { experience: null }, ['experience']],
    ['either', { depth: null, experience: null }, ['depth', 'experience']],
  ] as const)('says nothing before it was told %s', (_, more, open) => {
    expect(ask(more)).toMatchObject({ advice: 'answer-first', forbidden: false, odds: null, reasons: [{ says: 'answer-first', open }] });
  });

  it('says what is never opened without asking anything', () => {
    expect(ask({ item: lens({ electronicContacts: true }), depth: null, experience: null })).toMatchObject({ forbidden: true });
  });

  it('lets a first-timer undo a ring of a practice lens and of nothing worth more', () => {
    const first = (value: number | null) => ask({ experience: 'none', item: lens({ value, servicePrice: null }) });
    expect(first(40).advice).toBe('open');
    expect(first(200)).toMatchObject({ advice: 'service', reasons: [{ says: 'practise-first', value: 200 }, expect.anything()] });
    expect(first(null).advice).toBe('service');
  });

  it('goes to the workshop when the average loss is more than its price', () => {
    expect(ask({ item: lens({ value: 900, servicePrice: 90 }), experience: 'none' }).advice).toBe('service');
  });

  it('does not go deeper than one ring without knowing the type', () => {
    expect(ask({ depth: 'deeper', experience: 'some' }).advice).not.toBe('open');
  });

  it('lives with it when the service costs more than the thing, and keeps fungus apart for good', () => {
    const advice = ask({ depth: 'deeper', experience: 'none', item: lens({ value: 40, servicePrice: 120 }) });
    expect(advice.advice).toBe('accept');
    expect(advice.reasons.at(-1)).toMatchObject({ says: 'service-is-more', keepApart: true });
  });

  it('leaves a little dust inside alone', () => {
    expect(ask({ soil: 'internal-dust', severity: 2 }).advice).toBe('accept');
  });

  it('never says open more readily to less experience, nor for a deeper place', () => {
    const question = fc.record({
      soil: fc.constantFrom<care.Soil>('fungus', 'haze', 'internal-dust', 'oil'),
      severity: fc.constantFrom<care.Severity>(1, 2, 3, 4),
      value: fc.option(fc.integer({ min: 0, max: 2000 })),
      servicePrice: fc.option(fc.integer({ min: 0, max: 400 })),
    });
    const opens = (q: Partial<care.OpeningQuestion>) => Number(ask(q).advice === 'open');
    fc.assert(
      fc.property(question, ({ soil, severity, value, servicePrice }) => {
        const item = lens({ value, servicePrice });
        for (const depth of care.DEPTHS) {
          const byExperience = care.EXPERIENCES.map((experience) => opens({ item, soil, severity, depth, experience }));
          expect(byExperience).toEqual([...byExperience].sort());
        }
        for (const experience of care.EXPERIENCES) {
          const byDepth = care.DEPTHS.map((depth) => opens({ item, soil, severity, depth, experience }));
          expect(byDepth).toEqual([...byDepth].sort().reverse());
        }
      }),
      { seed: 4881 },
    );
  });
});

const stage = (id: string, more: Partial<care.TeardownStage> = {}): care.TeardownStage => ({
  id,
  what: `ring ${id}`,
  parts: '',
  screws: '',
  turns: null,
  mark: '',
  hasPhoto: false,
  closed: false,
  ...more,
});

describe('closing again', () => {
  it('goes back in the reverse order', () => {
    const stages = [stage('a'), stage('b')];
    expect(care.closingOrder(stages).map((s) => s.id)).toEqual(['b', 'a']);
    expect(care.nextToClose(stages)?.id).toBe('b');
    expect(care.nextToClose([stage('a'), stage('b', { closed: true })])?.id).toBe('a');
    expect(care.nextToClose([stage('a', { closed: true })])).toBeNull();
  });

  it.each(care.DEPTHS.filter((d) => d !== 'deeper'))('a plan for the face %s climbs the ladder of glass for what was inside', (depth) => {
    const plan = care.planExposedFace({ item: { kind: 'lens', traits: MANUAL } }, { soil: 'fungus', severity: 2 }, depth);
    expect(plan.steps.map((s) => s.method)).toEqual(['solvent-wipe']);
    expect(plan.cautions.map((c) => c.hazard)).toContain('mould');
  });
});
