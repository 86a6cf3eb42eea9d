import { Database } from '../db/database.js';
import { overEngine } from '../db/embedded/embedded.js';
import { openEngine } from '../db/embedded/engine.js';
import { bringUpToDate } from '../db/migrate.js';
import { openInMemory } from '../db/open.js';

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

/** An empty household in memory. */
export async function freshDatabase(): Promise<Database> {
  template ??= makeTemplate();
  return openInMemory(await template);
}
