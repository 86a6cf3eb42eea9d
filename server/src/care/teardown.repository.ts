import { type Teardown, careErrors } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { and, desc, eq, isNull, type SQL } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { items, teardownPhotos, teardowns } from '../tables/index.js';
import { problem } from '../http/index.js';
import { Versioned } from '../versioned/index.js';

export type TeardownPhotoRow = typeof teardownPhotos.$inferSelect;

@Injectable()
export class TeardownRepository {
  readonly versioned: Versioned<typeof teardowns, Teardown> = new Versioned(teardowns, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(careErrors, 'teardown-not-found'),
    closed: (row) => row.finishedAt !== null && problem(careErrors, 'teardown-finished', { current: row }),
  });

  async insert(db: Db, row: typeof teardowns.$inferInsert): Promise<void> {
    await db.insert(teardowns).values(row);
  }

  async find(db: Db, id: string): Promise<Teardown | null> {
    return (await this.where(db, eq(teardowns.id, id)))[0] ?? null;
  }

  async openOf(db: Db, itemId: string): Promise<Teardown | null> {
    return (await this.where(db, and(eq(teardowns.itemId, itemId), isNull(teardowns.finishedAt))))[0] ?? null;
  }

  /** Newest first. */
  ofItem(db: Db, itemId: string): Promise<Teardown[]> {
    return this.where(db, eq(teardowns.itemId, itemId));
  }

  async remove(db: Db, id: string): Promise<void> {
    await db.delete(teardowns).where(eq(teardowns.id, id));
  }

  async insertPhoto(db: Db, row: TeardownPhotoRow): Promise<void> {
    await db.insert(teardownPhotos).values(row);
  }

  photosOf(db: Db, teardownId: string): Promise<TeardownPhotoRow[]> {
    return db.select().from(teardownPhotos).where(eq(teardownPhotos.teardownId, teardownId));
  }

  async removePhoto(db: Db, { teardownId, stageId }: TeardownPhotoRow): Promise<void> {
    await db.delete(teardownPhotos).where(and(eq(teardownPhotos.teardownId, teardownId), eq(teardownPhotos.stageId, stageId)));
  }

  private async where(db: Db, condition: SQL | undefined): Promise<Teardown[]> {
    const rows = await db
      .select({ teardown: teardowns, itemName: items.name })
      .from(teardowns)
      .innerJoin(items, eq(items.id, teardowns.itemId))
      .where(condition)
      .orderBy(desc(teardowns.startedAt));
    return rows.map(({ teardown, itemName }) => ({
      ...teardown,
      itemName,
      startedAt: teardown.startedAt.toISOString(),
      finishedAt: teardown.finishedAt?.toISOString() ?? null,
    }));
  }
}
