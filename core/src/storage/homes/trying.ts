import { EPS, Trying, type Problem } from './problem.js';

/**
 * Those first that lose most if their best place is taken by another; null where somebody is left without.
 *
 * @param apart where those go that may not live with others: first, each into a place of its own, or last, where room is left.
 */
export function greedily(problem: Problem, price: Float64Array, apart: 'first' | 'last'): Int32Array | null {
  const { cost, ways, volume, foes } = problem;
  const at = (i: number, p: number) => cost[i]![p]! + price[p]! * volume[i]!;
  const regret = ways.map((_, i) => {
    const all = ways[i]!.map((p) => at(i, p)).sort((a, b) => a - b);
    return (all[1] ?? Infinity) - all[0]!;
  });
  const by = apart === 'first' ? 1 : -1;
  const order = cost
    .map((_, i) => i)
    .sort((a, b) => by * (foes[b]!.length - foes[a]!.length) || (regret[a] === regret[b] ? a - b : regret[b]! - regret[a]!));
  const trying = new Trying(problem);
  for (const i of order) {
    let best = -1;
    for (const p of ways[i]!) if (trying.mayPut(i, p) && (best < 0 || at(i, p) < at(i, best))) best = p;
    if (best < 0) return null;
    trying.put(i, best);
  }
  return trying.homeOf;
}

const MOST_PASSES = 50;

/** The same after every move of one thing, and every exchange of two, that makes it better. */
export function improved(problem: Problem, start: Int32Array): Int32Array {
  const { cost, ways } = problem;
  const trying = new Trying(problem);
  for (const [i, p] of start.entries()) trying.put(i, p);
  const { homeOf } = trying;
  const moves = (i: number): boolean => {
    const from = trying.take(i);
    let to = from;
    for (const p of ways[i]!) if (cost[i]![p]! < cost[i]![to]! - EPS && trying.mayPut(i, p)) to = p;
    trying.put(i, to);
    return to !== from;
  };
  const exchanges = (i: number, j: number): boolean => {
    const [a, b] = [homeOf[i]!, homeOf[j]!];
    if (a === b || cost[i]![b]! + cost[j]![a]! >= cost[i]![a]! + cost[j]![b]! - EPS) return false;
    trying.take(i);
    trying.take(j);
    if (trying.mayPut(i, b)) {
      trying.put(i, b);
      if (trying.mayPut(j, a)) return (trying.put(j, a), true);
      trying.take(i);
    }
    trying.put(i, a);
    trying.put(j, b);
    return false;
  };
  for (let pass = 0; pass < MOST_PASSES; pass++) {
    let better = false;
    for (let i = 0; i < cost.length; i++) {
      if (moves(i)) better = true;
      for (let j = 0; j < i; j++) if (exchanges(i, j)) better = true;
    }
    if (!better) break;
  }
  return homeOf;
}
