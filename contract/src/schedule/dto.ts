import type { schedule } from '@bright-keeper/core';
import type { LogEntry } from '../gear/dto.js';

/** Everything that wants the keeper today, the gravest first. */
export type Today = {
  day: string;
  counts: { items: number; neverLooked: number };
  /** What is at hand: its window is open or over. */
  duties: schedule.Duty[];
  /** The next day at the bench; null where nothing is planned. */
  nextBench: { day: string; minutes: number; tasks: number; things: string[] } | null;
  /** What would be late after a week away, the costliest first. */
  beforeLeaving: schedule.Duty[];
  recent: (LogEntry & { itemName: string })[];
};
