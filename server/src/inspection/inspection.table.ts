import type { care } from '@bright-keeper/core';
import { sql } from 'drizzle-orm';
import { integer, pgTable, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { instant } from '../db/columns.js';
import { document } from '../db/document.js';
import { items } from '../gear/gear.table.js';
import { ANSWERS_DOCUMENT } from './inspection.documents.js';

export const looks = pgTable(
  'look',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    version: integer().notNull().default(1),
    at: text().$type<care.Surface>(),
    answers: document('answers', ANSWERS_DOCUMENT).notNull(),
    startedAt: instant('started_at').notNull(),
    finishedAt: instant('finished_at'),
  },
  // One open look for a thing: two browsers that start at once meet in the same one.
  (t) => [
    uniqueIndex('look_open')
      .on(t.itemId)
      .where(sql`finished_at is null`),
  ],
);
