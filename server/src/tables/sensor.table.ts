import { doublePrecision, index, integer, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { blobs } from './blob.table.js';
import { instant, document } from '../db/index.js';
import { items } from './gear.table.js';
import { FRAME_DOCUMENT } from './sensor.documents.js';

const item = () =>
  uuid('item_id')
    .notNull()
    .references(() => items.id);

/** Frames of a plain bright surface: what a sensor's dust was at a time. */
export const sensorFrames = pgTable(
  'sensor_frame',
  {
    id: uuid().primaryKey(),
    itemId: item(),
    version: integer().notNull().default(1),
    takenAt: instant('taken_at').notNull(),
    data: document('data', FRAME_DOCUMENT).notNull(),
    preview: text().references(() => blobs.hash),
    original: text().references(() => blobs.hash),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [index('sensor_frame_item').on(t.itemId, t.takenAt)],
);

/** Places of a sensor that are no dust: broken pixels, what somebody knows better. */
export const dismissedSpots = pgTable(
  'dismissed_spot',
  { id: uuid().primaryKey(), itemId: item(), x: doublePrecision().notNull(), y: doublePrecision().notNull(), at: instant('at').notNull() },
  (t) => [index('dismissed_spot_item').on(t.itemId)],
);

/** Tests of veiling glare. */
export const glareTests = pgTable(
  'glare_test',
  {
    id: uuid().primaryKey(),
    itemId: item(),
    takenAt: instant('taken_at').notNull(),
    glarePct: doublePrecision('glare_pct').notNull(),
    lowPct: doublePrecision('low_pct').notNull(),
    highPct: doublePrecision('high_pct').notNull(),
    blackPct: doublePrecision('black_pct').notNull(),
    fNumber: doublePrecision('f_number'),
    iso: doublePrecision(),
    exposureS: doublePrecision('exposure_s'),
    body: text(),
    style: text(),
    note: text().notNull(),
  },
  (t) => [index('glare_test_item').on(t.itemId, t.takenAt)],
);
