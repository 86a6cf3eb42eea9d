import { CoverBound } from './coverBound.js';

/** What may be needed on a way: how likely it is that it is, and what it costs to go without. */
export type KitNeed = { id: string; likelihood: number; loss: number };
/** What may be taken: its mass in g, its volume in L, its price, and what share of each need it meets, 0 to 1. */
export type KitItem = { id: string; massG: number; volumeL: number; price: number; covers: Readonly<Record<string, number>> };
export type KitLimits = { massG?: number; volumeL?: number; price?: number };
export type KitQuestion = { needs: readonly KitNeed[]; items: readonly KitItem[]; limits: KitLimits };

export type Kit = {
  /** What to take, in the order it was given. */
  items: string[];
  /** What is left to be expected, in the unit of the losses. */
  expectedLoss: number;
  /** No other choice within the limits leaves less. */
  proven: boolean;
};

/** So many steps the search may take: two seconds or so, and far fewer do for a bag. */
const MOST_STEPS = 30_000;
/** Kits that differ by less than this share of all that may be lost are equally good: the lighter one is taken. */
const SAME_SHARE = 1e-9;

type Measure = keyof KitLimits;
const MEASURES: readonly Measure[] = ['massG', 'volumeL', 'price'];

/** A question in columns: which needs each item meets and what share of each, and what it takes of each limit there is. */
type Columns = { weights: Float64Array; covers: Float64Array[]; meets: Int32Array[]; takes: Float64Array[]; limits: number[] };

function columnsOf({ needs, items, limits }: KitQuestion): Columns {
  const measures = MEASURES.filter((m) => limits[m] !== undefined);
  const covers = items.map((item) => Float64Array.from(needs, (n) => Math.min(1, Math.max(0, item.covers[n.id] ?? 0))));
  return {
    weights: Float64Array.from(needs, (n) => n.likelihood * n.loss),
    covers,
    meets: covers.map((own) => Int32Array.from([...own.keys()].filter((n) => own[n]! > 0))),
    takes: measures.map((m) => Float64Array.from(items, (item) => item[m])),
    limits: measures.map((m) => limits[m]!),
  };
}

/** How much of each need is still open after these items: shares add up, and nothing is met more than whole. */
function openAfter({ weights, covers }: Columns, chosen: Iterable<number>): Float64Array {
  const open = new Float64Array(weights.length).fill(1);
  for (const k of chosen) for (let n = 0; n < open.length; n++) open[n] = Math.max(0, open[n]! - covers[k]![n]!);
  return open;
}
const lossOf = ({ weights }: Columns, open: Float64Array): number => weights.reduce((sum, w, n) => sum + w * open[n]!, 0);
const gainOf = ({ weights, covers, meets }: Columns, open: Float64Array, k: number): number => {
  let gain = 0;
  for (const n of meets[k]!) gain += weights[n]! * Math.min(open[n]!, covers[k]![n]!);
  return gain;
};
const fits = ({ takes }: Columns, room: readonly number[], k: number): boolean => takes.every((t, m) => t[k]! <= room[m]! + 1e-9);

/** The one that brings most for what it takes, again and again, while anything fits: a first good choice. */
function greedy(columns: Columns, count: number, byRoom: boolean): number[] {
  const room = [...columns.limits];
  const chosen: number[] = [];
  for (;;) {
    const open = openAfter(columns, chosen);
    let [best, worth] = [-1, 0];
    for (let k = 0; k < count; k++) {
      if (chosen.includes(k) || !fits(columns, room, k)) continue;
      const share = byRoom ? columns.takes.reduce((sum, t, m) => sum + t[k]! / Math.max(columns.limits[m]!, 1e-9), 1e-9) : 1;
      const value = gainOf(columns, open, k) / share;
      if (value > worth) [best, worth] = [k, value];
    }
    if (best < 0) return chosen;
    chosen.push(best);
    columns.takes.forEach((t, m) => (room[m]! -= t[best]!));
  }
}

/** Without what brings nothing beside the others: the heaviest of it goes first. */
function withoutIdle(columns: Columns, items: readonly KitItem[], chosen: readonly number[], same: number): number[] {
  const kept = [...chosen];
  const loss = lossOf(columns, openAfter(columns, kept));
  for (const k of [...chosen].sort((a, b) => items[b]!.massG - items[a]!.massG || items[b]!.price - items[a]!.price)) {
    const rest = kept.filter((other) => other !== k);
    if (lossOf(columns, openAfter(columns, rest)) <= loss + same) kept.splice(kept.indexOf(k), 1);
  }
  return kept;
}

/** With a lighter one in the place of one that does no more. */
function lightened(columns: Columns, items: readonly KitItem[], chosen: readonly number[], same: number): number[] {
  const loss = lossOf(columns, openAfter(columns, chosen));
  for (const k of chosen)
    for (const other of items.keys()) {
      if (chosen.includes(other) || items[other]!.massG >= items[k]!.massG) continue;
      const swapped = chosen.map((c) => (c === k ? other : c));
      const isWithin = columns.takes.every((t, m) => swapped.reduce((sum, c) => sum + t[c]!, 0) <= columns.limits[m]! + 1e-9);
      if (isWithin && lossOf(columns, openAfter(columns, swapped)) <= loss + same) return lightened(columns, items, swapped, same);
    }
  return [...chosen];
}

/**
 * The kit that leaves the least to be expected within limits of mass, volume and price: branch and bound over what to take.
 * Shares of a need add up to the whole of it; nothing idle is taken along, and of two that do the same the lighter.
 *
 * @throws RangeError for a likelihood or share outside of 0 to 1, or a negative loss, mass, volume or price.
 */
export function packKit(question: KitQuestion): Kit {
  checkQuestion(question);
  const { items } = question;
  const columns = columnsOf(question);
  const all = lossOf(columns, openAfter(columns, []));
  const same = all * SAME_SHARE;
  let best: number[] = [];
  let bestLoss = all;
  const hold = (chosen: readonly number[]) => {
    const loss = lossOf(columns, openAfter(columns, chosen));
    if (loss < bestLoss - same) [best, bestLoss] = [[...chosen], loss];
  };
  for (const byRoom of [true, false]) hold(greedy(columns, items.length, byRoom));

  const bound = new CoverBound(columns);
  let steps = 0;
  const search = (left: readonly number[], chosen: number[], open: Float64Array, room: readonly number[]): void => {
    const loss = lossOf(columns, open);
    if (loss < bestLoss - same) [best, bestLoss] = [[...chosen], loss];
    const gains = Float64Array.from(items, (_, k) => gainOf(columns, open, k));
    const useful = left.filter((k) => gains[k]! > same && fits(columns, room, k));
    // So much more has to be brought, or another choice that was found is as good.
    const target = loss - bestLoss + same;
    if (useful.length === 0 || useful.reduce((sum, k) => sum + gains[k]!, 0) <= target) return;
    if (bound.isAtMost(target, { open, room, items: useful })) return;
    if (++steps > MOST_STEPS) return;
    const decided = bound.decided(target, useful);
    const worthwhile = useful.filter((k) => !decided.out.has(k));
    if (worthwhile.length === 0) return;
    const certain = worthwhile.filter((k) => decided.in.has(k));
    const next = (certain.length > 0 ? certain : worthwhile).reduce((a, b) => (gains[b]! > gains[a]! ? b : a));
    const rest = worthwhile.filter((k) => k !== next);
    const after = Float64Array.from(open, (o, n) => Math.max(0, o - columns.covers[next]![n]!));
    search(
      rest,
      [...chosen, next],
      after,
      room.map((r, m) => r - columns.takes[m]![next]!),
    );
    if (certain.length === 0) search(rest, chosen, open, room);
  };
  search(
    items.map((_, k) => k),
    [],
    openAfter(columns, []),
    columns.limits,
  );
  const kept = withoutIdle(columns, items, lightened(columns, items, withoutIdle(columns, items, best, same), same), same).sort(
    (a, b) => a - b,
  );
  return { items: kept.map((k) => items[k]!.id), expectedLoss: lossOf(columns, openAfter(columns, kept)), proven: steps <= MOST_STEPS };
}

/** What is left to be expected with just these. */
export function expectedLossWith(question: KitQuestion, ids: readonly string[]): number {
  const columns = columnsOf(question);
  return lossOf(
    columns,
    openAfter(
      columns,
      ids.map((id) => question.items.findIndex((item) => item.id === id)),
    ),
  );
}

function checkQuestion({ needs, items, limits }: KitQuestion): void {
  const wrong = (what: string) => {
    throw new RangeError(what);
  };
  for (const { id, likelihood, loss } of needs)
    if (!(likelihood >= 0 && likelihood <= 1) || !(loss >= 0)) wrong(`need ${id}: a likelihood of 0 to 1, and a loss that is not negative`);
  for (const { id, massG, volumeL, price, covers } of items)
    if (![massG, volumeL, price].every((x) => x >= 0) || !Object.values(covers).every((share) => share >= 0 && share <= 1))
      wrong(`item ${id}: mass, volume and price that are not negative, and shares of 0 to 1`);
  for (const m of MEASURES) if (limits[m] !== undefined && !(limits[m] >= 0)) wrong(`limit ${m}: not negative`);
}
