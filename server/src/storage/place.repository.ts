import type { Place } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { and, asc, eq, isNull } from 'drizzle-orm';
import type { Db } from '../db/database.js';
import { places } from './places.table.js';

type Row = typeof places.$inferSelect;
const toPlace = ({ createdAt: _, archivedAt, ...row }: Row): Place => ({ ...row, archivedAt: archivedAt?.toISOString() ?? null });

@Injectable()
export class PlaceRepository {
  /** Every place that has not been given up, in the order they were made. */
  async all(db: Db): Promise<Place[]> {
    return (await db.select().from(places).where(isNull(places.archivedAt)).orderBy(asc(places.createdAt), asc(places.id))).map(toPlace);
  }

  async names(db: Db): Promise<Map<string, string>> {
    return new Map((await db.select({ id: places.id, name: places.name }).from(places)).map(({ id, name }) => [id, name]));
  }

  async find(db: Db, id: string): Promise<Place | null> {
    const [row] = await db.select().from(places).where(eq(places.id, id));
    return row ? toPlace(row) : null;
  }

  async insert(db: Db, row: typeof places.$inferInsert): Promise<void> {
    await db.insert(places).values(row);
  }

  /** Changes a row if it still has this version; null when it has moved on. */
  async update(db: Db, id: string, version: number, change: Partial<typeof places.$inferInsert>): Promise<Place | null> {
    const [row] = await db
      .update(places)
      .set({ ...change, version: version + 1 })
      .where(and(eq(places.id, id), eq(places.version, version)))
      .returning();
    return row ? toPlace(row) : null;
  }
}
