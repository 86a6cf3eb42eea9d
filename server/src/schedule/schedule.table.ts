import type { schedule } from '@bright-keeper/core';
import { date, index, integer, pgTable, text, unique, uuid } from 'drizzle-orm/pg-core';
import { document } from '../db/document.js';
import { items } from '../gear/gear.table.js';
import { DUE_DOCUMENT } from './schedule.documents.js';

/** What is due when: one row for each recurring task of a thing, moved on whenever it is done. */
export const dueTasks = pgTable(
  'due_task',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    task: text().$type<schedule.TaskId>().notNull(),
    earliest: date({ mode: 'string' }).notNull(),
    due: date({ mode: 'string' }).notNull(),
    latest: date({ mode: 'string' }).notNull(),
    minutes: integer().notNull(),
    because: document('because', DUE_DOCUMENT).notNull(),
  },
  (t) => [unique('due_item_task').on(t.itemId, t.task), index('due_day').on(t.due)],
);
