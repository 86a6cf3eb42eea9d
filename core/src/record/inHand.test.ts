import { describe, expect, it } from 'vitest';
import { type BenchEvent, type CleaningPlan, type Finding, planCleaning, type Schools } from '../care/index.js';
import { seeded } from '../testing/logs.js';
import { chanceLarger } from './betaQuantile.js';
import { followedAt, schoolsInHand } from './inHand.js';
import { type BenchOver } from './tries.js';

describe('how likely one share is the larger', () => {
  it.each([
    [{ successes: 0, failures: 0 }, { successes: 0, failures: 0 }, 0.5],
    [{ successes: 7, failures: 3 }, { successes: 7, failures: 3 }, 0.5],
    // Beta(2, 1) above a uniform share: the integral of 2x·x is two thirds; Beta(3, 1) of 3x²·x three quarters.
    [{ successes: 1, failures: 0 }, { successes: 0, failures: 0 }, 2 / 3],
    [{ successes: 2, failures: 0 }, { successes: 0, failures: 0 }, 3 / 4],
  ])('%j against %j: %f', (one, other, chance) => expect(chanceLarger(one, other)).toBeCloseTo(chance, 10));

  it('is as often so among two hundred thousand shares drawn, and with the other way round makes one', () => {
    const random = seeded(11);
    // The share of rank k among n uniform ones lies by Beta(k, n + 1 − k).
    const drawn = ({ successes, failures }: { successes: number; failures: number }): number =>
      Array.from({ length: successes + failures + 1 }, random).sort((a, b) => a - b)[successes]!;
    for (const [one, other] of [
      [
        { successes: 8, failures: 2 },
        { successes: 5, failures: 5 },
      ],
      [
        { successes: 3, failures: 9 },
        { successes: 4, failures: 6 },
      ],
    ] as const) {
      let larger = 0;
      for (let i = 0; i < 100_000; i++) if (drawn(one) > drawn(other)) larger++;
      expect(Math.abs(chanceLarger(one, other) - larger / 100_000)).toBeLessThan(0.006);
      expect(chanceLarger(one, other) + chanceLarger(other, one)).toBeCloseTo(1, 10);
    }
  });
});

const FINDINGS: Finding[] = [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }];
/** A bench with a fluid of this school, at which the wipe did it or not. */
function bench(solvent: Schools['solvent'], did: boolean, findings = FINDINGS): BenchOver {
  const plan: CleaningPlan = planCleaning({ item: { kind: 'lens', traits: {} }, findings, place: 'home', schools: { solvent } });
  const wipe = plan.steps.find((step) => step.method === 'damp-wipe')!;
  const before = plan.steps.slice(0, plan.steps.indexOf(wipe));
  const events: BenchEvent[] = [{ type: 'ready' }];
  for (const step of before) {
    events.push({ type: 'done', step: step.id });
    if (step.look) for (let i = 0; i < step.tries; i++) events.push({ type: 'answer', step: step.id, answer: 'no-change' });
  }
  events.push({ type: 'done', step: wipe.id }, { type: 'answer', step: wipe.id, answer: did ? 'clean-enough' : 'no-change' });
  return { plan, findings, events };
}
const benches = (solvent: Schools['solvent'], did: number, not: number) => [
  ...Array.from({ length: did }, () => bench(solvent, true)),
  ...Array.from({ length: not }, () => bench(solvent, false)),
];

describe('schools in one’s own hands', () => {
  const solvent = (all: BenchOver[]) => schoolsInHand(all).find(({ school }) => school === 'solvent');

  it('are counted where two choices were tried on the same, and nothing is said of few', () => {
    expect(solvent(benches('lens-fluid', 4, 1))).toBeUndefined();
    const few = solvent([...benches('lens-fluid', 4, 0), ...benches('alcohol', 0, 3)])!;
    expect(few.choices.map(({ choice, successes, failures }) => [choice, successes, failures])).toEqual([
      ['lens-fluid', 4, 0],
      ['alcohol', 0, 3],
    ]);
    expect(few.tells).toEqual({ is: 'too-few', of: 3 });
  });

  it('tell no difference where none shows, and which is better only where that is hardly chance', () => {
    expect(solvent([...benches('lens-fluid', 6, 4), ...benches('alcohol', 5, 5)])!.tells).toEqual({ is: 'no-difference' });
    const told = solvent([...benches('lens-fluid', 2, 10), ...benches('alcohol', 11, 1)])!.tells;
    expect(told).toMatchObject({ is: 'better', better: 'alcohol', worse: 'lens-fluid' });
    expect((told as { sure: number }).sure).toBeGreaterThan(0.99);
  });

  it('compare nothing that was tried on other dirt: grease is no print', () => {
    const grease: Finding[] = [{ surface: 'front-glass', soil: 'grease', severity: 3 }];
    const all = [...benches('lens-fluid', 9, 0), ...Array.from({ length: 9 }, () => bench('alcohol', false, grease))];
    expect(solvent(all)).toBeUndefined();
  });

  it('know what a bench followed, and only of what was done there', () => {
    expect(followedAt(bench('alcohol', true)).solvent).toBe('alcohol');
    const left = { ...bench('alcohol', true), events: [{ type: 'ready' }] as BenchEvent[] };
    expect(followedAt(left)).toEqual({});
  });
});
