import { inspectionErrors, type LookDoc } from '@bright-keeper/contract';
import { inspection } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import type { Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { begunBy, problem } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Ids } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { GearService } from '../shelf/index.js';
import { InspectionRepository } from './inspection.repository.js';
import { lookData } from './lookData.js';
import { LookPhotoService } from './lookPhoto.service.js';

/** Which thing it is of, and the entry that tells of it. */
type Ended = { itemId: string; entryId: string };

/** What the end of a look writes. */
@Injectable()
export class LookEnding {
  constructor(
    private readonly repository: InspectionRepository,
    private readonly gear: GearService,
    private readonly gearRepository: GearRepository,
    private readonly journal: JournalRepository,
    private readonly photos: LookPhotoService,
    private readonly settings: SettingsService,
    private readonly ids: Ids,
  ) {}

  /**
   * What is known of each surface and the journal, in the caller's transaction.
   *
   * @param at when it was finished. What was seen of a surface later than that stands.
   * @param light by what light, where that is told for many at once.
   */
  async end(db: Db, look: LookDoc, version: number, at: Date, light?: inspection.Light): Promise<Ended> {
    const item = await this.gear.get(db, look.itemId);
    const { schools } = await this.settings.get(db);
    const known = inspection.knownFromLook(item, look.answers, schools);
    if (known.length === 0) throw problem(inspectionErrors, 'nothing-looked-at');
    const states = known.map((state) => ({ ...state, knownSince: at }));
    const { photos } = await this.photos.of(look.id, db);
    await this.repository.versioned.update(db, look.id, version, { startedAt: begunBy(look.startedAt, at), finishedAt: at });
    await this.gearRepository.saveStates(db, item.id, states);
    const data = { ...lookData(look.id, look.answers, states, photos.length), ...(light === undefined ? {} : { light }) };
    const entryId = this.ids.next();
    await this.journal.addForThings(db, [{ id: entryId, itemId: item.id, at, data }]);
    return { itemId: item.id, entryId };
  }
}
