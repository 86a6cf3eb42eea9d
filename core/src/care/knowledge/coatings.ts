import { published, type Basis } from './basis.js';

/** A rub test that a coating has to stand without a mark. */
type RubTest = { name: string; with: string; strokes: number; forceN: number; basis: Basis };

/** What hard coatings are made to stand. It says how small a clean touch is, and that a grain is another matter. */
export const RUB_TESTS = {
  moderate: {
    name: 'Moderate abrasion',
    with: 'a cheesecloth pad',
    strokes: 50,
    forceN: 5,
    basis: published('ISO 9211-4, abrasion resistance, cheesecloth; as in MIL-C-48497 (from memory)'),
  },
  severe: {
    name: 'Severe abrasion',
    with: 'an eraser filled with pumice',
    strokes: 20,
    forceN: 10,
    basis: published('ISO 9211-4, abrasion resistance, eraser; as in MIL-C-675 (from memory)'),
  },
} as const satisfies Record<string, RubTest>;

/** One try of a wipe: half a dozen circles with hardly the weight of the cloth (our choice). */
const TOUCH = { strokes: 6, forceN: 0.5 };

/**
 * Rubbing as a share of the moderate test, strokes times force; 1 is the whole test. A first reckoning (our
 * choice): wear is taken as growing with both, and only for clean glass under a clean wipe.
 */
export function coatingShare(rubbing: { touches: number } | { strokes: number; forceN: number }): number {
  const work = 'touches' in rubbing ? rubbing.touches * TOUCH.strokes * TOUCH.forceN : rubbing.strokes * rubbing.forceN;
  return work / (RUB_TESTS.moderate.strokes * RUB_TESTS.moderate.forceN);
}
