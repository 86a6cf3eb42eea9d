import { UNDOABLE, type JournalKind } from './journal.js';

/** Why an entry stands: what it did cannot be undone, or would be undone at the cost of something else. */
export const KEPT_REASONS = [
  'gone',
  'work-stands',
  'cleaned-since',
  'under-way',
  'split-off',
  'changed-since',
  'moved-since',
  'not-kept',
  'its-place-is-gone',
] as const;
export type KeptReason = (typeof KEPT_REASONS)[number];

/** Entries that only say something of a thing and changed nothing else. */
export const ONLY_SAID: readonly JournalKind[] = [...UNDOABLE, 'outdoors', 'left-for-home', 'neighbour-isolated'];

/** What may be taken back where nothing rests on it since; what was done at the bench was done. */
export const MAY_BE_TAKEN_BACK: readonly JournalKind[] = [
  ...ONLY_SAID,
  'edited',
  'moved',
  'stay-told',
  'look',
  'archived',
  'restored',
  'quarantined',
  'released',
];

/** So long the log offers it: a slip is noticed within days (our choice). */
export const OFFERED_BACK_DAYS = 14;
