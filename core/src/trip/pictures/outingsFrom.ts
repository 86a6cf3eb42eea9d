import type { Day } from '../../schedule/index.js';
import { MS_PER_HOUR } from '../../units.js';
import { changesSeen, type ChangeSeen } from './changesSeen.js';
import { isAtHome } from './home.js';
import { clockMs, dayOf, eachOnce, type DatedPicture, type Picture, type RoughPlace } from './picture.js';

/** A pause so long ends an outing, hours: longer than a night between two days out, shorter than a day at home (our choice). */
export const PAUSE_HOURS = 16;
/** Between pictures no further apart the gear was in use (our choice). */
const IN_USE_HOURS = 0.5;
/** No digital camera that writes its date is older: a clock that shows less was never set. */
const FIRST_DAY: Day = '1995-01-01';
/** Fewer pictures are a try at the window, not an outing, unless the keeper says so (our choice). */
export const FEW_PICTURES = 5;

/** How a body or a lens was used: of a lens its changes are those in which it came off or went on. Null where that is not seen. */
export type UsedThing = { frames: number; lensChanges: number | null };
export type FoundOuting = {
  from: Day;
  to: Day;
  /** What the clock showed at its first picture and its last one, milliseconds. */
  firstMs: number;
  lastMs: number;
  frames: number;
  /** How often a lens was changed while under way, at least; null where a body's pictures do not tell. */
  lensChanges: number | null;
  /** Time in use without the pauses, hours to a tenth. */
  hours: number;
  /** By body and by lens. */
  used: Record<string, UsedThing>;
};

/** Pictures no outing was made from, and why. */
export type SetAside = { undated: number; neverSet: number; ahead: number; twice: number; atHome: number };
export type OutingsFound = { outings: FoundOuting[]; aside: SetAside };
export type OutingOptions = {
  /** Default `PAUSE_HOURS`. */
  pauseHours?: number;
  /** Pictures taken there are of no outing, and end one. */
  home?: RoughPlace | null;
  /** The last day a picture can be of; what a clock dates later waits until that is set right. */
  today?: Day;
};

/** Pictures that are dated, each once and in order, and what was set aside. */
export type Dated = { pictures: DatedPicture[]; aside: SetAside };

/** Is a day one that the clock of a camera cannot have shown rightly? */
export const clockIsOff = (day: Day, today: Day | undefined): 'neverSet' | 'ahead' | null =>
  day < FIRST_DAY ? 'neverSet' : today !== undefined && day > today ? 'ahead' : null;

/** Sets aside what cannot be dated; the rest once each and in order. */
export function dated(pictures: readonly Picture[], today: Day | undefined): Dated {
  const aside = { undated: 0, neverSet: 0, ahead: 0, twice: 0, atHome: 0 };
  const read = pictures.flatMap((picture) => {
    const ms = clockMs(picture.takenAt);
    const why = ms === null ? 'undated' : clockIsOff(picture.takenAt.slice(0, 10), today);
    if (why) aside[why] += 1;
    return why ? [] : [{ ...picture, ms: ms! }];
  });
  const once = eachOnce(read);
  return { pictures: once, aside: { ...aside, twice: read.length - once.length } };
}

const groupBy = <T>(all: readonly T[], key: (one: T) => string | null): Map<string, T[]> => {
  const groups = new Map<string, T[]>();
  for (const one of all) {
    const of = key(one);
    if (of === null) continue;
    const there = groups.get(of);
    if (there) there.push(one);
    else groups.set(of, [one]);
  }
  return groups;
};

/**
 * How bodies and lenses were used, from pictures in order, and each change of a lens that is seen: null for a body whose
 * pictures do not tell.
 */
export function useOf(pictures: readonly DatedPicture[]): { used: Record<string, UsedThing>; changes: ChangeSeen[] | null } {
  const bodies = [...groupBy(pictures, (p) => p.body)].map(([id, of]) => ({ id, frames: of.length, changes: changesSeen(of) }));
  const isSeen = bodies.length > 0 && bodies.every((b) => b.changes !== null);
  const changes = bodies.flatMap((b) => b.changes ?? []);
  const lenses = [...groupBy(pictures, (p) => p.lens)].map(([id, of]) => ({
    id,
    frames: of.length,
    lensChanges: isSeen ? changes.filter((c) => c.from === id || c.to === id).length : null,
  }));
  const used = [...bodies.map((b) => ({ ...b, lensChanges: b.changes?.length ?? null })), ...lenses];
  return {
    used: Object.fromEntries(used.map(({ id, frames, lensChanges }) => [id, { frames, lensChanges }])),
    changes: isSeen ? changes : null,
  };
}

function hoursInUse(pictures: readonly DatedPicture[]): number {
  const gaps = pictures.slice(1).map((p, i) => (p.ms - pictures[i]!.ms) / MS_PER_HOUR);
  const inUse = gaps.filter((hours) => hours <= IN_USE_HOURS).reduce((sum, hours) => sum + hours, 0);
  return Math.max(0.1, Math.round(10 * inUse) / 10);
}

/** One outing of pictures in order. */
export function outingOf(pictures: readonly DatedPicture[]): FoundOuting {
  const { used, changes } = useOf(pictures);
  const [firstMs, lastMs] = [pictures[0]!.ms, pictures.at(-1)!.ms];
  return {
    from: dayOf(firstMs),
    to: dayOf(lastMs),
    firstMs,
    lastMs,
    frames: pictures.length,
    lensChanges: changes?.length ?? null,
    hours: hoursInUse(pictures),
    used,
  };
}

/**
 * The outings a heap of pictures is of, in order: what follows each other without a long pause, and, where home is known,
 * without a picture taken there. Each picture counts once, however often it is there.
 *
 * @throws RangeError for a pause that is not above 0.
 */
export function outingsFrom(frames: readonly Picture[], options: OutingOptions = {}): OutingsFound {
  return outingsOf(dated(frames, options.today), options);
}

/** The same of pictures that are dated already. */
export function outingsOf({ pictures, aside }: Dated, { pauseHours = PAUSE_HOURS, home = null }: OutingOptions): OutingsFound {
  if (!(pauseHours > 0)) throw new RangeError('pauseHours must be above 0');
  const runs: DatedPicture[][] = [];
  let open: DatedPicture[] | null = null;
  let atHome = 0;
  for (const picture of pictures) {
    if (home && isAtHome(picture.place, home)) {
      atHome += 1;
      open = null;
    } else if (open && picture.ms - open.at(-1)!.ms <= pauseHours * MS_PER_HOUR) open.push(picture);
    else runs.push((open = [picture]));
  }
  return { outings: runs.map(outingOf), aside: { ...aside, atHome } };
}
