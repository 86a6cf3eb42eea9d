import type { TrailAct, TrailSubject } from '@bright-keeper/contract';
import { date, index, integer, pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { instant } from '../db/index.js';

/**
 * Who did what to what: one row for the same deed on the same day, counted. A hygrometer that pushes all day, and a look
 * that is sent after every tap, would else bury everything else.
 */
export const trail = pgTable(
  'trail',
  {
    id: uuid().primaryKey(),
    day: date({ mode: 'string' }).notNull(),
    /** Null for the keeper. Kept when the device is long gone. */
    deviceId: uuid('device_id'),
    /** Which of several keepers, as they were called then; null where there was nobody to be told from. */
    keeper: text(),
    act: text().$type<TrailAct>().notNull(),
    subject: text().$type<TrailSubject>().notNull(),
    subjectId: uuid('subject_id'),
    firstAt: instant('first_at').notNull(),
    at: instant('at').notNull(),
    times: integer().notNull(),
  },
  (t) => [index('trail_day').on(t.day), index('trail_at').on(t.at, t.id), index('trail_device').on(t.deviceId, t.at)],
);
