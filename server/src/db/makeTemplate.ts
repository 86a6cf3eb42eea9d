import { mkdirSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { TEMPLATE } from '../paths.js';
import { Database } from './database.js';
import { overEngine } from './embedded/embedded.js';
import { openEngine } from './embedded/engine.js';
import { bringUpToDate } from './migrate.js';

/** Makes an empty household in its present schema, which new directories begin as: when the program is built. */
export async function makeTemplate(directory = TEMPLATE): Promise<void> {
  rmSync(directory, { recursive: true, force: true });
  mkdirSync(dirname(directory), { recursive: true });
  const database = new Database(overEngine(await openEngine(directory), true));
  await bringUpToDate(database);
  await database.close();
}
