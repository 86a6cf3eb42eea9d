import type { BenchTimes } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { eq } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { benchTimes } from '../tables/index.js';
import { changeVersion, staleNow } from '../versioned/index.js';

const ONLY_ROW = 1;
/** Weekends, an hour in the late afternoon, until the keeper says otherwise (our choice). */
const FIRST: Omit<BenchTimes, 'version'> = { weekdays: [6, 0], minutesPerDay: 60, startsAt: '16:00', away: [] };

@Injectable()
export class BenchTimesRepository {
  async get(db: Db): Promise<BenchTimes> {
    const [row] = await db.select().from(benchTimes).where(eq(benchTimes.id, ONLY_ROW));
    return row ? { ...row.times, version: row.version } : { ...FIRST, version: 1 };
  }

  /** @throws ProblemError 409 when they have moved on. */
  async save(db: Db, { version, ...times }: BenchTimes): Promise<BenchTimes> {
    await db.insert(benchTimes).values({ id: ONLY_ROW, times: FIRST }).onConflictDoNothing();
    const isSaved = await changeVersion(db, benchTimes, ONLY_ROW, version, { times });
    const now = await this.get(db);
    if (!isSaved) throw staleNow(now);
    return now;
  }
}
