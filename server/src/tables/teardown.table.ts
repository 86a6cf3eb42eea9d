import type { care } from '@bright-keeper/core';
import { sql } from 'drizzle-orm';
import { integer, pgTable, primaryKey, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { blobs } from './blob.table.js';
import { instant, document } from '../db/index.js';
import { items } from './gear.table.js';
import { STAGES_DOCUMENT } from './care.documents.js';

export const teardowns = pgTable(
  'teardown',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    version: integer().notNull().default(1),
    depth: text().$type<care.Depth>().notNull(),
    phase: text().$type<care.TeardownPhase>().notNull().default('opening'),
    stages: document('stages', STAGES_DOCUMENT).notNull(),
    startedAt: instant('started_at').notNull(),
    finishedAt: instant('finished_at'),
  },
  (t) => [
    uniqueIndex('teardown_open')
      .on(t.itemId)
      .where(sql`finished_at is null`),
  ],
);

export const teardownPhotos = pgTable(
  'teardown_photo',
  {
    teardownId: uuid('teardown_id')
      .notNull()
      .references(() => teardowns.id, { onDelete: 'cascade' }),
    stageId: uuid('stage_id').notNull(),
    blob: text()
      .notNull()
      .references(() => blobs.hash),
  },
  (t) => [primaryKey({ columns: [t.teardownId, t.stageId] })],
);
