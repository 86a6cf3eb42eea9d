import {
  careErrors,
  commonErrors,
  type SaveTeardown,
  type StartTeardown,
  type Teardown,
  type TeardownPhoto,
} from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { money, openingWords } from '@bright-keeper/words';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/database.js';
import { GearService } from '../gear/gear.service.js';
import { problem } from '../http/problem.js';
import { JournalRepository } from '../journal/journal.repository.js';
import { Clock, Ids } from '../platform/clock.js';
import { SettingsService } from '../settings/settings.service.js';
import { pictureToKeep } from '../blobs/picture.js';
import { TeardownRepository } from './teardown.repository.js';

/** Records of things that were opened, stage by stage, until they are closed again. */
@Injectable()
export class TeardownService {
  constructor(
    private readonly database: Database,
    private readonly repository: TeardownRepository,
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
      return this.find(db, id);
    });
  }

  get(id: string): Promise<Teardown> {
    return this.find(this.database.db, id);
  }

  ofItem(itemId: string): Promise<Teardown[]> {
    return this.repository.ofItem(this.database.db, itemId);
  }

  save(id: string, { version, phase, stages }: SaveTeardown): Promise<Teardown> {
    return this.database.transaction(async (db) => {
      await this.open(db, id);
      return this.update(db, id, version, { phase, stages });
    });
  }

  /** Ends the record once every stage is back in its place, and logs it with its thing. */
  finish(id: string, version: number): Promise<Teardown> {
    return this.database.transaction(async (db) => {
      const { itemId, depth, stages } = await this.open(db, id);
      const left = care.nextToClose(stages);
      if (left) throw problem(careErrors, 'not-closed', { detail: `Not back yet: ${left.what || 'the last stage'}.` });
      const at = this.clock.now();
      const data = { kind: 'opened' as const, depth, stages: stages.length };
      await this.journal.addForThings(db, [{ id: this.ids.next(), itemId, at, data }]);
      return this.update(db, id, version, { finishedAt: at });
    });
  }

  drop(id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      await this.open(db, id);
      await this.repository.remove(db, id);
    });
  }

  async savePhoto(id: string, stageId: string, { base64 }: TeardownPhoto): Promise<void> {
    // Before the transaction: others need not wait while a picture is worked on.
    const photo = await pictureToKeep(Buffer.from(base64, 'base64'));
    await this.database.transaction(async (db) => {
      const { stages } = await this.open(db, id);
      if (!stages.some((stage) => stage.id === stageId)) throw problem(careErrors, 'stage-not-found');
      await this.repository.savePhoto(db, id, stageId, photo);
    });
  }

  async photo(id: string, stageId: string): Promise<{ type: string; data: Uint8Array }> {
    const photo = await this.repository.photo(this.database.db, id, stageId);
    if (!photo) throw problem(careErrors, 'photo-not-found');
    return photo;
  }

  private async find(db: Db, id: string): Promise<Teardown> {
    const teardown = await this.repository.find(db, id);
    if (!teardown) throw problem(careErrors, 'teardown-not-found');
    return teardown;
  }

  private async open(db: Db, id: string): Promise<Teardown> {
    const teardown = await this.find(db, id);
    if (teardown.finishedAt) throw problem(careErrors, 'teardown-finished', { current: teardown });
    return teardown;
  }

  private async update(db: Db, id: string, version: number, change: Parameters<TeardownRepository['update']>[3]): Promise<Teardown> {
    const updated = await this.repository.update(db, id, version, change);
    if (!updated) throw problem(commonErrors, 'stale', { current: await this.find(db, id) });
    return this.find(db, id);
  }
}
