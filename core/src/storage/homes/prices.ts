import type { Problem } from './problem.js';
import { greedily, improved } from './trying.js';
import { costOf } from './problem.js';

const ROUNDS = 300;
/** So many rounds without a better bound halve the step. */
const PATIENCE = 15;
/** Every so many rounds the prices of the day are tried as a guide. */
const TRY_EVERY = 15;

/** What a litre of each place is worth, the bound that proves, and the best assignment that was met on the way. */
export type Priced = { price: Float64Array; bound: number; homeOf: Int32Array | null; cost: number };

/** What it costs at these prices at the least, and how much of each place would be taken. */
function cheapest({ cost, ways, volume, room }: Problem, price: Float64Array, load: Float64Array): number {
  load.fill(0);
  let sum = 0;
  for (const [i, row] of cost.entries()) {
    let best = 0;
    let least = Infinity;
    for (const p of ways[i]!) {
      const c = row[p]! + price[p]! * volume[i]!;
      if (c < least) [least, best] = [c, p];
    }
    sum += least;
    load[best]! += volume[i]!;
  }
  for (let p = 0; p < room.length; p++) if (price[p]! > 0) sum -= price[p]! * room[p]!;
  return sum;
}

/**
 * A price for the room of each place, raised where more would live there than fits and lowered where room is left
 * (Lagrangian relaxation, its subgradient with Polyak's step): what things cost at such prices no assignment goes below.
 */
export function priced(problem: Problem): Priced {
  const places = problem.room.length;
  const price = new Float64Array(places);
  const load = new Float64Array(places);
  const best: Priced = { price: price.slice(), bound: -Infinity, homeOf: null, cost: Infinity };
  const hasFoes = problem.foes.some((own) => own.length > 0);
  let step = 1;
  let since = 0;
  for (let round = 0; round < ROUNDS; round++) {
    const bound = cheapest(problem, price, load);
    if (bound > best.bound + 1e-9) {
      [best.bound, best.price, since] = [bound, price.slice(), 0];
    } else if (++since >= PATIENCE) [step, since] = [step / 2, 0];
    if (round % TRY_EVERY === 0) {
      for (const apart of hasFoes ? (['first', 'last'] as const) : (['last'] as const)) {
        const tried = greedily(problem, price, apart);
        const homeOf = tried && improved(problem, tried);
        const cost = homeOf ? costOf(problem, homeOf) : Infinity;
        if (cost < best.cost) [best.homeOf, best.cost] = [homeOf, cost];
      }
    }
    if (best.cost - best.bound < 1e-7) break;
    let square = 0;
    for (let p = 0; p < places; p++) {
      const over = load[p]! - problem.room[p]!;
      load[p] = Number.isFinite(over) && !(over < 0 && price[p] === 0) ? over : 0;
      square += load[p]! ** 2;
    }
    if (square === 0) break;
    const gap = Number.isFinite(best.cost) ? best.cost - bound : Math.max(1, Math.abs(bound) * 0.1);
    for (let p = 0; p < places; p++) price[p] = Math.max(0, price[p]! + (step * gap * load[p]!) / square);
  }
  return best;
}
