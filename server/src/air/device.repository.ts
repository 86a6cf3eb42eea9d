import { type ClimateEventData, airErrors } from '@bright-keeper/contract';
import type { storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, desc, eq, gte, inArray, isNotNull, isNull, or, sql } from 'drizzle-orm';
import { Kept, Database, type Db } from '../db/index.js';
import { grouped } from '../platform/index.js';
import { places, calibrations, climateEvents, devices, deviceStays } from '../tables/index.js';
import { lastDayOf, type LastDay } from './lastDay.js';
import { problem } from '../http/index.js';
import { Versioned } from '../versioned/index.js';

export type DeviceRow = typeof devices.$inferSelect;
export type CalibrationRow = typeof calibrations.$inferSelect;
export type DeviceStay = { deviceId: string; placeId: string; since: Date; until: Date | null };
export type EventRow = typeof climateEvents.$inferSelect;

const BEGINNING = new Date(0);
const MOST_EVENTS = 400;
const MOST_TOLD = 20_000;
const kindOf = sql<string>`${climateEvents.data}->>'kind'`;
const GEL_EVENTS = ['gel-set', 'gel-dried', 'gel-out', 'indicator'] satisfies storage.GelAct['kind'][];

/** One whose row is held, with its newest day and what it said last. */
export type HeldDevice = { id: string; tokenHash: string | null; lastWord: DeviceRow['lastWord']; last: LastDay | null };

@Injectable()
export class DeviceRepository {
  readonly versioned: Versioned<typeof devices, DeviceRow> = new Versioned(devices, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(airErrors, 'device-not-found'),
  });

  /** What this program changed, by device and stamp, until it was read. */
  private readonly told = new Map<string, readonly string[]>();
  private readonly gel = new Kept<ReadonlyMap<string, EventRow[]>>();

  constructor(private readonly database: Database) {}

  async find(db: Db, id: string): Promise<DeviceRow | null> {
    const [row] = await db.select().from(devices).where(eq(devices.id, id));
    return row ?? null;
  }

  /** The one in use that has this key. */
  async findByToken(db: Db, tokenHash: string): Promise<DeviceRow | null> {
    const [row] = await db
      .select()
      .from(devices)
      .where(and(eq(devices.tokenHash, tokenHash), isNull(devices.archivedAt)));
    return row ?? null;
  }

  /** Those in use that are these or have one of these keys; inside a transaction their rows are held. */
  async hold(db: Db, { ids, tokenHashes }: { ids: string[]; tokenHashes: string[] }): Promise<HeldDevice[]> {
    const last = lastDayOf(db);
    const rows = await db
      .select({ id: devices.id, tokenHash: devices.tokenHash, lastWord: devices.lastWord, day: last.day, readings: last.readings })
      .from(devices)
      .leftJoinLateral(last, sql`true`)
      .where(and(or(inArray(devices.id, ids), inArray(devices.tokenHash, tokenHashes)), isNull(devices.archivedAt)))
      .orderBy(asc(devices.id))
      .for('update', { of: devices });
    return rows.map(({ day, readings, ...own }) => ({
      ...own,
      last: day && readings ? { day, readings } : null,
    }));
  }

  async insert(db: Db, row: typeof devices.$inferInsert): Promise<void> {
    await db.insert(devices).values(row);
  }

  /** What is told of its readings has changed, but none of them. */
  touch(db: Db, id: string): Promise<void> {
    return this.touchAll(db, new Map([[id, []]]));
  }

  /** The readings of these days of devices have changed. */
  async touchAll(db: Db, changed: ReadonlyMap<string, readonly string[]>): Promise<void> {
    if (changed.size === 0) return;
    const rows = await db
      .update(devices)
      .set({ stamp: sql`${devices.stamp} + 1` })
      .where(inArray(devices.id, [...changed.keys()]))
      .returning({ id: devices.id, stamp: devices.stamp });
    // Where nobody reads the air for weeks the devices are read whole when somebody does.
    if (this.told.size >= MOST_TOLD) this.told.clear();
    for (const { id, stamp } of rows) this.told.set(`${id} ${stamp}`, changed.get(id)!);
  }

  /** The days that changed between two stamps of a device; null where another program moved it, and nobody here knows. */
  daysChanged(id: string, from: number, to: number): string[] | null {
    const changed = new Set<string>();
    for (let stamp = from + 1; stamp <= to; stamp++) {
      const days = this.told.get(`${id} ${stamp}`);
      if (!days) return null;
      for (const day of days) changed.add(day);
    }
    for (let stamp = from + 1; stamp <= to; stamp++) this.told.delete(`${id} ${stamp}`);
    return [...changed];
  }

  async set(db: Db, id: string, change: Partial<Pick<DeviceRow, 'tokenHash' | 'forecast' | 'lastWord'>>): Promise<void> {
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

  /** Those in use whose readings are taken in by the program. */
  async takenIn(db: Db): Promise<Pick<DeviceRow, 'id' | 'everyMinutes' | 'intake'>[]> {
    return db
      .select({ id: devices.id, everyMinutes: devices.everyMinutes, intake: devices.intake })
      .from(devices)
      .where(and(isNotNull(devices.intake), isNull(devices.archivedAt)))
      .orderBy(asc(devices.createdAt), asc(devices.id));
  }

  /** Every device there ever was: what it read stays. */
  everyOne(db: Db): Promise<DeviceRow[]> {
    return db.select().from(devices).orderBy(asc(devices.createdAt), asc(devices.id));
  }

  /** Which device lay in which place when, oldest first. */
  stays(db: Db): Promise<DeviceStay[]> {
    return db.select().from(deviceStays).orderBy(asc(deviceStays.since));
  }

  calibrations(db: Db): Promise<CalibrationRow[]> {
    return db.select().from(calibrations).orderBy(asc(calibrations.at), asc(calibrations.id));
  }

  /** What was done with the desiccant of each place, newest first. */
  gelEvents(db: Db): Promise<ReadonlyMap<string, EventRow[]>> {
    return this.gel.get(this.database.stampFor(db, [climateEvents]), async () => {
      const rows = await db
        .select()
        .from(climateEvents)
        .where(and(isNotNull(climateEvents.placeId), inArray(kindOf, [...GEL_EVENTS])))
        .orderBy(desc(climateEvents.at), desc(climateEvents.id));
      return grouped(rows, (r) => r.placeId!);
    });
  }

  /** When the clocks of devices went back, newest first. */
  async clockJumps(db: Db): Promise<Map<string, EventRow[]>> {
    const rows = await db
      .select()
      .from(climateEvents)
      .where(and(isNotNull(climateEvents.deviceId), eq(kindOf, 'clock-jump')))
      .orderBy(desc(climateEvents.at), desc(climateEvents.id));
    return grouped(rows, (r) => r.deviceId!);
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
}
