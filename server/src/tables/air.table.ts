import type { ClimateEventData, DeviceSource, Forecast, Intake } from '@bright-keeper/contract';
import type { air, sources } from '@bright-keeper/core';
import { sql } from 'drizzle-orm';
import { boolean, date, doublePrecision, index, integer, jsonb, pgTable, primaryKey, text, uniqueIndex, uuid } from 'drizzle-orm/pg-core';
import { bytes, document, instant } from '../db/index.js';
import { INTAKE_DOCUMENT, LAST_WORD_DOCUMENT } from './air.documents.js';
import { places } from './places.table.js';

export const devices = pgTable('device', {
  id: uuid().primaryKey(),
  version: integer().notNull().default(1),
  name: text().notNull(),
  source: text().$type<DeviceSource>().notNull(),
  outdoor: boolean().notNull(),
  everyMinutes: doublePrecision('every_minutes').notNull(),
  note: text().notNull(),
  /** SHA-256 of the key it pushes with; the key itself is not kept. */
  tokenHash: text('token_hash'),
  forecast: jsonb().$type<Forecast>(),
  /** Where its readings are taken in from; null where it comes by itself or somebody brings them. */
  intake: document<Intake>('intake', INTAKE_DOCUMENT),
  lastWord: document<sources.LastWord>('last_word', LAST_WORD_DOCUMENT),
  /** Moves on with every change of readings or calibration, so that what was worked out from them is known to be old. */
  stamp: integer().notNull().default(1),
  createdAt: instant('created_at').notNull(),
  archivedAt: instant('archived_at'),
});

/** Where a device lay: its readings are of that place from then on. The first stay reaches back to the first reading. */
export const deviceStays = pgTable(
  'device_stay',
  {
    id: uuid().primaryKey(),
    deviceId: uuid('device_id')
      .notNull()
      .references(() => devices.id),
    placeId: uuid('place_id')
      .notNull()
      .references(() => places.id),
    since: instant('since').notNull(),
    until: instant('until'),
  },
  (t) => [
    uniqueIndex('device_stay_open')
      .on(t.deviceId)
      .where(sql`until is null`),
    index('device_stay_place').on(t.placeId),
  ],
);

/**
 * A day of readings in one row: 8 bytes a reading, and the day's hours summed up beside them. Millions of rows of
 * their own would take ten times the room and a hundred times as long to draw.
 */
export const readingDays = pgTable(
  'reading_day',
  {
    deviceId: uuid('device_id')
      .notNull()
      .references(() => devices.id),
    day: date({ mode: 'string' }).notNull(),
    count: integer().notNull(),
    readings: bytes('readings').notNull(),
    hours: bytes('hours').notNull(),
  },
  (t) => [primaryKey({ columns: [t.deviceId, t.day] })],
);

export const calibrations = pgTable(
  'calibration',
  {
    id: uuid().primaryKey(),
    deviceId: uuid('device_id')
      .notNull()
      .references(() => devices.id),
    at: instant('at').notNull(),
    points: jsonb().$type<air.SaltTest[]>().notNull(),
    note: text().notNull(),
  },
  (t) => [index('calibration_device').on(t.deviceId, t.at)],
);

/** What happened in a place (opened, gel set), or to a device's clock. */
export const climateEvents = pgTable(
  'climate_event',
  {
    id: uuid().primaryKey(),
    placeId: uuid('place_id').references(() => places.id),
    deviceId: uuid('device_id').references(() => devices.id),
    at: instant('at').notNull(),
    data: jsonb().$type<ClimateEventData>().notNull(),
  },
  (t) => [index('climate_event_place').on(t.placeId, t.at), index('climate_event_device').on(t.deviceId, t.at)],
);
