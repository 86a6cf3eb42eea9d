import { rm } from 'node:fs/promises';
import type { Database, Db } from '../db/index.js';
import { lastStep } from '../startup/index.js';
import { VERSION } from '../paths.js';
import { ArchiveWriter, type Manifest } from './archive.js';
import { rowsOf } from './rows.js';
import { tablesOf } from './tables.js';

/** What else goes into the file, written from the same moment of the data. */
export type Besides = (db: Db, archive: ArchiveWriter) => Promise<void>;

/**
 * Writes the whole household into one file, as it stood at one moment, while others go on reading and writing.
 *
 * @throws what the disk says when there is no room; nothing is left of the file then.
 */
export async function writeArchive(database: Database, path: string, now: Date, besides?: Besides): Promise<Manifest> {
  const archive = new ArchiveWriter(path);
  try {
    return await database.snapshot(async (db) => {
      for (const table of await tablesOf(db)) await archive.table(table.name, rowsOf(db, table));
      await besides?.(db, archive);
      return archive.finish({ program: VERSION, madeAt: now.toISOString(), schemaStep: (await lastStep(db)) ?? 0 });
    });
  } catch (error) {
    await rm(path, { force: true });
    throw error;
  }
}
