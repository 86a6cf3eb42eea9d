import { MS_PER_DAY } from '@bright-keeper/core';
/** So many of the latest days, weeks and months keep a backup each (the plan that is usual for a daily one). */
const DAYS = 7;
const WEEKS = 5;
const MONTHS = 12;

const dayOf = (at: Date): string => at.toISOString().slice(0, 10);
const monthOf = (at: Date): string => at.toISOString().slice(0, 7);
/** Weeks begin on Monday; the epoch was a Thursday. */
const weekOf = (at: Date): string => String(Math.floor((at.getTime() / MS_PER_DAY + 3) / 7));

/** The first of each of the latest spans. @param newestFirst what there is. */
function firstOfEach<T extends { at: Date }>(newestFirst: readonly T[], spanOf: (at: Date) => string, spans: number): T[] {
  const kept = new Map<string, T>();
  for (const one of newestFirst) {
    const span = spanOf(one.at);
    if (!kept.has(span) && kept.size === spans) break;
    // The oldest of a span is kept as the span's: it moves on only when the span does.
    kept.set(span, one);
  }
  return [...kept.values()];
}

/** A clock may be set a little; what is dated further ahead was written while it was wrong, or is read while it is, ms. */
export const CLOCK_MAY_BE_SET_MS = 3_600_000;

/**
 * Those that may go: neither the newest of all, nor one that stands for one of the latest days, weeks or months.
 *
 * @param latest what is dated later was written by a clock that ran ahead: it stays, and stands for no day.
 */
export function outlived<T extends { at: Date }>(all: readonly T[], latest: Date): T[] {
  const backups = all.filter(({ at }) => at <= latest);
  const newestFirst = [...backups].sort((a, b) => b.at.getTime() - a.at.getTime());
  const kept = new Set([
    ...newestFirst.slice(0, 1),
    ...firstOfEach(newestFirst, dayOf, DAYS),
    ...firstOfEach(newestFirst, weekOf, WEEKS),
    ...firstOfEach(newestFirst, monthOf, MONTHS),
  ]);
  return newestFirst.filter((one) => !kept.has(one));
}
