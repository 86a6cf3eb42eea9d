/** Things and places as an assignment: what each thing costs a year in each place it may live in, and how much room it takes. */
export type HomesQuestion = {
  /** A place that is not among its costs is none it may live in. */
  things: readonly { id: string; volumeL: number; costs: Readonly<Record<string, number>> }[];
  places: readonly { id: string; roomL: number }[];
  /** Pairs that may not live in one place. */
  apart?: readonly (readonly [string, string])[];
};

/**
 * Where everything lives best.
 *
 * @property cost of all of it together.
 * @property bound no way at all costs less than this.
 * @property proven nothing is better.
 */
export type Homes = { homes: Record<string, string>; cost: number; bound: number; proven: boolean };

/** The same by numbers: thing by thing, place by place. */
export type Problem = {
  question: HomesQuestion;
  /** `Infinity` where a thing may not live. */
  cost: readonly Float64Array[];
  /** Where each may live. */
  ways: readonly (readonly number[])[];
  volume: Float64Array;
  room: Float64Array;
  /** With whom each may not live. */
  foes: readonly (readonly number[])[];
};

/** What is the same but for rounding, in costs and in litres. */
export const EPS = 1e-6;

/** @throws RangeError naming a thing that may live nowhere, one that is told twice, or a pair of which one is unknown. */
export function problemOf(question: HomesQuestion): Problem {
  const { things, places, apart = [] } = question;
  const at = new Map(things.map((t, i) => [t.id, i]));
  if (at.size < things.length) throw new RangeError('a thing is told twice: each has one id');
  const foes: number[][] = things.map(() => []);
  for (const pair of apart) {
    const [i, j] = pair.map((id) => at.get(id));
    if (i === undefined || j === undefined) throw new RangeError(`${pair.join(' and ')} are to be apart, and one of them is no thing`);
    foes[i]!.push(j);
    foes[j]!.push(i);
  }
  const cost = things.map(({ costs }) => Float64Array.from(places, (p) => costs[p.id] ?? Infinity));
  const ways = cost.map((row, i) => {
    const own = [...row.keys()].filter((p) => Number.isFinite(row[p]!));
    if (own.length === 0) throw new RangeError(`${things[i]!.id} may live nowhere: give it one place at least`);
    return own;
  });
  return {
    question,
    cost,
    ways,
    volume: Float64Array.from(things, (t) => t.volumeL),
    room: Float64Array.from(places, (p) => p.roomL),
    foes,
  };
}

/** What a whole assignment costs: `homeOf` holds the place of each thing. */
export const costOf = ({ cost }: Problem, homeOf: ArrayLike<number>): number => cost.reduce((sum, row, i) => sum + row[homeOf[i]!]!, 0);

export const homesFrom = ({ question: { things, places } }: Problem, homeOf: ArrayLike<number>): Homes['homes'] =>
  Object.fromEntries(things.map((t, i) => [t.id, places[homeOf[i]!]!.id]));

/** What lives where while it is being tried: the room that is left, and who is where. */
export class Trying {
  readonly homeOf: Int32Array;
  readonly left: Float64Array;

  constructor(private readonly problem: Problem) {
    this.homeOf = new Int32Array(problem.volume.length).fill(-1);
    this.left = problem.room.slice();
  }

  mayPut(i: number, p: number): boolean {
    const { cost, volume, foes } = this.problem;
    return Number.isFinite(cost[i]![p]!) && volume[i]! <= this.left[p]! + EPS && foes[i]!.every((j) => this.homeOf[j] !== p);
  }

  put(i: number, p: number): void {
    this.homeOf[i] = p;
    this.left[p]! -= this.problem.volume[i]!;
  }

  take(i: number): number {
    const p = this.homeOf[i]!;
    this.left[p]! += this.problem.volume[i]!;
    this.homeOf[i] = -1;
    return p;
  }
}
