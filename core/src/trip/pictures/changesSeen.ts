import { numberOf, type DatedPicture } from './picture.js';

/** Nobody changes a lens faster (our choice; twice as fast as practised hands): two lenses within it are two bodies. */
const FASTEST_CHANGE_S = 5;
/** A counter of four digits runs over; a step of more than half of it is one back. */
const COUNTER = 10_000;
/** Of so many steps one back is a counter set anew by hand; more are two counters (our choice). */
const STEPS_BACK_AT_MOST = 2;

/** A lens that came off, another that went on, and before which picture. */
export type ChangeSeen = { from: string; to: string; ms: number };

/** Pictures in order that tell their lens. */
const withLens = (pictures: readonly DatedPicture[]) => pictures.filter((p) => p.lens !== null) as (DatedPicture & { lens: string })[];

/**
 * Are these pictures, in order, of two bodies that do not tell their serial number? Then a lens seems to change faster than
 * hands can, or the numbers of their files go back and forth.
 */
export function isTwoBodies(pictures: readonly DatedPicture[]): boolean {
  if (pictures.every((p) => p.bodyIsCertain)) return false;
  const told = withLens(pictures);
  if (told.some((p, i) => i > 0 && p.lens !== told[i - 1]!.lens && p.ms - told[i - 1]!.ms < FASTEST_CHANGE_S * 1000)) return true;
  const numbers = pictures.map(numberOf).filter((n) => n !== null);
  const back = numbers.filter((n, i) => i > 0 && (n - numbers[i - 1]! + COUNTER) % COUNTER > COUNTER / 2);
  return back.length > STEPS_BACK_AT_MOST;
}

/**
 * The lens changes of one body, from its pictures in order: where two that follow each other tell two lenses. What was put
 * on and taken off without a picture, or does not tell its name, is not seen: there were at least so many. Null where no
 * picture tells its lens, or where they are of two bodies.
 */
export function changesSeen(pictures: readonly DatedPicture[]): ChangeSeen[] | null {
  const told = withLens(pictures);
  if (told.length === 0 || isTwoBodies(pictures)) return null;
  return told.flatMap((p, i) => {
    const before = told[i - 1];
    if (!before || before.lens === p.lens || p.ms - before.ms < FASTEST_CHANGE_S * 1000) return [];
    return [{ from: before.lens, to: p.lens, ms: p.ms }];
  });
}
