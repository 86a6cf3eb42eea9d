import type { ItemFile } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { and, asc, eq, inArray, sql } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { grouped } from '../platform/index.js';
import { blobs, itemFiles } from '../tables/index.js';

type Row = typeof itemFiles.$inferSelect;

/** Pictures and papers of things: which there are, and by which picture each thing is known. */
@Injectable()
export class ItemFileRepository {
  /** Those of a thing, the oldest first. */
  async of(db: Db, itemId: string): Promise<ItemFile[]> {
    const [rows, faces] = await Promise.all([
      db
        .select({ file: itemFiles, type: blobs.type, bytes: blobs.bytes })
        .from(itemFiles)
        .innerJoin(blobs, eq(blobs.hash, itemFiles.blob))
        .where(eq(itemFiles.itemId, itemId))
        .orderBy(asc(itemFiles.at), asc(itemFiles.id)),
      this.faces(db, [itemId]),
    ]);
    const face = faces.get(itemId);
    return rows.map(({ file: { id, role, name, blob, at }, type, bytes }) => ({
      ...{ id, role, name, type, bytes, blob, at: at.toISOString() },
      isFace: role === 'picture' && blob === face,
    }));
  }

  /** Those of every thing there is, by the thing, the oldest first. */
  async all(db: Db): Promise<Map<string, Pick<ItemFile, 'id' | 'role' | 'name' | 'type' | 'blob' | 'at'>[]>> {
    const rows = await db
      .select({
        itemId: itemFiles.itemId,
        id: itemFiles.id,
        role: itemFiles.role,
        name: itemFiles.name,
        type: blobs.type,
        blob: itemFiles.blob,
        at: itemFiles.at,
      })
      .from(itemFiles)
      .innerJoin(blobs, eq(blobs.hash, itemFiles.blob))
      .orderBy(asc(itemFiles.at), asc(itemFiles.id));
    return new Map(
      [...grouped(rows, (row) => row.itemId)].map(([itemId, own]) => [
        itemId,
        own.map(({ itemId: _, at, ...file }) => ({ ...file, at: at.toISOString() })),
      ]),
    );
  }

  /** The picture each of these is known by: the one that was chosen last, or else its first. */
  async faces(db: Db, itemIds: readonly string[]): Promise<Map<string, string>> {
    if (itemIds.length === 0) return new Map();
    const rows = await db
      .select({ itemId: itemFiles.itemId, blob: itemFiles.blob })
      .from(itemFiles)
      .where(and(inArray(itemFiles.itemId, [...itemIds]), eq(itemFiles.role, 'picture')))
      .orderBy(sql`${itemFiles.chosenAt} desc nulls last`, asc(itemFiles.at), asc(itemFiles.id));
    // Of each thing the first row counts, so it is written last.
    return new Map(rows.reverse().map(({ itemId, blob }) => [itemId, blob]));
  }

  async add(db: Db, row: Omit<Row, 'chosenAt'>): Promise<void> {
    await db.insert(itemFiles).values(row);
  }

  async change(db: Db, id: string, change: Pick<Row, 'name' | 'role'> & { chosenAt?: Date }): Promise<void> {
    await db.update(itemFiles).set(change).where(eq(itemFiles.id, id));
  }

  async remove(db: Db, id: string): Promise<void> {
    await db.delete(itemFiles).where(eq(itemFiles.id, id));
  }
}
