import { Injectable } from '@nestjs/common';
import { and, desc, eq, inArray, isNotNull, isNull, lt, max, sql, type SQL } from 'drizzle-orm';
import type { TrailQuery } from '@bright-keeper/contract';
import { devices, items, places, trail } from '../tables/index.js';
import type { Db } from '../db/index.js';
import type { Mark } from '../http/index.js';

export type TrailRow = typeof trail.$inferSelect;
export type NamedTrailRow = { row: TrailRow; name: string | null; deviceName: string | null };

@Injectable()
export class TrailRepository {
  /** Counts a deed of the keeper up where it was done that day already, and else begins it. */
  async noteKeeper(
    db: Db,
    { id, day, keeper, act, subject, subjectId, at }: Omit<TrailRow, 'deviceId' | 'firstAt' | 'times'>,
  ): Promise<void> {
    const toThat = subjectId === null ? isNull(trail.subjectId) : eq(trail.subjectId, subjectId);
    const byThem = keeper === null ? isNull(trail.keeper) : eq(trail.keeper, keeper);
    const counted = await this.count(db, { day, act, subject, at }, and(isNull(trail.deviceId), byThem, toThat));
    if (counted.length === 0)
      await db.insert(trail).values({ id, day, deviceId: null, keeper, act, subject, subjectId, firstAt: at, at, times: 1 });
  }

  /** Likewise of several devices that did it to themselves; `idFor` makes an id for each that begins. */
  async noteDevices(
    db: Db,
    deed: Pick<TrailRow, 'day' | 'act' | 'subject' | 'at'>,
    deviceIds: readonly string[],
    idFor: () => string,
  ): Promise<void> {
    const counted = await this.count(db, deed, and(inArray(trail.deviceId, [...deviceIds]), eq(trail.subjectId, trail.deviceId)));
    const known = new Set(counted.map((c) => c.deviceId));
    const rows = deviceIds
      .filter((id) => !known.has(id))
      .map((id) => ({ ...deed, id: idFor(), deviceId: id, subjectId: id, firstAt: deed.at, times: 1 }));
    if (rows.length > 0) await db.insert(trail).values(rows);
  }

  private count(db: Db, { day, act, subject, at }: Pick<TrailRow, 'day' | 'act' | 'subject' | 'at'>, whose: SQL | undefined) {
    return db
      .update(trail)
      .set({ at, times: sql`${trail.times} + 1` })
      .where(and(eq(trail.day, day), eq(trail.act, act), eq(trail.subject, subject), whose))
      .returning({ id: trail.id, deviceId: trail.deviceId });
  }

  /** The last moment at which anything was done. */
  async latestAt(db: Db): Promise<Date | null> {
    const [row] = await db.select({ at: max(trail.at) }).from(trail);
    return row!.at;
  }

  async forgetBefore(db: Db, at: Date): Promise<void> {
    await db.delete(trail).where(lt(trail.at, at));
  }

  /** Newest first, each with the name of what it was done to and of who did it, as they are called now. */
  page(db: Db, who: TrailQuery['who'], mark: Mark | null, limit: number): Promise<NamedTrailRow[]> {
    const from = { keeper: isNull(trail.deviceId), device: isNotNull(trail.deviceId) };
    return db
      .select({
        row: trail,
        name: sql<
          string | null
        >`coalesce(${items.name}, ${places.name}, (select d.name from ${devices} d where d.id = ${trail.subjectId}))`,
        deviceName: devices.name,
      })
      .from(trail)
      .leftJoin(devices, eq(devices.id, trail.deviceId))
      .leftJoin(items, eq(items.id, trail.subjectId))
      .leftJoin(places, eq(places.id, trail.subjectId))
      .where(
        and(
          who && from[who],
          mark ? sql`(${trail.at}, ${trail.id}) < (${new Date(mark.key).toISOString()}::timestamptz, ${mark.id})` : undefined,
        ),
      )
      .orderBy(desc(trail.at), desc(trail.id))
      .limit(limit);
  }

  /** When each device last came with its key. */
  async lastOfDevices(db: Db): Promise<Map<string, Date>> {
    const rows = await db
      .select({ id: trail.deviceId, at: max(trail.at) })
      .from(trail)
      .where(isNotNull(trail.deviceId))
      .groupBy(trail.deviceId);
    return new Map(rows.map(({ id, at }) => [id!, at!]));
  }
}
