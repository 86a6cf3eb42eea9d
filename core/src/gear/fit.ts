import type { ItemKind } from '../care/kinds/index.js';
import type { Particulars } from './particulars.js';

/** A thing as far as it matters to what goes on what. */
export type Fitting = { id: string; kind: ItemKind; particulars: Particulars };

/** One and the same mount, however it is written. */
export const sameMount = (mount: string | undefined): string => (mount ?? '').toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

const goesOn = (thing: Fitting): string => sameMount(thing.particulars.mount);
const takes = (thing: Fitting): string => sameMount(thing.particulars.takesMount);

/** What goes on a mount and takes one itself stands between two others: an adapter, a converter. */
const isBetween = (thing: Fitting): boolean => goesOn(thing) !== '' && takes(thing) !== '';

/** More between than this is a pile, not a camera (our choice). */
export const MOST_BETWEEN = 2;

/** A thing it goes on, and what stands between, the one nearest to it first. */
export type Joint = { on: string; through: string[] };

/**
 * What a thing goes on, with as little between as there is: directly where the mounts are the same, else through adapters
 * and converters that are there. Whether it is sharp at a distance is another matter: an adapter without glass that is
 * thicker than its mount allows brings it only close.
 */
export function goesOnWhat(thing: Fitting, shelf: readonly Fitting[]): Joint[] {
  if (goesOn(thing) === '' || isBetween(thing)) return [];
  const between = shelf.filter((other) => other.id !== thing.id && isBetween(other));
  const ends = shelf.filter((other) => other.id !== thing.id && takes(other) !== '' && !isBetween(other));
  const found = new Map<string, Joint>();
  let fronts: { mount: string; through: string[] }[] = [{ mount: goesOn(thing), through: [] }];
  for (let pieces = 0; pieces <= MOST_BETWEEN; pieces += 1) {
    for (const { mount, through } of fronts)
      for (const end of ends) if (takes(end) === mount && !found.has(end.id)) found.set(end.id, { on: end.id, through });
    fronts = fronts.flatMap(({ mount, through }) =>
      between
        .filter((piece) => takes(piece) === mount && !through.includes(piece.id))
        .map((piece) => ({ mount: goesOn(piece), through: [...through, piece.id] })),
    );
  }
  return [...found.values()];
}

/** How a filter comes before a lens: as it is, by the rings that are there, by one that is not there, or only by stepping down. */
export type FilterFit = 'direct' | 'by-rings' | 'ring-missing' | 'too-small';

const isRing = ({ particulars: { threadMm, takesThreadMm } }: Fitting): boolean => threadMm !== undefined && takesThreadMm !== undefined;
/** What has a thread in front into which something is screwed: rings and caps go into threads themselves. */
const hasThread = ({ kind, particulars: { threadMm } }: Fitting): boolean =>
  kind !== 'filter' && kind !== 'accessory' && threadMm !== undefined;

/** What is screwed together, before which thing, and by which rings from the lens outward. */
export type Screwed = { filter: string; before: string; fit: FilterFit; rings: string[] };

/** The rings that lead from one thread up to another, the fewest that do; null where those that are there do not. */
function ringsBetween(fromMm: number, toMm: number, rings: readonly Fitting[]): string[] | null {
  let ends: { mm: number; rings: string[] }[] = [{ mm: fromMm, rings: [] }];
  const reached = new Set([fromMm]);
  while (ends.length > 0) {
    const there = ends.find((end) => end.mm === toMm);
    if (there) return there.rings;
    const next: typeof ends = [];
    for (const end of ends)
      for (const ring of rings) {
        const { threadMm, takesThreadMm } = ring.particulars;
        // A ring that leads down stands in the picture's corners.
        if (threadMm !== end.mm || takesThreadMm! <= end.mm || reached.has(takesThreadMm!)) continue;
        reached.add(takesThreadMm!);
        next.push({ mm: takesThreadMm!, rings: [...end.rings, ring.id] });
      }
    ends = next;
  }
  return null;
}

/** Every filter before every lens: a filter that is larger wants a ring, one that is smaller shades the corners. */
export function filtersBefore(shelf: readonly Fitting[]): Screwed[] {
  const rings = shelf.filter(isRing);
  const filters = shelf.filter((thing) => thing.kind === 'filter' && thing.particulars.threadMm !== undefined);
  return shelf.filter(hasThread).flatMap((before) =>
    filters.map((filter): Screwed => {
      const [lensMm, filterMm] = [before.particulars.threadMm!, filter.particulars.threadMm!];
      const pair = { filter: filter.id, before: before.id };
      if (filterMm < lensMm) return { ...pair, fit: 'too-small', rings: [] };
      const through = ringsBetween(lensMm, filterMm, rings);
      if (through === null) return { ...pair, fit: 'ring-missing', rings: [] };
      return { ...pair, fit: through.length === 0 ? 'direct' : 'by-rings', rings: through };
    }),
  );
}

/** What the threads of a shelf come to, for whoever asks which rings to buy: each once, the smallest first. */
export function threadsOf(shelf: readonly Fitting[]): { threads: number[]; filters: number[]; rings: { from: number; to: number }[] } {
  const each = (things: readonly Fitting[]) => [...new Set(things.map((t) => t.particulars.threadMm!))].sort((a, b) => a - b);
  return {
    threads: each(shelf.filter(hasThread)),
    filters: each(shelf.filter((t) => t.kind === 'filter' && t.particulars.threadMm !== undefined)),
    rings: shelf.filter(isRing).map(({ particulars: { threadMm, takesThreadMm } }) => ({ from: threadMm!, to: takesThreadMm! })),
  };
}
