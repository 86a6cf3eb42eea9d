import type { DatedPicture } from './picture.js';

/** How many pictures were taken with each value, the value rising. */
export type Tally = { value: number; frames: number }[];

function tallyOf(values: readonly (number | null)[], round: (value: number) => number): Tally {
  const counts = new Map<number, number>();
  for (const value of values) if (value !== null) counts.set(round(value), (counts.get(round(value)) ?? 0) + 1);
  return [...counts].map(([value, frames]) => ({ value, frames })).sort((a, b) => a.value - b.value);
}

/** Apertures as they are engraved, to a tenth; focal lengths to whole millimetres. */
export const aperturesOf = (pictures: readonly DatedPicture[]): Tally => tallyOf(pictures.map((p) => p.fNumber), (f) => Math.round(10 * f) / 10); // prettier-ignore
export const focalLengthsOf = (pictures: readonly DatedPicture[]): Tally =>
  tallyOf(
    pictures.map((p) => p.focalMm),
    Math.round,
  );

/**
 * The aperture that so many of the pictures do not go beyond: "nine in ten at f/8 or wider". Null without any.
 *
 * @param share 0 to 1.
 */
export function apertureOfShare(apertures: Tally, share: number): number | null {
  const all = apertures.reduce((sum, a) => sum + a.frames, 0);
  let seen = 0;
  for (const { value, frames } of apertures) {
    seen += frames;
    if (seen >= share * all) return value;
  }
  return null;
}

/**
 * Where within the range of a zoom no picture was taken: each gap by its ends, whole millimetres. Only gaps of a quarter of
 * the range count, by ratio as lengths are felt: 24 to 35 mm is as far as 70 to 100 (our choice). None without any picture.
 */
export function neverUsed({ fromMm, toMm }: { fromMm: number; toMm: number }, focalLengths: Tally): { fromMm: number; toMm: number }[] {
  const used = focalLengths.map((f) => f.value).filter((f) => f >= fromMm && f <= toMm);
  if (used.length === 0 || !(toMm > fromMm)) return [];
  const ends = [fromMm, ...used, toMm];
  const least = (toMm / fromMm) ** 0.25;
  return ends.slice(1).flatMap((end, i) => (end / ends[i]! >= least ? [{ fromMm: ends[i]!, toMm: end }] : []));
}
