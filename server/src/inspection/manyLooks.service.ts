import type { Item, Looked, LookAnswer, LookedAtMany } from '@bright-keeper/contract';
import { inspection } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository, OpenWorkRepository } from '../gear/index.js';
import { toldFor } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { InspectionRepository } from './inspection.repository.js';
import { LookEnding } from './lookEnding.js';

/** Many things looked at in one go. */
@Injectable()
export class ManyLooksService {
  constructor(
    private readonly database: Database,
    private readonly repository: InspectionRepository,
    private readonly gear: GearRepository,
    private readonly openWork: OpenWorkRepository,
    private readonly ending: LookEnding,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /**
   * Notes of each that nothing was found where such a light shows it. Where something had been found, that stands: a glance
   * over many takes no growth away, a look at the one does.
   */
  lookedAt({ itemIds, light, at: told }: LookedAtMany): Promise<Looked> {
    return this.database.transaction(async (db) => {
      const at = toldFor(told, this.clock.now());
      const looked: Looked = { entryIds: [], found: [], refused: [] };
      const found = await this.gear.findMany(db, itemIds);
      const states = await this.gear.statesOf(
        db,
        found.map((item) => item.id),
      );
      for (const item of found) {
        const dirty = (states.get(item.id) ?? []).filter((s) => s.findings.length > 0).map((s) => s.surface);
        const shown = inspection.shownBy(light, item.kind, item.traits);
        const clean = shown.filter((surface) => !dirty.includes(surface));
        const named = { itemId: item.id, name: item.name };
        if (item.archivedAt !== null) {
          looked.refused.push({ ...named, because: 'off-the-shelf' });
          continue;
        }
        if (shown.some((surface) => dirty.includes(surface))) looked.found.push(named);
        if ((await this.openWork.of(db, item.id)).cleaning) looked.refused.push({ ...named, because: 'under-way' });
        else if (clean.length === 0) looked.refused.push({ ...named, because: 'nothing-shown' });
        else
          looked.entryIds.push(
            await this.note(
              db,
              item,
              clean.map((surface) => ({ surface, findings: [], note: '' })),
              at,
              light,
            ),
          );
      }
      return looked;
    });
  }

  private async note(db: Db, item: Item, answers: LookAnswer[], at: Date, light: inspection.Light): Promise<string> {
    const id = this.ids.next();
    // Finished as it is begun: a look that is open goes on beside it.
    await this.repository.insert(db, { id, itemId: item.id, at: null, answers, startedAt: at, finishedAt: at });
    const look = await this.repository.versioned.find(db, id);
    return (await this.ending.end(db, look, look.version, at, light)).entryId;
  }
}
