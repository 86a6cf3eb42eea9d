import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { freshDirectory } from './server.js';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/** What is used here of the server's own modules, as the build made them. */
type Built = {
  Database: new (backing: unknown) => {
    pool: { query: (sql: string, values?: unknown[]) => Promise<unknown> };
    transaction: (work: (db: unknown) => Promise<void>) => Promise<void>;
    close: () => Promise<void>;
  };
  overEngine: (engine: unknown, onFiles: boolean) => unknown;
  engineHere: (files: string) => Promise<unknown>;
  goThrough: (db: unknown, steps: readonly unknown[]) => Promise<void>;
  steps: () => unknown[];
};

/** A directory as the program of an earlier schema left it, and how much was in it. */
export async function oldHousehold(): Promise<{ dataDir: string; things: number; entries: number }> {
  const built = async (name: string) => (await import(`file://${join(ROOT, 'server/dist', name)}`)) as Built;
  const { Database, engineHere, overEngine } = await built('db/index.js');
  const { goThrough, steps } = await built('startup/index.js');
  const old = '0005_facts-and-words';
  const fixture = JSON.parse(readFileSync(join(ROOT, `server/src/startup/fixtures/${old}.json`), 'utf8')) as Record<string, object[]>;
  const dataDir = freshDirectory();
  const database = new Database(overEngine(await engineHere(join(dataDir, 'db')), true));
  const at = readdirSync(join(ROOT, 'server/migrations')).filter((f) => f.endsWith('.sql') && f <= `${old}.sql`).length;
  await database.transaction((db) => goThrough(db, steps().slice(0, at)));
  for (const [table, rows] of Object.entries(fixture)) {
    await database.pool.query(`delete from "${table}"`);
    await database.pool.query(`insert into "${table}" select * from json_populate_recordset(null::"${table}", $1)`, [JSON.stringify(rows)]);
  }
  await database.close();
  return { dataDir, things: fixture.item!.length, entries: fixture.log_entry!.length };
}
