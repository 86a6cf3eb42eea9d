import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { outcomesOf, planCleaning, type BenchEvent, type Finding } from '../care/index.js';
import { knownFromAll, knownFromCleaning, knownFromLook, type KnownSince, type ToldOf } from './known.js';

const LENS = { kind: 'lens', traits: {} } as const;
const SURFACES = ['front-glass', 'rear-glass', 'barrel'] as const;
const severity = fc.constantFrom(1, 2, 3, 4);
const finding = fc.record({ soil: fc.constantFrom('dust', 'fingerprint', 'fungus', 'fine-scratch'), severity }) as fc.Arbitrary<
  Omit<Finding, 'surface'>
>;
const answer = fc.record({
  surface: fc.constantFrom(...SURFACES),
  findings: fc.uniqueArray(finding, { maxLength: 2, selector: (f) => f.soil }),
  note: fc.constant(''),
});
const look = fc.uniqueArray(answer, { minLength: 1, maxLength: 3, selector: (a) => a.surface }).map((answers) => ({ look: answers }));
const at = (day: number) => new Date(Date.UTC(2026, 0, 1 + day)).toISOString();

/** Each step answered in one way until the bench is over. */
function cleaningOf(findings: Finding[]): ToldOf & { cleaning: object } {
  const plan = planCleaning({ item: LENS, place: 'home', findings });
  const events: BenchEvent[] = plan.steps.flatMap((step): BenchEvent[] => [
    { type: 'done', step: step.id },
    { type: 'answer', step: step.id, answer: 'clean-enough' },
  ]);
  return { at: '', cleaning: { plan, outcomes: outcomesOf(plan, [{ type: 'ready' }, ...events]), schools: undefined } };
}

/** What is kept when each is told as it happens: the surfaces it saw, over what was known. */
function toldAsItHappens(told: readonly ToldOf[]): KnownSince[] {
  const known = new Map<string, KnownSince>();
  for (const { at: knownSince, ...what } of told) {
    const now = 'look' in what ? knownFromLook(LENS, what.look) : knownFromCleaning(LENS, [...known.values()], what.cleaning);
    for (const state of now) known.set(state.surface, { ...state, knownSince });
  }
  return [...known.values()];
}
const bySurface = (states: readonly KnownSince[]) => states.toSorted((a, b) => a.surface.localeCompare(b.surface));

describe('what all that was told makes known', () => {
  it('is what was known as it happened, in whatever order it is told', () => {
    fc.assert(
      fc.property(
        fc.array(fc.oneof(look, fc.constant(null)), { minLength: 1, maxLength: 6 }),
        fc.infiniteStream(fc.nat()),
        (story, keys) => {
          const told: ToldOf[] = [];
          story.forEach((one, day) => {
            // A clean is of what is known by then.
            const findings = toldAsItHappens(told).flatMap((s) => s.findings.map((f) => ({ ...f, surface: s.surface })));
            told.push({ ...(one ?? cleaningOf(findings)), at: at(day) });
          });
          const shuffled = told
            .map((one) => ({ one, key: keys.next().value as number }))
            .sort((a, b) => a.key - b.key)
            .map(({ one }) => one);
          expect(bySurface(knownFromAll(LENS, shuffled))).toEqual(bySurface(toldAsItHappens(told)));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('loses what only a look saw that is left out, and nothing else', () => {
    fc.assert(
      fc.property(fc.array(look, { minLength: 1, maxLength: 5 }), fc.nat(), (looks, which) => {
        const told = looks.map((one, day) => ({ ...one, at: at(day) }));
        const left = told.toSpliced(which % told.length, 1);
        expect(bySurface(knownFromAll(LENS, left))).toEqual(bySurface(toldAsItHappens(left)));
      }),
    );
  });
});
