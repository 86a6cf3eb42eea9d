import { dayOf, PLACE_STEP_DEGREES, type DatedPicture, type RoughPlace } from './picture.js';

/** Home is where pictures are of at least so many days, and of more days than anywhere else (our choice). */
const DAYS_AT_HOME = 5;

/** In the same field of the grid or one beside it: rounding may fall between two rooms of a house. */
export const isAtHome = (place: RoughPlace | null, home: RoughPlace): boolean =>
  place !== null &&
  Math.abs(place.latitude - home.latitude) < 1.5 * PLACE_STEP_DEGREES &&
  Math.abs(((place.longitude - home.longitude + 540) % 360) - 180) < 1.5 * PLACE_STEP_DEGREES;

/** Where most days have pictures, and how many days those are; null where no place stands out. */
export function homeOf(pictures: readonly DatedPicture[]): { place: RoughPlace; days: number } | null {
  const fields = new Map<string, { place: RoughPlace; days: Set<string> }>();
  for (const { place, ms } of pictures) {
    if (!place) continue;
    const key = `${place.latitude} ${place.longitude}`;
    const field = fields.get(key) ?? { place, days: new Set<string>() };
    fields.set(key, field);
    field.days.add(dayOf(ms));
  }
  const [first, second] = [...fields.values()].sort((a, b) => b.days.size - a.days.size);
  if (!first || first.days.size < DAYS_AT_HOME || first.days.size === second?.days.size) return null;
  return { place: first.place, days: first.days.size };
}
