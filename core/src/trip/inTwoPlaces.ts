import { type Day, daysBetween } from '../schedule/index.js';
import { sameKit } from '../supplies/index.js';

/** When an outing is, and what comes along. */
export type GoesAlong = { id: string; from: Day; to: Day; kit: string | null; itemIds: readonly string[] };
/** Another outing of the same days, and what would have to be on both. */
export type AlsoOn<T> = { outing: T; itemIds: string[]; kit: string | null };

/** One may come home and leave again on one day. */
const SHARED_DAYS = 2;

const sharedDays = (a: Pick<GoesAlong, 'from' | 'to'>, b: Pick<GoesAlong, 'from' | 'to'>): number =>
  daysBetween(a.from > b.from ? a.from : b.from, a.to < b.to ? a.to : b.to) + 1;

/** What cannot be: a thing, or a kit, on two outings that share more than the day one ends and the other begins. */
export const alsoOn = <T extends GoesAlong>(outing: GoesAlong, others: readonly T[]): AlsoOn<T>[] =>
  others
    .filter((other) => other.id !== outing.id && sharedDays(outing, other) >= SHARED_DAYS)
    .map((other) => ({
      outing: other,
      itemIds: outing.itemIds.filter((id) => other.itemIds.includes(id)),
      kit: outing.kit !== null && sameKit(outing.kit, other.kit) ? outing.kit : null,
    }))
    .filter(({ itemIds, kit }) => itemIds.length > 0 || kit !== null);
