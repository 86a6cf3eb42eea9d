import { Injectable } from '@nestjs/common';
import { and, eq, isNull } from 'drizzle-orm';
import { cleanings } from '../care/care.table.js';
import { teardowns } from '../care/teardown.table.js';
import type { Db } from '../db/database.js';
import { looks } from '../inspection/inspection.table.js';
import { items } from './gear.table.js';

type OpenWork = { id: string; itemId: string; startedAt: Date };

/** What was begun on a thing and is not finished. */
@Injectable()
export class OpenWorkRepository {
  async lookOf(db: Db, itemId: string): Promise<string | null> {
    const [row] = await db
      .select({ id: looks.id })
      .from(looks)
      .where(and(eq(looks.itemId, itemId), isNull(looks.finishedAt)));
    return row?.id ?? null;
  }

  async cleaningOf(db: Db, itemId: string): Promise<string | null> {
    const [row] = await db
      .select({ id: cleanings.id })
      .from(cleanings)
      .where(and(eq(cleanings.itemId, itemId), isNull(cleanings.finishedAt)));
    return row?.id ?? null;
  }

  async teardownOf(db: Db, itemId: string): Promise<string | null> {
    const [row] = await db
      .select({ id: teardowns.id })
      .from(teardowns)
      .where(and(eq(teardowns.itemId, itemId), isNull(teardowns.finishedAt)));
    return row?.id ?? null;
  }

  async all(db: Db): Promise<(OpenWork & { work: 'look' | 'cleaning' | 'teardown' })[]> {
    const onShelf = isNull(items.archivedAt);
    const openLooks = await db
      .select({ id: looks.id, itemId: looks.itemId, startedAt: looks.startedAt })
      .from(looks)
      .innerJoin(items, eq(items.id, looks.itemId))
      .where(and(isNull(looks.finishedAt), onShelf));
    const openCleanings = await db
      .select({ id: cleanings.id, itemId: cleanings.itemId, startedAt: cleanings.startedAt })
      .from(cleanings)
      .innerJoin(items, eq(items.id, cleanings.itemId))
      .where(and(isNull(cleanings.finishedAt), onShelf));
    const openTeardowns = await db
      .select({ id: teardowns.id, itemId: teardowns.itemId, startedAt: teardowns.startedAt })
      .from(teardowns)
      .innerJoin(items, eq(items.id, teardowns.itemId))
      .where(and(isNull(teardowns.finishedAt), onShelf));
    return [
      ...openCleanings.map((c) => ({ ...c, work: 'cleaning' as const })),
      ...openLooks.map((l) => ({ ...l, work: 'look' as const })),
      ...openTeardowns.map((t) => ({ ...t, work: 'teardown' as const })),
    ];
  }
}
