import { priced } from './prices.js';
import { costOf, EPS, homesFrom, problemOf, Trying, type Homes, type HomesQuestion, type Problem } from './problem.js';

/** So many steps the search may take: enough for a household, and no answer waits long for a proof. */
const MOST_STEPS = 200_000;

/**
 * Where everything lives best, all things and all places at once: rooms are not overfilled, what has to be apart is, and
 * the costs of all together are the least. Prices for room give a bound, a search within it proves (Martello and Toth
 * 1990, the generalised assignment problem).
 *
 * @throws RangeError where a thing may live nowhere, or there is no way to house them all.
 */
export function bestHomes(question: HomesQuestion): Homes {
  const problem = problemOf(question);
  const { price, bound, homeOf, cost } = priced(problem);
  const searched = cost - bound < EPS ? { homeOf, proven: true } : search(problem, price, { homeOf, cost });
  if (!searched.homeOf) {
    const why = searched.proven ? 'there is no way to house them all: a place is missing' : 'no way to house them all was found';
    throw new RangeError(why);
  }
  const least = costOf(problem, searched.homeOf);
  return {
    homes: homesFrom(problem, searched.homeOf),
    cost: least,
    bound: searched.proven ? least : Math.min(least, bound),
    proven: searched.proven,
  };
}

type Found = { homeOf: Int32Array | null; proven: boolean };

/** Every way that the bound does not rule out, the most promising first; without calling itself, for a club has thousands of things. */
function search(problem: Problem, price: Float64Array, start: { homeOf: Int32Array | null; cost: number }): Found {
  const { cost, volume, room } = problem;
  const things = cost.length;
  const reduced = cost.map((row, i) => row.map((c, p) => c + price[p]! * volume[i]!));
  const ways = problem.ways.map((own, i) => own.toSorted((a, b) => reduced[i]![a]! - reduced[i]![b]!));
  const regret = (i: number) => (ways[i]!.length > 1 ? reduced[i]![ways[i]![1]!]! - reduced[i]![ways[i]![0]!]! : Infinity);
  const order = cost.map((_, i) => i).sort((a, b) => (regret(a) === regret(b) ? a - b : regret(b) - regret(a)));
  const rest = new Float64Array(things + 1);
  for (let k = things - 1; k >= 0; k--) rest[k] = rest[k + 1]! + reduced[order[k]!]![ways[order[k]!]![0]!]!;
  const worth = room.reduce((sum, litres, p) => (price[p]! > 0 ? sum + price[p]! * litres : sum), 0);

  let best = start.homeOf;
  let least = start.cost;
  const trying = new Trying(problem);
  const next = new Int32Array(things);
  const spent = new Float64Array(things + 1);
  let k = 0;
  for (let steps = 0; k >= 0; steps++) {
    if (steps >= MOST_STEPS) return { homeOf: best, proven: false };
    if (k === things) {
      const total = costOf(problem, trying.homeOf);
      if (total < least) [best, least] = [trying.homeOf.slice(), total];
      trying.take(order[--k]!);
      continue;
    }
    const i = order[k]!;
    const p = ways[i]![next[k]!];
    const within = p !== undefined && spent[k]! + reduced[i]![p]! + rest[k + 1]! - worth < least - EPS;
    if (!within) {
      // The ways come in order: none after this one is within the bound, either.
      next[k] = 0;
      if (--k >= 0) trying.take(order[k]!);
      continue;
    }
    next[k]! += 1;
    if (!trying.mayPut(i, p)) continue;
    trying.put(i, p);
    spent[k + 1] = spent[k]! + reduced[i]![p]!;
    k += 1;
  }
  return { homeOf: best, proven: true };
}
