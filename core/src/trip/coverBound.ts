/** A question as its bound needs it: what each need is worth, which an item meets and what share of each, what it takes of each limit. */
type Question = {
  weights: Float64Array;
  covers: readonly Float64Array[];
  meets: readonly Int32Array[];
  takes: readonly Float64Array[];
  limits: readonly number[];
};
/** What is left of it: how open each need is, 0 to 1, what is left of each limit, and which items may still be taken. */
type Rest = { open: Float64Array; room: readonly number[]; items: readonly number[] };

/** So many times the multipliers are moved before a branch is taken instead. */
const TRIES = 12;
const TRIES_AT_FIRST = 400;

/**
 * The most that any choice of items can still bring, from above: a need is met no more than whole and no more than the shares
 * that meet it, so also no more than any mean of the two; a limit is paid for at a price. For each mean and price what is best
 * is told item by item (Lagrangian relaxation; Fisher 1981). The multipliers are moved against what was taken too much or too
 * little (a subgradient step of Polyak’s length) and are kept from one question to the next, since all of them bound.
 */
export class CoverBound {
  /** All needs together are worth 1, and each limit is 1: steps are of one size whatever the units. */
  private readonly worth: number;
  private readonly weights: Float64Array;
  private readonly takes: readonly Float64Array[];
  private readonly mean: Float64Array;
  private readonly price: Float64Array;
  /** What each item adds to the last bound or, below 0, takes from it once it has to be taken; and that bound. */
  private readonly adds: Float64Array;
  private bound = 0;
  private tries = TRIES_AT_FIRST;

  constructor(private readonly question: Question) {
    const { weights, takes, limits } = question;
    this.worth = weights.reduce((sum, w) => sum + w, 0) || 1;
    this.weights = weights.map((w) => w / this.worth);
    this.takes = takes.map((own, m) => own.map((take) => take / (limits[m]! || 1)));
    this.mean = new Float64Array(weights.length).fill(0.5);
    this.price = new Float64Array(limits.length);
    this.adds = new Float64Array(question.covers.length);
  }

  /** Can no choice bring more than this? False says only that it was not shown. */
  isAtMost(target: number, { open, room, items }: Rest): boolean {
    const left = room.map((r, m) => r / (this.question.limits[m]! || 1));
    const [met, taken] = [new Float64Array(open.length), new Float64Array(left.length)];
    for (let i = 0; i < this.tries; i += 1) {
      this.bound = this.most(open, left, items, met, taken);
      const above = this.bound - target / this.worth;
      if (above <= 0) {
        this.tries = TRIES;
        return true;
      }
      this.move(above, open, left, met, taken);
    }
    this.tries = TRIES;
    return false;
  }

  /** Of what was just asked about: what is in no choice that brings more than this, and what is in all of them. */
  decided(target: number, items: readonly number[]): { out: Set<number>; in: Set<number> } {
    const spare = this.bound - target / this.worth;
    return {
      out: new Set(items.filter((k) => spare + this.adds[k]! <= 0)),
      in: new Set(items.filter((k) => spare - this.adds[k]! <= 0)),
    };
  }

  /** The bound by the present means and prices; what its choice meets and takes is left in `met` and `taken`. */
  private most(open: Float64Array, left: readonly number[], items: readonly number[], met: Float64Array, taken: Float64Array): number {
    const { weights, takes, mean, price } = this;
    const { covers, meets: all } = this.question;
    met.fill(0);
    taken.fill(0);
    let most = 0;
    for (let n = 0; n < open.length; n += 1) most += weights[n]! * (1 - mean[n]!) * open[n]!;
    for (let m = 0; m < left.length; m += 1) most += price[m]! * left[m]!;
    for (const k of items) {
      const [own, meets] = [covers[k]!, all[k]!];
      let worth = 0;
      for (const n of meets) worth += weights[n]! * mean[n]! * Math.min(open[n]!, own[n]!);
      for (let m = 0; m < left.length; m += 1) worth -= price[m]! * takes[m]![k]!;
      this.adds[k] = worth;
      if (worth <= 0) continue;
      most += worth;
      for (const n of meets) met[n]! += Math.min(open[n]!, own[n]!);
      for (let m = 0; m < left.length; m += 1) taken[m]! += takes[m]![k]!;
    }
    return most;
  }

  private move(above: number, open: Float64Array, left: readonly number[], met: Float64Array, taken: Float64Array): void {
    const { weights, mean, price } = this;
    let length = 0;
    for (let n = 0; n < open.length; n += 1) length += (weights[n]! * (met[n]! - open[n]!)) ** 2;
    for (let m = 0; m < left.length; m += 1) length += (left[m]! - taken[m]!) ** 2;
    if (length === 0) return;
    const step = above / length;
    for (let n = 0; n < open.length; n += 1) mean[n] = Math.min(1, Math.max(0, mean[n]! - step * weights[n]! * (met[n]! - open[n]!)));
    for (let m = 0; m < left.length; m += 1) price[m] = Math.max(0, price[m]! - step * (left[m]! - taken[m]!));
  }
}
