/** A step ring: screwed into a thread, it takes filters of a larger one; mm. One that is owned costs nothing more. */
export type StepRing = { from: number; to: number; price?: number; owned?: boolean };

export type Rings = {
  /** Those to have, owned ones among them where they are of use. */
  rings: [from: number, to: number][];
  /** Nothing fewer, and of as few nothing cheaper, does it. */
  proven: boolean;
  /** Which thread none of the rings lead up to which filter. A filter smaller than a thread is no question: it shades the corners. */
  unmet: [thread: number, filter: number][];
};

/** So many steps the search may take, half a second or so: a bag of lenses takes a few. */
const MOST_STEPS = 3000;

type Pair = readonly [from: number, to: number];

/** Every ring between two of these sizes that leads up, as they are sold. */
export function ringsBetween(sizesMm: readonly number[]): StepRing[] {
  const sizes = [...new Set(sizesMm)].sort((a, b) => a - b);
  return sizes.flatMap((from) => sizes.filter((to) => to > from).map((to) => ({ from, to })));
}

/** What a ring costs more than is spent already. */
const dearness = (ring: StepRing): number => (ring.owned ? 0 : (ring.price ?? 0));

const priceOf = (rings: readonly StepRing[]): number => rings.reduce((sum, ring) => sum + dearness(ring), 0);

/** Of two rings of the same sizes the one that costs less; none that leads down or nowhere. */
function useful(rings: readonly StepRing[]): StepRing[] {
  const best = new Map<string, StepRing>();
  for (const ring of rings) {
    if (!(ring.to > ring.from)) continue;
    const key = `${ring.from}/${ring.to}`;
    const other = best.get(key);
    const isBetter = !other || (ring.owned && !other.owned) || (ring.owned === other.owned && dearness(ring) < dearness(other));
    if (isBetter) best.set(key, ring);
  }
  return [...best.values()];
}

/** All sizes that rings lead up to from one, or down to from one, itself among them. */
export function reach(start: number, rings: readonly StepRing[], way: 'up' | 'down'): Set<number> {
  const [here, there] = way === 'up' ? (['from', 'to'] as const) : (['to', 'from'] as const);
  const reached = new Set([start]);
  for (let grew = true; grew;) {
    grew = false;
    for (const ring of rings)
      if (reached.has(ring[here]) && !reached.has(ring[there])) {
        reached.add(ring[there]);
        grew = true;
      }
  }
  return reached;
}

/** In how many groups sizes hang together by pairs. */
function groupsOf(sizes: ReadonlySet<number>, pairs: readonly Pair[]): number {
  const leader = new Map<number, number>();
  const find = (size: number): number => {
    let top = size;
    for (let up = leader.get(top); up !== undefined && up !== top; up = leader.get(top)) top = up;
    return top;
  };
  for (const [a, b] of pairs) leader.set(find(a), find(b));
  return new Set([...sizes].map(find)).size;
}

/**
 * The fewest step rings (of as few, the cheapest) with which every filter comes before every thread it is not too small
 * for; rings may be screwed into each other. Filters and threads that have to do with each other hang together by rings, so
 * there is at least one ring for each of them but one (a spanning tree): with that bound a search over what rings could
 * lead to an unmet pair proves the answer.
 *
 * @param question sizes in mm; prices in any one currency.
 */
export function fewestRings({
  threads,
  filters,
  rings,
}: {
  threads: readonly number[];
  filters: readonly number[];
  rings: readonly StepRing[];
}): Rings {
  const all = useful(rings);
  const asked = [...new Set(threads)].flatMap((t) => [...new Set(filters)].filter((f) => f > t).map((f) => [t, f] as const));
  const leadsTo = new Map([...new Set(threads)].map((t) => [t, reach(t, all, 'up')]));
  const [pairs, unmet] = [asked.filter(([t, f]) => leadsTo.get(t)!.has(f)), asked.filter(([t, f]) => !leadsTo.get(t)!.has(f))];
  const owned = all.filter((r) => r.owned);
  const bought = new Search(pairs, owned, all).run();
  return { rings: withoutIdle([...owned, ...bought.rings], pairs), proven: bought.proven, unmet: unmet.map(([t, f]) => [t, f]) };
}

const meets = (rings: readonly StepRing[], pairs: readonly Pair[]): boolean => pairs.every(([t, f]) => reach(t, rings, 'up').has(f));

/** An owned ring that nothing needs stays in its drawer; what is bought is needed. */
function withoutIdle(rings: readonly StepRing[], pairs: readonly Pair[]): [number, number][] {
  let kept = [...rings];
  for (const ring of rings.filter((r) => r.owned)) {
    const without = kept.filter((r) => r !== ring);
    if (meets(without, pairs)) kept = without;
  }
  return kept.map(({ from, to }) => [from, to] as [number, number]).sort(([a, b], [c, d]) => a - c || b - d);
}

class Search {
  private steps = 0;
  private best: { rings: StepRing[]; price: number } | null = null;
  private readonly sizes: ReadonlySet<number>;
  private readonly cheapest: number;

  constructor(
    private readonly pairs: readonly Pair[],
    private readonly owned: readonly StepRing[],
    private readonly all: readonly StepRing[],
  ) {
    this.sizes = new Set(pairs.flat());
    this.cheapest = Math.min(...all.filter((r) => !r.owned).map(dearness), Infinity);
  }

  run(): { rings: StepRing[]; proven: boolean } {
    this.begin();
    this.go([], this.all);
    return { rings: this.best?.rings ?? [], proven: this.steps <= MOST_STEPS };
  }

  /** What is left when one ring after another is put back that is not needed: straight ones kept first, then short ones, then cheap ones. */
  private begin(): void {
    const span = (r: StepRing) => r.to - r.from;
    const orders = [(a: StepRing, b: StepRing) => span(a) - span(b), (a: StepRing, b: StepRing) => span(b) - span(a)];
    for (const order of [...orders, (a: StepRing, b: StepRing) => dearness(b) - dearness(a)]) {
      let rings = this.all.filter((r) => !r.owned);
      for (const ring of [...rings].sort(order)) {
        const without = rings.filter((r) => r !== ring);
        if (meets([...this.owned, ...without], this.pairs)) rings = without;
      }
      const price = priceOf(rings);
      if (this.isBetter(rings.length, price)) this.best = { rings, price };
    }
  }

  private go(bought: readonly StepRing[], left: readonly StepRing[]): void {
    this.steps += 1;
    if (this.steps > MOST_STEPS) return;
    const have = [...this.owned, ...bought];
    const open = this.pairs.find(([t, f]) => !reach(t, have, 'up').has(f));
    const price = priceOf(bought);
    if (!open) {
      if (this.isBetter(bought.length, price)) this.best = { rings: [...bought], price };
      return;
    }
    const ringsOf = have.map((r) => [r.from, r.to] as const);
    const missing = groupsOf(this.sizes, ringsOf) - groupsOf(this.sizes, [...ringsOf, ...this.pairs]);
    const least = Math.max(1, missing);
    if (!this.isBetter(bought.length + least, price + least * this.cheapest)) return;
    const [thread, filter] = open;
    // Whatever leads there in the end comes in at one of these; the straight one first, since a pile of rings shades corners.
    const before = reach(filter, have, 'down');
    const from = reach(thread, [...have, ...left], 'up');
    if (!from.has(filter)) return;
    const straight = (r: StepRing) => Number(r.from === thread) + Number(r.to === filter);
    const entries = left
      .filter((r) => before.has(r.to) && !before.has(r.from) && from.has(r.from))
      .sort((a, b) => straight(b) - straight(a) || dearness(a) - dearness(b));
    let rest = left;
    for (const entry of entries) {
      rest = rest.filter((r) => r !== entry);
      this.go([...bought, entry], rest);
    }
  }

  private isBetter(count: number, price: number): boolean {
    if (!this.best) return true;
    const fewest = this.best.rings.length;
    return count < fewest || (count === fewest && price < this.best.price - 1e-9);
  }
}
