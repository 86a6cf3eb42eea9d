import { commonErrors, gearErrors, tripErrors, type Outing, type OutingInput, type OutingUpdate } from '@bright-keeper/contract';
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
      return this.get(db, id);
    });
  }

  update(id: string, { version, ...input }: OutingUpdate): Promise<Outing> {
    return this.database.transaction(async (db) => {
      await this.checkThings(db, input);
      const current = await this.get(db, id);
      const updated = await this.repository.update(db, id, version, { ...input, name: input.name.trim() });
      if (!updated) throw problem(commonErrors, 'stale', { current });
      return updated;
    });
  }

  async remove(id: string): Promise<void> {
    if (!(await this.repository.remove(this.database.db, id))) throw problem(tripErrors, 'outing-not-found');
  }

  private async get(db: Db, id: string): Promise<Outing> {
    const outing = await this.repository.find(db, id);
    if (!outing) throw problem(tripErrors, 'outing-not-found');
    return outing;
  }

  private async checkThings(db: Db, { itemIds }: OutingInput): Promise<void> {
    const found = await this.gear.findMany(db, itemIds);
    const stray = itemIds.findIndex((id) => !found.some((item) => item.id === id));
    if (stray >= 0) throw problem(gearErrors, 'item-not-found', { fields: { [`itemIds.${stray}`]: 'There is no such thing.' } });
  }
}
