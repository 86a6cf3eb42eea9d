import { PGlite } from '@electric-sql/pglite';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { cpSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { MIGRATIONS, TEMPLATE } from '../paths.js';

/** Makes an empty household in its present schema, which new directories begin as: when the program is built. */
export async function makeTemplate(directory = TEMPLATE): Promise<void> {
  rmSync(directory, { recursive: true, force: true });
  mkdirSync(dirname(directory), { recursive: true });
  const client = await PGlite.create({ dataDir: directory });
  await migrate(drizzle(client), { migrationsFolder: MIGRATIONS });
  await client.close();
}

/**
 * A new directory begins as a copy of the template, where the program ships one: making a database cluster takes six
 * seconds, copying one a fifth. The copy takes its name only when it is whole, so that a start that was cut off leaves
 * nothing half made.
 */
export function beginFromTemplate(directory: string, template = TEMPLATE): void {
  if (existsSync(directory) || !existsSync(template)) return;
  const unfinished = `${directory}.new`;
  rmSync(unfinished, { recursive: true, force: true });
  cpSync(template, unfinished, { recursive: true });
  renameSync(unfinished, directory);
}
