import type { FromPictures, Outing, OutingInput, ShelfItem } from '@bright-keeper/contract';
import { care, trip } from '@bright-keeper/core';
import { longDate } from '@bright-keeper/words';
import type { AllHeads } from './allHeads';

/** Which thing of the shelf a camera or lens of the files is; null where its pictures are left out, or the lens is none of theirs. */
export type Matches = Readonly<Record<string, string | null>>;
/** How long a pause ends an outing. */
export const PAUSES = ['6', '16', '40'] as const;
export type Pause = (typeof PAUSES)[number];
export const PAUSE_WORDS: Record<Pause, string> = {
  '6': 'Six hours',
  '16': 'A night (16 hours)',
  '40': 'A day without pictures (40 hours)',
};

const TAKES_PICTURES: readonly care.ItemKind[] = ['mirrorless-body', 'slr-body', 'compact', 'drone', 'phone'];
const IS_LENS: readonly care.ItemKind[] = ['lens'];
export const bodiesOf = (shelf: readonly ShelfItem[]): ShelfItem[] => shelf.filter((t) => TAKES_PICTURES.includes(t.kind));
export const lensesOf = (shelf: readonly ShelfItem[]): ShelfItem[] => shelf.filter((t) => IS_LENS.includes(t.kind));

const named = ({ id, name, particulars: { maker, model, serial } }: ShelfItem): trip.NamedThing => ({ id, name, maker, model, serial });
/** Which thing each of them is, as far as the shelf tells. */
export const matchesFrom = (says: ReadonlyMap<string, trip.FileSays>, things: readonly ShelfItem[]): Matches =>
  Object.fromEntries([...says].map(([key, of]) => [key, trip.whichThing(of, things.map(named)).id]));

/** "Skerrow M1, 4711": as its files say. */
export function saysWords({ maker, model, serial }: trip.FileSays): string {
  const whole =
    maker && model && !model.toLowerCase().startsWith(maker.toLowerCase()) ? `${maker} ${model}` : (model ?? maker ?? 'No name');
  return serial ? `${whole}, number ${serial}` : whole;
}

/**
 * The pictures of bodies that are things of the shelf, told by these things; a lens that is none of them keeps its own name,
 * so that its coming and going is still seen.
 */
export function picturesOf({ pictures }: AllHeads, bodies: Matches, lenses: Matches): trip.Picture[] {
  return pictures.flatMap((picture) => {
    const body = picture.body === null ? null : bodies[picture.body];
    if (!body) return [];
    return [{ ...picture, body, lens: picture.lens === null ? null : (lenses[picture.lens] ?? picture.lens) }];
  });
}

/** What an outing is called before its keeper calls it something. */
export const nameOf = ({ from, to }: { from: string; to: string }): string =>
  from === to ? longDate(from) : `${longDate(from)} to ${longDate(to)}`;

/** What the keeper says of an outing that was found: left out, or called and placed. */
export type Said = { take?: boolean; name?: string; place?: trip.GroundId };

/** Taken unless it is a handful of pictures, says nothing new, or says less than what is noted. */
export const isTaken = ({ found, is }: trip.Proposal, said: Said | undefined): boolean =>
  is !== 'same' && (said?.take ?? (is === 'more' || (is === 'new' && found.frames >= trip.FEW_PICTURES)));

/** Told apart by its first picture: it stays the same while others are read. */
export const keyOfFound = ({ found }: trip.Proposal): string => String(found.firstMs);

const usedOf = (found: trip.FoundOuting, ours: ReadonlySet<string>): Record<string, trip.UsedThing> =>
  Object.fromEntries(Object.entries(found.used).filter(([id]) => ours.has(id)));

function newOuting(found: trip.FoundOuting, said: Said | undefined, ours: ReadonlySet<string>): OutingInput {
  const used = usedOf(found, ours);
  const { from, to, frames, lensChanges, hours } = found;
  const name = said?.name?.trim() || nameOf(found);
  return { name, from, to, place: said?.place ?? 'other', itemIds: Object.keys(used), met: [], frames, lensChanges, hours, used, note: '' };
}

function outingWith(noted: Outing, found: trip.FoundOuting, ours: ReadonlySet<string>): Outing {
  const used = { ...noted.used, ...usedOf(found, ours) };
  return {
    ...noted,
    from: noted.from < found.from ? noted.from : found.from,
    to: noted.to > found.to ? noted.to : found.to,
    itemIds: [...new Set([...noted.itemIds, ...Object.keys(used)])],
    frames: found.frames,
    lensChanges: found.lensChanges ?? noted.lensChanges,
    hours: found.hours,
    used,
  };
}

/** What is sent: the outings that are new, and those that are noted with what the pictures say of them. */
export function takenIn(
  proposals: readonly trip.Proposal[],
  said: Readonly<Record<string, Said>>,
  noted: readonly Outing[],
  ours: ReadonlySet<string>,
): FromPictures {
  const taken = proposals.filter((p) => isTaken(p, said[keyOfFound(p)]));
  return {
    added: taken.filter((p) => p.noted === null).map((p) => newOuting(p.found, said[keyOfFound(p)], ours)),
    changed: taken.flatMap((p) => {
      const of = noted.find((n) => n.id === p.noted);
      return of ? [outingWith(of, p.found, ours)] : [];
    }),
  };
}

/** A lens with the focal lengths it covers, where those are known of it. */
export function rangeOf({ id, traits, particulars }: ShelfItem): trip.CarriedLens | null {
  const from = traits.focalMm;
  return typeof from === 'number' ? { id, fromMm: from, toMm: particulars.longestMm ?? from } : null;
}

export type FewestChanges = { made: number; oneBody: number; twoBodies: number };
/**
 * How often lenses were changed over all outings, and how few changes would have done for the same pictures with the lenses
 * that were along, on one body and on two. Only outings on which each lens is known by its range count; null without any.
 */
export function fewestOver(
  outings: readonly trip.FoundOuting[],
  pictures: readonly trip.Picture[],
  lenses: readonly trip.CarriedLens[],
): FewestChanges | null {
  const dated = pictures
    .map((p) => ({ ...p, ms: trip.clockMs(p.takenAt) ?? NaN }))
    .filter((p) => !Number.isNaN(p.ms))
    .sort((a, b) => a.ms - b.ms);
  const sum = { made: 0, oneBody: 0, twoBodies: 0 };
  let at = 0;
  for (const { firstMs, lastMs, lensChanges } of outings) {
    // Both are in order of time: one walk over the pictures serves all outings.
    while (at < dated.length && dated[at]!.ms < firstMs) at += 1;
    const begin = at;
    while (at < dated.length && dated[at]!.ms <= lastMs) at += 1;
    if (!lensChanges) continue;
    const of = dated.slice(begin, at).filter((p) => p.lens !== null);
    const along = [...new Set(of.map((p) => p.lens))].map((id) => lenses.find((l) => l.id === id));
    if (along.some((l) => l === undefined)) continue;
    const known = along as trip.CarriedLens[];
    // What a lens took lies in its range, whatever rounding the file tells: 34.9 mm of a 35.
    const within = (focalMm: number, { fromMm, toMm }: trip.CarriedLens) => Math.min(Math.max(focalMm, fromMm), toMm);
    const lengths = of.flatMap((p) =>
      p.focalMm === null
        ? []
        : [
            within(
              p.focalMm,
              known.find((l) => l.id === p.lens)!,
            ),
          ],
    );
    const wanted = lengths.filter((mm, i) => mm !== lengths[i - 1]);
    sum.made += lensChanges;
    sum.oneBody += Math.min(trip.fewestLensChanges({ wanted, lenses: known, bodies: 1 }).changes, lensChanges);
    sum.twoBodies += Math.min(trip.fewestLensChanges({ wanted, lenses: known, bodies: 2 }).changes, lensChanges);
  }
  return sum.made > 0 ? sum : null;
}
