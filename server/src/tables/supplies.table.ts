import type { care } from '@bright-keeper/core';
import { date, doublePrecision, integer, pgTable, text, timestamp, uuid } from 'drizzle-orm/pg-core';

/** The drawer: tools and materials with their mark, state and stock. */
export const supplies = pgTable('supply', {
  id: uuid().primaryKey(),
  version: integer().notNull().default(1),
  thing: text().$type<care.Tool | care.Material>().notNull(),
  role: text().$type<care.ToolRole>().notNull(),
  state: text().$type<'clean' | 'dirty'>().notNull(),
  usesSinceWash: integer('uses_since_wash').notNull().default(0),
  stock: integer(),
  packSize: integer('pack_size'),
  packPrice: doublePrecision('pack_price'),
  openedOn: date('opened_on', { mode: 'string' }),
  widthMm: doublePrecision('width_mm'),
  note: text().notNull(),
  /** In which kit it lies, by its name; null in the drawer at home. */
  kit: text(),
  createdAt: timestamp('created_at', { withTimezone: true, precision: 3 }).notNull(),
});
