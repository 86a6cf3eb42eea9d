import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import * as care from './index.js';
import { anyRequest } from './testing/requests.js';

const drawer = (...ids: (care.Tool | care.Material)[]): care.OnHand[] => ids.map((id) => ({ id, state: 'clean' }));
const request = (more: Partial<care.PlanRequest> = {}): care.PlanRequest => ({
  item: { kind: 'lens', traits: {} },
  place: 'home',
  findings: [
    { surface: 'front-glass', soil: 'fingerprint', severity: 3 },
    { surface: 'rear-glass', soil: 'fingerprint', severity: 3 },
  ],
  schools: { ...care.DEFAULT_SCHOOLS },
  onHand: drawer('bulb-blower', 'lens-fluid', 'lens-tissue', 'glass-cloth', 'alcohol-free-fluid'),
  ...more,
});

describe('a plan made before something changed', () => {
  const plan = care.planCleaning(request());

  it('is not stale while nothing that matters has changed', () => {
    expect(care.staleBecause(plan, [], request(), request())).toEqual([]);
    expect(care.staleBecause(plan, [], request(), request({ onHand: [...request().onHand!, ...drawer('contact-eraser')] }))).toEqual([]);
    expect(care.staleBecause(plan, [], request(), request({ schools: { ...care.DEFAULT_SCHOOLS, mirror: 'dab' } }))).toEqual([]);
  });

  it('is stale when the drawer no longer holds what it uses', () => {
    expect(care.staleBecause(plan, [], request(), request({ onHand: drawer('bulb-blower', 'alcohol-free-fluid', 'lens-tissue') }))).toEqual(
      ['drawer'],
    );
  });

  it('is stale when a school that shaped it has changed', () => {
    const now = request({ schools: { ...care.DEFAULT_SCHOOLS, solvent: 'alcohol-free' } });
    expect(care.staleBecause(plan, [], request(), now)).toEqual(['schools']);
  });

  it('remade, keeps what was done and takes the new fluid for what is ahead', () => {
    const [blow, wipe] = plan.steps.filter((s) => s.surface === 'front-glass').map((s) => s.id) as [string, string];
    const events: care.BenchEvent[] = [
      { type: 'ready' },
      { type: 'done', step: blow },
      { type: 'answer', step: blow, answer: 'no-change' },
      { type: 'done', step: wipe },
      { type: 'answer', step: wipe, answer: 'clean-enough' },
    ];
    const now = request({ schools: { ...care.DEFAULT_SCHOOLS, solvent: 'alcohol-free' } });
    const remade = care.remakePlan(plan, events, now);
    const fluid = (surface: care.Surface) => remade.steps.find((s) => s.surface === surface && s.method === 'damp-wipe')!.uses[0]!.material;
    expect(fluid('front-glass')).toBe('lens-fluid');
    expect(fluid('rear-glass')).toBe('alcohol-free-fluid');
    expect(care.benchState(remade, events)).toMatchObject({ outcomes: { 'front-glass': 'clean-enough' }, step: { surface: 'rear-glass' } });
  });

  it('remade after any work, leads through the same events to the same steps done and touches counted', () => {
    const walk = (made: care.CleaningPlan, choices: readonly number[]): care.BenchEvent[] => {
      const events: care.BenchEvent[] = [{ type: 'ready' }];
      for (const choice of choices) {
        const { phase, step } = care.benchState(made, events);
        if (!step || phase === 'close') break;
        if (phase === 'look' && step.look?.asks !== 'turning')
          events.push({ type: 'answer', step: step.id, answer: care.ANSWERS[choice % 3]! });
        else if (phase === 'step') events.push({ type: 'done', step: step.id });
      }
      return events;
    };
    fc.assert(
      fc.property(anyRequest, anyRequest, fc.array(fc.nat(2), { maxLength: 40 }), (before, other, choices) => {
        const now = { ...before, ...(other.schools ? { schools: other.schools } : {}) };
        const made = care.planCleaning(before);
        const events = walk(made, choices);
        const was = care.benchState(made, events);
        const is = care.benchState(care.remakePlan(made, events, now), events);
        expect(is.done).toEqual(was.done);
        expect(is.contacts).toEqual(was.contacts);
      }),
      { numRuns: 300, seed: 4882 },
    );
  });
});
