import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { benchState, type BenchEvent, outcomesOf } from './bench.js';
import { benchTogether } from './benchTogether.js';
import { planCleaning } from './planCleaning.js';

const plan = planCleaning({
  item: { kind: 'lens', traits: {} },
  findings: [
    { surface: 'front-glass', soil: 'dust', severity: 3 },
    { surface: 'rear-glass', soil: 'dust', severity: 3 },
    { surface: 'barrel', soil: 'dust', severity: 3 },
  ],
  place: 'home',
});
const surfaces = [...new Set(plan.steps.map((s) => s.surface))];
const ready: BenchEvent = { type: 'ready' };
const leave = (surface: (typeof surfaces)[number]): BenchEvent => ({ type: 'leave-surface', surface });

/** Taps at random, each one that means something where one stands. */
function walk(events: readonly BenchEvent[], taps: readonly number[]): BenchEvent[] {
  const all = [...events];
  for (const tap of taps) {
    const { phase, step } = benchState(plan, all);
    if (phase === 'prepare') all.push(ready);
    else if (!step) break;
    else if (phase === 'look' || phase === 'round-look')
      all.push({ type: 'answer', step: step.id, answer: tap % 3 === 0 ? 'no-change' : tap % 3 === 1 ? 'better' : 'clean-enough' });
    else if (phase === 'reading') all.push({ type: 'reading', surface: step.surface, reading: 'unsure' });
    else all.push({ type: 'done', step: step.id });
  }
  return all;
}

describe('a bench that was gone on with in two places', () => {
  it('is what the one made of it who went on', () => {
    const base = walk([], [0]);
    const on = walk(base, [1, 2, 0]);
    expect(benchTogether(plan, base, on, base)).toEqual(on);
    expect(benchTogether(plan, base, base, on)).toEqual(on);
    expect(benchTogether(plan, base, walk(base, [1]), on)).toEqual(on);
  });

  it('keeps what was taken back', () => {
    const base = walk([], [0, 1, 2]);
    expect(benchTogether(plan, base, base.slice(0, -1), base)).toEqual(base.slice(0, -1));
    expect(benchTogether(plan, base, base.slice(0, -1), walk(base, [1]))).toBeNull();
  });

  it('is both where they looked at different surfaces after one round of air', () => {
    let base = walk([], [0]);
    while (benchState(plan, base).phase !== 'round-look') base = walk(base, [2]);
    const { round } = benchState(plan, base);
    const [first, second] = round!.steps.map((s): BenchEvent => ({ type: 'answer', step: s.id, answer: 'clean-enough' }));
    const together = benchTogether(plan, base, [...base, second!], [...base, first!]);
    expect(together).toEqual([...base, first, second]);
    for (const { surface } of round!.steps.slice(0, 2)) expect(outcomesOf(plan, together!)[surface]).toBe('clean-enough');
  });

  it('is for a person to choose where both worked at one surface, or one has stopped', () => {
    const base = [ready];
    const theirs = walk(base, [1, 0]);
    expect(benchTogether(plan, base, [ready, leave(surfaces[0]!)], theirs)).toBeNull();
    expect(benchTogether(plan, base, [ready, { type: 'stop' }], theirs)).toBeNull();
  });

  const taps = fc.array(fc.nat(2), { maxLength: 14 });
  it('never counts a touch that was not made, nor loses one: each surface stands as where it was worked on, or a person is asked', () => {
    let both = 0;
    fc.assert(
      fc.property(taps, taps, taps, fc.constantFrom(...surfaces), (before, here, there, left) => {
        const base = walk([], before);
        const mine = here.length % 2 === 0 ? [...base, leave(left)] : walk(base, here);
        const theirs = walk(base, there);
        const together = benchTogether(plan, base, mine, theirs);
        if (together === null) return;
        both += 1;
        const [one, my, their, was] = [together, mine, theirs, base].map((events) => benchState(plan, events).contacts);
        for (const surface of surfaces) {
          const count = (contacts: typeof one) => contacts![surface] ?? 0;
          expect(count(one)).toBe(Math.max(count(my), count(their), count(was)));
        }
      }),
      { numRuns: 300, seed: 7 },
    );
    expect(both).toBeGreaterThan(30);
  });
});
