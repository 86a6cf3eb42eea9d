import type { FieldNeedId } from './knowledge/needs.js';

/** An outing that is over, as far as its pictures were counted: over how many days, how many, with how many lens changes. */
export type CountedOuting = { days: number; frames: number | null; lensChanges: number | null };

/** How a keeper takes pictures, from the outings that were counted. */
export type Habits = {
  /** On how many outings pictures were counted, and on how many of these a day took more than a cell holds. */
  counted: number;
  beyondACell: number;
  /** Frames and lens changes on a day; null where none were counted. */
  framesADay: number | null;
  changesADay: number | null;
};

/** So many pictures a charged cell takes, roughly (our choice; ratings by CIPA DC-002 go from 300 to 900, from memory). */
export const FRAMES_A_CELL = 350;
/** So many lens changes a day the knowledge of grounds reckons with (our choice). */
const USUAL_CHANGES = 4;
/** What is believed before counts as much as so many outings or days (our choice). */
const PRIOR = 4;
/** No habit makes something more than three times as likely, or less than a third. */
const MOST_TIMES = 3;

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);

/** What outings that are over tell; those on which nothing was counted tell nothing. */
export function habitsOf(outings: readonly CountedOuting[]): Habits {
  const taken = outings.flatMap(({ days, frames }) => (frames === null ? [] : [{ days, frames }]));
  const changed = outings.flatMap(({ days, lensChanges }) => (lensChanges === null ? [] : [{ days, lensChanges }]));
  const aDay = (counts: readonly number[], days: readonly number[]): number | null =>
    counts.length === 0 ? null : sum(counts) / sum(days);
  return {
    counted: taken.length,
    beyondACell: taken.filter(({ days, frames }) => frames / days > FRAMES_A_CELL).length,
    framesADay: aDay(taken.map((o) => o.frames), taken.map((o) => o.days)), // prettier-ignore
    changesADay: aDay(changed.map((o) => o.lensChanges), changed.map((o) => o.days)), // prettier-ignore
  };
}

/**
 * How likely a need is on a day for this keeper, from how likely it is for anyone: an empty cell by how often a day took more
 * than one holds, a speck by how often the lens is changed. Both are drawn towards what is usual while few are counted.
 */
export function byHabit(need: FieldNeedId, aDay: number, habits: Habits | null): number {
  if (!habits || aDay === 0) return aDay;
  if (need === 'cell-empty') return (PRIOR * aDay + habits.beyondACell) / (PRIOR + habits.counted);
  if (need !== 'sensor-speck' || habits.changesADay === null) return aDay;
  const times = Math.min(MOST_TIMES, Math.max(1 / MOST_TIMES, habits.changesADay / USUAL_CHANGES));
  return Math.min(1, aDay * times);
}
