import type { OfferState } from '@bright-keeper/contract';
import type { record } from '@bright-keeper/core';
import { integer, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { document, instant } from '../db/index.js';
import { items } from './gear.table.js';
import { OFFER_DOCUMENT } from './record.documents.js';

/** What was offered to the keeper, and what came of it. */
export const offers = pgTable('offer', {
  id: uuid().primaryKey(),
  version: integer().notNull().default(1),
  name: text().notNull(),
  seen: document<record.OfferSeen>('seen', OFFER_DOCUMENT).notNull(),
  note: text().notNull(),
  state: text().$type<OfferState>().notNull().default('open'),
  itemId: uuid('item_id').references(() => items.id),
  createdAt: instant('created_at').notNull(),
  updatedAt: instant('updated_at').notNull(),
});

/** Runs of the practice: of which case, and how many of its questions were answered rightly. */
export const practiceRuns = pgTable('practice_run', {
  id: uuid().primaryKey(),
  caseId: text('case_id').notNull(),
  asked: integer().notNull(),
  right: integer('answered_right').notNull(),
  at: instant('at').notNull(),
});
