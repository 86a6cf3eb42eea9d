import { commonErrors } from '@bright-keeper/contract';
import { and, eq } from 'drizzle-orm';
import type { PgColumn, PgTable } from 'drizzle-orm/pg-core';
import type { Db } from '../db/index.js';
import { problem, type ProblemError } from '../http/index.js';

/** A table whose rows count how often they were changed. */
export type VersionedTable = PgTable & { id: PgColumn; version: PgColumn };
/** What may be changed in a row. */
export type Change<T extends VersionedTable> = Partial<Omit<T['$inferInsert'], 'id' | 'version'>>;

type Ways<Row> = {
  /** The row as its room knows it. */
  find: (db: Db, id: string) => Promise<Row | null>;
  /** What is answered where there is none. */
  missing: () => ProblemError;
  /** What is answered where no more may be changed in it; false where it may. */
  closed?: (row: Row) => ProblemError | false;
};

/**
 * Rows that several may change: found or 404; changed by whoever saw the present version, or 409 with what there is now.
 * The one way to both.
 */
export class Versioned<T extends VersionedTable, Row> {
  constructor(
    private readonly table: T,
    private readonly ways: Ways<Row>,
  ) {}

  /** @throws ProblemError 404. */
  async find(db: Db, id: string): Promise<Row> {
    const row = await this.ways.find(db, id);
    if (!row) throw this.ways.missing();
    return row;
  }

  /** The row where it may still be changed. @throws ProblemError 404; 409 where it is closed. */
  async open(db: Db, id: string): Promise<Row> {
    const row = await this.find(db, id);
    const closed = this.ways.closed?.(row);
    if (closed) throw closed;
    return row;
  }

  /**
   * The row as it is after the change.
   *
   * @param shown what whoever changed an older state is handed over: the row itself unless said.
   * @throws ProblemError 404; 409 `stale` with what there is now, where it is not of this version any more.
   */
  async update(db: Db, id: string, version: number, change: Change<T>, shown: (row: Row) => unknown = (row) => row): Promise<Row> {
    const isChanged = await changeVersion(db, this.table, id, version, change);
    const now = await this.find(db, id);
    if (!isChanged) throw staleNow(await shown(now));
    return now;
  }
}

/** What is answered to a change of something older than `current`. */
export const staleNow = (current: unknown): ProblemError => problem(commonErrors, 'stale', { current });

/** Changes a row if it still has this version. @returns whether it had. */
export async function changeVersion<T extends VersionedTable>(
  db: Db,
  table: T,
  id: string | number,
  version: number,
  change: Change<T>,
): Promise<boolean> {
  const rows = await db
    .update(table)
    .set({ ...change, version: version + 1 })
    .where(and(eq(table.id, id), eq(table.version, version)))
    .returning({ id: table.id });
  return rows.length > 0;
}
