import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { DATABASE_THREAD } from '../paths.js';
import { Claim } from './lock.js';
import { privateDirectory } from './privateFiles.js';
import { beginFromTemplate } from './template.js';
import { EngineKeeper, type KeptEngine } from './keeper.js';

const A_MINUTE_MS = 60_000;

/** A directory that is this process's alone, and where its database's files lie. */
export type Claimed = { files: string; claim: Claim };

/**
 * Takes a data directory for this process, closes it to others, and makes it where it is not there.
 *
 * @throws DirectoryInUse when another process has it open; NotPrivate when others can reach it and that cannot be changed.
 */
export function claim(dataDir: string): Claimed {
  mkdirSync(dataDir, { recursive: true, mode: 0o700 });
  const taken = new Claim(dataDir);
  const files = join(dataDir, 'db');
  try {
    beginFromTemplate(files);
    taken.overData();
    privateDirectory(dataDir);
    return { files, claim: taken };
  } catch (error) {
    taken.release();
    throw error;
  }
}

/** A database that wakes in a thread of its own; `onStopped` is told when it ended without being asked to. */
export type Waking = Claimed & KeptEngine;

/**
 * Claims a directory and starts its database. It takes as long to wake as all of the program's code takes to be loaded,
 * so this is done before that, and imports nothing of it.
 */
export function wake(dataDir: string): Waking {
  const claimed = claim(dataDir);
  const keeper = new EngineKeeper({
    script: DATABASE_THREAD,
    directory: claimed.files,
    patienceMs: A_MINUTE_MS,
    restMs: 2000,
    onStopped: (why) => waking.onStopped(why),
  });
  const waking: Waking = { ...claimed, keeper, onStopped: () => {} };
  // Who opens it waits for it, and hears of its failure there.
  keeper.ready().catch(() => {});
  return waking;
}
