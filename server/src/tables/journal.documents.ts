import { journalData } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { defineDocument } from '../db/index.js';
import { dueBecauseFromV1, type DueV1 } from './dueBecauseFromV1.js';

/** A task that was kept with its day and its reasons, before due days were derived. */
type DueTask = { kind: 'due-task'; task: string; because: { v: number; data: unknown } };
const isDueTask = (data: unknown): data is DueTask => (data as { kind: string }).kind === 'due-task';

/** The cause that a kept task told, as the entry it would be today. */
function causeOf({ task, because }: DueTask): schedule.JournalData {
  const told = because.v === 1 ? dueBecauseFromV1(because.data as DueV1) : (because.data as schedule.DueBecause[]);
  if (task === 'home-care') {
    const surfaces = told.flatMap((b) => (b.because === 'left-in-the-field' ? b.surfaces : []));
    return { kind: 'left-for-home', surfaces: [...new Set(surfaces)] };
  }
  const shared = told.find((b) => b.because === 'shared-a-place');
  return { kind: 'neighbour-isolated', name: shared?.because === 'shared-a-place' ? shared.name : null };
}

/** An entry of the journal. */
export const JOURNAL_DOCUMENT = defineDocument<schedule.JournalData>({
  name: 'journal_entry.data',
  version: 2,
  schema: journalData,
  upgrades: { 1: (data) => (isDueTask(data) ? causeOf(data) : data) },
});
