import { blobErrors, inspectionErrors, type LookPhoto, type LookPhotoQuery, type LookPhotos } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, desc, eq, isNotNull } from 'drizzle-orm';
import { BlobRepository, pictureToKeep } from '../blobs/index.js';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { InspectionRepository } from './inspection.repository.js';
import { lookPhotos, looks } from '../tables/index.js';

type Row = typeof lookPhotos.$inferSelect;
const toPhoto = ({ id, surface, blob, keepsAll, at }: Row): LookPhoto => ({ id, surface, blob, keepsAll, at: at.toISOString() });
/** So many of one look: more are a folder, not a finding. */
const MOST = 60;

/** Photographs of what a look saw. */
@Injectable()
export class LookPhotoService {
  constructor(
    private readonly database: Database,
    private readonly looks: InspectionRepository,
    private readonly gear: GearRepository,
    private readonly blobs: BlobRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async of(lookId: string, db: Db = this.database.db): Promise<LookPhotos> {
    return { photos: (await this.rows(db, lookId)).map(toPhoto) };
  }

  /** Those of all looks at a thing that are over, the newest first. */
  async ofThing(db: Db, itemId: string): Promise<LookPhoto[]> {
    const rows = await db
      .select({ photo: lookPhotos })
      .from(lookPhotos)
      .innerJoin(looks, eq(looks.id, lookPhotos.lookId))
      .where(and(eq(looks.itemId, itemId), isNotNull(looks.finishedAt)))
      .orderBy(desc(lookPhotos.at), desc(lookPhotos.id));
    return rows.map(({ photo }) => toPhoto(photo));
  }

  async add(lookId: string, { surface, keepAll, id }: LookPhotoQuery, bytes: Uint8Array): Promise<LookPhoto> {
    // Before the transaction: others need not wait while a picture is worked on.
    const { type, data } = await pictureToKeep(bytes, keepAll);
    return this.database.transaction(async (db) => {
      const look = await this.looks.versioned.find(db, lookId);
      const before = await this.rows(db, lookId);
      const again = before.find((photo) => photo.id === id);
      if (again) return toPhoto(again);
      const item = (await this.gear.find(db, look.itemId))!;
      if (!care.hasSurface(item.kind, item.traits, surface)) throw problem(inspectionErrors, 'surface-not-there');
      if (before.length >= MOST) throw problem(inspectionErrors, 'too-many-photos');
      const blob = await this.blobs.put(db, type, data, this.clock.now());
      const row: Row = {
        id: (await this.isFree(db, id)) ? id! : this.ids.next(),
        lookId,
        surface,
        blob,
        keepsAll: keepAll,
        at: this.clock.now(),
      };
      await db.insert(lookPhotos).values(row);
      return toPhoto(row);
    });
  }

  remove(lookId: string, photoId: string): Promise<void> {
    return this.database.transaction(async (db) => {
      const photo = (await this.rows(db, lookId)).find((p) => p.id === photoId);
      if (!photo) throw problem(blobErrors, 'picture-not-found');
      await db.delete(lookPhotos).where(eq(lookPhotos.id, photoId));
      await this.blobs.removeUnused(db, photo.blob);
    });
  }

  /** A look that is dropped takes its photographs with it. */
  async removeAll(db: Db, lookId: string): Promise<void> {
    const photos = await this.rows(db, lookId);
    await db.delete(lookPhotos).where(eq(lookPhotos.lookId, lookId));
    for (const { blob } of photos) await this.blobs.removeUnused(db, blob);
  }

  private async isFree(db: Db, id: string | undefined): Promise<boolean> {
    if (id === undefined) return false;
    return (await db.select({ id: lookPhotos.id }).from(lookPhotos).where(eq(lookPhotos.id, id))).length === 0;
  }

  private rows(db: Db, lookId: string): Promise<Row[]> {
    return db.select().from(lookPhotos).where(eq(lookPhotos.lookId, lookId)).orderBy(asc(lookPhotos.at), asc(lookPhotos.id));
  }
}
