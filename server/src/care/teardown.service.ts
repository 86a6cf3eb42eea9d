import { careErrors, type SaveTeardown, type StartTeardown, type Teardown } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { money, openingWords } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { BlobRepository, pictureToKeep } from '../blobs/index.js';
import { Database, type Db } from '../db/index.js';
import { GearService } from '../shelf/index.js';
import { problem } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { TeardownRepository } from './teardown.repository.js';

/** Records of things that were opened, stage by stage, until they are closed again. */
@Injectable()
export class TeardownService {
  constructor(
    private readonly database: Database,
    private readonly repository: TeardownRepository,
    private readonly blobs: BlobRepository,
    private readonly gear: GearService,
    private readonly journal: JournalRepository,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** @throws ProblemError when the thing is never to be opened by its owner, or is open already. */
  start({ itemId, depth }: StartTeardown): Promise<Teardown> {
    return this.database.transaction(async (db) => {
      const { kind, traits } = await this.gear.workable(db, itemId);
      const { advice, forbidden, reasons } = care.adviseOpening({
        item: { kind, traits },
        soil: 'fungus',
        severity: 2,
        depth,
        experience: 'none',
      });
      if (forbidden || advice === 'free-filter') {
        const { currency } = await this.settings.get(db);
        const detail = reasons.map((r) => openingWords(r, (sum) => money(sum, currency))).join(' ');
        throw problem(careErrors, 'not-to-be-opened', { detail });
      }
      const open = await this.repository.openOf(db, itemId);
      if (open) throw problem(careErrors, 'teardown-open', { current: open });
      const id = this.ids.next();
      await this.repository.insert(db, { id, itemId, depth, stages: [], startedAt: this.clock.now() });
      return this.repository.versioned.find(db, id);
    });
  }

  get(id: string): Promise<Teardown> {
    return this.repository.versioned.find(this.database.db, id);
  }

  ofItem(itemId: string): Promise<Teardown[]> {
    return this.repository.ofItem(this.database.db, itemId);
  }

  save(id: string, { version, phase, stages }: SaveTeardown): Promise<Teardown> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.open(db, id);
      const saved = await this.repository.versioned.update(db, id, version, { phase, stages });
      // A stage that was taken back takes its photograph with it.
      await this.removePhotos(db, id, (stageId) => !stages.some((stage) => stage.id === stageId));
      return saved;
    });
  }

  /** Ends the record once every stage is back in its place, and logs it with its thing. */
  finish(id: string, version: number): Promise<Teardown> {
    return this.database.transaction(async (db) => {
      const { itemId, depth, stages } = await this.repository.versioned.open(db, id);
      const left = care.nextToClose(stages);
      if (left) throw problem(careErrors, 'not-closed', { detail: `Not back yet: ${left.what || 'the last stage'}.` });
      const at = this.clock.now();
      const data = { kind: 'opened' as const, depth, stages: stages.length };
      await this.journal.addForThings(db, [{ id: this.ids.next(), itemId, at, data }]);
      return this.repository.versioned.update(db, id, version, { finishedAt: at });
    });
  }

  drop(id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.open(db, id);
      await this.removePhotos(db, id, () => true);
      await this.repository.remove(db, id);
    });
  }

  /** Keeps the photograph of a stage, in the place of the one it had. */
  async savePhoto(id: string, stageId: string, bytes: Uint8Array): Promise<void> {
    // Before the transaction: others need not wait while a picture is worked on.
    const { type, data } = await pictureToKeep(bytes);
    await this.database.transaction(async (db) => {
      const { stages } = await this.repository.versioned.open(db, id);
      if (!stages.some((stage) => stage.id === stageId)) throw problem(careErrors, 'stage-not-found');
      const blob = await this.blobs.put(db, type, data, this.clock.now());
      await this.removePhotos(db, id, (of) => of === stageId);
      await this.repository.insertPhoto(db, { teardownId: id, stageId, blob });
    });
  }

  /** @returns what the photograph of a stage is called among the pictures. */
  async photo(id: string, stageId: string): Promise<string> {
    const photo = (await this.repository.photosOf(this.database.db, id)).find((p) => p.stageId === stageId);
    if (!photo) throw problem(careErrors, 'photo-not-found');
    return photo.blob;
  }

  private async removePhotos(db: Db, id: string, ofStage: (stageId: string) => boolean): Promise<void> {
    for (const photo of (await this.repository.photosOf(db, id)).filter((p) => ofStage(p.stageId))) {
      await this.repository.removePhoto(db, photo);
      await this.blobs.removeUnused(db, photo.blob);
    }
  }
}
