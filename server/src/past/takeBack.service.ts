import type { TakenBack } from '@bright-keeper/contract';
import { gear, schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { MoveService } from '../places/index.js';
import { Clock, Ids } from '../platform/index.js';
import { ThingsTakenBackService } from '../shelf/index.js';
import { PastLooksService } from './looks.service.js';

/** What belongs to a thing goes with it by these. */
const GOES_TOGETHER: readonly schedule.JournalKind[] = ['moved', 'stay-told', 'away', 'back', 'archived'];

/** What the journal tells, taken back where that costs nothing else. */
@Injectable()
export class TakeBackService {
  constructor(
    private readonly database: Database,
    private readonly journal: JournalRepository,
    private readonly gear: GearRepository,
    private readonly moves: MoveService,
    private readonly things: ThingsTakenBackService,
    private readonly looks: PastLooksService,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** As if they had never been told, in one go, the last that was told first; what stands is named with its reason. */
  takeBack(entryIds: readonly string[]): Promise<TakenBack> {
    return this.database.transaction(async (db) => {
      const kept: TakenBack['kept'] = [];
      const all = new Set<string>();
      for (const entryId of entryIds.toReversed()) for (const one of [entryId, ...(await this.alongside(db, entryId))]) all.add(one);
      for (const entryId of all) {
        const because = await this.one(db, entryId);
        if (because) kept.push({ entryId, because });
      }
      return { takenBack: all.size - kept.length, kept };
    });
  }

  /** The entries of what belongs to a thing and went with it then: they are one deed. */
  private async alongside(db: Db, entryId: string): Promise<string[]> {
    const entry = await this.journal.find(db, entryId);
    if (entry?.subject.kind !== 'thing' || !GOES_TOGETHER.includes(entry.data.kind)) return [];
    const own = gear.belongingsOf(entry.subject.id, await this.gear.belongings(db));
    return own.length === 0 ? [] : this.journal.ofOneDeed(db, own, entry);
  }

  private async one(db: Db, entryId: string): Promise<schedule.KeptReason | null> {
    const entry = await this.journal.find(db, entryId);
    if (!entry || (await this.journal.isUndone(db, entryId))) return 'gone';
    const { subject, data } = entry;
    switch (data.kind) {
      case 'moved':
      case 'stay-told':
        return this.moves.takeBackIn(db, entry);
      case 'edited':
        return this.things.edit(db, { ...entry, data });
      case 'archived':
      case 'restored':
      case 'quarantined':
      case 'released':
        return this.things.turn(db, { ...entry, data: { ...data, kind: data.kind } });
      case 'look':
        return this.looks.takeBackIn(db, { ...entry, data });
      default:
        if (!schedule.ONLY_SAID.includes(data.kind)) return 'work-stands';
        await this.journal.add(db, [{ id: this.ids.next(), at: this.clock.now(), subject, data: { kind: 'undone', entryId } }]);
        return null;
    }
  }
}
