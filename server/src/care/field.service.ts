import { careErrors, gearErrors, type HappenedOutdoors, type WaitForHome } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { PlanRequestService } from './planRequest.service.js';

/** What happens outdoors, and what of it waits for home. */
@Injectable()
export class FieldService {
  constructor(
    private readonly database: Database,
    private readonly requests: PlanRequestService,
    private readonly gear: GearRepository,
    private readonly journal: JournalRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** Notes it with each thing: what has to be done at home falls due from it. */
  happened({ happening, itemIds }: HappenedOutdoors): Promise<void> {
    return this.database.transaction(async (db) => {
      const found = await this.gear.findMany(db, itemIds);
      if (found.length < itemIds.length) throw problem(gearErrors, 'item-not-found');
      const at = this.clock.now();
      await this.journal.addForThings(
        db,
        itemIds.map((itemId) => ({ id: this.ids.next(), itemId, at, data: { kind: 'outdoors', happening } })),
      );
    });
  }

  /** Notes what a field plan leaves undone: it waits for home. */
  keepForHome({ itemId, conditions, schools }: WaitForHome): Promise<void> {
    return this.database.transaction(async (db) => {
      const { request } = await this.requests.forThing(db, itemId, { place: 'field', conditions, schools });
      const deferred = care.planCleaning(request).deferred.filter((d) => d.until === 'home');
      if (deferred.length === 0) throw problem(careErrors, 'nothing-put-off');
      await this.putOff(db, itemId, deferred);
    });
  }

  /** Notes what was put off, in the caller's transaction. */
  async putOff(db: Db, itemId: string, deferred: care.CleaningPlan['deferred']): Promise<void> {
    const surfaces = [...new Set(deferred.filter((d) => d.until === 'home').map((d) => d.surface))];
    if (surfaces.length === 0) return;
    await this.journal.addForThings(db, [{ id: this.ids.next(), itemId, at: this.clock.now(), data: { kind: 'left-for-home', surfaces } }]);
  }
}
