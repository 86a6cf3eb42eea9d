import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { copyTree, claim, type Claimed, type Waking } from '../wake/index.js';
import { Database, type Backing, engineHere, inItsThread, overEngine, postgres } from '../db/index.js';
import { bringUpToDate } from './migrate.js';

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
  return ready(new Database(overEngine(await engineHere(null), false)));
}

/**
 * A household on a PostgreSQL server.
 *
 * @param url as of libpq.
 * @param keepCopy of data that an earlier program wrote, before it is brought up to date.
 * @param silentMs after which a line over which nothing comes is held to be dead.
 */
export async function openOnServer(
  url: string,
  { keepCopy, ...settings }: { keepCopy?: (database: Database) => Promise<void>; silentMs?: number } = {},
): Promise<Database> {
  const database = new Database(await postgres(url, settings));
  return ready(database, keepCopy && (() => keepCopy(database)));
}

/** A database that is being opened: whoever uses it waits until it is ready, or hears why it never will be. */
export type Opening = { database: Database; ready: Promise<unknown> };

export type OnFiles = { dataDir: string; checkpointEveryMs?: number };

/** A server of its own would see to it by itself; the embedded one has no process for it, and its log would only grow. */
const CHECKPOINT_EVERY_MS = 2 * 60_000;

function overFiles(
  backing: Backing,
  { files, claim: taken }: Claimed,
  { dataDir, checkpointEveryMs = CHECKPOINT_EVERY_MS }: OnFiles,
): Opening {
  const checkpoints = setInterval(() => void database.checkpointIfWritten().catch(() => {}), checkpointEveryMs).unref();
  const database = new Database({
    ...backing,
    isOurs: () => taken.holds(),
    close: async (pool) => {
      clearInterval(checkpoints);
      await backing.close(pool).finally(() => taken.release());
    },
  });
  const keepCopy = async () => {
    await database.checkpoint();
    copyTree(files, placeForCopy(dataDir));
  };
  // Where there was no template the database makes its files itself, on its first start.
  return { database, ready: ready(database, keepCopy).then(() => taken.overData()) };
}

/** Opens the embedded database that wakes in its thread. Its failures are those of `openOnFiles`. */
export function openWaking(waking: Waking, { onStopped, ...files }: OnFiles & { onStopped: (why: string) => void }): Opening {
  const opening = overFiles(inItsThread(waking, onStopped), waking, files);
  return { ...opening, ready: Promise.all([waking.keeper.ready(), opening.ready]) };
}

/**
 * Opens the embedded database in a directory of its own, in this thread; the directory is made when it is not there.
 *
 * @throws DirectoryInUse when another process has it open; NotPrivate when others can reach it and that cannot be
 * changed; DataIsNewer when a newer program wrote it.
 */
export async function openOnFiles(files: OnFiles): Promise<Database> {
  const claimed = claim(files.dataDir);
  let backing: Backing;
  try {
    backing = overEngine(await engineHere(claimed.files), true);
  } catch (error) {
    claimed.claim.release();
    throw error;
  }
  const { database, ready } = overFiles(backing, claimed, files);
  await ready;
  return database;
}
