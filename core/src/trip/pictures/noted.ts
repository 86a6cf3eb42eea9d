import type { Day } from '../../schedule/index.js';
import type { FoundOuting, UsedThing } from './outingsFrom.js';

/** An outing the household has noted, as far as pictures can say more of it. */
export type NotedOuting = {
  id: string;
  from: Day;
  to: Day;
  itemIds: readonly string[];
  frames: number | null;
  lensChanges: number | null;
  hours: number | null;
  used: Readonly<Record<string, UsedThing>>;
};
/**
 * What an outing found is to the household: new; noted, and the pictures say the same; noted, and they say more; noted with
 * more pictures than these: not all are here.
 */
export type FoundIs = 'new' | 'same' | 'more' | 'fewer';
export type Proposal = { found: FoundOuting; is: FoundIs; noted: string | null };

const overlapDays = (a: { from: Day; to: Day }, b: { from: Day; to: Day }): number => {
  const [from, to] = [a.from > b.from ? a.from : b.from, a.to < b.to ? a.to : b.to];
  return from > to ? 0 : Date.parse(to) - Date.parse(from) + 1;
};

const sumOf = (a: number | null, b: number | null): number | null => (a === null || b === null ? null : a + b);

/** Two of one noted outing are told as one: each alone would say too little of it. */
function together(a: FoundOuting, b: FoundOuting): FoundOuting {
  const used: Record<string, UsedThing> = { ...a.used };
  for (const [id, { frames, lensChanges }] of Object.entries(b.used)) {
    const before = used[id] ?? { frames: 0, lensChanges: 0 };
    used[id] = { frames: before.frames + frames, lensChanges: sumOf(before.lensChanges, lensChanges) };
  }
  return {
    from: a.from < b.from ? a.from : b.from,
    to: a.to > b.to ? a.to : b.to,
    firstMs: Math.min(a.firstMs, b.firstMs),
    lastMs: Math.max(a.lastMs, b.lastMs),
    frames: a.frames + b.frames,
    lensChanges: sumOf(a.lensChanges, b.lensChanges),
    hours: Math.round(10 * (a.hours + b.hours)) / 10,
    used,
  };
}

const isSameUse = (a: UsedThing | undefined, b: UsedThing): boolean => a?.frames === b.frames && a.lensChanges === b.lensChanges;

function isTo(found: FoundOuting, noted: NotedOuting, ours: (id: string) => boolean): FoundIs {
  const used = Object.entries(found.used).filter(([id]) => ours(id));
  const says =
    noted.frames === found.frames &&
    (found.lensChanges === null || noted.lensChanges === found.lensChanges) &&
    noted.hours === found.hours &&
    noted.from <= found.from &&
    noted.to >= found.to &&
    used.every(([id, of]) => noted.itemIds.includes(id) && isSameUse(noted.used[id], of));
  if (says) return 'same';
  return noted.frames !== null && noted.frames > found.frames ? 'fewer' : 'more';
}

/**
 * What was found beside what is noted, in order of time. Found and noted are one where they share days: with several the one
 * that shares most, then the earlier. What is taken in and found again is the same.
 *
 * @param ours which of the bodies and lenses are things of the household.
 */
export function besideNoted(found: readonly FoundOuting[], noted: readonly NotedOuting[], ours: (id: string) => boolean): Proposal[] {
  const whole = new Map<string, FoundOuting>();
  const fresh: Proposal[] = [];
  for (const one of found) {
    const [best] = noted
      .map((n) => ({ n, days: overlapDays(one, n) }))
      .filter(({ days }) => days > 0)
      .sort((a, b) => b.days - a.days || (a.n.from + a.n.id < b.n.from + b.n.id ? -1 : 1));
    if (!best) fresh.push({ found: one, is: 'new', noted: null });
    else {
      const before = whole.get(best.n.id);
      whole.set(best.n.id, before ? together(before, one) : one);
    }
  }
  const known = noted.flatMap((n): Proposal[] => {
    const one = whole.get(n.id);
    return one ? [{ found: one, is: isTo(one, n, ours), noted: n.id }] : [];
  });
  return [...fresh, ...known].sort((a, b) => a.found.firstMs - b.found.firstMs);
}
