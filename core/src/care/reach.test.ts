import { describe, expect, it } from 'vitest';
import * as care from './index.js';
import { THINGS } from './testing/requests.js';

const INSIDE: readonly care.Soil[] = ['fungus', 'haze', 'oil', 'internal-dust'];
const rings = ['front-group', 'rear-group'] as const;

/** One question, one answer (rule 26): plan, opening advice, look and teardown say the same of the same dirt. */
describe('who reaches what lies inside', () => {
  it('is told alike by the plan and by the opening advice, for every thing, soil and severity', () => {
    for (const item of THINGS.filter((t) => care.surfacesOf(t.kind, t.traits).includes('inner-glass')))
      for (const soil of INSIDE)
        for (const severity of [1, 2, 3, 4] as const) {
          const plan = care.planCleaning({ item, place: 'home', findings: [{ surface: 'inner-glass', soil, severity }] });
          const advice = rings.map((depth) => care.adviseOpening({ item, soil, severity, depth, experience: 'this-type' }));
          const what = `${item.kind} ${soil} ${severity}`;
          const offered = plan.openings.length > 0;
          if (offered)
            expect(
              advice.every((a) => !a.forbidden),
              what,
            ).toBe(true);
          if (!offered && care.isWorthReaching(soil, severity))
            expect(
              advice.every((a) => a.forbidden),
              what,
            ).toBe(true);
          // What is too little to reach for is left by both.
          if (!care.isWorthReaching(soil, severity)) {
            expect(plan.leaveAlone, what).toHaveLength(1);
            for (const a of advice.filter((x) => x.advice !== 'free-filter')) expect(a.advice, what).toBe('accept');
          }
        }
  });

  it('never advises deeper than the one ring it then describes', () => {
    for (const item of THINGS)
      for (const experience of care.EXPERIENCES) {
        const advice = care.adviseOpening({ item, soil: 'fungus', severity: 4, depth: 'deeper', experience });
        expect(advice.advice, item.kind).not.toBe('open');
        expect(advice.forbidden).toBe(true);
      }
    expect(() => care.planExposedFace({ item: { kind: 'lens', traits: {} } }, { soil: 'haze', severity: 2 }, 'deeper')).toThrow(/deeper/);
    expect(() => care.planExposedFace({ item: { kind: 'compact', traits: {} } }, { soil: 'haze', severity: 2 }, 'front-group')).toThrow(
      /compact/,
    );
  });

  it('lays bare the face of the ring that is undone', () => {
    const surface = (kind: care.ItemKind, depth: 'front-group' | 'rear-group') =>
      care.planExposedFace({ item: { kind, traits: { yearMade: 1960 } } }, { soil: 'haze', severity: 3 }, depth).steps[0]?.surface;
    expect([surface('lens', 'front-group'), surface('lens', 'rear-group')]).toEqual(['front-glass', 'rear-glass']);
    expect([surface('eyepiece', 'front-group'), surface('eyepiece', 'rear-group')]).toEqual(['field-lens', 'eye-lens']);
  });

  it('asks first whether a filter is stuck on, for the front ring only', () => {
    const item = { kind: 'lens', traits: { yearMade: 1962, filterFitted: true, filterStuck: true } } as const;
    const ask = (depth: care.Depth) => care.adviseOpening({ item, soil: 'haze', severity: 3, depth, experience: 'some' }).advice;
    expect([ask('front-group'), ask('rear-group')]).toEqual(['free-filter', 'open']);
    const [offer] = care.planCleaning({ item, place: 'home', findings: [{ surface: 'inner-glass', soil: 'haze', severity: 3 }] }).openings;
    expect(offer?.filterFirst).toBe(true);
  });
});

describe('what happened outdoors', () => {
  it('is looked for at home where it met the thing', () => {
    const on = (kind: care.ItemKind, traits: care.Traits, what: care.HappeningId) =>
      care.carriedHome(kind, traits, what).map((f) => f.surface);
    expect(on('lens', {}, 'print')).toEqual(['front-glass']);
    expect(on('lens', { filterFitted: true }, 'print')).toEqual(['filter-front']);
    expect(on('lens', { filterFitted: true }, 'spray')).toEqual(['filter-front', 'hood-outside', 'barrel', 'focus-ring']);
    expect(on('mirrorless-body', {}, 'sand')).toEqual(['body-shell', 'grip-rubber', 'dials', 'screen']);
    expect(on('lens', {}, 'fog')).toEqual([]);
  });

  it('leaves only what the thing has', () => {
    for (const { kind, traits } of THINGS)
      for (const what of care.HAPPENING_IDS)
        for (const f of care.carriedHome(kind, traits, what)) expect(care.surfacesOf(kind, traits)).toContain(f.surface);
  });
});
