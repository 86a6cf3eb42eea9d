import { describe, expect, it } from 'vitest';
import { everySingleFinding } from './testing/requests.js';
import * as care from './index.js';

/** What a plan with every tool at hand may say of one finding, by its verdict: that is what the shelf says of it. */
const ENDS: Record<care.Verdict, (plan: care.CleaningPlan) => boolean> = {
  leave: (p) => p.steps.length + p.handOver.length + p.openings.length + p.replace.length + p.deferred.length === 0 && p.isolate === null,
  clean: (p) => p.steps.length > 0 && p.handOver.length === 0 && p.isolate === null,
  wait: (p) => p.deferred.length > 0 && p.steps.length === 0 && p.handOver.length === 0,
  replace: (p) => p.replace.length > 0,
  weigh: (p) => p.openings.length > 0,
  'hand-over': (p) => p.handOver.length > 0 && p.steps.length === 0,
  isolate: (p) => p.isolate !== null,
};

describe('a verdict and the plan', () => {
  it('say the same of every finding, under every school', () => {
    const differ: string[] = [];
    for (const request of everySingleFinding()) {
      if (request.place !== 'home') continue;
      const { item, findings, schools } = request;
      const { verdict } = care.verdictFor(findings, care.contextOf(request));
      if (!ENDS[verdict](care.planCleaning(request))) differ.push(JSON.stringify({ item, findings, schools, verdict }));
    }
    expect(differ.slice(0, 8)).toEqual([]);
  });
});
