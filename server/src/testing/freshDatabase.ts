import { randomUUID } from 'node:crypto';
import { sql } from 'drizzle-orm';
import pg from 'pg';
import { inject } from 'vitest';
import { Database, overEngine, engineHere, type Engine } from '../db/index.js';
import { bringUpToDate, openOnServer } from '../startup/index.js';
import { tablesOf } from '../household/index.js';
import { TEMPLATE_DATABASE } from './onPostgres.js';

/** Engines whose household nobody uses any more: emptying one takes a twentieth of what starting one does. */
const idle: Engine[] = [];

/** An empty household over an engine, which is kept for the next test when this one is done with it. */
function household(engine: Engine): Database {
  return new Database({
    ...overEngine(engine, false),
    close: async (pool) => {
      await pool.end();
      idle.push(engine);
    },
  });
}

async function inMemory(): Promise<Database> {
  const used = idle.pop();
  const database = household(used ?? (await engineHere(null)));
  if (!used) await bringUpToDate(database);
  else {
    const tables = (await tablesOf(database.db)).map(({ name }) => sql.identifier(name));
    await database.db.execute(sql`truncate ${sql.join(tables, sql`, `)}`);
  }
  return database;
}

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
  return inMemory();
}
