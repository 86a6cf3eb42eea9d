import type { care, gear } from '@bright-keeper/core';
import type { ItemStatus } from '@bright-keeper/contract';
import { sql } from 'drizzle-orm';
import { boolean, date, index, integer, jsonb, pgTable, primaryKey, text, uuid } from 'drizzle-orm/pg-core';
import { instant, document } from '../db/index.js';
import { BECAUSE_DOCUMENT, PARTICULARS_DOCUMENT, TRAITS_DOCUMENT } from './gear.documents.js';

export const items = pgTable(
  'item',
  {
    id: uuid().primaryKey(),
    version: integer().notNull().default(1),
    name: text().notNull(),
    kind: text().$type<care.ItemKind>().notNull(),
    traits: document('traits', TRAITS_DOCUMENT).notNull(),
    particulars: document<gear.Particulars>('particulars', PARTICULARS_DOCUMENT)
      .notNull()
      .default(sql`'{"v":1,"data":{}}'::jsonb`),
    notes: text().notNull(),
    acquiredOn: date('acquired_on', { mode: 'string' }),
    status: text().$type<ItemStatus>().notNull().default('in-use'),
    archivedAt: instant('archived_at'),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [index('item_name').on(t.name)],
);

/** What is known of each surface, from the last look or clean. */
export const surfaceStates = pgTable(
  'surface_state',
  {
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    surface: text().$type<care.Surface>().notNull(),
    findings: jsonb().$type<Omit<care.Finding, 'surface'>[]>().notNull(),
    verdict: text().$type<care.Verdict>().notNull(),
    because: document('because', BECAUSE_DOCUMENT).notNull(),
    knownSince: instant('known_since').notNull(),
  },
  (t) => [primaryKey({ columns: [t.itemId, t.surface] })],
);

/** Each surface that was touched at a cleaning, and how often. */
export const contacts = pgTable(
  'contact',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    surface: text().$type<care.Surface>().notNull(),
    touches: integer().notNull(),
    withoutEvidence: boolean('without_evidence').notNull().default(false),
    at: instant('at').notNull(),
  },
  (t) => [index('contact_item_at').on(t.itemId, t.at)],
);
