import { closeSync, constants, ftruncateSync, openSync, readFileSync, writeSync } from 'node:fs';
import { createRequire } from 'node:module';
import { join } from 'node:path';

/** The package ships no types; this is what we use of it. */
type KernelLock = {
  /** False when another holds the lock. */
  tryLock: (fd: number) => boolean;
  unlock: (fd: number) => void;
};
const { tryLock, unlock } = createRequire(import.meta.url)('fs-native-extensions') as KernelLock;

/** Another process owns the data directory. */
export class DirectoryInUse extends Error {
  constructor(dataDir: string, holder: string) {
    super(`The data in ${dataDir} is already open: ${holder}. Stop that one first, or name another directory with BRIGHT_KEEPER_DATA.`);
    this.name = 'DirectoryInUse';
  }
}

/** The file that is locked, and tells who holds it. */
export const LOCK_FILE = 'in-use';

function holderOf(file: string): string {
  try {
    return readFileSync(file, 'utf8').trim() || 'by another process';
  } catch {
    // Where a lock forbids reading as well.
    return 'by another process';
  }
}

/**
 * Takes the data directory for this process: two on one directory corrupt it without a word. The lock is the kernel's, on
 * a file in the directory itself, so it holds from another container and through another path to the same folder, and is
 * free the moment the process dies, however it dies.
 *
 * @returns how to let go of it again.
 * @throws DirectoryInUse naming the process that holds it.
 */
export function lockDirectory(dataDir: string): () => void {
  const file = join(dataDir, LOCK_FILE);
  // Not emptied on opening: until the lock is ours, what stands in it is another's.
  const fd = openSync(file, constants.O_RDWR | constants.O_CREAT, 0o600);
  if (!tryLock(fd)) {
    closeSync(fd);
    throw new DirectoryInUse(dataDir, holderOf(file));
  }
  ftruncateSync(fd);
  writeSync(fd, `by process ${process.pid}, started ${new Date().toISOString()}\n`, 0);
  let held = true;
  return () => {
    if (!held) return;
    held = false;
    unlock(fd);
    closeSync(fd);
  };
}
