import type { BenchPlan } from './planBenchDays.js';
import { planFrom } from './planBenchDays.js';
import { problemOf, setUpMinutes, type BenchOptions, type BenchTask, type Problem } from './problem.js';
import { scoreOf } from './search.js';
import type { SetUpId } from '../setUps.js';

/** A mixed-integer programme as CPLEX LP text, which solvers read. */
export type BenchProgramme = { lp: string; problem: Problem };
/** What a solver says: the value of each variable, and the lowest the objective can be. */
export type SolverAnswer = { optimal: boolean; value: (variable: string) => number; bound: number };

const day = (i: number) => `d${i}`;
const put = (j: number, i: number) => `x${j}_${i}`;
const laid = (i: number, setUp: SetUpId) => `s${i}_${setUp.replaceAll('-', '')}`;
const slips = (j: number) => `l${j}`;

/**
 * The question of the fewest days in full: a day is used or not, a task lies on one day of its window or slips, a
 * set-up is laid out once a day. A task that slips always costs more than all days together.
 */
export function benchProgramme<T extends BenchTask>(windows: readonly T[], options: BenchOptions): BenchProgramme {
  const problem = problemOf(windows, options);
  const { slots, jobs } = problem;
  const slipCost = slots.length + 1;
  const rows: string[] = [];
  const binaries = new Set<string>();
  const perDay = slots.map(() => ({ terms: [] as string[], setUps: new Set<SetUpId>() }));
  jobs.forEach((job, j) => {
    const choices: string[] = [];
    for (let i = job.first; i <= job.last; i++) {
      const x = put(j, i);
      binaries.add(x);
      choices.push(x);
      perDay[i]!.terms.push(`${job.minutes} ${x}`);
      rows.push(`${x} - ${day(i)} <= 0`);
      if (job.setUp && setUpMinutes(job.setUp) > 0) {
        perDay[i]!.setUps.add(job.setUp);
        rows.push(`${x} - ${laid(i, job.setUp)} <= 0`);
      }
    }
    binaries.add(slips(j));
    rows.push(`${[...choices, slips(j)].join(' + ')} = 1`);
  });
  perDay.forEach(({ terms, setUps }, i) => {
    if (terms.length === 0) return;
    binaries.add(day(i));
    const laidOut = [...setUps].map((s) => {
      binaries.add(laid(i, s));
      return `${setUpMinutes(s)} ${laid(i, s)}`;
    });
    if (Number.isFinite(slots[i]!.minutes)) rows.push(`${[...terms, ...laidOut].join(' + ')} - ${slots[i]!.minutes} ${day(i)} <= 0`);
  });
  const used = perDay.flatMap(({ terms }, i) => (terms.length > 0 ? [day(i)] : []));
  const objective = [...used, ...jobs.map((job, j) => `${job.weight * slipCost} ${slips(j)}`)].join(' + ');
  const lp = [
    'Minimize',
    ` obj: ${objective || '0'}`,
    'Subject To',
    ...rows.map((row, r) => ` c${r}: ${row}`),
    'Binary',
    ...[...binaries].map((b) => ` ${b}`),
    'End',
    '',
  ].join('\n');
  return { lp, problem };
}

/** The plan a solver's answer means, with the bound it has proven. */
export function planFromSolver<T extends BenchTask>({ problem }: BenchProgramme, { optimal, value, bound }: SolverAnswer): BenchPlan<T> {
  const { slots, jobs } = problem;
  const slotOf = jobs.map((job, j) => {
    for (let i = job.first; i <= job.last; i++) if (value(put(j, i)) > 0.5) return i;
    return null;
  });
  const score = scoreOf(jobs, slotOf);
  const daysBound = Math.ceil(bound - score.cost * (slots.length + 1) - 1e-6);
  return planFrom<T>(problem, {
    placement: { slotOf, ...score },
    proven: optimal,
    bound: optimal ? score.days : Math.max(0, Math.min(daysBound, score.days)),
  });
}
