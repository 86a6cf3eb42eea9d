import type { ClimateEventData } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { and, asc, desc, eq, gte, isNull, sql } from 'drizzle-orm';
import type { Db } from '../db/database.js';
import { places } from '../storage/places.table.js';
import { calibrations, climateEvents, devices, deviceStays } from './air.table.js';

export type DeviceRow = typeof devices.$inferSelect;
export type CalibrationRow = typeof calibrations.$inferSelect;
export type DeviceStay = { deviceId: string; placeId: string; since: Date; until: Date | null };
export type EventRow = typeof climateEvents.$inferSelect;

const BEGINNING = new Date(0);
const MOST_EVENTS = 400;

@Injectable()
export class DeviceRepository {
  all(db: Db): Promise<DeviceRow[]> {
    return db.select().from(devices).where(isNull(devices.archivedAt)).orderBy(asc(devices.createdAt), asc(devices.id));
  }

  async find(db: Db, id: string): Promise<DeviceRow | null> {
    const [row] = await db.select().from(devices).where(eq(devices.id, id));
    return row ?? null;
  }

  async findByToken(db: Db, tokenHash: string): Promise<DeviceRow | null> {
    const [row] = await db
      .select()
      .from(devices)
      .where(and(eq(devices.tokenHash, tokenHash), isNull(devices.archivedAt)));
    return row ?? null;
  }

  async insert(db: Db, row: typeof devices.$inferInsert): Promise<void> {
    await db.insert(devices).values(row);
  }

  /** @returns whether the row still had this version. */
  async update(db: Db, id: string, version: number, change: Partial<typeof devices.$inferInsert>): Promise<boolean> {
    const rows = await db
      .update(devices)
      .set({ ...change, version: version + 1 })
      .where(and(eq(devices.id, id), eq(devices.version, version)))
      .returning({ id: devices.id });
    return rows.length === 1;
  }

  /** Its readings or calibrations have changed. */
  async touch(db: Db, id: string): Promise<void> {
    await db
      .update(devices)
      .set({ stamp: sql`${devices.stamp} + 1` })
      .where(eq(devices.id, id));
  }

  async set(db: Db, id: string, change: Partial<Pick<DeviceRow, 'tokenHash' | 'forecast'>>): Promise<void> {
    await db.update(devices).set(change).where(eq(devices.id, id));
  }

  async placeOf(db: Db, deviceId: string): Promise<{ id: string; name: string } | null> {
    const [row] = await db
      .select({ id: places.id, name: places.name })
      .from(deviceStays)
      .innerJoin(places, eq(places.id, deviceStays.placeId))
      .where(and(eq(deviceStays.deviceId, deviceId), isNull(deviceStays.until)));
    return row ?? null;
  }

  /** Which device lay in a place when. */
  staysIn(db: Db, placeId: string): Promise<DeviceStay[]> {
    return db.select().from(deviceStays).where(eq(deviceStays.placeId, placeId)).orderBy(asc(deviceStays.since));
  }

  /** Puts a device into a place, or out of all. Its first place counts for everything it read before, too. */
  async place(db: Db, id: string, deviceId: string, placeId: string | null, at: Date): Promise<void> {
    const [before] = await db.select({ id: deviceStays.id }).from(deviceStays).where(eq(deviceStays.deviceId, deviceId)).limit(1);
    await db
      .update(deviceStays)
      .set({ until: at })
      .where(and(eq(deviceStays.deviceId, deviceId), isNull(deviceStays.until)));
    if (placeId) await db.insert(deviceStays).values({ id, deviceId, placeId, since: before ? at : BEGINNING });
  }

  calibrationsOf(db: Db, deviceId: string): Promise<CalibrationRow[]> {
    return db.select().from(calibrations).where(eq(calibrations.deviceId, deviceId)).orderBy(asc(calibrations.at), asc(calibrations.id));
  }

  async addCalibration(db: Db, row: typeof calibrations.$inferInsert): Promise<void> {
    await db.insert(calibrations).values(row);
  }

  async addEvent(db: Db, row: { id: string; placeId?: string; deviceId?: string; at: Date; data: ClimateEventData }): Promise<void> {
    await db.insert(climateEvents).values(row);
  }

  /** Newest first. */
  eventsOfPlace(db: Db, placeId: string, since: Date = BEGINNING): Promise<EventRow[]> {
    return db
      .select()
      .from(climateEvents)
      .where(and(eq(climateEvents.placeId, placeId), gte(climateEvents.at, since)))
      .orderBy(desc(climateEvents.at), desc(climateEvents.id))
      .limit(MOST_EVENTS);
  }

  eventsOfDevice(db: Db, deviceId: string): Promise<EventRow[]> {
    return db
      .select()
      .from(climateEvents)
      .where(eq(climateEvents.deviceId, deviceId))
      .orderBy(desc(climateEvents.at), desc(climateEvents.id))
      .limit(20);
  }
}
