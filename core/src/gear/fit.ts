import type { ItemKind } from '../care/kinds/index.js';
import type { Particulars } from './particulars.js';

/** A thing as far as it matters to what goes on what. */
export type Fitting = { id: string; kind: ItemKind; particulars: Particulars };

/** One and the same mount, however it is written. */
export const sameMount = (mount: string | undefined): string => (mount ?? '').toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** What goes on a mount and takes one itself stands between two others: an adapter, a converter. */
type Between = { id: string; goesOn: string; takes: string };
/** The mounts of a shelf, each read once. */
type Mounts = { goers: { id: string; goesOn: string }[]; between: Between[]; ends: Map<string, string[]> };

function mountsOf(shelf: readonly Fitting[]): Mounts {
  const mounts: Mounts = { goers: [], between: [], ends: new Map() };
  for (const { id, particulars } of shelf) {
    // A cap or a hood has a mount, and is no camera.
    if (particulars.part !== undefined) continue;
    const [goesOn, takes] = [sameMount(particulars.mount), sameMount(particulars.takesMount)];
    if (goesOn !== '' && takes !== '') mounts.between.push({ id, goesOn, takes });
    else if (goesOn !== '') mounts.goers.push({ id, goesOn });
    else if (takes !== '') mounts.ends.set(takes, [...(mounts.ends.get(takes) ?? []), id]);
  }
  return mounts;
}

/** More between than this is a pile, not a camera (our choice). */
export const MOST_BETWEEN = 2;

/** A thing, what it goes on, and what stands between, the one nearest to it first. */
export type Joint = { thing: string; on: string; through: string[] };

/** What a mount goes on, with as little between as there is. */
function endsOf(mount: string, { between, ends }: Mounts): Omit<Joint, 'thing'>[] {
  const found = new Map<string, string[]>();
  let fronts: { mount: string; through: string[] }[] = [{ mount, through: [] }];
  for (let pieces = 0; pieces <= MOST_BETWEEN; pieces += 1) {
    for (const front of fronts) for (const id of ends.get(front.mount) ?? []) if (!found.has(id)) found.set(id, front.through);
    fronts = fronts.flatMap((front) =>
      between
        .filter((piece) => piece.takes === front.mount && !front.through.includes(piece.id))
        .map((piece) => ({ mount: piece.goesOn, through: [...front.through, piece.id] })),
    );
  }
  return [...found].map(([on, through]) => ({ on, through }));
}

/**
 * What goes on what: directly where the mounts are the same, else through adapters and converters that are there, as few as
 * do. Whether it is sharp at a distance is another matter: an adapter without glass that is thicker than its mount allows
 * brings it only close.
 */
export function jointsOf(shelf: readonly Fitting[]): Joint[] {
  const mounts = mountsOf(shelf);
  const known = new Map<string, Omit<Joint, 'thing'>[]>();
  return mounts.goers.flatMap(({ id, goesOn }) => {
    const ends = known.get(goesOn) ?? endsOf(goesOn, mounts);
    known.set(goesOn, ends);
    return ends.map((end) => ({ thing: id, ...end }));
  });
}

/** What has a mount to go on that nothing on the shelf takes. */
export function onNothing(shelf: readonly Fitting[]): string[] {
  const going = new Set(jointsOf(shelf).map((joint) => joint.thing));
  return mountsOf(shelf)
    .goers.map(({ id }) => id)
    .filter((id) => !going.has(id));
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

/**
 * Every filter before every lens: a filter that is larger wants a ring, one that is smaller shades the corners.
 *
 * @param of only the pairs this thing is one of, or the ring between.
 */
export function filtersBefore(shelf: readonly Fitting[], of: string | null = null): Screwed[] {
  const rings = shelf.filter(isRing);
  const filters = shelf.filter((thing) => thing.kind === 'filter' && thing.particulars.threadMm !== undefined);
  const known = new Map<string, string[] | null>();
  const ringsFor = (lensMm: number, filterMm: number): string[] | null => {
    const key = `${lensMm}/${filterMm}`;
    if (!known.has(key)) known.set(key, ringsBetween(lensMm, filterMm, rings));
    return known.get(key)!;
  };
  const hasPart = (...ids: string[]) => of === null || ids.includes(of);
  return shelf.filter(hasThread).flatMap((before) =>
    filters.flatMap((filter): Screwed[] => {
      const [lensMm, filterMm] = [before.particulars.threadMm!, filter.particulars.threadMm!];
      const through = filterMm < lensMm ? [] : ringsFor(lensMm, filterMm);
      if (!hasPart(before.id, filter.id, ...(through ?? []))) return [];
      const fit: FilterFit =
        filterMm < lensMm ? 'too-small' : through === null ? 'ring-missing' : through.length === 0 ? 'direct' : 'by-rings';
      return [{ filter: filter.id, before: before.id, fit, rings: through ?? [] }];
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
