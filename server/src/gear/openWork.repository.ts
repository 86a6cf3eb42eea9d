import { Injectable } from '@nestjs/common';
import { eq, isNull } from 'drizzle-orm';
import { cleanings, teardowns, looks, items } from '../tables/index.js';
import { Kept, Database, type Db } from '../db/index.js';

type Work = 'look' | 'cleaning' | 'teardown';
type OpenWork = { id: string; itemId: string; startedAt: Date; work: Work; onShelf: boolean };

/** What was begun on a thing and is not finished. There is little of it at a time: it is kept whole. */
@Injectable()
export class OpenWorkRepository {
  private readonly kept = new Kept<readonly OpenWork[]>();

  constructor(private readonly database: Database) {}

  /** Of a thing: what is open of each kind of work, by its id. */
  async of(db: Db, itemId: string): Promise<Record<Work, string | null>> {
    const own = (await this.everyOne(db)).filter((o) => o.itemId === itemId);
    const idOf = (work: Work) => own.find((o) => o.work === work)?.id ?? null;
    return { look: idOf('look'), cleaning: idOf('cleaning'), teardown: idOf('teardown') };
  }

  /** On all that is not given away. */
  async all(db: Db): Promise<OpenWork[]> {
    return (await this.everyOne(db)).filter((o) => o.onShelf);
  }

  private everyOne(db: Db): Promise<readonly OpenWork[]> {
    return this.kept.get(this.database.stampFor(db, [looks, cleanings, teardowns, items]), async () => [
      ...(await this.begun(db, 'cleaning', cleanings)),
      ...(await this.begun(db, 'look', looks)),
      ...(await this.begun(db, 'teardown', teardowns)),
    ]);
  }

  private async begun(db: Db, work: Work, table: typeof cleanings | typeof looks | typeof teardowns): Promise<OpenWork[]> {
    const rows = await db
      .select({ id: table.id, itemId: table.itemId, startedAt: table.startedAt, archivedAt: items.archivedAt })
      .from(table)
      .innerJoin(items, eq(items.id, table.itemId))
      .where(isNull(table.finishedAt));
    return rows.map(({ archivedAt, ...row }) => ({ ...row, work, onShelf: archivedAt === null }));
  }
}
