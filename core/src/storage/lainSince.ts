import { MS_PER_DAY } from '../units.js';

/** A thing that lies in a place: since when, when it came on the shelf, and when it was bought where that is known. */
export type Newcomer = {
  id: string;
  placeId: string;
  since: string;
  addedAt: string;
  acquiredOn: string | null;
  /** It lay nowhere before, as far as was told. */
  isFirst: boolean;
};

/** A shelf that begins is asked about for a month, and its things were put in their places within a day of coming on it. */
const ASKED_FOR_DAYS = 30;
const PLACED_WITHIN_DAYS = 1;
/** What was bought within a month of coming on the shelf lay nowhere else before. */
const NEW_WITHIN_DAYS = 30;
/** So many at once are a shelf that begins; one or two are bought now and then (our choice). */
export const FEWEST_LONG_OWNED = 3;

const daysBetween = (from: string, to: string): number => (Date.parse(to) - Date.parse(from)) / MS_PER_DAY;

/**
 * Things that lie where they do since they came on the shelf, and were most likely owned and kept there long before: what the
 * air was then says something about them only when that is told. None where they are fewer than a shelf that begins.
 *
 * @param now instant.
 */
export function longOwned<T extends Newcomer>(lying: readonly T[], now: string): T[] {
  const asked = lying.filter(
    ({ since, addedAt, acquiredOn, isFirst }) =>
      isFirst &&
      Math.abs(daysBetween(addedAt, since)) <= PLACED_WITHIN_DAYS &&
      daysBetween(addedAt, now) <= ASKED_FOR_DAYS &&
      (acquiredOn === null || daysBetween(acquiredOn, addedAt) > NEW_WITHIN_DAYS),
  );
  return asked.length >= FEWEST_LONG_OWNED ? asked : [];
}

/** Since when a thing lies somewhere that is told for many at once: not before it was bought. Instants. */
export const sinceForOne = (told: string, acquiredOn: string | null): string =>
  acquiredOn !== null && Date.parse(acquiredOn) > Date.parse(told) ? `${acquiredOn}T12:00:00.000Z` : told;
