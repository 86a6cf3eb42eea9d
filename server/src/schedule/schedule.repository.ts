import type { Due } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, eq, inArray, isNull, lte, notInArray, sql } from 'drizzle-orm';
import type { Db } from '../db/database.js';
import { items } from '../gear/gear.table.js';
import { dueTasks } from './schedule.table.js';

type DueRow = typeof dueTasks.$inferSelect;
const toDue = ({ itemId, ...row }: DueRow): Due => ({ ...row, ruleId: row.task, subjectId: itemId });

const CHUNK = 500;

@Injectable()
export class ScheduleRepository {
  /** Sets the next window of each task; a task that is there already is moved. */
  async save(db: Db, rows: (typeof dueTasks.$inferInsert)[]): Promise<void> {
    for (let i = 0; i < rows.length; i += CHUNK)
      await db
        .insert(dueTasks)
        .values(rows.slice(i, i + CHUNK))
        .onConflictDoUpdate({
          target: [dueTasks.itemId, dueTasks.task],
          set: {
            earliest: sql`excluded.earliest`,
            due: sql`excluded.due`,
            latest: sql`excluded.latest`,
            minutes: sql`excluded.minutes`,
            because: sql`excluded.because`,
          },
        });
  }

  async dropAllBut(db: Db, itemId: string, tasks: readonly schedule.TaskId[]): Promise<void> {
    await db.delete(dueTasks).where(and(eq(dueTasks.itemId, itemId), tasks.length > 0 ? notInArray(dueTasks.task, [...tasks]) : undefined));
  }

  async drop(db: Db, itemId: string, tasks: readonly schedule.TaskId[]): Promise<void> {
    if (tasks.length > 0) await db.delete(dueTasks).where(and(eq(dueTasks.itemId, itemId), inArray(dueTasks.task, [...tasks])));
  }

  async find(db: Db, id: string): Promise<Due | null> {
    const [row] = await db.select().from(dueTasks).where(eq(dueTasks.id, id));
    return row ? toDue(row) : null;
  }

  async ofItems(db: Db, itemIds: readonly string[]): Promise<Due[]> {
    if (itemIds.length === 0) return [];
    return (
      await db
        .select()
        .from(dueTasks)
        .where(inArray(dueTasks.itemId, [...itemIds]))
        .orderBy(asc(dueTasks.due), asc(dueTasks.task))
    ).map(toDue);
  }

  /** What may be done on this day already, for things on the shelf. */
  async openOn(db: Db, today: string): Promise<Due[]> {
    const rows = await db
      .select({ due: dueTasks })
      .from(dueTasks)
      .innerJoin(items, eq(items.id, dueTasks.itemId))
      .where(and(isNull(items.archivedAt), lte(dueTasks.earliest, today)))
      .orderBy(asc(dueTasks.latest), asc(dueTasks.due));
    return rows.map((r) => toDue(r.due));
  }
}
