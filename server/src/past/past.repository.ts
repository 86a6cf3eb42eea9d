import type { LookAnswer } from '@bright-keeper/contract';
import { care, type inspection } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { and, asc, eq, isNotNull, isNull, sql, type SQL } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import { cleanings, journalEntries, looks, surfaceStates } from '../tables/index.js';

/** A look or a cleaning that is over, by its id and in the form core reads. */
export type Past = { id: string; told: inspection.ToldOf };

/** That an entry was not taken back. */
const stands = (id: SQL): SQL =>
  sql`not exists (select 1 from ${journalEntries} u where u.data->'data'->>'kind' = 'undone' and u.data->'data'->>'entryId' = ${id}::text)`;

/** What was looked at and cleaned of one thing. */
@Injectable()
export class PastRepository {
  /** Every look that is over and was not taken back, and every cleaning; in the order they were told. */
  async of(db: Db, itemId: string): Promise<Past[]> {
    const entryOf = (key: string, id: typeof looks.id | typeof cleanings.id) =>
      sql`exists (select 1 from ${journalEntries} e where e.subject_id = ${itemId} and e.data->'data'->>${key} = ${id}::text
        and ${stands(sql`e.id`)})`;
    const [seen, cleaned] = await Promise.all([
      db
        .select({ id: looks.id, at: looks.finishedAt, answers: looks.answers })
        .from(looks)
        .where(and(eq(looks.itemId, itemId), isNotNull(looks.finishedAt), entryOf('lookId', looks.id)))
        .orderBy(asc(looks.finishedAt), asc(looks.id)),
      db
        .select({ id: cleanings.id, at: cleanings.finishedAt, plan: cleanings.plan, request: cleanings.request, events: cleanings.events })
        .from(cleanings)
        .where(and(eq(cleanings.itemId, itemId), isNotNull(cleanings.finishedAt)))
        .orderBy(asc(cleanings.finishedAt), asc(cleanings.id)),
    ]);
    return [
      ...seen.map(({ id, at, answers }): Past => ({ id, told: { at: at!.toISOString(), look: answers } })),
      ...cleaned.map(({ id, at, plan, request, events }): Past => ({
        id,
        told: { at: at!.toISOString(), cleaning: { plan, outcomes: care.outcomesOf(plan, events), schools: request.schools } },
      })),
    ];
  }

  async isBeingCleaned(db: Db, itemId: string): Promise<boolean> {
    const rows = await db
      .select({ id: cleanings.id })
      .from(cleanings)
      .where(and(eq(cleanings.itemId, itemId), isNull(cleanings.finishedAt)));
    return rows.length > 0;
  }

  async look(db: Db, id: string): Promise<{ itemId: string; finishedAt: Date | null; version: number; answers: LookAnswer[] } | null> {
    const [row] = await db
      .select({ itemId: looks.itemId, finishedAt: looks.finishedAt, version: looks.version, answers: looks.answers })
      .from(looks)
      .where(eq(looks.id, id));
    return row ?? null;
  }

  async saveAnswers(db: Db, id: string, version: number, answers: LookAnswer[]): Promise<void> {
    await db
      .update(looks)
      .set({ answers, version: version + 1 })
      .where(eq(looks.id, id));
  }

  /** The entry that tells of a look and stands. */
  async entryOfLook(db: Db, lookId: string): Promise<string | null> {
    const [row] = await db
      .select({ id: journalEntries.id })
      .from(journalEntries)
      .where(sql`${journalEntries.data}->'data'->>'lookId' = ${lookId} and ${stands(sql`${journalEntries.id}`)}`);
    return row?.id ?? null;
  }

  /** Forgets what is known of a surface. */
  async forget(db: Db, itemId: string, surface: care.Surface): Promise<void> {
    await db.delete(surfaceStates).where(and(eq(surfaceStates.itemId, itemId), eq(surfaceStates.surface, surface)));
  }
}
