import type { ItemKind } from '../care/kinds/index.js';
import type { Surface } from '../care/knowledge/index.js';
import { sameMount, type Fitting } from './fit.js';
import type { AccessoryPart } from './particulars.js';
import { countOf } from './several.js';

/** A thing as far as its caps and its hood go. */
export type Holding = Fitting & {
  /** What it belongs to, and null where that is gone: what belonged to a lens that was sold is spare. */
  belongsTo: string | null;
  /** It has a hood of its own that is no thing of the shelf. */
  hoodFitted: boolean;
  /** Which of its caps were noted as lost. */
  lost: readonly Surface[];
};

/** A cap that is lost, how large it has to be, and the spare one that fits; null where there is none. */
export type CapWanted = { of: string; cap: Surface; size: { threadMm: number } | { mount: string } | null; spare: string | null };
export type CapsAndHoods = {
  wanted: CapWanted[];
  /** Caps and hoods that belong to nothing, and how many of each are left when the lost ones are replaced. */
  spare: { id: string; left: number }[];
  /** Lenses without a hood, where hoods are written down at all. */
  hoodless: string[];
};

type CapPart = Extract<AccessoryPart, 'front-cap' | 'rear-cap' | 'body-cap'>;
const isCap = (cap: string | undefined): cap is CapPart => cap === 'front-cap' || cap === 'rear-cap' || cap === 'body-cap';

/** How large a cap has to be: a front cap by the thread, a rear cap by the mount a thing goes on, a body cap by the one it takes. */
function sizeOf(cap: Surface, { particulars: { threadMm, mount, takesMount } }: Holding): CapWanted['size'] {
  if (cap === 'front-cap') return threadMm === undefined ? null : { threadMm };
  const own = cap === 'rear-cap' ? mount : cap === 'body-cap' ? takesMount : undefined;
  return own === undefined ? null : { mount: own };
}

/** Whether a spare cap is of this size: of a mount it is told on either side, since nobody says which side of a cap that is. */
function isOf(size: NonNullable<CapWanted['size']>, { particulars: { threadMm, mount, takesMount } }: Holding): boolean {
  if ('threadMm' in size) return threadMm === size.threadMm;
  return [mount, takesMount].some((own) => own !== undefined && sameMount(own) === sameMount(size.mount));
}

/** Sizes of the front caps that belong to nothing, or to what is not on the shelf any more, mm. */
export function spareCapsMm(shelf: readonly (Fitting & Pick<Holding, 'belongsTo'>)[]): number[] {
  const here = new Set(shelf.map(({ id }) => id));
  return shelf.flatMap(({ belongsTo, particulars: { part, threadMm } }) =>
    (belongsTo === null || !here.has(belongsTo)) && part === 'front-cap' && threadMm !== undefined ? [threadMm] : [],
  );
}

const HAS_A_HOOD: readonly ItemKind[] = ['lens'];

/**
 * Which caps are wanted, which lie spare and fit, and which lenses have no hood. A cap is wanted where its loss was noted,
 * never because nobody wrote it down; each spare one replaces one.
 */
export function capsAndHoods(shelf: readonly Holding[]): CapsAndHoods {
  const spare = shelf
    .filter(({ belongsTo, particulars: { part } }) => belongsTo === null && (isCap(part) || part === 'hood'))
    .map((thing) => ({ thing, left: countOf(thing.particulars) }));
  const wanted = shelf.flatMap((of) =>
    of.lost.map((cap): CapWanted => {
      const size = sizeOf(cap, of);
      const found = size && spare.find(({ thing, left }) => left > 0 && thing.particulars.part === cap && isOf(size, thing));
      if (found) found.left -= 1;
      return { of: of.id, cap, size, spare: found ? found.thing.id : null };
    }),
  );
  const hooded = new Set(shelf.flatMap(({ belongsTo, particulars }) => (particulars.part === 'hood' && belongsTo ? [belongsTo] : [])));
  const areHoodsTold = hooded.size > 0 || shelf.some((thing) => thing.hoodFitted || thing.particulars.part === 'hood');
  return {
    wanted,
    spare: spare.map(({ thing, left }) => ({ id: thing.id, left })),
    hoodless: areHoodsTold
      ? shelf.filter((thing) => HAS_A_HOOD.includes(thing.kind) && !thing.hoodFitted && !hooded.has(thing.id)).map(({ id }) => id)
      : [],
  };
}
