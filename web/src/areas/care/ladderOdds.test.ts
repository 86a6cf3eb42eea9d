import { care, record } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { aheadWords, ladderOdds, rungWords } from './ladderOdds';

const findings = [{ surface: 'front-glass', soil: 'fingerprint', severity: 3 }] as const;
const plan = care.planCleaning({ item: { kind: 'lens', traits: {} }, findings: [...findings], place: 'home' });
const steps = plan.steps.filter((s) => s.surface === 'front-glass');
const tried = (method: care.Method, successes: number, failures: number) =>
  record.knownOdds([{ method, soil: 'fingerprint', family: 'glass', successes, failures }]);
const oddsWith = (known: readonly record.KnownOdds[]) => ladderOdds(plan, 'front-glass', findings, known)!;

describe('the odds of a ladder', () => {
  it('are what is usual before anything was tried: nothing is said of a rung, and nobody is told to stop', () => {
    const odds = oddsWith([]);
    expect(odds.tries).toBe(0);
    expect(odds.stopAfter).toBeNull();
    expect([...odds.byStep.values()].map(rungWords).filter(Boolean)).toEqual([]);
    expect(aheadWords(odds)).toMatch(/^It comes off \d times in 10, .*by what is usual \(our guess\): you have not tried it yet\.$/);
  });

  it('say what came of a rung at the bench, and count it', () => {
    const method = steps.find((s) => s.removes.includes('fingerprint'))!.method;
    const odds = oddsWith(tried(method, 5, 1));
    const own = [...odds.byStep.values()].map(rungWords).filter(Boolean);
    expect(own[0]).toMatch(/^did it 5 of 6 times at your bench: \d times in 10, between \d\d and \d\d %$/);
    expect(aheadWords(odds)).toContain('of yours');
    expect(odds.ahead.comesOff).toBeGreaterThan(oddsWith([]).ahead.comesOff);
  });

  it('say where to stop once one’s own tries say that the rest only wears', () => {
    const never = record.knownOdds(
      [...new Set(steps.map((s) => s.method))].map(
        (method) => ({ method, soil: 'fingerprint', family: 'glass', successes: 0, failures: 40 }) as const,
      ),
    );
    const odds = oddsWith(never);
    expect(odds.stopAfter).not.toBeNull();
    expect(odds.stopAfter === 'none' || !steps.slice(steps.indexOf(odds.stopAfter!) + 1).every((s) => !s.contact)).toBe(true);
    const always = never.map(({ method, soil, family }) => ({ method, soil, family, successes: 40, failures: 0 }));
    expect(oddsWith(record.knownOdds(always)).stopAfter).toBeNull();
  });

  it('are none where nothing was found that a rung is for', () => {
    expect(ladderOdds(plan, 'rear-glass', findings, [])).toBeNull();
    expect(ladderOdds(plan, 'front-glass', [], [])).toBeNull();
  });
});
