import {
  storageErrors,
  type MoveItem,
  type MoveItems,
  type Moved,
  type MovesTakenBack,
  type Place,
  type Stay,
} from '@bright-keeper/contract';
import { storage, type schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem, toldFor, type ProblemError } from '../http/index.js';
import { JournalRepository } from '../journal/index.js';
import { Clock, Ids } from '../platform/index.js';
import { PlaceService } from './place.service.js';
import { StayRepository } from './stay.repository.js';

/** `since`: it lies there since then; null is `now`. All that moves together moves in one moment, by which it is known as one deed. */
type Told = { place: Place | null; since: Date | null; now: Date; alone: boolean };
type Begun = Extract<storage.StayChange<Stay>, { change: 'moved' | 'corrected' }>;
type MoveEntry = schedule.Entry & { data: Extract<schedule.JournalData, { kind: 'moved' | 'stay-told' }> };

/** Where things lie: moved one by one or many at once, now or since a day, and taken back. */
@Injectable()
export class MoveService {
  constructor(
    private readonly database: Database,
    private readonly places: PlaceService,
    private readonly stays: StayRepository,
    private readonly gear: GearRepository,
    private readonly journal: JournalRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  /** Moves a thing: its stay ends and the next begins, and the log says so. @throws ProblemError where it lay elsewhere then. */
  move(itemId: string, move: MoveItem): Promise<Stay[]> {
    return this.database.transaction(async (db) => {
      const told = await this.told(db, move);
      await this.gear.versioned.find(db, itemId);
      const along = told.alone ? [] : await this.lyingWith(db, [itemId]);
      const { change } = await this.moveOne(db, itemId, told);
      if (change.change === 'refused') throw layElsewhere(change.lay);
      if (along.length > 0) await this.moveEach(db, along, told);
      return this.stays.ofItem(db, itemId);
    });
  }

  /** Many things into one place, in one go; what lay elsewhere then is named and stays. */
  moveAll({ itemIds, ...move }: MoveItems): Promise<Moved> {
    return this.database.transaction(async (db) => {
      const told = await this.told(db, move);
      const along = told.alone ? [] : await this.lyingWith(db, itemIds);
      return this.moveEach(db, [...new Set([...itemIds, ...along])], told);
    });
  }

  /** As if the moves had never been told; what was moved again since, or came from a place that was given up, stays where it is. */
  takeBack(entryIds: readonly string[]): Promise<MovesTakenBack> {
    return this.database.transaction(async (db) => {
      let takenBack = 0;
      for (const id of entryIds) {
        const entry = await this.journal.find(db, id);
        if (entry && !(await this.journal.isUndone(db, id)) && (await this.takeBackIn(db, entry)) === null) takenBack += 1;
      }
      return { takenBack, kept: entryIds.length - takenBack };
    });
  }

  /** Moves a thing now, in the caller's transaction. */
  async moveIn(db: Db, itemId: string, placeId: string): Promise<void> {
    await this.moveOne(db, itemId, { place: await this.places.get(placeId, db), since: null, now: this.clock.now(), alone: true });
  }

  private async moveEach(db: Db, itemIds: readonly string[], told: Told): Promise<Moved> {
    const moved: Moved = { entryIds: [], refused: [] };
    for (const { id: itemId, name, status } of await this.gear.findMany(db, itemIds)) {
      // What has fungus is put with others by nobody who did not mean it: one by one it may be.
      if (told.place && status === 'quarantined') {
        moved.refused.push({ itemId, name, because: 'quarantined' });
        continue;
      }
      const { change, entryId } = await this.moveOne(db, itemId, told);
      if (entryId) moved.entryIds.push(entryId);
      if (change.change === 'refused') moved.refused.push({ itemId, name, because: 'lay-elsewhere', placeName: change.lay.placeName });
    }
    return moved;
  }

  /** What belongs to things and lies where they lie: in the same place, or like them in none we know. */
  private async lyingWith(db: Db, itemIds: readonly string[]): Promise<string[]> {
    const owns = [...(await this.gear.ownOf(db, itemIds))].flatMap(([owner, own]) => own.map(({ id }) => ({ owner, id })));
    if (owns.length === 0) return [];
    const stays = await this.stays.open(db, [...new Set(owns.flatMap(({ owner, id }) => [owner, id]))]);
    const placeOf = new Map(stays.map((stay) => [stay.itemId, stay.placeId]));
    return owns.filter(({ owner, id }) => placeOf.get(id) === placeOf.get(owner)).map(({ id }) => id);
  }

  private async told(db: Db, { placeId, since, alone = false }: MoveItem): Promise<Told> {
    const place = placeId === null ? null : await this.places.get(placeId, db);
    if (place?.archivedAt) throw problem(storageErrors, 'place-not-found');
    const now = this.clock.now();
    return { place, since: since === null ? null : toldFor(since, now, 'since'), now, alone };
  }

  private async moveOne(db: Db, itemId: string, told: Told): Promise<{ change: storage.StayChange<Stay>; entryId: string | null }> {
    const { place } = told;
    const since = told.since ?? told.now;
    const before = await this.stays.ofItem(db, itemId);
    const open = before.at(-1)?.until === null ? before.at(-1)! : null;
    // Told of no day, it is only moved: since when it lies where it does is not touched.
    const isThere = told.since === null && open?.placeId === place?.id;
    const change = isThere
      ? ({ change: 'none' } as const)
      : storage.stayChange(before, { placeId: place?.id ?? null, since: since.toISOString() });
    if (change.change === 'none' || change.change === 'refused') return { change, entryId: null };
    if (change.change === 'moved') await this.stays.end(db, itemId, since);
    else await this.stays.dropOpen(db, itemId);
    if (place) await this.stays.begin(db, { id: this.ids.next(), itemId, placeId: place.id, since });
    const entryId = this.ids.next();
    await this.journal.addForThings(db, [{ id: entryId, itemId, ...this.logOf(change, place?.name ?? null, since, told.now) }]);
    return { change, entryId };
  }

  /** What the log tells of it: a move on the day it was, a correction on the day it was made. */
  private logOf(change: Begun, placeName: string | null, since: Date, now: Date): { at: Date; data: MoveEntry['data'] } {
    if (change.change === 'moved') return { at: since, data: { kind: 'moved', placeName } };
    const { placeId, placeName: was, since: from } = change.before;
    const before = { placeId, placeName: was, since: from };
    return { at: now, data: { kind: 'stay-told', placeName, since: since.toISOString(), before } };
  }

  /** Takes one move back in the caller's transaction. @returns why it stands; null where it is taken back. */
  async takeBackIn(db: Db, entry: schedule.Entry): Promise<schedule.KeptReason | null> {
    if (!isMove(entry)) return 'gone';
    const itemId = entry.subject.id;
    const since = entry.data.kind === 'moved' ? entry.at : entry.data.since;
    const stays = await this.stays.ofItem(db, itemId);
    const last = stays.at(-1);
    const open = last?.until === null ? last : null;
    // It must lie where the entry put it, since then: else something was told of it later.
    if ((open?.placeName ?? null) !== entry.data.placeName || (open ? open.since : last?.until) !== since) return 'moved-since';
    const before = entry.data.kind === 'moved' ? stays.findLast((s) => s.until === since)?.placeId : entry.data.before.placeId;
    if (before !== undefined && (await this.places.get(before, db)).archivedAt !== null) return 'its-place-is-gone';
    if (open) await this.stays.dropOpen(db, itemId);
    if (entry.data.kind === 'moved') await this.stays.reopen(db, itemId, new Date(since));
    else {
      const { placeId, since: from } = entry.data.before;
      await this.stays.begin(db, { id: this.ids.next(), itemId, placeId, since: new Date(from) });
    }
    await this.journal.addForThings(db, [
      { id: this.ids.next(), itemId, at: this.clock.now(), data: { kind: 'undone', entryId: entry.id } },
    ]);
    return null;
  }
}

const isMove = (entry: schedule.Entry): entry is MoveEntry => entry.data.kind === 'moved' || entry.data.kind === 'stay-told';

/** The last stay that is over stands: what is told must come after it. */
const layElsewhere = ({ placeName }: Stay): ProblemError =>
  problem(storageErrors, 'lay-elsewhere', {
    detail: `It still lay in ${placeName} then. Give a later day; nothing was changed.`,
    fields: { since: `It still lay in ${placeName} then: give a later day.` },
  });
