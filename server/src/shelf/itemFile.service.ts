import { gearErrors, type ItemFile, type ItemFileQuery, type ItemFileUpdate, PICTURE_TYPES } from '@bright-keeper/contract';
import { gear } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { BlobRepository, isWholePdf, type KeptType, PDF_TYPE, pictureToKeep } from '../blobs/index.js';
import { Database, type Db } from '../db/index.js';
import { GearRepository, ItemFileRepository } from '../gear/index.js';
import { problem, ProblemError } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';

/** So many of one thing: more are a folder of its own. */
const MOST = 60;
const isPicture = (type: string): boolean => (PICTURE_TYPES as readonly string[]).includes(type);

/** A file as it may be kept: a PDF as it came, a picture upright and without what the camera wrote beside it. @throws ProblemError 422 for anything else. */
async function fileToKeep(bytes: Uint8Array): Promise<{ type: KeptType; data: Uint8Array }> {
  if (isWholePdf(bytes)) return { type: PDF_TYPE, data: bytes };
  try {
    return await pictureToKeep(bytes);
  } catch (error) {
    if (error instanceof ProblemError) throw problem(gearErrors, 'file-unreadable');
    throw error;
  }
}

const notAPicture = () =>
  problem(gearErrors, 'file-unreadable', { fields: { role: 'A paper shows no thing: only a picture can be one.' } });

/** Pictures and papers of a thing. */
@Injectable()
export class ItemFileService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearRepository,
    private readonly files: ItemFileRepository,
    private readonly blobs: BlobRepository,
    private readonly journal: JournalRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** Keeps a file with a thing. The same one again is the one that is there: whoever sends it twice has it once. */
  async add(itemId: string, { name, role }: ItemFileQuery, bytes: Uint8Array): Promise<ItemFile> {
    // Before the transaction: others need not wait while a picture is worked on.
    const { type, data } = await fileToKeep(bytes);
    const is = role ?? gear.guessRole(name, isPicture(type));
    if (!gear.mayBe(is, isPicture(type))) throw notAPicture();
    return this.database.transaction(async (db) => {
      await this.gear.versioned.find(db, itemId);
      const at = this.clock.now();
      const blob = await this.blobs.put(db, type, data, at);
      const before = await this.files.of(db, itemId);
      const again = before.find((file) => file.blob === blob);
      if (again) return again;
      if (before.length >= MOST) throw problem(gearErrors, 'too-many-files');
      const id = this.ids.next();
      await this.files.add(db, { id, itemId, blob, role: is, name: name.trim(), at });
      return this.one(db, itemId, id);
    });
  }

  update(itemId: string, id: string, { name, role, isFace }: ItemFileUpdate): Promise<ItemFile> {
    return this.database.transaction(async (db) => {
      const { type } = await this.one(db, itemId, id);
      if (!gear.mayBe(isFace ? 'picture' : role, isPicture(type)) || (isFace && role !== 'picture')) throw notAPicture();
      await this.files.change(db, id, { name: name.trim(), role, ...(isFace ? { chosenAt: this.clock.now() } : {}) });
      return this.one(db, itemId, id);
    });
  }

  /** Removes it; that there was one, and what, stays in the log. */
  remove(itemId: string, id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      const { role, name, blob } = await this.one(db, itemId, id);
      await this.files.remove(db, id);
      await this.blobs.removeUnused(db, blob);
      await this.journal.addForThings(db, [
        { id: this.ids.next(), itemId, at: this.clock.now(), data: { kind: 'file-removed', role, name } },
      ]);
    });
  }

  private async one(db: Db, itemId: string, id: string): Promise<ItemFile> {
    const file = (await this.files.of(db, itemId)).find((f) => f.id === id);
    if (!file) throw problem(gearErrors, 'file-not-found');
    return file;
  }
}
