import type { Teardown } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { and, desc, eq, isNull, type SQL } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { items, teardownPhotos, teardowns } from '../tables/index.js';

export type TeardownPhotoRow = typeof teardownPhotos.$inferSelect;

@Injectable()
export class TeardownRepository {
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

  /** @returns whether the row still had this version. */
  async update(
    db: Db,
    id: string,
    version: number,
    change: Partial<Pick<typeof teardowns.$inferInsert, 'phase' | 'stages' | 'finishedAt'>>,
  ): Promise<boolean> {
    const rows = await db
      .update(teardowns)
      .set({ ...change, version: version + 1 })
      .where(and(eq(teardowns.id, id), eq(teardowns.version, version)))
      .returning({ id: teardowns.id });
    return rows.length === 1;
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
