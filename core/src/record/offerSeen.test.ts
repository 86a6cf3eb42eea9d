import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { care } from '../index.js';
import { chanceOfLoss, offerFor } from './offer.js';
import {
  OFFER_TROUBLES,
  offerCaseOf,
  type OfferSeen,
  type OfferTrouble,
  offerVerdict,
  SEEN_WHERE,
  seenOf,
  waysOf,
  WHOSE_HANDS,
} from './offerSeen.js';

const TROUBLES = Object.keys(OFFER_TROUBLES) as OfferTrouble[];
const sum = (most: number) => fc.integer({ min: 0, max: most });
const of100 = fc.option(fc.integer({ min: 0, max: 100 }), { nil: undefined });
/** Whatever a page can ask. */
const seen: fc.Arbitrary<OfferSeen> = fc.constantFrom(...TROUBLES).chain((trouble) =>
  fc.record({
    trouble: fc.constant(trouble),
    where: fc.constantFrom(...(Object.keys(SEEN_WHERE) as OfferSeen['where'][])),
    how: fc.constantFrom(...(Object.keys(waysOf(trouble)) as OfferSeen['how'][])),
    hands: fc.constantFrom(...(Object.keys(WHOSE_HANDS) as OfferSeen['hands'][])),
    sums: fc.record({ clean: sum(2000), asked: sum(2000), wipe: sum(100), ring: sum(200), deep: sum(600) }),
    own: fc
      .record({ clean: of100, mark: of100, harm: of100 })
      .map((own) => Object.fromEntries(Object.entries(own).filter(([, value]) => value !== undefined))),
  }),
);
const SEED = 2026;

describe('what one sees of what is offered', () => {
  it('is a tree of chances that make one, whatever is chosen and whatever odds are one’s own', () => {
    fc.assert(
      fc.property(seen, (what) => {
        const { ends, worth, boldestPrice } = offerFor(offerCaseOf(what));
        expect(ends.reduce((total, end) => total + end.chance, 0)).toBeCloseTo(1, 9);
        expect(worth).toBeLessThanOrEqual(what.sums.clean + 1e-9);
        const verdict = offerVerdict({ worth, boldestPrice }, what.sums.asked);
        const loses = chanceOfLoss({ ends }, what.sums.asked);
        if (verdict === 'buy') expect(loses).toBeLessThanOrEqual(0.25 + 1e-9);
        if (verdict === 'leave') expect(what.sums.asked).toBeGreaterThan(worth);
      }),
      { seed: SEED, numRuns: 2000 },
    );
  });

  it('is never worth less for better odds: more come off without a trace, fewer openings do harm', () => {
    fc.assert(
      fc.property(seen, fc.integer({ min: 0, max: 100 }), fc.integer({ min: 0, max: 100 }), (what, a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        const worth = (own: OfferSeen['own']) => offerFor(offerCaseOf({ ...what, own: { ...what.own, ...own } })).worth;
        expect(worth({ clean: more })).toBeGreaterThanOrEqual(worth({ clean: less }) - 1e-9);
        expect(worth({ harm: less })).toBeGreaterThanOrEqual(worth({ harm: more }) - 1e-9);
      }),
      { seed: SEED, numRuns: 1000 },
    );
  });

  it('costs nobody a clean where there is nothing to clean: marks stay', () => {
    const marks = { trouble: 'marks', where: 'deep', how: 'deep-scratch', hands: 'workshop', own: {} } as const;
    const { ends } = offerFor(offerCaseOf({ ...marks, sums: { clean: 100, asked: 0, wipe: 50, ring: 60, deep: 70 } }));
    expect(ends.map(({ depth, end, worth }) => [depth, end, worth])).toEqual([
      ['outside', 'etched', 25],
      ['outside', 'mark', 70],
    ]);
  });

  it('is what a look of a lens can say of that surface, the graver the worse it shows', () => {
    const own = care.surfacesOf('lens', {});
    for (const trouble of TROUBLES) {
      const graver = { before: 0 };
      for (const how of Object.keys(waysOf(trouble)) as OfferSeen['how'][])
        for (const where of Object.keys(SEEN_WHERE) as OfferSeen['where'][]) {
          const { surface, soil, severity } = seenOf({ trouble, where, how });
          expect(own, trouble).toContain(surface);
          expect(care.soilsAskedAt(surface), `${trouble} ${how} ${where}`).toContain(soil);
          if (how !== 'unsure') expect(severity).toBeGreaterThanOrEqual(graver.before);
          if (how !== 'unsure') graver.before = severity;
        }
    }
  });

  it('asks for care once it is bought: growth is set apart, stiff grease is no wipe, a deep scratch is left', () => {
    const verdict = (trouble: OfferTrouble, how: OfferSeen['how'], where: OfferSeen['where'] = 'front') => {
      const findings = [seenOf({ trouble, where, how })];
      return care.verdictFor(findings, care.contextOf({ item: { kind: 'lens', traits: {} }, place: 'home' })).verdict;
    };
    expect(verdict('fungus', 'web')).toBe('isolate');
    expect(verdict('fungus', 'web', 'outside')).toBe('isolate');
    expect(verdict('marks', 'cleaning-marks')).not.toBe('clean');
  });
});
