import type { RhythmBefore, RhythmOfMany, RhythmsBack, RhythmsSet } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { RhythmRepository } from '../agenda/index.js';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { Ids } from '../platform/index.js';
import { RhythmService } from './rhythm.service.js';

/** A rhythm set for many things at once, each by itself. */
@Injectable()
export class ManyRhythmsService {
  constructor(
    private readonly database: Database,
    private readonly repository: RhythmRepository,
    private readonly gear: GearRepository,
    private readonly rhythms: RhythmService,
    private readonly ids: Ids,
  ) {}

  /** Every so many months for each of them that has such a duty; what else makes it due of each stays. */
  set({ itemIds, code, months }: RhythmOfMany): Promise<RhythmsSet> {
    return this.database.transaction(async (db) => {
      const duty = schedule.dutyFacts(code);
      const changes = await this.repository.all(db);
      const done: RhythmsSet = { before: [], without: [] };
      for (const { id, name, kind } of await this.gear.findMany(db, itemIds)) {
        if (duty.about !== 'thing' || !duty.rhythm || !schedule.isForKind(duty, kind)) {
          done.without.push({ itemId: id, name });
          continue;
        }
        // Of what was switched off, its usual rhythm is begun from.
        const holds = schedule.rhythmFor(code, duty.rhythm, { id, kind }, changes) ?? duty.rhythm;
        done.before.push(await this.put(db, code, id, months === null ? null : schedule.everyMonths(holds, months)));
      }
      return done;
    });
  }

  /** What held for each of them alone holds again. @throws ProblemError where nobody could keep it: it comes from elsewhere, too. */
  async back({ code, before }: RhythmsBack): Promise<void> {
    for (const one of before) await this.rhythms.check(one);
    return this.database.transaction(async (db) => {
      for (const { itemId, had, rhythm } of before) {
        const there = await this.repository.find(db, code, { for: 'subject', id: itemId });
        if (had) await this.put(db, code, itemId, rhythm);
        else if (there) await this.repository.remove(db, there.id);
      }
    });
  }

  private async put(db: Db, code: schedule.DutyCode, itemId: string, rhythm: schedule.Rhythm | null): Promise<RhythmBefore> {
    const scope = { for: 'subject', id: itemId } as const;
    const there = await this.repository.find(db, code, scope);
    if (there) await this.repository.update(db, there.id, there.version, rhythm);
    else await this.repository.insert(db, { id: this.ids.next(), code, scope, rhythm });
    return { itemId, had: there !== null, rhythm: there?.rhythm ?? null };
  }
}
