import { chmodSync, mkdirSync, readdirSync, rmSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { TEMPLATE } from '../paths.js';
import { Database, overEngine, engineHere } from '../db/index.js';
import { bringUpToDate } from './migrate.js';

/** Makes an empty household in its present schema, which new directories begin as: when the program is built. */
export async function makeTemplate(directory = TEMPLATE): Promise<void> {
  rmSync(directory, { recursive: true, force: true });
  mkdirSync(dirname(directory), { recursive: true });
  const database = new Database(overEngine(await engineHere(directory), true));
  await bringUpToDate(database);
  await database.close();
  // Whoever starts the program begins with a copy of it, whoever built it; there is nothing of anybody in it.
  for (const path of [directory, ...readdirSync(directory, { recursive: true }).map((name) => join(directory, String(name)))])
    chmodSync(path, statSync(path).isDirectory() ? 0o755 : 0o644);
}
