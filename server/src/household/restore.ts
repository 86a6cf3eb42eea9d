import { householdErrors, type TakenIn } from '@bright-keeper/contract';
import { sql } from 'drizzle-orm';
import { DatabaseError } from 'pg';
import { type Database, type Db, isLost } from '../db/index.js';
import { DOCUMENTS } from '../tables/index.js';
import { goBack, goThrough, steps, type Step, rewriteOldDocuments } from '../startup/index.js';
import { problem } from '../http/index.js';
import type { ArchiveReader } from './archive.js';
import { checkArchive, checkTables } from './check.js';
import { fill, rowsOf } from './rows.js';
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

/** By the database's code: what is not there, what is there twice. */
const CONTRADICTS: Readonly<Record<string, string>> = {
  '23503': 'A row of it is of something that is not there.',
  '23505': 'Two rows of it stand against each other.',
};

/** Rules the schema itself keeps, class 23 of the database's codes: a row of something that is not there, two open looks at one thing. */
export const withoutContradiction = <T>(work: Promise<T>): Promise<T> =>
  work.catch((error: unknown) => {
    const cause = error instanceof Error ? error.cause : null;
    if (!(cause instanceof DatabaseError && cause.code?.startsWith('23'))) throw error;
    const fields = { [`${cause.table}.${cause.constraint}`]: CONTRADICTS[cause.code] ?? 'A row of it cannot be.' };
    throw problem(householdErrors, 'archive-conflict', { fields });
  });

async function fillFrom(db: Db, archive: ArchiveReader): Promise<TakenIn> {
  const tables = await tablesOf(db);
  const kept = archive.manifest.tables.filter(({ name }) => tables.some((t) => t.name === name));
  for (const table of tables) {
    // What the household has of itself makes way for what comes.
    await db.execute(sql`delete from ${sql.identifier(table.name)}`);
    if (!kept.some(({ name }) => name === table.name)) continue;
    for await (const rows of archive.rowsFor(table)) await fill(db, table, rows);
  }
  return { tables: kept.length, rows: kept.reduce((sum, { rows }) => sum + rows, 0) };
}

/**
 * Puts what a file holds into an empty household, all or nothing. A file of an earlier schema is filled into that schema,
 * and then brought up to date as its own data would have been.
 *
 * @param options.asItIs takes rows that the API would not take today: of a file of the keeper's own.
 * @throws ProblemError when the household is not empty, or the file is damaged, unfit or newer than this program.
 */
export async function restore(
  database: Database,
  archive: ArchiveReader,
  { all = steps(), asItIs = false }: { all?: readonly Step[]; asItIs?: boolean } = {},
): Promise<TakenIn> {
  const { schemaStep } = archive.manifest;
  const known = all.filter((step) => step.folderMillis <= schemaStep);
  if (known.at(-1)?.folderMillis !== schemaStep) throw problem(householdErrors, 'archive-newer');
  return withoutContradiction(
    database.transaction(async (db) => {
      const tables = await tablesOf(db);
      if (!(await isEmpty(db, tables))) throw problem(householdErrors, 'household-not-empty');
      if (known.length < all.length) {
        await goBack(
          db,
          tables.map((t) => t.name),
        );
        await goThrough(db, known);
      }
      // A file of the present schema is held against what the API would take before any of it is written.
      if (known.length === all.length) {
        if (!asItIs) await checkArchive(archive, tables);
        return fillFrom(db, archive);
      }
      // One of an earlier schema can only be when it has grown up; if it is not fit then, all of it is taken back.
      const taken = await fillFrom(db, archive);
      await grow(db, all);
      if (!asItIs) await checkTables(await tablesOf(db), (table) => rowsOf(db, table));
      return taken;
    }),
  );
}

/** @throws ProblemError where what the file holds cannot be carried over. */
async function grow(db: Db, all: readonly Step[]): Promise<void> {
  try {
    await goThrough(db, all);
    await rewriteOldDocuments(db, DOCUMENTS);
  } catch (error) {
    if (isLost(error)) throw error;
    throw problem(householdErrors, 'archive-damaged');
  }
}
