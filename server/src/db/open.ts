import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { copyTree } from './copyTree.js';
import { Database } from './database.js';
import { embeddedApart, overEngine } from './embedded/embedded.js';
import { openEngine } from './embedded/engine.js';
import { lockDirectory } from './lock.js';
import { bringUpToDate } from './migrate.js';
import { postgres } from './postgres.js';
import { privateDirectory } from './privateFiles.js';
import { beginFromTemplate } from './template.js';

const BEFORE_UPGRADE = 'before-upgrade-';
const KEPT_SNAPSHOTS = 2;

/** Where a copy is kept of what was there before an upgrade; of earlier ones two stay, with this one. */
export function placeForCopy(dataDir: string, ending = ''): string {
  const ours = readdirSync(dataDir)
    .filter((name) => name.startsWith(BEFORE_UPGRADE))
    .sort();
  for (const old of ours.slice(0, ours.length + 1 - KEPT_SNAPSHOTS)) rmSync(join(dataDir, old), { recursive: true });
  return join(dataDir, `${BEFORE_UPGRADE}${new Date().toISOString().replace(/[:.]/g, '-')}${ending}`);
}

/** Brings it up to date, or closes it again. */
async function ready(database: Database, before?: () => Promise<void>): Promise<Database> {
  try {
    await bringUpToDate(database, { ...(before ? { before } : {}) });
    return database;
  } catch (error) {
    await database.close().catch(() => {});
    throw error;
  }
}

/** A household in memory, for tests: gone when it is closed. */
export async function openInMemory(): Promise<Database> {
  return ready(new Database(overEngine(await openEngine(null), false)));
}

/**
 * A household on a PostgreSQL server.
 *
 * @param url as of libpq.
 * @param keepCopy of data that an earlier program wrote, before it is brought up to date.
 */
export async function openOnServer(url: string, keepCopy?: (database: Database) => Promise<void>): Promise<Database> {
  const database = new Database(await postgres(url));
  return ready(database, keepCopy && (() => keepCopy(database)));
}

export type OnFiles = {
  dataDir: string;
  /** In a thread of its own, so that nobody waits for it who does not need it. */
  apart: boolean;
  onStopped?: (why: string) => void;
  checkpointEveryMs?: number;
};

/** A server of its own would see to it by itself; the embedded one has no process for it, and its log would only grow. */
const CHECKPOINT_EVERY_MS = 2 * 60_000;

/**
 * Opens the embedded database in a directory of its own, which is made when it is not there.
 *
 * @throws DirectoryInUse when another process has it open; NotPrivate when others can reach it and that cannot be
 * changed; DataIsNewer when a newer program wrote it.
 */
export async function openOnFiles({
  dataDir,
  apart,
  onStopped = () => {},
  checkpointEveryMs = CHECKPOINT_EVERY_MS,
}: OnFiles): Promise<Database> {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 });
  const release = lockDirectory(dataDir);
  const files = join(dataDir, 'db');
  try {
    beginFromTemplate(files);
    privateDirectory(dataDir);
    const backing = apart ? await embeddedApart(files, onStopped) : overEngine(await openEngine(files), true);
    const checkpoints = setInterval(() => void database.checkpointIfWritten().catch(() => {}), checkpointEveryMs).unref();
    const database = new Database({
      ...backing,
      close: async (pool) => {
        clearInterval(checkpoints);
        await backing.close(pool);
        release();
      },
    });
    return await ready(database, async () => {
      await database.checkpoint();
      copyTree(files, placeForCopy(dataDir));
    });
  } catch (error) {
    release();
    throw error;
  }
}
