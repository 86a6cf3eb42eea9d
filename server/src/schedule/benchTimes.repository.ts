import type { BenchTimes } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { and, eq } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { benchTimes } from '../tables/index.js';

const ONLY_ROW = 1;
/** Weekends, an hour in the late afternoon, until the keeper says otherwise (our choice). */
const FIRST: Omit<BenchTimes, 'version'> = { weekdays: [6, 0], minutesPerDay: 60, startsAt: '16:00', away: [] };

@Injectable()
export class BenchTimesRepository {
  async get(db: Db): Promise<BenchTimes> {
    const [row] = await db.select().from(benchTimes).where(eq(benchTimes.id, ONLY_ROW));
    return row ? { ...row.times, version: row.version } : { ...FIRST, version: 1 };
  }

  /** Null when it has moved on. */
  async save(db: Db, { version, ...times }: BenchTimes): Promise<BenchTimes | null> {
    await db.insert(benchTimes).values({ id: ONLY_ROW, times: FIRST }).onConflictDoNothing();
    const [row] = await db
      .update(benchTimes)
      .set({ times, version: version + 1 })
      .where(and(eq(benchTimes.id, ONLY_ROW), eq(benchTimes.version, version)))
      .returning();
    return row ? { ...row.times, version: row.version } : null;
  }
}
