import { randomUUID } from 'node:crypto';
import pg from 'pg';
import { inject } from 'vitest';
import { Database } from '../db/database.js';
import { overEngine } from '../db/embedded/embedded.js';
import { openEngine } from '../db/embedded/engine.js';
import { bringUpToDate } from '../db/migrate.js';
import { openInMemory, openOnServer } from '../db/open.js';
import { TEMPLATE_DATABASE } from './onPostgres.js';

/** An empty household in its present schema, made once for all the tests of a file. */
async function makeTemplate(): Promise<Blob> {
  const engine = await openEngine(null);
  const database = new Database(overEngine(engine, false));
  await bringUpToDate(database);
  const dump = await engine.dump();
  await database.close();
  return dump;
}

let template: Promise<Blob> | null = null;

/** Makes an empty household on the tests' PostgreSQL server. @returns its address. */
export async function freshOnServer(server: string): Promise<string> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const client = new pg.Client({ connectionString: server.replace('DATABASE', 'postgres') });
  await client.connect();
  await client.query(`create database ${name} template ${TEMPLATE_DATABASE}`);
  await client.end();
  return server.replace('DATABASE', name);
}

/** An empty household: in memory, or on a PostgreSQL server where the tests run on one. */
export async function freshDatabase(): Promise<Database> {
  const server = inject('postgres');
  if (server) return openOnServer(await freshOnServer(server));
  template ??= makeTemplate();
  return openInMemory(await template);
}
