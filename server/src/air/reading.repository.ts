import { air } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, eq, gte, inArray, lte, or, sql } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { grouped } from '../platform/index.js';
import { devices, readingDays } from '../tables/index.js';
import { DeviceRepository } from './device.repository.js';
import { lastDayOf, type LastDay } from './lastDay.js';
import {
  DAY_BYTES,
  dayOf,
  daysOf,
  dayStart,
  emptyDay,
  lastOf,
  mergeDays,
  packHours,
  packReadings,
  SCALE,
  unpackReadings,
  type DayColumns,
} from './packedDay.js';

/** So many days are read and written at once: a few megabytes at the most. */
const DAYS_AT_ONCE = 60;

export type Span = { fromMs: number; toMs: number };
export const ALL_TIME: Span = { fromMs: 0, toMs: Date.UTC(9999, 0) };
const NO_READINGS = emptyDay(0);
const dayKey = (deviceId: string, day: string): string => `${deviceId} ${day}`;
type DayRow = typeof readingDays.$inferInsert;
/** How many were new, and how many were there already. */
export type Added = { accepted: number; duplicates: number };
/** A day as it is kept: how many readings, and its hours packed. */
export type PackedDay = { deviceId: string; day: string; count: number; hours: Uint8Array };

/** Readings of a device; `last`, where it is known already, null where it has none. */
export type Told = { deviceId: string; readings: air.Log; last?: LastDay | null };

/** The raw readings of devices, packed by day. What they mean is said elsewhere. */
@Injectable()
export class ReadingRepository {
  constructor(private readonly devices: DeviceRepository) {}

  /** Adds readings to what is there. The device's row is held, so that two who push at once wait for each other. */
  async add(db: Db, deviceId: string, readings: air.Log): Promise<Added> {
    await db.select({ id: devices.id }).from(devices).where(eq(devices.id, deviceId)).for('update');
    return (await this.addAll(db, [{ deviceId, readings }]))[0]!;
  }

  /** Adds readings of several devices, whose rows are held, day by day; the answers stand in their order. */
  async addAll(db: Db, logs: readonly Told[]): Promise<Added[]> {
    const added = logs.map(({ readings }): Added => ({ accepted: 0, duplicates: readings.length }));
    const told = logs.flatMap(({ deviceId, readings, last }, i) =>
      [...daysOf(air.columnsOf(readings))].map(([day, columns]) => ({ deviceId, day, columns, last, counts: added[i]! })),
    );
    for (let i = 0; i < told.length; i += DAYS_AT_ONCE) {
      const some = told.slice(i, i + DAYS_AT_ONCE);
      const asked = some.filter(({ day, last }) => last === undefined || (last !== null && day < last.day));
      const kept = await this.columnsOf(db, asked);
      const rows: DayRow[] = [];
      const changed = new Map<string, string[]>();
      for (const { deviceId, day, columns, last, counts } of some) {
        const before = day === last?.day ? unpackReadings(last.readings) : (kept.get(dayKey(deviceId, day)) ?? NO_READINGS);
        const { merged, fresh } = mergeDays(before, columns);
        if (fresh === 0) continue;
        counts.accepted += fresh;
        counts.duplicates -= fresh;
        changed.set(deviceId, [...(changed.get(deviceId) ?? []), day]);
        rows.push({ deviceId, day, count: merged.length, readings: packReadings(merged), hours: packHours(merged) });
      }
      await Promise.all([this.save(db, rows), this.devices.touchAll(db, changed)]);
    }
    return added;
  }

  /**
   * Every day of some devices with its hours, in order; only some days, where they are given. A device comes as one row
   * with its days end to end: fifteen thousand rows take the database's driver a second.
   */
  async packedDays(db: Db, deviceIds: readonly string[], days?: readonly string[]): Promise<PackedDay[]> {
    const { deviceId, day, count, hours } = readingDays;
    const rows = await db
      .select({
        deviceId,
        days: sql<string>`string_agg(${day}::text, ',' order by ${day})`,
        counts: sql<string>`string_agg(${count}::text, ',' order by ${day})`,
        hours: sql<Uint8Array>`string_agg(${hours}, ''::bytea order by ${day})`,
      })
      .from(readingDays)
      .where(and(inArray(deviceId, [...deviceIds]), days && inArray(day, [...days])))
      .groupBy(deviceId);
    return rows.flatMap((row) => {
      const counts = row.counts.split(',');
      return row.days.split(',').map((on, i) => ({
        deviceId: row.deviceId,
        day: on,
        count: Number(counts[i]),
        hours: row.hours.subarray(i * DAY_BYTES, (i + 1) * DAY_BYTES),
      }));
    });
  }

  /** The newest reading of each of some devices. */
  async latestOf(db: Db, deviceIds: readonly string[]): Promise<Map<string, air.Reading>> {
    const last = lastDayOf(db);
    const rows = await db
      .select({ id: devices.id, day: last.day, readings: last.readings })
      .from(devices)
      .innerJoinLateral(last, sql`true`)
      .where(inArray(devices.id, [...deviceIds]));
    return new Map(rows.map(({ id, ...own }) => [id, this.newestOf(own)]));
  }

  newestOf({ day, readings }: LastDay): air.Reading {
    return this.toReadings(day, unpackReadings(lastOf(readings)))[0]!;
  }

  /** Tells every single reading of the span, oldest first: ms since 1970, °C, % RH. */
  async tell(
    db: Db,
    deviceId: string,
    { fromMs, toMs }: Span,
    told: (ms: number, temperatureC: number, humidityPct: number) => void,
  ): Promise<void> {
    const rows = await db
      .select({ day: readingDays.day, readings: readingDays.readings })
      .from(readingDays)
      .where(this.within(deviceId, fromMs, toMs))
      .orderBy(asc(readingDays.day));
    for (const { day, readings } of rows) {
      const start = dayStart(day);
      const { length, second, temperature, humidity } = unpackReadings(readings);
      for (let i = 0; i < length; i++) {
        const ms = start + second[i]! * 1000;
        if (ms >= fromMs && ms <= toMs) told(ms, temperature[i]! / SCALE, humidity[i]! / SCALE);
      }
    }
  }

  /** The days that hold readings, one at a time, for export without holding them all. */
  async *days(db: Db, deviceId: string): AsyncGenerator<air.Reading[]> {
    const rows = await db
      .select({ day: readingDays.day })
      .from(readingDays)
      .where(eq(readingDays.deviceId, deviceId))
      .orderBy(asc(readingDays.day));
    for (let i = 0; i < rows.length; i += DAYS_AT_ONCE) {
      const some = rows.slice(i, i + DAYS_AT_ONCE).map((row) => row.day);
      const columns = await this.columnsOf(
        db,
        some.map((day) => ({ deviceId, day })),
      );
      for (const day of some) yield this.toReadings(day, columns.get(dayKey(deviceId, day))!);
    }
  }

  private within(deviceId: string, fromMs: number, toMs: number) {
    return and(eq(readingDays.deviceId, deviceId), gte(readingDays.day, dayOf(fromMs)), lte(readingDays.day, dayOf(toMs)));
  }

  /** The readings of some days of devices, by `dayKey`. */
  private async columnsOf(db: Db, wanted: readonly { deviceId: string; day: string }[]): Promise<Map<string, DayColumns>> {
    if (wanted.length === 0) return new Map();
    const days = grouped(wanted, (w) => w.deviceId);
    const rows = await db
      .select({ deviceId: readingDays.deviceId, day: readingDays.day, readings: readingDays.readings })
      .from(readingDays)
      .where(
        or(
          ...[...days].map(([id, own]) =>
            and(
              eq(readingDays.deviceId, id),
              inArray(
                readingDays.day,
                own.map((w) => w.day),
              ),
            ),
          ),
        ),
      );
    return new Map(rows.map((r) => [dayKey(r.deviceId, r.day), unpackReadings(r.readings)]));
  }

  private async save(db: Db, rows: DayRow[]): Promise<void> {
    if (rows.length === 0) return;
    await db
      .insert(readingDays)
      .values(rows)
      .onConflictDoUpdate({
        target: [readingDays.deviceId, readingDays.day],
        set: { count: sql`excluded.count`, readings: sql`excluded.readings`, hours: sql`excluded.hours` },
      });
  }

  private toReadings(day: string, { length, second, temperature, humidity }: DayColumns): air.Reading[] {
    const start = dayStart(day);
    return Array.from({ length }, (_, i) => ({
      at: new Date(start + second[i]! * 1000).toISOString(),
      temperatureC: temperature[i]! / SCALE,
      humidityPct: humidity[i]! / SCALE,
    }));
  }
}
