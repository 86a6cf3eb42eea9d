import { sql } from 'drizzle-orm';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import { MIGRATIONS } from '../paths.js';
import type { Database, Db } from '../db/index.js';
import { DOCUMENTS } from '../tables/index.js';
import { rewriteOldDocuments } from './rewriteDocuments.js';

/** The data was written by a program that is newer than this one. */
export class DataIsNewer extends Error {
  constructor() {
    super(
      'The data was last opened by a newer version of Bright Keeper, and this one cannot read all of it. Nothing was changed. Start the newer version again, or restore a backup that was made with this one into an empty directory.',
    );
    this.name = 'DataIsNewer';
  }
}

/** Any number, the same for all processes: they wait for each other at it. */
const UPGRADE_LOCK = 48_700_001;
const LIST = sql`drizzle.__drizzle_migrations`;

export type Step = { hash: string; folderMillis: number; sql: string[] };
/** The steps of the schema, in order. */
export const steps = (folder = MIGRATIONS): Step[] => readMigrationFiles({ migrationsFolder: folder });

/** When the last step was written that the data has been through, ms; null for an empty database. */
export async function lastStep(db: Pick<Db, 'execute'>): Promise<number | null> {
  const { rows: known } = await db.execute<{ list: string | null }>(sql`select to_regclass('drizzle.__drizzle_migrations')::text as list`);
  if (known[0]!.list === null) return null;
  const { rows } = await db.execute<{ at: string | null }>(sql`select max(created_at)::text as at from ${LIST}`);
  return rows[0]!.at === null ? null : Number(rows[0]!.at);
}

/**
 * Where the data stands among the steps of the schema.
 *
 * @returns the steps it has not been through, and whether it has been through any.
 * @throws DataIsNewer when it has been through one that this program does not know.
 */
async function standing(db: Pick<Db, 'execute'>, all: readonly Step[]): Promise<{ ahead: Step[]; empty: boolean }> {
  const last = await lastStep(db);
  if (last !== null && last > (all.at(-1)?.folderMillis ?? 0)) throw new DataIsNewer();
  return { ahead: all.filter((step) => last === null || step.folderMillis > last), empty: last === null };
}

export type Upgrade = {
  /** Told before data that exists is changed: time to keep a copy of it. */
  before?: () => Promise<void>;
  all?: readonly Step[];
};

/**
 * Brings the schema and every document up to date, all or nothing: where a step fails the data stays as it was.
 *
 * @throws DataIsNewer when a newer program wrote the data.
 */
export async function bringUpToDate(database: Database, { before, all = steps() }: Upgrade = {}): Promise<void> {
  const { ahead, empty } = await standing(database.db, all);
  if (ahead.length > 0 && !empty) await before?.();
  await database.transaction(async (db) => {
    await goThrough(db, all);
    await rewriteOldDocuments(db, DOCUMENTS);
  });
}

/** Takes the schema through those of these steps that are ahead of it, inside a transaction. */
export async function goThrough(db: Db, all: readonly Step[]): Promise<void> {
  // Of several processes that start at once one does the work, the others find it done.
  await db.execute(sql`select pg_advisory_xact_lock(${UPGRADE_LOCK})`);
  await db.execute(sql`create schema if not exists drizzle`);
  await db.execute(sql`create table if not exists ${LIST} (id serial primary key, hash text not null, created_at bigint)`);
  for (const step of (await standing(db, all)).ahead) {
    for (const statement of step.sql) await db.execute(sql.raw(statement));
    await db.execute(sql`insert into ${LIST} (hash, created_at) values (${step.hash}, ${step.folderMillis})`);
  }
}

/** Takes everything away again, tables and their history, inside a transaction. */
export async function goBack(db: Db, tables: readonly string[]): Promise<void> {
  for (const table of tables) await db.execute(sql`drop table if exists ${sql.identifier(table)} cascade`);
  await db.execute(sql`drop table if exists ${LIST}`);
}
