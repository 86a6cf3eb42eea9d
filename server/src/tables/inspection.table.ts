import type { care } from '@bright-keeper/core';
import { sql } from 'drizzle-orm';
import { boolean, index, integer, pgTable, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { blobs } from './blob.table.js';
import { instant, document } from '../db/index.js';
import { items } from './gear.table.js';
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

/** Photographs of what a look saw, surface by surface. */
export const lookPhotos = pgTable(
  'look_photo',
  {
    id: uuid().primaryKey(),
    lookId: uuid('look_id')
      .notNull()
      .references(() => looks.id, { onDelete: 'cascade' }),
    surface: text().$type<care.Surface>().notNull(),
    blob: text()
      .notNull()
      .references(() => blobs.hash),
    /** With what the camera wrote beside the picture, because the keeper wanted it. */
    keepsAll: boolean('keeps_all').notNull(),
    at: instant('at').notNull(),
  },
  (t) => [index('look_photo_look').on(t.lookId)],
);
