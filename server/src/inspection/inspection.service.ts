import {
  type CarriedLook,
  type FinishLook,
  inspectionErrors,
  type Item,
  type ItemPage,
  type LookAnswer,
  type LookDoc,
  type SaveLook,
} from '@bright-keeper/contract';
import { care, inspection, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearService } from '../shelf/index.js';
import { problem, toldFor } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { JournalRepository } from '../journal/index.js';
import { InspectionRepository } from './inspection.repository.js';
import { LookEnding } from './lookEnding.js';
import { LookPhotoService } from './lookPhoto.service.js';

@Injectable()
export class InspectionService {
  constructor(
    private readonly database: Database,
    private readonly repository: InspectionRepository,
    private readonly gear: GearService,
    private readonly journal: JournalRepository,
    private readonly photos: LookPhotoService,
    private readonly ending: LookEnding,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** Starts a look at a thing, or goes on with the one that is open. */
  start(itemId: string): Promise<LookDoc> {
    return this.database.transaction(async (db) => {
      const item = await this.gear.workable(db, itemId);
      const open = await this.repository.openOf(db, itemId);
      if (open) return open;
      const answers = await this.expected(db, item);
      await this.repository.insert(db, { id: this.ids.next(), itemId, at: null, answers, startedAt: this.clock.now() });
      return (await this.repository.openOf(db, itemId))!;
    });
  }

  get(id: string, db: Db = this.database.db): Promise<LookDoc> {
    return this.repository.versioned.find(db, id);
  }

  save(id: string, { version, at, answers }: SaveLook): Promise<LookDoc> {
    return this.database.transaction(async (db) => {
      const look = await this.repository.versioned.open(db, id);
      await this.checkSurfaces(db, look.itemId, answers);
      return this.repository.versioned.update(db, id, version, { at, answers });
    });
  }

  /** Writes what is known of each surface and the journal, together; the next look falls due from it. */
  finish(id: string, { version, at }: FinishLook): Promise<ItemPage> {
    return this.database
      .transaction(async (db) => this.ending.end(db, await this.repository.versioned.open(db, id), version, toldFor(at, this.clock.now())))
      .then(({ itemId }) => this.gear.page(itemId));
  }

  /**
   * Takes in a look as a device kept it: what only one of both changed is taken, and the same sent twice is one. An end
   * is of when it was, not of now.
   *
   * @throws ProblemError 409 `look-told-twice` where both say different things of a surface, `look-finished` where it was
   * finished without what the device saw; each with what there is.
   */
  carry(id: string, carried: CarriedLook): Promise<LookDoc> {
    return this.database.transaction(async (db) => {
      const known = await this.repository.find(db, id);
      if (known && known.itemId !== carried.itemId) throw problem(inspectionErrors, 'look-not-found');
      const look = known ?? (await this.begunElsewhere(db, id, carried));
      const { answers, differing } = inspection.seenTogether(carried.base ?? [], carried.answers, look.answers);
      if (known?.finishedAt) {
        if (inspection.saysTheSame(answers, known.answers)) return known;
        throw problem(inspectionErrors, 'look-finished', { current: known });
      }
      if (differing.length > 0) throw problem(inspectionErrors, 'look-told-twice', { current: look });
      await this.checkSurfaces(db, look.itemId, answers);
      const saved = await this.repository.versioned.update(db, look.id, look.version, { at: carried.at, answers });
      if (carried.endedAgoS === null) return saved;
      await this.ending.end(db, saved, saved.version, this.clock.ago(carried.endedAgoS));
      return this.repository.versioned.find(db, saved.id);
    });
  }

  /** Notes a look that is over, in the caller's transaction: what was seen, of these surfaces and no others. */
  async seen(db: Db, itemId: string, answers: LookAnswer[]): Promise<void> {
    await this.checkSurfaces(db, itemId, answers);
    const [id, at] = [this.ids.next(), this.clock.now()];
    await this.repository.insert(db, { id, itemId, at: null, answers, startedAt: at });
    const look = await this.repository.versioned.find(db, id);
    await this.ending.end(db, look, look.version, at);
  }

  /** Drops an open look; nothing of it was counted anywhere. */
  drop(id: string): Promise<void> {
    return this.database.transaction(async (db) => {
      await this.repository.versioned.open(db, id);
      await this.photos.removeAll(db, id);
      await this.repository.remove(db, id);
    });
  }

  /** What was noted of it outdoors and not looked at since, as what this look is likely to find. */
  private async expected(db: Db, item: Item): Promise<LookAnswer[]> {
    return schedule.expectedOf(schedule.notedOutdoors(item, await this.journal.ofThing(db, item.id, this.clock.now())));
  }

  /** A look that began on a device: one that is gone on with joins the one that is open here. */
  private async begunElsewhere(db: Db, id: string, { itemId, startedAgoS, endedAgoS }: CarriedLook): Promise<LookDoc> {
    await this.gear.get(db, itemId);
    const open = endedAgoS === null ? await this.repository.openOf(db, itemId) : null;
    if (open) return open;
    const finishedAt = endedAgoS === null ? null : this.clock.ago(endedAgoS);
    await this.repository.insert(db, { id, itemId, at: null, answers: [], startedAt: this.clock.ago(startedAgoS), finishedAt });
    return this.repository.versioned.find(db, id);
  }

  /** @throws ProblemError where an answer is of a surface that the thing has not. */
  async checkSurfaces(db: Db, itemId: string, answers: readonly LookAnswer[]): Promise<void> {
    const item = await this.gear.get(db, itemId);
    const own = care.surfacesOf(item.kind, item.traits);
    const stray = answers.findIndex((a) => !own.includes(a.surface));
    if (stray >= 0)
      throw problem(inspectionErrors, 'surface-not-there', {
        fields: {
          [`answers.${stray}.surface`]: `This ${care.kindFacts(item.kind).name} has no ${care.surfaceFacts(answers[stray]!.surface).name}.`,
        },
      });
  }
}
