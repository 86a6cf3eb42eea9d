import type { Item } from '@bright-keeper/contract';
import { gear, type schedule } from '@bright-keeper/core';

export type Edited = Extract<schedule.JournalData, { kind: 'edited' }>;

const isSame = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** What an edit may change besides particulars. */
export const FIELDS = ['name', 'kind', 'traits', 'notes', 'acquiredOn', 'belongsTo'] as const;
export type Fields = Required<Pick<Item, (typeof FIELDS)[number] | 'particulars'>>;

/** The names of the fields and particulars in which two versions of a thing differ, and what stood there before. */
export function changesOf(before: Fields, after: Fields): Omit<Edited, 'kind'> {
  const fields = FIELDS.filter((field) => !isSame(before[field], after[field]));
  const told = gear.PARTICULAR_IDS.filter((id) => !isSame(before.particulars[id], after.particulars[id]));
  const was: gear.Particulars = Object.fromEntries(
    told.flatMap((id) => (before.particulars[id] === undefined ? [] : [[id, before.particulars[id]]])),
  );
  return {
    changed: [...fields, ...told],
    ...(Object.keys(was).length > 0 ? { was } : {}),
    ...(fields.length > 0 ? { before: Object.fromEntries(fields.map((field) => [field, before[field]])) } : {}),
  };
}

/** What is on the shelf again is not gone. */
export const BACK_ON_THE_SHELF = { archivedAt: null, goneWhy: null, goneOn: null, goneFor: null };
