import { type Cleaning, careErrors } from '@bright-keeper/contract';
import type { care, record } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, desc, eq, inArray, isNotNull, isNull } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { items, cleanings } from '../tables/index.js';
import { problem } from '../http/index.js';
import { Versioned } from '../versioned/index.js';

const BENCHES_AT_ONCE = 50;

type Row = { cleaning: typeof cleanings.$inferSelect; itemName: string };
/** A cleaning as it is kept; whether its plan still fits is told by the service. */
export type KeptCleaning = Omit<Cleaning, 'staleBecause'> & { chosenSchools: Partial<care.Schools> };
/** A cleaning that is over, as far as it tells what came of it and what it took. */
export type KeptBench = record.BenchOver & { id: string; itemId: string; startedAt: string; finishedAt: string };
const toCleaning = ({ cleaning, itemName }: Row): KeptCleaning => ({
  ...cleaning,
  itemName,
  startedAt: cleaning.startedAt.toISOString(),
  finishedAt: cleaning.finishedAt?.toISOString() ?? null,
});

@Injectable()
export class CareRepository {
  readonly versioned = new Versioned(cleanings, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(careErrors, 'cleaning-not-found'),
    closed: (row) => row.finishedAt !== null && problem(careErrors, 'cleaning-finished', { current: row }),
  });

  insert(db: Db, row: typeof cleanings.$inferInsert): Promise<unknown> {
    return db.insert(cleanings).values(row);
  }

  async find(db: Db, id: string): Promise<KeptCleaning | null> {
    const [row] = await this.named(db).where(eq(cleanings.id, id));
    return row ? toCleaning(row) : null;
  }

  async openOf(db: Db, itemId: string): Promise<KeptCleaning | null> {
    const [row] = await this.named(db).where(and(eq(cleanings.itemId, itemId), isNull(cleanings.finishedAt)));
    return row ? toCleaning(row) : null;
  }

  /** Newest first. */
  async list(db: Db, open: boolean | undefined, limit: number): Promise<KeptCleaning[]> {
    const where = open === undefined ? undefined : open ? isNull(cleanings.finishedAt) : isNotNull(cleanings.finishedAt);
    return (await this.named(db).where(where).orderBy(desc(cleanings.startedAt)).limit(limit)).map(toCleaning);
  }

  /** Which are over. */
  finished(db: Db): Promise<{ id: string; version: number }[]> {
    return db
      .select({ id: cleanings.id, version: cleanings.version })
      .from(cleanings)
      .where(isNotNull(cleanings.finishedAt))
      .orderBy(asc(cleanings.id));
  }

  /** What was found, planned and answered at these, a few at a time: plans are large. */
  async benches(db: Db, ids: readonly string[]): Promise<KeptBench[]> {
    const benches: KeptBench[] = [];
    for (let from = 0; from < ids.length; from += BENCHES_AT_ONCE) {
      const rows = await db
        .select({
          id: cleanings.id,
          itemId: cleanings.itemId,
          startedAt: cleanings.startedAt,
          plan: cleanings.plan,
          request: cleanings.request,
          events: cleanings.events,
          finishedAt: cleanings.finishedAt,
        })
        .from(cleanings)
        .where(inArray(cleanings.id, ids.slice(from, from + BENCHES_AT_ONCE)));
      for (const { id, itemId, startedAt, plan, request, events, finishedAt } of rows)
        if (finishedAt)
          benches.push({
            ...{ id, itemId, plan, findings: request.findings, events },
            startedAt: startedAt.toISOString(),
            finishedAt: finishedAt.toISOString(),
          });
    }
    return benches;
  }

  async remove(db: Db, id: string): Promise<void> {
    await db.delete(cleanings).where(eq(cleanings.id, id));
  }

  private named(db: Db) {
    return db.select({ cleaning: cleanings, itemName: items.name }).from(cleanings).innerJoin(items, eq(items.id, cleanings.itemId));
  }
}
