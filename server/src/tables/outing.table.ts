import type { schedule, trip } from '@bright-keeper/core';
import { date, doublePrecision, index, integer, jsonb, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { instant } from '../db/index.js';

/** Outings in short form: what came along, what it met, how much it was used. */
export const outings = pgTable(
  'outing',
  {
    id: uuid().primaryKey(),
    version: integer().notNull().default(1),
    name: text().notNull(),
    from: date('from_day', { mode: 'string' }).notNull(),
    to: date('to_day', { mode: 'string' }).notNull(),
    place: text().$type<trip.GroundId>().notNull(),
    /** Other kinds of ground it goes to besides. */
    also: text().array().$type<trip.GroundId[]>().notNull().default([]),
    weather: text().array().$type<trip.Weather[]>().notNull().default([]),
    travel: text().$type<trip.Travel>().notNull().default('own-way'),
    /** Which kit goes along, by its name; null where none is said. */
    kit: text(),
    itemIds: uuid('item_ids').array().notNull(),
    met: text().array().$type<schedule.Exposure[]>().notNull(),
    frames: integer(),
    lensChanges: integer('lens_changes'),
    hours: doublePrecision(),
    /** By thing, as pictures tell it. */
    used: jsonb().$type<Record<string, trip.UsedThing>>().notNull().default({}),
    note: text().notNull(),
    createdAt: instant('created_at').notNull(),
  },
  (t) => [index('outing_to').on(t.to)],
);
