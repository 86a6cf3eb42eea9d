import type { air, storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, count, desc, eq, gte, inArray, lte, min, sql, sum } from 'drizzle-orm';
import type { Db } from '../db/database.js';
import { devices, readingDays } from './air.table.js';
import { dayOf, dayStart, mergeMoments, momentOf, packHours, packReadings, unpackHours, unpackReadings, type Moment } from './packedDay.js';

/** So many days are read and written at once: a few megabytes at the most. */
const DAYS_AT_ONCE = 60;

export type Span = { fromMs: number; toMs: number };
export const ALL_TIME: Span = { fromMs: 0, toMs: Date.UTC(9999, 0) };
type DayRow = typeof readingDays.$inferInsert;

function byDayOf(readings: readonly air.Reading[]): Map<string, air.Reading[]> {
  const days = new Map<string, air.Reading[]>();
  for (const reading of readings) {
    const day = reading.at.slice(0, 10);
    const own = days.get(day);
    if (own) own.push(reading);
    else days.set(day, [reading]);
  }
  return days;
}

/** The raw readings of devices, packed by day. What they mean is said elsewhere. */
@Injectable()
export class ReadingRepository {
  /** Adds readings to what is there, day by day. The device's row is held, so that two who push at once wait for each other. */
  async add(db: Db, deviceId: string, readings: readonly air.Reading[]): Promise<{ accepted: number; duplicates: number }> {
    await db.select({ id: devices.id }).from(devices).where(eq(devices.id, deviceId)).for('update');
    const byDay = byDayOf(readings);
    const days = [...byDay.keys()].sort();
    let [accepted, duplicates] = [0, 0];
    for (let i = 0; i < days.length; i += DAYS_AT_ONCE) {
      const chunk = days.slice(i, i + DAYS_AT_ONCE);
      const kept = await this.momentsOf(db, deviceId, chunk);
      const rows: DayRow[] = [];
      for (const day of chunk) {
        const { merged, fresh, duplicates: twice } = mergeMoments(kept.get(day) ?? [], byDay.get(day)!.map(momentOf));
        accepted += fresh;
        duplicates += twice;
        if (fresh > 0) rows.push({ deviceId, day, count: merged.length, readings: packReadings(merged), hours: packHours(merged) });
      }
      await this.save(db, rows);
    }
    return { accepted, duplicates };
  }

  /** Hour by hour, whatever falls into the span. */
  async hours(db: Db, deviceId: string, { fromMs, toMs }: Span): Promise<storage.Part[]> {
    const rows = await db
      .select({ day: readingDays.day, hours: readingDays.hours })
      .from(readingDays)
      .where(this.within(deviceId, fromMs, toMs))
      .orderBy(asc(readingDays.day));
    return rows.flatMap((r) => unpackHours(r.day, r.hours)).filter((p) => p.at >= fromMs && p.at <= toMs);
  }

  /** Every single reading of the span, oldest first. */
  async readings(db: Db, deviceId: string, { fromMs, toMs }: Span): Promise<air.Reading[]> {
    const rows = await db
      .select({ day: readingDays.day, readings: readingDays.readings })
      .from(readingDays)
      .where(this.within(deviceId, fromMs, toMs))
      .orderBy(asc(readingDays.day));
    return rows
      .flatMap(({ day, readings }) => this.toReadings(day, unpackReadings(readings)))
      .filter((r) => {
        const ms = Date.parse(r.at);
        return ms >= fromMs && ms <= toMs;
      });
  }

  /** The days that hold readings, one at a time, for export without holding them all. */
  async *days(db: Db, deviceId: string): AsyncGenerator<air.Reading[]> {
    const rows = await db
      .select({ day: readingDays.day })
      .from(readingDays)
      .where(eq(readingDays.deviceId, deviceId))
      .orderBy(asc(readingDays.day));
    for (const { day } of rows) yield this.toReadings(day, (await this.momentsOf(db, deviceId, [day])).get(day)!);
  }

  async latest(db: Db, deviceId: string): Promise<air.Reading | null> {
    const [row] = await db
      .select({ day: readingDays.day, readings: readingDays.readings })
      .from(readingDays)
      .where(eq(readingDays.deviceId, deviceId))
      .orderBy(desc(readingDays.day))
      .limit(1);
    return row ? this.toReadings(row.day, unpackReadings(row.readings)).at(-1)! : null;
  }

  async extent(db: Db, deviceId: string): Promise<{ readings: number; firstAt: string | null }> {
    const [row] = await db
      .select({ readings: sum(readingDays.count).mapWith(Number), first: min(readingDays.day), days: count() })
      .from(readingDays)
      .where(eq(readingDays.deviceId, deviceId));
    return { readings: row?.days ? row.readings : 0, firstAt: row?.first ? new Date(dayStart(row.first)).toISOString() : null };
  }

  private within(deviceId: string, fromMs: number, toMs: number) {
    return and(eq(readingDays.deviceId, deviceId), gte(readingDays.day, dayOf(fromMs)), lte(readingDays.day, dayOf(toMs)));
  }

  private async momentsOf(db: Db, deviceId: string, days: readonly string[]): Promise<Map<string, Moment[]>> {
    const rows = await db
      .select({ day: readingDays.day, readings: readingDays.readings })
      .from(readingDays)
      .where(and(eq(readingDays.deviceId, deviceId), inArray(readingDays.day, [...days])));
    return new Map(rows.map((r) => [r.day, unpackReadings(r.readings)]));
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

  private toReadings(day: string, moments: readonly Moment[]): air.Reading[] {
    const start = dayStart(day);
    return moments.map(({ second, temperatureC, humidityPct }) => ({
      at: new Date(start + second * 1000).toISOString(),
      temperatureC,
      humidityPct,
    }));
  }
}
