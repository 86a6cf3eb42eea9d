import { householdErrors, type TakenIn } from '@bright-keeper/contract';
import { sql } from 'drizzle-orm';
import type { Database, Db } from '../db/database.js';
import { DOCUMENTS } from '../db/documents.js';
import { goBack, goThrough, steps, type Step } from '../db/migrate.js';
import { rewriteOldDocuments } from '../db/rewriteDocuments.js';
import { problem } from '../http/problem.js';
import type { ArchiveReader } from './archive.js';
import { fill } from './rows.js';
import { tablesOf, type TableShape } from './tables.js';

/** What is in every household from its first minute, and no reason not to restore into it. */
const OF_ITSELF = new Set(['settings', 'trail']);

async function isEmpty(db: Db, tables: readonly TableShape[]): Promise<boolean> {
  for (const { name } of tables.filter((t) => !OF_ITSELF.has(t.name))) {
    const { rows } = await db.execute<{ any: boolean }>(sql`select exists(select 1 from ${sql.identifier(name)}) as any`);
    if (rows[0]!.any) return false;
  }
  return true;
}

/** Is there nothing of anybody's in this household yet? */
export const nothingThere = async (db: Db): Promise<boolean> => isEmpty(db, await tablesOf(db));

/** A table that refers to itself is filled in one go. */
export const inOneGo = ({ name, needs }: TableShape): boolean => needs.includes(name);

async function fillFrom(db: Db, archive: ArchiveReader): Promise<TakenIn> {
  const tables = await tablesOf(db);
  const kept = archive.manifest.tables.filter(({ name }) => tables.some((t) => t.name === name));
  for (const table of tables) {
    // What the household has of itself makes way for what comes.
    await db.execute(sql`delete from ${sql.identifier(table.name)}`);
    if (!kept.some(({ name }) => name === table.name)) continue;
    if (inOneGo(table)) await fill(db, table, await archive.allRows(table.name));
    else for await (const rows of archive.rows(table.name)) await fill(db, table, rows);
  }
  return { tables: kept.length, rows: kept.reduce((sum, { rows }) => sum + rows, 0) };
}

/**
 * Puts what a file holds into an empty household, all or nothing. A file of an earlier schema is filled into that schema,
 * and then brought up to date as its own data would have been.
 *
 * @throws ProblemError when the household is not empty, or the file is damaged or newer than this program.
 */
export async function restore(database: Database, archive: ArchiveReader, all: readonly Step[] = steps()): Promise<TakenIn> {
  const { schemaStep } = archive.manifest;
  const known = all.filter((step) => step.folderMillis <= schemaStep);
  if (known.at(-1)?.folderMillis !== schemaStep) throw problem(householdErrors, 'archive-newer');
  return database.transaction(async (db) => {
    const tables = await tablesOf(db);
    if (!(await isEmpty(db, tables))) throw problem(householdErrors, 'household-not-empty');
    if (known.length < all.length) {
      await goBack(
        db,
        tables.map((t) => t.name),
      );
      await goThrough(db, known);
    }
    const taken = await fillFrom(db, archive);
    await goThrough(db, all);
    await rewriteOldDocuments(db, DOCUMENTS);
    return taken;
  });
}
