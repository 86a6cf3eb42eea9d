import { storageErrors, type MoveItem, type Place, type PlaceInput, type PlaceUpdate, type Stay } from '@bright-keeper/contract';
import { storage, type schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { JournalRepository } from '../journal/index.js';
import { problem, toldFor, type ProblemError } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { PlaceRepository } from './place.repository.js';
import { StayRepository } from './stay.repository.js';

/** The places, and which things lie in them. */
@Injectable()
export class PlaceService {
  constructor(
    private readonly database: Database,
    private readonly repository: PlaceRepository,
    private readonly stays: StayRepository,
    private readonly gear: GearRepository,
    private readonly journal: JournalRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  all(db: Db = this.database.db): Promise<Place[]> {
    return this.repository.all(db);
  }

  /** What each place is called, given up or not. */
  names(db: Db): Promise<Map<string, string>> {
    return this.repository.names(db);
  }

  /** @throws ProblemError when there is no such place. */
  get(id: string, db: Db = this.database.db): Promise<Place> {
    return this.repository.versioned.find(db, id);
  }

  add(input: PlaceInput): Promise<Place> {
    return this.database.transaction(async (db) => {
      const id = this.ids.next();
      await this.checkRoom(db, input, id);
      await this.repository.insert(db, { ...input, name: input.name.trim(), id, createdAt: this.clock.now() });
      return this.get(id, db);
    });
  }

  update(id: string, { version, ...input }: PlaceUpdate): Promise<Place> {
    return this.database.transaction(async (db) => {
      await this.get(id, db);
      await this.checkRoom(db, input, id);
      return this.repository.versioned.update(db, id, version, { ...input, name: input.name.trim() });
    });
  }

  /** Gives a place up; its past stays. */
  archive(id: string, version: number): Promise<Place> {
    return this.database.transaction(async (db) => {
      await this.get(id, db);
      if ((await this.stays.inPlace(db, id)).length > 0) throw problem(storageErrors, 'place-in-use');
      return this.repository.versioned.update(db, id, version, { archivedAt: this.clock.now() });
    });
  }

  /** Moves a thing, now or since when it lies there: its stay ends here and begins there, and the log says so. */
  move(itemId: string, { placeId, since: told }: MoveItem): Promise<Stay[]> {
    const since = toldFor(told, this.clock.now(), 'since');
    return this.database.transaction(async (db) => {
      await this.gear.versioned.find(db, itemId);
      const place = placeId === null ? null : await this.get(placeId, db);
      const before = await this.stays.ofItem(db, itemId);
      // Told of no day, it is only moved: since when it lies where it does is not touched.
      const stays = told === null && before.at(-1)?.until === null && before.at(-1)?.placeId === placeId;
      const change = stays ? null : storage.stayChange(before, { placeId, since: since.toISOString() });
      if (!change || change.change === 'none') return before;
      if (change.change === 'refused') throw layElsewhere(change.lay);
      if (change.change === 'moved') await this.stays.end(db, itemId, since);
      else await this.stays.dropOpen(db, itemId);
      if (place) await this.stays.begin(db, { id: this.ids.next(), itemId, placeId: place.id, since });
      await this.journal.addForThings(db, [{ id: this.ids.next(), itemId, ...this.logOf(change, place?.name ?? null, since) }]);
      return this.stays.ofItem(db, itemId);
    });
  }

  /** What the log tells of it: a move on the day it was, a correction on the day it was made. */
  private logOf(
    change: Extract<storage.StayChange<Stay>, { change: 'moved' | 'corrected' }>,
    placeName: string | null,
    since: Date,
  ): { at: Date; data: schedule.JournalData } {
    if (change.change === 'moved') return { at: since, data: { kind: 'moved', placeName } };
    const { placeName: was, since: from } = change.before;
    return {
      at: this.clock.now(),
      data: { kind: 'stay-told', placeName, since: since.toISOString(), before: { placeName: was, since: from } },
    };
  }

  async staysOf(itemId: string): Promise<Stay[]> {
    return this.stays.ofItem(this.database.db, itemId);
  }

  /** The room around a place is another place that is there, and no ring of places around each other. */
  private async checkRoom(db: Db, { standsInId }: PlaceInput, id: string): Promise<void> {
    for (let outer = standsInId; outer !== null;) {
      if (outer === id) throw problem(storageErrors, 'place-in-itself', { fields: { standsInId: 'It would stand in itself.' } });
      outer = (await this.get(outer, db)).standsInId;
    }
  }
}

/** The last stay that is over stands: what is told must come after it. */
const layElsewhere = ({ placeName }: Stay): ProblemError =>
  problem(storageErrors, 'lay-elsewhere', {
    detail: `It still lay in ${placeName} then. Give a later day; nothing was changed.`,
    fields: { since: `It still lay in ${placeName} then: give a later day.` },
  });
