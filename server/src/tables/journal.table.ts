import type { schedule } from '@bright-keeper/core';
import { index, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { instant, document } from '../db/index.js';
import { JOURNAL_DOCUMENT } from './journal.documents.js';

/** What was done, and what happened, to whatever it happened to. An entry is never changed: it is taken back by another. */
export const journalEntries = pgTable(
  'journal_entry',
  {
    id: uuid().primaryKey(),
    subject: text().$type<schedule.SubjectKind>().notNull(),
    subjectId: uuid('subject_id').notNull(),
    at: instant('at').notNull(),
    /** Who wrote it, as they were called then; null where there was nobody to be told from. */
    keeper: text(),
    data: document<schedule.JournalData>('data', JOURNAL_DOCUMENT).notNull(),
  },
  (t) => [index('journal_subject_at').on(t.subject, t.subjectId, t.at), index('journal_at').on(t.at)],
);
