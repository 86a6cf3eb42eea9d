import type { DoneToMany, PutTogether } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { changesOf } from './edits.js';
import { checkTogether } from './together.js';

/** What travels and lies together. */
@Injectable()
export class TogetherService {
  constructor(
    private readonly database: Database,
    private readonly repository: GearRepository,
    private readonly journal: JournalRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /**
   * Has many things belong to one, or to nothing any more, all of them or none.
   *
   * @returns those that it changed.
   * @throws ProblemError where one of them would belong to itself by that.
   */
  put({ itemIds: asked, belongsTo }: PutTogether): Promise<DoneToMany> {
    return this.database.transaction(async (db) => {
      const at = this.clock.now();
      const itemIds: string[] = [];
      for (const item of await this.repository.findMany(db, asked)) {
        if (item.belongsTo === belongsTo) continue;
        if (belongsTo !== null) await checkTogether(db, this.repository, item.id, belongsTo);
        await this.repository.versioned.update(db, item.id, item.version, { belongsTo, updatedAt: at });
        const data = { kind: 'edited', ...changesOf(item, { ...item, belongsTo }) } as const;
        await this.journal.addForThings(db, [{ id: this.ids.next(), itemId: item.id, at, data }]);
        itemIds.push(item.id);
      }
      return { itemIds };
    });
  }
}
