import type { Neighbour, Stay } from '@bright-keeper/contract';
import type { storage } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { aliasedTable, and, asc, desc, eq, gt, inArray, isNotNull, isNull, lte, ne, or, sql } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { grouped } from '../platform/index.js';
import { items, surfaceStates, places, stays } from '../tables/index.js';

type StayRow = typeof stays.$inferInsert;
/** A thing that lies in a place, and since when. */
export type Lying = Pick<typeof items.$inferSelect, 'name' | 'kind' | 'traits' | 'status'> & { itemId: string; since: Date; sick: boolean };

/** A thing, and the place it lies in now; null where nobody said. */
export type Housed = Pick<typeof items.$inferSelect, 'id' | 'name' | 'kind' | 'traits' | 'particulars'> & {
  sick: boolean;
  placeId: string | null;
};

/** What lies in each place now, longest first. */
export type LyingIn = ReadonlyMap<string, readonly Lying[]>;

/** It has fungus somewhere, or is in quarantine for it. */
const isSick = sql<boolean>`(${items.status} = 'quarantined' or exists (select 1 from ${surfaceStates} where ${surfaceStates.itemId} = ${items.id} and ${surfaceStates.verdict} = 'isolate'))`;

/** Where things lie and lay. */
@Injectable()
export class StayRepository {
  async current(db: Db, itemId: string): Promise<{ id: string; name: string; since: string } | null> {
    const [row] = await db
      .select({ id: places.id, name: places.name, since: stays.since })
      .from(stays)
      .innerJoin(places, eq(places.id, stays.placeId))
      .where(and(eq(stays.itemId, itemId), isNull(stays.until)));
    return row ? { ...row, since: row.since.toISOString() } : null;
  }

  /** Every stay of a thing, oldest first. */
  async ofItem(db: Db, itemId: string): Promise<Stay[]> {
    const rows = await db
      .select({ placeId: places.id, placeName: places.name, since: stays.since, until: stays.until })
      .from(stays)
      .innerJoin(places, eq(places.id, stays.placeId))
      .where(eq(stays.itemId, itemId))
      .orderBy(asc(stays.since));
    return rows.map((r) => ({ ...r, since: r.since.toISOString(), until: r.until?.toISOString() ?? null }));
  }

  /** Where each thing lies now; of some only, where they are given. */
  async open(db: Db, itemIds?: readonly string[]) {
    return db
      .select({ itemId: stays.itemId, placeId: places.id, name: places.name, kind: places.kind, since: stays.since })
      .from(stays)
      .innerJoin(places, eq(places.id, stays.placeId))
      .where(and(isNull(stays.until), itemIds && inArray(stays.itemId, [...itemIds])));
  }

  /** Where each thing lay at an instant. */
  async at(db: Db, at: Date) {
    return db
      .select({ itemId: stays.itemId, placeId: places.id, name: places.name })
      .from(stays)
      .innerJoin(places, eq(places.id, stays.placeId))
      .where(and(lte(stays.since, at), or(isNull(stays.until), gt(stays.until, at))));
  }

  /** Where each thing lay before; of some only, where they are given. */
  async ended(db: Db, itemIds?: readonly string[]) {
    return db
      .select({
        itemId: stays.itemId,
        placeId: places.id,
        name: places.name,
        since: stays.since,
        until: sql<Date>`${stays.until}`.mapWith(stays.until),
      })
      .from(stays)
      .innerJoin(places, eq(places.id, stays.placeId))
      .where(and(isNotNull(stays.until), itemIds && inArray(stays.itemId, [...itemIds])));
  }

  /** What lies in a place now, longest first. */
  async inPlace(db: Db, placeId: string): Promise<Lying[]> {
    return (await this.lying(db, placeId)).get(placeId) ?? [];
  }

  /** What lies in each place now, longest first; of one place only, where it is given. */
  async lying(db: Db, placeId?: string): Promise<Map<string, Lying[]>> {
    const rows = await db
      .select({
        placeId: stays.placeId,
        itemId: items.id,
        name: items.name,
        kind: items.kind,
        traits: items.traits,
        status: items.status,
        since: stays.since,
        sick: isSick,
      })
      .from(stays)
      .innerJoin(items, eq(items.id, stays.itemId))
      .where(and(placeId === undefined ? undefined : eq(stays.placeId, placeId), isNull(stays.until), isNull(items.archivedAt)))
      .orderBy(asc(stays.since));
    return grouped(rows, (r) => r.placeId);
  }

  /** Every thing there is, with the place it lies in now; null where nobody said. */
  async housed(db: Db): Promise<Housed[]> {
    return db
      .select({
        id: items.id,
        name: items.name,
        kind: items.kind,
        traits: items.traits,
        particulars: items.particulars,
        sick: isSick,
        placeId: places.id,
      })
      .from(items)
      .leftJoin(stays, and(eq(stays.itemId, items.id), isNull(stays.until)))
      .leftJoin(places, eq(places.id, stays.placeId))
      .where(isNull(items.archivedAt))
      .orderBy(asc(items.createdAt), asc(items.id));
  }

  /** Things come into and go out of a place, for its ribbon; newest first. */
  async ofPlace(db: Db, placeId: string, since: Date) {
    return db
      .select({ itemId: items.id, name: items.name, since: stays.since, until: stays.until })
      .from(stays)
      .innerJoin(items, eq(items.id, stays.itemId))
      .where(and(eq(stays.placeId, placeId), or(isNull(stays.until), gt(stays.until, since))))
      .orderBy(desc(stays.since));
  }

  /** What lies somewhere since about when it came on the shelf, with all that tells whether it was kept there before. */
  async newcomers(db: Db): Promise<(storage.Newcomer & { placeName: string })[]> {
    const rows = await db
      .select({
        id: items.id,
        placeId: places.id,
        placeName: places.name,
        since: stays.since,
        addedAt: items.createdAt,
        acquiredOn: items.acquiredOn,
        isFirst: sql<boolean>`not exists (select 1 from ${stays} before where before.item_id = ${items.id} and before.until is not null)`,
      })
      .from(stays)
      .innerJoin(items, eq(items.id, stays.itemId))
      .innerJoin(places, eq(places.id, stays.placeId))
      .where(and(isNull(stays.until), isNull(items.archivedAt)))
      .orderBy(asc(items.createdAt), asc(items.id));
    return rows.map((row) => ({ ...row, since: row.since.toISOString(), addedAt: row.addedAt.toISOString() }));
  }

  async end(db: Db, itemId: string, at: Date): Promise<void> {
    await db
      .update(stays)
      .set({ until: at })
      .where(and(eq(stays.itemId, itemId), isNull(stays.until)));
  }

  /** The stay that is under way was none. */
  async dropOpen(db: Db, itemId: string): Promise<void> {
    await db.delete(stays).where(and(eq(stays.itemId, itemId), isNull(stays.until)));
  }

  /** The stay that ended then goes on. */
  async reopen(db: Db, itemId: string, until: Date): Promise<void> {
    await db
      .update(stays)
      .set({ until: null })
      .where(and(eq(stays.itemId, itemId), eq(stays.until, until)));
  }

  async begin(db: Db, row: StayRow): Promise<void> {
    await db.insert(stays).values(row);
  }

  /** What was in the same place at the same time as a thing, at any time since; the latest meeting of each. */
  async neighboursOf(db: Db, itemId: string, since: Date): Promise<Neighbour[]> {
    const theirs = aliasedTable(stays, 'theirs');
    const metUntil = sql`least(coalesce(${stays.until}, 'infinity'), coalesce(${theirs.until}, 'infinity'))`;
    const rows = await db
      .select({ itemId: items.id, name: items.name, placeName: places.name, until: theirs.until, own: stays.until })
      .from(stays)
      .innerJoin(theirs, and(eq(theirs.placeId, stays.placeId), ne(theirs.itemId, stays.itemId)))
      .innerJoin(places, eq(places.id, stays.placeId))
      .innerJoin(items, eq(items.id, theirs.itemId))
      .where(
        and(
          eq(stays.itemId, itemId),
          isNull(items.archivedAt),
          sql`greatest(${stays.since}, ${theirs.since}) < ${metUntil}`,
          sql`${metUntil} > ${since.toISOString()}::timestamptz`,
        ),
      )
      .orderBy(asc(items.name), desc(theirs.since));
    const latest = new Map<string, Neighbour>();
    for (const { own, until, ...row } of rows) {
      const ends = [own, until].filter((d) => d !== null).map((d) => d.toISOString());
      if (!latest.has(row.itemId)) latest.set(row.itemId, { ...row, until: ends.sort()[0] ?? null });
    }
    return [...latest.values()];
  }
}
