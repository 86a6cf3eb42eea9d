import { careErrors, gearErrors, type HappenedOutdoors, type WaitForHome } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/database.js';
import { GearRepository } from '../gear/gear.repository.js';
import { problem } from '../http/problem.js';
import { Clock, Ids } from '../platform/clock.js';
import { RhythmService } from '../schedule/rhythm.service.js';
import { PlanRequestService } from './planRequest.service.js';

/** A week is the most that anything put off outdoors waits for the bench (our choice). */
const LONGEST_WAIT_DAYS = 7;

/** What happens outdoors, and what of it waits for home. */
@Injectable()
export class FieldService {
  constructor(
    private readonly database: Database,
    private readonly requests: PlanRequestService,
    private readonly gear: GearRepository,
    private readonly rhythms: RhythmService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** Logs it with each thing; what has to be done at home becomes its task. */
  happened({ happening, itemIds }: HappenedOutdoors): Promise<void> {
    const { homeWithinDays } = care.happeningFacts(happening);
    return this.database.transaction(async (db) => {
      const found = await this.gear.findMany(db, itemIds);
      if (found.length < itemIds.length) throw problem(gearErrors, 'item-not-found');
      const at = this.clock.now();
      await this.gear.addLog(
        db,
        itemIds.map((itemId) => ({ id: this.ids.next(), itemId, at, data: { kind: 'outdoors', happening } })),
      );
      for (const itemId of itemIds) await this.rhythms.waitForHome(db, itemId, { because: 'happened-outdoors', happening }, homeWithinDays);
    });
  }

  /** Keeps what a field plan leaves undone as a task at home. */
  keepForHome({ itemId, conditions, schools }: WaitForHome): Promise<void> {
    return this.database.transaction(async (db) => {
      const { request } = await this.requests.forThing(db, itemId, { place: 'field', conditions, schools });
      const { deferred } = care.planCleaning(request);
      if (deferred.length === 0) throw problem(careErrors, 'nothing-put-off');
      await this.putOff(db, itemId, deferred);
    });
  }

  /** What was put off becomes a task at home, in the caller's transaction. */
  async putOff(db: Db, itemId: string, deferred: care.CleaningPlan['deferred']): Promise<void> {
    if (deferred.length === 0) return;
    const surfaces = [...new Set(deferred.map((d) => d.surface))];
    await this.rhythms.waitForHome(db, itemId, { because: 'left-in-the-field', surfaces }, LONGEST_WAIT_DAYS);
  }
}
