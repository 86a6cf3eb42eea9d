import { storageErrors, type Place, type PlaceInput, type PlaceUpdate, type Stay } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { problem } from '../http/index.js';
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
