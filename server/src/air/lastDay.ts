import { desc, eq } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { devices, readingDays } from '../tables/index.js';

/** The newest day of a device that holds readings. */
export type LastDay = { day: string; readings: Uint8Array };

/** The newest day of each device, to be joined to it. */
export const lastDayOf = (db: Db) =>
  db
    .select({ day: readingDays.day, readings: readingDays.readings })
    .from(readingDays)
    .where(eq(readingDays.deviceId, devices.id))
    .orderBy(desc(readingDays.day))
    .limit(1)
    .as('last');
