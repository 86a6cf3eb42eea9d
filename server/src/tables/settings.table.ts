import type { care } from '@bright-keeper/core';
import { boolean, date, integer, pgTable, text } from 'drizzle-orm/pg-core';
import { document } from '../db/index.js';
import { SCHOOLS_DOCUMENT } from './settings.documents.js';

/** The one row of the user's settings. */
export const settings = pgTable('settings', {
  id: integer().primaryKey(),
  version: integer().notNull().default(1),
  schools: document<Partial<care.Schools>>('schools', SCHOOLS_DOCUMENT).notNull(),
  timeZone: text('time_zone').notNull(),
  currency: text().notNull(),
  drawerIsAll: boolean('drawer_is_all').notNull().default(false),
  sensorRehearsedOn: date('sensor_rehearsed_on', { mode: 'string' }),
});
