import { careErrors, gearErrors, type HappenedOutdoors, type ToldLater, type WaitForHome } from '@bright-keeper/contract';
import { care, type schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { v5 } from 'uuid';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { PlanRequestService } from './planRequest.service.js';

/** The surfaces whose work waits for home. */
const leftForHome = (deferred: care.CleaningPlan['deferred']): care.Surface[] => [
  ...new Set(deferred.filter((d) => d.until === 'home').map((d) => d.surface)),
];

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
  happened({ happening, itemIds, later }: HappenedOutdoors): Promise<void> {
    return this.database.transaction(async (db) => {
      const found = await this.gear.findMany(db, itemIds);
      if (found.length < itemIds.length) throw problem(gearErrors, 'item-not-found');
      await this.note(db, itemIds, { kind: 'outdoors', happening }, later);
    });
  }

  /** Notes what a field plan leaves undone: it waits for home. */
  keepForHome({ itemId, conditions, schools, kit, later }: WaitForHome): Promise<void> {
    return this.database.transaction(async (db) => {
      const { request } = await this.requests.forThing(db, itemId, { place: 'field', conditions, schools, kit });
      const surfaces = leftForHome(care.planCleaning(request).deferred);
      if (surfaces.length === 0) throw problem(careErrors, 'nothing-put-off');
      await this.note(db, [itemId], { kind: 'left-for-home', surfaces }, later);
    });
  }

  /** Notes what was put off at that moment, in the caller's transaction. */
  async putOff(db: Db, itemId: string, deferred: care.CleaningPlan['deferred'], at: Date): Promise<void> {
    const surfaces = leftForHome(deferred);
    if (surfaces.length > 0)
      await this.journal.addForThings(db, [{ id: this.ids.next(), itemId, at, data: { kind: 'left-for-home', surfaces } }]);
  }

  /** One entry for each thing; what is told twice is one, by the id it comes with. */
  private async note(db: Db, itemIds: readonly string[], data: schedule.JournalData, later: ToldLater | undefined): Promise<void> {
    const at = this.clock.ago(later?.agoS ?? 0);
    const entries = itemIds.map((itemId) => ({ id: later ? v5(itemId, later.id) : this.ids.next(), itemId, at, data }));
    const known = later
      ? await this.journal.known(
          db,
          entries.map(({ id }) => id),
        )
      : [];
    await this.journal.addForThings(
      db,
      entries.filter(({ id }) => !known.includes(id)),
    );
  }
}
