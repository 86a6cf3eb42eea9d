import { gearErrors, tripErrors, type Outing, type OutingInput, type OutingUpdate } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { OutingRepository } from './outing.repository.js';

/** Outings, which give the rhythms of use and exposure something to count. */
@Injectable()
export class OutingService {
  constructor(
    private readonly database: Database,
    private readonly repository: OutingRepository,
    private readonly gear: GearRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  all(): Promise<Outing[]> {
    return this.repository.all(this.database.db);
  }

  add(input: OutingInput): Promise<Outing> {
    return this.database.transaction(async (db) => {
      await this.checkThings(db, input);
      const id = this.ids.next();
      await this.repository.insert(db, { ...input, name: input.name.trim(), id, createdAt: this.clock.now() });
      return this.repository.versioned.find(db, id);
    });
  }

  update(id: string, { version, ...input }: OutingUpdate): Promise<Outing> {
    return this.database.transaction(async (db) => {
      await this.checkThings(db, input);
      return this.repository.versioned.update(db, id, version, { ...input, name: input.name.trim() });
    });
  }

  async remove(id: string): Promise<void> {
    if (!(await this.repository.remove(this.database.db, id))) throw problem(tripErrors, 'outing-not-found');
  }

  private async checkThings(db: Db, { itemIds }: OutingInput): Promise<void> {
    const found = await this.gear.findMany(db, itemIds);
    const stray = itemIds.findIndex((id) => !found.some((item) => item.id === id));
    if (stray >= 0) throw problem(gearErrors, 'item-not-found', { fields: { [`itemIds.${stray}`]: 'There is no such thing.' } });
  }
}
