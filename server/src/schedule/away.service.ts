import {
  commonErrors,
  scheduleErrors,
  type SayBack,
  type SendAway,
  type SendManyAway,
  type SentAway,
  type Written,
} from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem, toldFor } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';

type Away = Extract<schedule.JournalData, { kind: 'away' }>;
/** An entry that tells of a thing that went, or that it came. */
type WentOrCame = schedule.DatedEntry & { data: Away | Extract<schedule.JournalData, { kind: 'back' }> };
const wentOrCame = (entry: schedule.DatedEntry): entry is WentOrCame => entry.data.kind === 'away' || entry.data.kind === 'back';

/** What is not here, sent to a workshop or lent; what belongs to it goes with it and comes back with it. */
@Injectable()
export class AwayService {
  constructor(
    private readonly database: Database,
    private readonly journal: JournalRepository,
    private readonly gear: GearRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** It is sent to a workshop or lent: nothing of it is asked for until it is back. */
  send({ itemId, at, alone = false, ...away }: SendAway): Promise<Written> {
    return this.database.transaction(async (db) => {
      await this.gear.versioned.find(db, itemId);
      const last = await this.last(db, itemId);
      if (last?.data.kind === 'away') throw problem(scheduleErrors, 'already-away');
      const since = this.notBefore(last, at, 'It came back');
      if (!alone) await this.sendEach(db, await this.ownOf(db, itemId), away, since);
      return { entryId: await this.write(db, itemId, dataOf(away), since) };
    });
  }

  /** Many in one go; what is away already, or came back later than that, is named and stays as it is. */
  sendAll({ itemIds, at, alone = false, ...away }: SendManyAway): Promise<SentAway> {
    return this.database.transaction(async (db) => {
      const own = alone ? [] : [...(await this.gear.ownOf(db, itemIds)).values()].flat().map(({ id }) => id);
      return this.sendEach(db, [...new Set([...itemIds, ...own])], away, toldFor(at, this.clock.now()));
    });
  }

  /** It is back, and with it what went with it. */
  back({ itemId, at }: SayBack): Promise<Written> {
    return this.database.transaction(async (db) => {
      await this.gear.versioned.find(db, itemId);
      const last = await this.last(db, itemId);
      if (last?.data.kind !== 'away') throw problem(scheduleErrors, 'not-away');
      const when = this.notBefore(last, at, 'It went away');
      for (const id of await this.ownOf(db, itemId)) {
        const went = await this.last(db, id);
        if (went?.data.kind === 'away' && went.at === last.at) await this.write(db, id, { kind: 'back' }, when);
      }
      return { entryId: await this.write(db, itemId, { kind: 'back' }, when) };
    });
  }

  private async sendEach(db: Db, itemIds: readonly string[], away: AwayFacts, since: Date): Promise<SentAway> {
    const sent: SentAway = { entryIds: [], refused: [] };
    for (const { id: itemId, name, archivedAt } of await this.gear.findMany(db, itemIds)) {
      if (archivedAt !== null) continue;
      const last = await this.last(db, itemId);
      if (last?.data.kind === 'away') sent.refused.push({ itemId, name, because: 'already-away' });
      else if (last && since.getTime() < Date.parse(last.at)) sent.refused.push({ itemId, name, because: 'came-back-later' });
      else sent.entryIds.push(await this.write(db, itemId, dataOf(away), since));
    }
    return sent;
  }

  private async ownOf(db: Db, itemId: string): Promise<string[]> {
    return (await this.gear.ownOf(db, [itemId])).get(itemId)!.map(({ id }) => id);
  }

  /** When it last went away or came back; null where it never did. */
  private async last(db: Db, itemId: string): Promise<WentOrCame | null> {
    return (await this.journal.ofThing(db, itemId, this.clock.now())).findLast(wentOrCame) ?? null;
  }

  /** When it was that is told: a thing comes back after it went, and goes again after it came. @param what the last of it was. */
  private notBefore(last: WentOrCame | null, at: string | null, what: string): Date {
    const when = toldFor(at, this.clock.now());
    if (last && when.getTime() < Date.parse(last.at))
      throw problem(commonErrors, 'bad-input', { fields: { at: `${what} later than that, on ${last.day}.` } });
    return when;
  }

  private async write(db: Db, itemId: string, data: schedule.JournalData, at: Date): Promise<string> {
    const id = this.ids.next();
    await this.journal.addForThings(db, [{ id, itemId, at, data }]);
    return id;
  }
}

type AwayFacts = Omit<SendAway, 'itemId' | 'at' | 'alone'>;
const dataOf = ({ why, until, to, estimate }: AwayFacts): Away => ({
  kind: 'away',
  why,
  until,
  ...(to === undefined ? {} : { to: to.trim() }),
  ...(estimate === undefined ? {} : { estimate }),
});
