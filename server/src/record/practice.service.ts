import type { PracticeRun, PracticeRunInput, PracticeRuns } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { asc, eq } from 'drizzle-orm';
import { Database, type Db } from '../db/index.js';
import { Clock } from '../platform/index.js';
import { practiceRuns } from '../tables/index.js';

type Row = typeof practiceRuns.$inferSelect;
const toRun = ({ at, ...rest }: Row): PracticeRun => ({ ...rest, at: at.toISOString() });

/** Runs of the practice: what comes back when is reckoned from them. */
@Injectable()
export class PracticeService {
  constructor(
    private readonly database: Database,
    private readonly clock: Clock,
  ) {}

  async all(): Promise<PracticeRuns> {
    const rows = await this.database.db.select().from(practiceRuns).orderBy(asc(practiceRuns.at), asc(practiceRuns.id));
    return { runs: rows.map(toRun) };
  }

  /** Keeps a run; the same sent twice is one. */
  add({ id, caseId, asked, right }: PracticeRunInput): Promise<PracticeRun> {
    return this.database.transaction(async (db) => {
      const row: Row = { id, caseId, asked, right, at: this.clock.now() };
      await db.insert(practiceRuns).values(row).onConflictDoNothing();
      return toRun(await this.find(db, id));
    });
  }

  private async find(db: Db, id: string): Promise<Row> {
    const [row] = await db.select().from(practiceRuns).where(eq(practiceRuns.id, id));
    return row!;
  }
}
