import type { storage } from '@bright-keeper/core';
import { pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { instant } from '../db/index.js';
import { items } from './gear.table.js';

/** A wait that lands on Today: a thing warming in its bag. */
export const timers = pgTable('timer', {
  id: uuid().primaryKey(),
  /** What size it is, where that was said, and how it is wrapped. */
  size: text().$type<storage.TypicalThing>(),
  wrapping: text().$type<storage.Wrapping>().notNull(),
  itemId: uuid('item_id').references(() => items.id),
  startedAt: instant('started_at').notNull(),
  endsAt: instant('ends_at').notNull(),
});
