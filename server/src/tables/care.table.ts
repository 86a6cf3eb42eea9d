import type { care } from '@bright-keeper/core';
import { sql } from 'drizzle-orm';
import { integer, pgTable, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { instant, document } from '../db/index.js';
import { items } from './gear.table.js';
import { CHOSEN_SCHOOLS_DOCUMENT, EVENTS_DOCUMENT, PLAN_DOCUMENT, REQUEST_DOCUMENT } from './care.documents.js';

export const cleanings = pgTable(
  'cleaning',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    version: integer().notNull().default(1),
    /** The schools chosen for this cleaning alone, laid over those of the settings. */
    chosenSchools: document<Partial<care.Schools>>('chosen_schools', CHOSEN_SCHOOLS_DOCUMENT).notNull(),
    request: document<care.PlanRequest>('request', REQUEST_DOCUMENT).notNull(),
    // The plan as it was agreed on: a later change of knowledge must not move the ladder under a person standing on it.
    plan: document<care.CleaningPlan>('plan', PLAN_DOCUMENT).notNull(),
    events: document<care.BenchEvent[]>('events', EVENTS_DOCUMENT).notNull(),
    startedAt: instant('started_at').notNull(),
    finishedAt: instant('finished_at'),
  },
  (t) => [
    uniqueIndex('cleaning_open')
      .on(t.itemId)
      .where(sql`finished_at is null`),
  ],
);
