import type { MergePreview, TableMerge, TakenIn } from '@bright-keeper/contract';
import { rm } from 'node:fs/promises';
import type { Database, Db } from '../db/index.js';
import { steps, openInMemory } from '../startup/index.js';
import { ArchiveReader } from './archive.js';
import { writeArchive } from './dump.js';
import { restore, withoutContradiction } from './restore.js';
import { checkArchive } from './check.js';
import { heldAgainst, merge } from './rows.js';
import { tablesOf, type TableShape } from './tables.js';

/** One household has one set of settings, and its own trail of who changed what: they stay. */
const STAYS = new Set(['settings', 'trail']);

/** The tables that come, each with its shape here. */
async function coming(db: Db, { manifest }: ArchiveReader): Promise<TableShape[]> {
  return (await tablesOf(db)).filter(({ name }) => !STAYS.has(name) && manifest.tables.some((t) => t.name === name));
}

/**
 * The same file in the present schema: one of an earlier schema grows up in a household of its own, in memory.
 *
 * @param path of the file; the grown one lies beside it until `work` is done.
 */
async function inPresentSchema<T>(path: string, work: (archive: ArchiveReader) => Promise<T>): Promise<T> {
  const archive = await ArchiveReader.open(path);
  try {
    const all = steps();
    if (archive.manifest.schemaStep === all.at(-1)!.folderMillis) return await work(archive);
    const grown = `${path}.grown`;
    const database = await openInMemory();
    try {
      await restore(database, archive, { all });
      await writeArchive(database, grown, new Date(archive.manifest.madeAt));
      const present = await ArchiveReader.open(grown);
      try {
        return await work(present);
      } finally {
        present.close();
      }
    } finally {
      await database.close();
      await rm(grown, { force: true });
    }
  } finally {
    archive.close();
  }
}

/** What taking a file in would do, table by table. Nothing is changed. */
export const previewOf = (database: Database, path: string): Promise<MergePreview> =>
  inPresentSchema(path, async (archive) => {
    await checkArchive(archive, await tablesOf(database.db));
    const tables: TableMerge[] = [];
    for (const table of await coming(database.db, archive)) {
      const sum = { table: table.name, rows: 0, fresh: 0, same: 0, changed: 0 };
      for await (const rows of archive.rowsFor(table)) {
        const { fresh, changed } = await heldAgainst(database.db, table, rows);
        sum.rows += rows.length;
        sum.fresh += fresh;
        sum.changed += changed;
        sum.same += rows.length - fresh - changed;
      }
      if (sum.rows > 0) tables.push(sum);
    }
    return { madeAt: archive.manifest.madeAt, program: archive.manifest.program, tables };
  });

/**
 * Takes another household's file into this one, all or nothing: what is new is added, what has the same id becomes as it
 * is in the file, everything else stays.
 *
 * @throws ProblemError when the file is damaged, or the two contradict each other.
 */
export const takeIn = (database: Database, path: string): Promise<TakenIn> =>
  inPresentSchema(path, async (archive) => {
    await checkArchive(archive, await tablesOf(database.db));
    return withoutContradiction(
      database.transaction(async (db) => {
        const taken = { tables: 0, rows: 0 };
        for (const table of await coming(db, archive)) {
          let count = 0;
          for await (const rows of archive.rowsFor(table)) {
            await merge(db, table, rows);
            count += rows.length;
          }
          taken.tables += count > 0 ? 1 : 0;
          taken.rows += count;
        }
        return taken;
      }),
    );
  });
