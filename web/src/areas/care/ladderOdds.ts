import { care, record } from '@bright-keeper/core';
import { ofTen } from '../../ui/chance';

/** What a rung is likely to do on this surface; null of a step that settles nothing by itself. */
export type StepOdds = ReadonlyMap<string, record.RungAhead>;
export type LadderOdds = {
  byStep: StepOdds;
  ahead: record.LadderAhead;
  /** How many tries of one's own all of it rests on. */
  tries: number;
  /** By one's own tries the last step that is worth its wear; null where all are, where none touches, and where nothing was tried. */
  stopAfter: care.Step | 'none' | null;
};

/** The odds of a ladder from one's own bench, and what is usual where there are no tries. */
export function ladderOdds(
  plan: care.CleaningPlan,
  surface: care.Surface,
  findings: readonly care.Finding[],
  known: readonly record.KnownOdds[],
): LadderOdds | null {
  const steps = plan.steps.filter((s) => s.surface === surface);
  const found = findings.filter((f) => f.surface === surface);
  const { family } = care.surfaceFacts(surface);
  const byStep = new Map<string, record.RungAhead>();
  for (const { id, method, removes, look, completes } of steps) {
    const soils = removes.filter((soil) => found.some((f) => f.soil === soil));
    if (look && !completes && soils.length > 0) byStep.set(id, record.rungAhead({ method, soils, family }, known));
  }
  if (byStep.size === 0) return null;
  const rungs = steps.map((s): record.Rung => ({ odds: byStep.get(s.id)?.mean ?? 0, minutes: s.minutes, touches: s.contact ? 1 : 0 }));
  const costs = Math.max(...found.map((f) => record.markCosts(f.severity)));
  const { rungs: far } = record.whenToStop(rungs, costs);
  const tries = [...byStep.values()].reduce((sum, o) => sum + o.successes + o.failures, 0);
  // What is usual tells nobody to stop where the plan goes on: only one's own tries do.
  const beyond = tries > 0 && steps.slice(far).some((s) => s.contact);
  return {
    byStep,
    ahead: record.ladderAhead(rungs),
    tries,
    stopAfter: !beyond ? null : (steps[far - 1] ?? 'none'),
  };
}

const percent = (share: number): string => `${Math.round(share * 100)}`;

/** "Did it 5 of 6 times at your bench: 7 times in 10, between 45 and 88 %"; nothing where there was no try. */
export function rungWords({ successes, failures, mean, range }: record.RungAhead): string | null {
  if (!range) return null;
  const tries = successes + failures;
  return `did it ${successes} of ${tries} ${tries === 1 ? 'time' : 'times'} at your bench: ${ofTen(mean)}, between ${percent(range.low)} and ${percent(range.high)} %`;
}

/** What the whole ladder is likely to take. */
export function aheadWords({ ahead: { minutes, touches, comesOff }, tries }: LadderOdds): string {
  const basis =
    tries === 0
      ? 'by what is usual (our guess): you have not tried it yet'
      : `by ${tries} ${tries === 1 ? 'try' : 'tries'} of yours, and by what is usual where there is none (our guess)`;
  return `It comes off ${ofTen(comesOff)}, on the average after ${Math.max(1, Math.round(minutes))} min and ${touches < 0.05 ? 'no touch' : `${touches.toFixed(1)} touches`}; ${basis}.`;
}
