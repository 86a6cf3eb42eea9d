import type { BenchUses, RungsAtTheBench } from '@bright-keeper/contract';
import { care, record, supplies } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { CareRepository, type KeptBench } from './care.repository.js';

/** What is asked of benches that are over: read once for each, as long as it is of the same version. */
type Told = { bench: record.BenchOver; use: record.BenchTook };

/** What the benches of this household tell: what came of each rung, and what was used up. */
@Injectable()
export class EvidenceService {
  private readonly read = new Map<string, Told>();

  constructor(
    private readonly database: Database,
    private readonly repository: CareRepository,
  ) {}

  async rungs(db: Db = this.database.db): Promise<RungsAtTheBench> {
    const benches = (await this.told(db)).map(({ bench }) => bench);
    return { rungs: record.knownOdds(record.recordOf(benches)), schools: record.schoolsInHand(benches) };
  }

  /** Oldest first. */
  async uses(db: Db = this.database.db): Promise<BenchUses> {
    return { uses: (await this.told(db)).map(({ use }) => use).sort((a, b) => a.at.localeCompare(b.at)) };
  }

  private async told(db: Db): Promise<Told[]> {
    const over = await this.repository.finished(db);
    const keys = new Map(over.map(({ id, version }) => [id, `${id}/${version}`]));
    const fresh = over.filter(({ id }) => !this.read.has(keys.get(id)!)).map(({ id }) => id);
    for (const bench of await this.repository.benches(db, fresh)) this.read.set(keys.get(bench.id)!, toldBy(bench));
    // A household that was restored or taken in has other benches.
    const there = new Set(keys.values());
    for (const key of this.read.keys()) if (!there.has(key)) this.read.delete(key);
    return [...this.read.values()];
  }
}

const toldBy = ({ itemId, plan, findings, events, startedAt, finishedAt }: KeptBench): Told => ({
  bench: { plan, findings, events },
  use: {
    at: finishedAt,
    itemId,
    minutes: record.benchMinutes(startedAt, finishedAt, plan.totals.minutes),
    touches: Object.values(care.benchState(plan, events).contacts).reduce((sum, touches) => sum + touches, 0),
    followed: record.followedAt({ plan, events, findings }),
    takings: supplies.materialsIn(supplies.consumptionOf(plan, events)),
  },
});
