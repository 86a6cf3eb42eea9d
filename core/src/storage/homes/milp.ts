import { costOf, homesFrom, problemOf, type Homes, type HomesQuestion, type Problem } from './problem.js';

/** A mixed-integer programme as CPLEX LP text, which solvers read. */
export type HomesProgramme = { lp: string; problem: Problem };
export type HomesAnswer = { optimal: boolean; value: (variable: string) => number };

const lives = (i: number, p: number) => `x${i}_${p}`;

/** The question in full: each thing lives in one place, none is overfilled, and no two that are to be apart share one. */
export function homesProgramme(question: HomesQuestion): HomesProgramme {
  const problem = problemOf(question);
  const { cost, ways, volume, room, foes } = problem;
  const rows = ways.map((own, i) => `${own.map((p) => lives(i, p)).join(' + ')} = 1`);
  for (const [p, litres] of room.entries()) {
    const inIt = ways.flatMap((own, i) => (own.includes(p) && volume[i]! > 0 ? [`${volume[i]} ${lives(i, p)}`] : []));
    if (Number.isFinite(litres) && inIt.length > 0) rows.push(`${inIt.join(' + ')} <= ${litres}`);
  }
  for (const [i, own] of foes.entries())
    for (const j of own) if (j > i) for (const p of ways[i]!) if (ways[j]!.includes(p)) rows.push(`${lives(i, p)} + ${lives(j, p)} <= 1`);
  const all = ways.flatMap((own, i) => own.map((p) => [i, p] as const));
  const lp = [
    'Minimize',
    ` obj: ${all.map(([i, p]) => `${cost[i]![p]} ${lives(i, p)}`).join(' + ') || '0'}`,
    'Subject To',
    ...rows.map((row, r) => ` c${r}: ${row}`),
    'Binary',
    ...all.map(([i, p]) => ` ${lives(i, p)}`),
    'End',
    '',
  ].join('\n');
  return { lp, problem };
}

/** What a solver's answer means; null where it houses somebody nowhere. @param bound what was proven before. */
export function homesFromSolver({ problem }: HomesProgramme, { optimal, value }: HomesAnswer, bound: number): Homes | null {
  const homeOf = problem.ways.map((own, i) => own.find((p) => value(lives(i, p)) > 0.5) ?? -1);
  if (homeOf.includes(-1)) return null;
  const cost = costOf(problem, homeOf);
  return { homes: homesFrom(problem, homeOf), cost, bound: optimal ? cost : Math.min(cost, bound), proven: optimal };
}
