import { storageErrors, type Timer, type TimerInput } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import { Database, type Db } from '../db/index.js';
import { GearRepository } from '../gear/index.js';
import { problem } from '../http/index.js';
import { Clock, Ids } from '../platform/index.js';
import { timers } from '../tables/index.js';

/** Waits that land on Today. */
@Injectable()
export class TimerService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearRepository,
    private readonly clock: Clock,
    private readonly ids: Ids,
  ) {}

  async all(db: Db = this.database.db): Promise<Timer[]> {
    const rows = await db.select().from(timers).orderBy(asc(timers.endsAt));
    return rows.map((t) => ({ ...t, startedAt: t.startedAt.toISOString(), endsAt: t.endsAt.toISOString() }));
  }

  add({ size, wrapping, minutes, itemId }: TimerInput): Promise<Timer> {
    return this.database.transaction(async (db) => {
      if (itemId) await this.gear.versioned.find(db, itemId);
      const startedAt = this.clock.now();
      const endsAt = new Date(startedAt.getTime() + minutes * 60_000);
      const id = this.ids.next();
      await db.insert(timers).values({ id, size, wrapping, itemId, startedAt, endsAt });
      return { id, size, wrapping, itemId, startedAt: startedAt.toISOString(), endsAt: endsAt.toISOString() };
    });
  }

  async remove(id: string): Promise<void> {
    const removed = await this.database.db.delete(timers).where(eq(timers.id, id)).returning({ id: timers.id });
    if (removed.length === 0) throw problem(storageErrors, 'timer-not-found');
  }
}
