import { PGlite, type PGliteOptions } from '@electric-sql/pglite';
import { makeDurable, type FileLayer, type Syncing } from './durableFiles.js';

/** Takes what a driver writes to a PostgreSQL server and gives back what the server answers. */
export type Exchange = (message: Uint8Array) => Promise<Uint8Array>;

/** The embedded database as a server of one connection, spoken to in PostgreSQL's own protocol. */
export type Engine = { exchange: Exchange; close: () => Promise<void> };

/**
 * PostgreSQL as it should run on files: with its syncs. A commit does not sync by itself, since the store syncs once
 * for all that arrive together before any of their answers leaves.
 */
const ON_FILES = [
  ...PGlite.defaultStartParams.filter((param) => param !== '-F'),
  ...['wal_sync_method=fsync', 'synchronous_commit=off', 'max_wal_size=64MB'].flatMap((setting) => ['-c', setting]),
];

type Inner = { Module: { FS: FileLayer } };

/**
 * Opens the embedded database.
 *
 * @param directory its files; without one it lives in memory.
 */
export async function openEngine(directory: string | null, syncing?: Syncing): Promise<Engine> {
  const options: PGliteOptions = directory ? { dataDir: directory, startParams: ON_FILES } : {};
  const database = await PGlite.create(options);
  if (directory) makeDurable((database as unknown as Inner).Module.FS, `${PGlite.paths.PGDATA}/PG_VERSION`, syncing);
  return {
    exchange: (message) => database.execProtocolRaw(message),
    close: () => database.close(),
  };
}
