import { PGlite, type PGliteOptions } from '@electric-sql/pglite';
import type { Exchange } from '../../wake/index.js';
import { makeDurable, type FileLayer, type Syncing } from './durableFiles.js';

/** The embedded database as a server of one connection, spoken to in PostgreSQL's own protocol. */
export type Engine = { exchange: Exchange; close: () => Promise<void> };

/**
 * What it takes for itself at its start is meant for a server of many; the system keeps its files in memory besides.
 * Half of the memory and a third of the start are saved.
 */
const SMALL = ['shared_buffers=16MB', 'max_connections=10'];

/**
 * PostgreSQL as it should run on files: with its syncs. A commit does not sync by itself, since the store syncs once
 * for all that arrive together before any of their answers leaves.
 */
const ON_FILES = [
  ...PGlite.defaultStartParams.filter((param) => param !== '-F'),
  ...['wal_sync_method=fsync', 'synchronous_commit=off', 'max_wal_size=64MB', ...SMALL].flatMap((setting) => ['-c', setting]),
];

/** Pieces end to end. */
function joined(pieces: readonly Uint8Array[]): Uint8Array {
  if (pieces.length === 1) return pieces[0]!;
  const whole = new Uint8Array(pieces.reduce((length, piece) => length + piece.length, 0));
  let at = 0;
  for (const piece of pieces) {
    whole.set(piece, at);
    at += piece.length;
  }
  return whole;
}

/** Is spoken to in PostgreSQL's protocol alone: what it would learn of array types for answers of its own takes a tenth of its start. */
class Spoken extends PGlite {
  override _initArrayTypes(): Promise<void> {
    return Promise.resolve();
  }
}

type Inner = { Module: { FS: FileLayer } };

/**
 * Opens the embedded database.
 *
 * @param directory its files; without one it lives in memory.
 */
export async function openEngine(directory: string | null, syncing?: Syncing): Promise<Engine> {
  const options: PGliteOptions = directory ? { dataDir: directory, startParams: ON_FILES } : {};
  const database = new Spoken(options);
  await database.waitReady;
  if (directory) makeDurable((database as unknown as Inner).Module.FS, `${PGlite.paths.PGDATA}/PG_VERSION`, syncing);
  return {
    exchange: async (message) => {
      const pieces: Uint8Array[] = [];
      // As a stream, since otherwise the engine also reads each answer itself, and keeps what it read for ever.
      await database.execProtocolRawStream(message, { onRawData: (piece) => pieces.push(piece.slice()) });
      return joined(pieces);
    },
    close: () => database.close(),
  };
}
