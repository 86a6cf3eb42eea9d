import type { care, gear } from '@bright-keeper/core';
import type { ItemStatus } from '@bright-keeper/contract';
import { sql } from 'drizzle-orm';
import {
  type AnyPgColumn,
  boolean,
  date,
  doublePrecision,
  index,
  integer,
  jsonb,
  pgTable,
  primaryKey,
  text,
  uniqueIndex,
  uuid,
} from 'drizzle-orm/pg-core';
import { blobs } from './blob.table.js';
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
    /** What it travels and lies with: a cap's lens, a cell's body. */
    belongsTo: uuid('belongs_to').references((): AnyPgColumn => items.id),
    archivedAt: instant('archived_at'),
    /** Why and since when it is the household's no more, and what came for it; all of it, or none. */
    goneWhy: text('gone_why').$type<gear.GoneReason>(),
    goneOn: date('gone_on', { mode: 'string' }),
    goneFor: doublePrecision('gone_for'),
    createdAt: instant('created_at').notNull(),
    updatedAt: instant('updated_at').notNull(),
  },
  (t) => [index('item_name').on(t.name), index('item_belongs_to').on(t.belongsTo)],
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

/** Pictures and papers of a thing. It is known by the picture that was chosen last, or else by its first. */
export const itemFiles = pgTable(
  'item_file',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id, { onDelete: 'cascade' }),
    blob: text()
      .notNull()
      .references(() => blobs.hash),
    role: text().$type<gear.FileRole>().notNull(),
    name: text().notNull(),
    at: instant('at').notNull(),
    chosenAt: instant('chosen_at'),
  },
  (t) => [uniqueIndex('item_file_once').on(t.itemId, t.blob), index('item_file_blob').on(t.blob)],
);
