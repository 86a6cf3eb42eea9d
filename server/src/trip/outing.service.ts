import {
  gearErrors,
  tripErrors,
  type FromPictures,
  type Outing,
  type OutingInput,
  type OutingUpdate,
  type TakenFromPictures,
} from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { OutingRepository } from './outing.repository.js';

/** As it is kept: what did not come along was not used. */
const kept = ({ used = {}, also = [], weather = [], travel = 'own-way', kit = null, ...input }: OutingInput): Required<OutingInput> => ({
  ...{ ...input, weather, travel, kit },
  // The ground it is named by is not one of the others.
  also: also.filter((ground) => ground !== input.place),
  name: input.name.trim(),
  used: Object.fromEntries(Object.entries(used).filter(([id]) => input.itemIds.includes(id))),
});

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
      await this.checkThings(db, { itemIds: input.itemIds });
      const id = this.ids.next();
      await this.insert(db, id, input);
      return this.repository.versioned.find(db, id);
    });
  }

  update(id: string, { version, ...input }: OutingUpdate): Promise<Outing> {
    return this.database.transaction(async (db) => {
      await this.checkThings(db, { itemIds: input.itemIds });
      return this.repository.versioned.update(db, id, version, kept(input));
    });
  }

  /** All of it or nothing: what is stale or names a stray thing is said, and nothing was taken in. */
  takeIn({ added, changed }: FromPictures): Promise<TakenFromPictures> {
    return this.database.transaction(async (db) => {
      const along = (all: readonly OutingInput[], which: string) =>
        all.map(({ itemIds }, i) => [`${which}.${i}.itemIds`, itemIds] as const);
      await this.checkThings(db, Object.fromEntries([...along(added, 'added'), ...along(changed, 'changed')]));
      for (const input of added) await this.insert(db, this.ids.next(), input);
      for (const { id, version, ...input } of changed) await this.repository.versioned.update(db, id, version, kept(input));
      return { added: added.length, changed: changed.length };
    });
  }

  async remove(id: string): Promise<void> {
    if (!(await this.repository.remove(this.database.db, id))) throw problem(tripErrors, 'outing-not-found');
  }

  private insert(db: Db, id: string, input: OutingInput): Promise<void> {
    return this.repository.insert(db, { ...kept(input), id, createdAt: this.clock.now() });
  }

  /** @param asked ids of things by the field they stand in. @throws ProblemError 404 naming the first that is none. */
  private async checkThings(db: Db, asked: Readonly<Record<string, readonly string[]>>): Promise<void> {
    const found = new Set((await this.gear.findMany(db, [...new Set(Object.values(asked).flat())])).map((item) => item.id));
    for (const [field, itemIds] of Object.entries(asked)) {
      const stray = itemIds.findIndex((id) => !found.has(id));
      if (stray >= 0) throw problem(gearErrors, 'item-not-found', { fields: { [`${field}.${stray}`]: 'There is no such thing.' } });
    }
  }
}
