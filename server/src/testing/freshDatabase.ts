import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { openDatabase, type Database } from '../db/database.js';
import { MIGRATIONS } from '../paths.js';

/** An empty household in its present schema, made once for all the tests of a file. */
async function makeTemplate(): Promise<Blob> {
  const client = await PGlite.create();
  await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
  const dump = await client.dumpDataDir('none');
  await client.close();
  return dump;
}

let template: Promise<Blob> | null = null;

/** An empty household in memory. */
export async function freshDatabase(): Promise<Database> {
  template ??= makeTemplate();
  return openDatabase(undefined, await template);
}
