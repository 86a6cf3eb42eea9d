import { type ItemPage, type LookPhotos, routes, type ShelfItem, type SurfaceState } from '@bright-keeper/contract';
import { care, inspection, schedule } from '@bright-keeper/core';
import type { Waiting, WaitingPhoto } from './waiting';

type Thing = Pick<ShelfItem, 'kind' | 'traits' | 'surfaces'>;

/** What one piece of work that ended here makes known of a thing's surfaces. */
function knownFrom(waiting: Waiting, thing: Thing, schools: care.Schools | undefined): readonly inspection.Known[] {
  if (waiting.kind === 'look' && waiting.endedMs !== null) return inspection.knownFromLook(thing, waiting.look.answers, schools);
  if (waiting.kind !== 'cleaning' || waiting.endedMs === null) return [];
  const { plan, events, request } = waiting.cleaning;
  return inspection.knownFromCleaning(thing, thing.surfaces, {
    plan,
    outcomes: care.outcomesOf(plan, events),
    schools: request.schools,
  });
}

const merged = (before: readonly SurfaceState[], known: readonly inspection.Known[], atMs: number): SurfaceState[] => [
  ...before.filter(({ surface }) => !known.some((k) => k.surface === surface)),
  ...known.map((k) => ({ ...k, knownSince: new Date(atMs).toISOString() })),
];

const endedMs = (waiting: Waiting): number => ('endedMs' in waiting && waiting.endedMs !== null ? waiting.endedMs : waiting.keptMs);

/** A thing of the shelf with what was seen and done here since. */
export function shelfItemWith<I extends Thing>(item: I, ofIt: readonly Waiting[], schools: care.Schools | undefined): I {
  return ofIt.reduce((thing, waiting) => {
    const known = knownFrom(waiting, thing, schools);
    if (known.length === 0) return thing;
    const surfaces = merged(thing.surfaces, known, endedMs(waiting));
    return { ...thing, surfaces, verdict: care.gravestOf(surfaces) };
  }, item);
}

/** What happened here as the journal will tell it, as far as it moves what is expected on a thing. */
const told = (waiting: Waiting): Pick<schedule.Entry, 'data'>[] => {
  if (waiting.kind === 'happened') return [{ data: { kind: 'outdoors', happening: waiting.happened.happening } }];
  if (waiting.kind !== 'look' || waiting.endedMs === null) return [];
  const seen = waiting.look.answers.filter((a) => !a.noted).map(({ surface }) => surface);
  return [{ data: { kind: 'look', lookId: waiting.id, looked: seen.length, seen, verdicts: [], notes: [] } }];
};

/** What is expected on it: what was before, where nobody has looked here since, and what happened here. */
function notedWith(item: ItemPage, ofIt: readonly Waiting[]): schedule.Noted[] {
  const seen = new Set(ofIt.flatMap((w) => (w.kind === 'look' && w.endedMs !== null ? w.look.answers.map((a) => a.surface) : [])));
  const here = schedule.notedOutdoors(item, ofIt.flatMap(told));
  const before = item.noted.filter((n) => !seen.has(n.surface) && !here.some((h) => h.surface === n.surface && h.soil === n.soil));
  return [...before, ...here];
}

/** The page of a thing with what was seen, begun and done here since. */
export function itemPageWith(item: ItemPage, waiting: readonly Waiting[], schools: care.Schools | undefined): ItemPage {
  const ofIt = waiting.filter((w) => isAbout(w, item.id));
  if (ofIt.length === 0) return item;
  const open = (kind: 'look' | 'cleaning', before: string | null): string | null => {
    const here = ofIt.findLast((w) => w.kind === kind && w.endedMs === null);
    const isEnded = ofIt.some((w) => w.id === before && w.kind === kind && w.endedMs !== null);
    return here?.id ?? (isEnded ? null : before);
  };
  return {
    ...shelfItemWith(item, ofIt, schools),
    noted: notedWith(item, ofIt),
    openLookId: open('look', item.openLookId),
    openCleaningId: open('cleaning', item.openCleaningId),
  };
}

/** Whether it is about this thing. */
export const isAbout = (waiting: Waiting, itemId: string): boolean =>
  waiting.itemId === itemId || (waiting.kind === 'happened' && waiting.happened.itemIds.includes(itemId));

/** The photographs of a look with those that were taken here. */
export const photosWith = ({ photos }: LookPhotos, lookId: string, waiting: readonly Waiting[]): LookPhotos => {
  const here = waiting.filter((w): w is WaitingPhoto => w.kind === 'photo' && w.lookId === lookId);
  return {
    photos: [
      ...photos.filter(({ id }) => !here.some((w) => w.id === id)),
      ...here.map((w) => ({ id: w.id, surface: w.surface, blob: w.id, keepsAll: w.keepAll, at: new Date(w.keptMs).toISOString() })),
    ],
  };
};

/** Where a photograph that was taken here is found, as it is and small. */
export const picturesOf = (photoId: string): string[] => [routes.blob(photoId), routes.smallPicture(photoId)];
