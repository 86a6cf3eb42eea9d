import { Injectable } from '@nestjs/common';
import { and, asc, eq, notExists, or } from 'drizzle-orm';
import { createHash } from 'node:crypto';
import type { Db } from '../db/index.js';
import { itemFiles, teardownPhotos, lookPhotos, sensorFrames, blobParts, blobs } from '../tables/index.js';
import type { KeptType } from './fileType.js';

export type BlobRow = typeof blobs.$inferSelect;
/** A file is kept in parts of so many bytes. */
export const PART_BYTES = 512 * 1024;

/**
 * The room for pictures: put, get, remove. They lie in the household's database, in parts: so a backup, a restore, a move
 * and a second process have them without being told, and a picture and what it is of are written together or not at all.
 */
@Injectable()
export class BlobRepository {
  /** Keeps it, if it is not there yet. @returns what it is called from now on. */
  async put(db: Db, type: KeptType, data: Uint8Array, at: Date): Promise<string> {
    const hash = createHash('sha256').update(data).digest('hex');
    const fresh = await db
      .insert(blobs)
      .values({ hash, type, bytes: data.length, createdAt: at })
      .onConflictDoNothing()
      .returning({ hash: blobs.hash });
    if (fresh.length > 0)
      for (let part = 0; part * PART_BYTES < data.length; part += 1)
        await db.insert(blobParts).values({ hash, part, data: data.subarray(part * PART_BYTES, (part + 1) * PART_BYTES) });
    return hash;
  }

  all(db: Db): Promise<BlobRow[]> {
    return db.select().from(blobs).orderBy(asc(blobs.hash));
  }

  async find(db: Db, hash: string): Promise<BlobRow | null> {
    const [row] = await db.select().from(blobs).where(eq(blobs.hash, hash));
    return row ?? null;
  }

  /** Its bytes, a part at a time. */
  async *parts(db: Db, { hash, bytes }: BlobRow): AsyncGenerator<Uint8Array> {
    for (let part = 0; part * PART_BYTES < bytes; part += 1) {
      const [row] = await db
        .select({ data: blobParts.data })
        .from(blobParts)
        .where(and(eq(blobParts.hash, hash), eq(blobParts.part, part)));
      if (!row) return;
      yield row.data;
    }
  }

  /** All of it at once, where nothing less will do. */
  async whole(db: Db, blob: BlobRow): Promise<Buffer> {
    const all: Uint8Array[] = [];
    for await (const part of this.parts(db, blob)) all.push(part);
    return Buffer.concat(all);
  }

  /** Removes it, unless something still shows it. */
  async removeUnused(db: Db, hash: string): Promise<void> {
    const frame = db
      .select({ id: sensorFrames.id })
      .from(sensorFrames)
      .where(or(eq(sensorFrames.preview, hash), eq(sensorFrames.original, hash)));
    const photo = db.select({ id: lookPhotos.id }).from(lookPhotos).where(eq(lookPhotos.blob, hash));
    const stage = db.select({ id: teardownPhotos.stageId }).from(teardownPhotos).where(eq(teardownPhotos.blob, hash));
    const file = db.select({ id: itemFiles.id }).from(itemFiles).where(eq(itemFiles.blob, hash));
    await db.delete(blobs).where(and(eq(blobs.hash, hash), notExists(frame), notExists(photo), notExists(stage), notExists(file)));
  }
}
