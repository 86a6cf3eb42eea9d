import type { storage } from '@bright-keeper/core';
import { sql } from 'drizzle-orm';
import { doublePrecision, index, integer, pgTable, text, uniqueIndex, uuid, type AnyPgColumn } from 'drizzle-orm/pg-core';
import { instant } from '../db/index.js';
import { items } from './gear.table.js';

export const places = pgTable('place', {
  id: uuid().primaryKey(),
  version: integer().notNull().default(1),
  name: text().notNull(),
  kind: text().$type<storage.PlaceKind>().notNull(),
  volumeL: doublePrecision('volume_l').notNull(),
  airChangesPerDay: doublePrecision('air_changes_per_day'),
  openingsPerWeek: doublePrecision('openings_per_week').notNull(),
  lining: text().$type<storage.Lining>().notNull(),
  lowPct: doublePrecision('low_pct').notNull(),
  highPct: doublePrecision('high_pct').notNull(),
  standsInId: uuid('stands_in_id').references((): AnyPgColumn => places.id),
  note: text().notNull(),
  createdAt: instant('created_at').notNull(),
  archivedAt: instant('archived_at'),
});

/** Every stay of every thing, so that exposure follows the thing. */
export const stays = pgTable(
  'stay',
  {
    id: uuid().primaryKey(),
    itemId: uuid('item_id')
      .notNull()
      .references(() => items.id),
    placeId: uuid('place_id')
      .notNull()
      .references(() => places.id),
    since: instant('since').notNull(),
    until: instant('until'),
  },
  (t) => [
    // A thing lies in one place at a time.
    uniqueIndex('stay_open')
      .on(t.itemId)
      .where(sql`until is null`),
    index('stay_place').on(t.placeId),
  ],
);
