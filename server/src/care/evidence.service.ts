import type { RungsAtTheBench } from '@bright-keeper/contract';
import { record } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { CareRepository } from './care.repository.js';

/** What the benches of this household say of each rung. One that is over is read once, as long as it is of the same version. */
@Injectable()
export class EvidenceService {
  private readonly read = new Map<string, record.BenchOver>();

  constructor(
    private readonly database: Database,
    private readonly repository: CareRepository,
  ) {}

  async rungs(db: Db = this.database.db): Promise<RungsAtTheBench> {
    const over = await this.repository.finished(db);
    const keys = new Map(over.map(({ id, version }) => [id, `${id}/${version}`]));
    const fresh = over.filter(({ id }) => !this.read.has(keys.get(id)!)).map(({ id }) => id);
    for (const { id, ...bench } of await this.repository.benches(db, fresh)) this.read.set(keys.get(id)!, bench);
    // A household that was restored or taken in has other benches.
    const there = new Set(keys.values());
    for (const key of this.read.keys()) if (!there.has(key)) this.read.delete(key);
    return { rungs: record.knownOdds(record.recordOf([...this.read.values()])) };
  }
}
