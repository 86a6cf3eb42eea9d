import type { care } from '@bright-keeper/core';
import { sql } from 'drizzle-orm';
import { integer, jsonb, pgTable, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { instant } from '../db/columns.js';
import { items } from '../gear/gear.table.js';

export const cleanings = pgTable(
  'cleaning',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    version: integer().notNull().default(1),
    /** The schools chosen for this cleaning alone, laid over those of the settings. */
    chosenSchools: jsonb('chosen_schools').$type<Partial<care.Schools>>().notNull().default({}),
    request: jsonb().$type<care.PlanRequest>().notNull(),
    // The plan as it was agreed on: a later change of knowledge must not move the ladder under a person standing on it.
    plan: jsonb().$type<care.CleaningPlan>().notNull(),
    events: jsonb().$type<care.BenchEvent[]>().notNull(),
    startedAt: instant('started_at').notNull(),
    finishedAt: instant('finished_at'),
  },
  (t) => [
    uniqueIndex('cleaning_open')
      .on(t.itemId)
      .where(sql`finished_at is null`),
  ],
);
