import { type Outing, tripErrors } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { desc, eq } from 'drizzle-orm';
import { Kept, Database, type Db } from '../db/index.js';
import { outings } from '../tables/index.js';
import { problem } from '../http/index.js';
import { Versioned } from '../versioned/index.js';

type Row = typeof outings.$inferSelect;
export type DatedOuting = Outing & { notedAt: string };
const toOuting = ({ createdAt: _, ...row }: Row): Outing => row;

@Injectable()
export class OutingRepository {
  readonly versioned: Versioned<typeof outings, Outing> = new Versioned(outings, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(tripErrors, 'outing-not-found'),
  });

  private readonly kept = new Kept<readonly DatedOuting[]>();

  constructor(private readonly database: Database) {}

  /** The latest first. */
  async all(db: Db): Promise<Outing[]> {
    return (await this.dated(db)).map(({ notedAt: _, ...outing }) => outing);
  }

  /** With when each was written down. */
  dated(db: Db): Promise<readonly DatedOuting[]> {
    return this.kept.get(this.database.stampFor(db, [outings]), async () => {
      const rows = await db.select().from(outings).orderBy(desc(outings.to), desc(outings.id));
      return rows.map((row) => ({ ...toOuting(row), notedAt: row.createdAt.toISOString() }));
    });
  }

  async find(db: Db, id: string): Promise<Outing | null> {
    const [row] = await db.select().from(outings).where(eq(outings.id, id));
    return row ? toOuting(row) : null;
  }

  async insert(db: Db, row: typeof outings.$inferInsert): Promise<void> {
    await db.insert(outings).values(row);
  }

  async remove(db: Db, id: string): Promise<boolean> {
    return (await db.delete(outings).where(eq(outings.id, id)).returning({ id: outings.id })).length > 0;
  }
}
