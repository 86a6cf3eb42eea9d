import { inspectionErrors, type LookDoc } from '@bright-keeper/contract';
import { Injectable } from '@nestjs/common';
import { and, eq, isNull, type SQL } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { problem } from '../http/index.js';
import { items, looks } from '../tables/index.js';
import { Versioned } from '../versioned/index.js';

@Injectable()
export class InspectionRepository {
  readonly versioned = new Versioned(looks, {
    find: (db, id) => this.find(db, id),
    missing: () => problem(inspectionErrors, 'look-not-found'),
    closed: (look) => look.finishedAt !== null && problem(inspectionErrors, 'look-finished', { current: look }),
  });

  insert(db: Db, row: typeof looks.$inferInsert): Promise<unknown> {
    return db.insert(looks).values(row);
  }

  find(db: Db, id: string): Promise<LookDoc | null> {
    return this.one(db, eq(looks.id, id));
  }

  openOf(db: Db, itemId: string): Promise<LookDoc | null> {
    return this.one(db, and(eq(looks.itemId, itemId), isNull(looks.finishedAt)));
  }

  async remove(db: Db, id: string): Promise<void> {
    await db.delete(looks).where(eq(looks.id, id));
  }

  private async one(db: Db, where: SQL | undefined): Promise<LookDoc | null> {
    const [row] = await db
      .select({ look: looks, itemName: items.name })
      .from(looks)
      .innerJoin(items, eq(items.id, looks.itemId))
      .where(where);
    if (!row) return null;
    return {
      ...row.look,
      itemName: row.itemName,
      startedAt: row.look.startedAt.toISOString(),
      finishedAt: row.look.finishedAt?.toISOString() ?? null,
    };
  }
}
