import { chmodSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

const OTHERS = 0o077;
const PRIVATE_FOLDER = 0o700;
const PRIVATE_FILE = 0o600;

/** The directory, or something in it, cannot be closed to others. */
export class NotPrivate extends Error {
  constructor(path: string) {
    super(
      `Others on this machine can reach ${path}, and it belongs to another user, so it cannot be closed to them. Start the program as its owner, or name another directory with BRIGHT_KEEPER_DATA.`,
    );
    this.name = 'NotPrivate';
  }
}

const isOpen = (path: string): boolean => (statSync(path).mode & OTHERS) !== 0;

function close(path: string, mode: number): void {
  if (!isOpen(path)) return;
  try {
    chmodSync(path, mode);
  } catch {
    throw new NotPrivate(path);
  }
}

/**
 * Closes a directory to all others, with all that is in it. Where it is closed already nobody reaches what is in it, and
 * the thousand files of a database need not be gone through at every start.
 *
 * @throws NotPrivate when it is open to others and belongs to somebody else.
 */
export function privateDirectory(path: string): void {
  // Windows keeps what is in a person's folder to that person, and has no such bits.
  if (process.platform === 'win32') return;
  if (!isOpen(path)) return;
  for (const entry of readdirSync(path, { withFileTypes: true, recursive: true })) {
    const inside = join(entry.parentPath, entry.name);
    if (entry.isDirectory()) close(inside, PRIVATE_FOLDER);
    else if (entry.isFile()) close(inside, PRIVATE_FILE);
  }
  // Last, so that one that is closed has all in it closed, and what could not be closed is said at every start.
  close(path, PRIVATE_FOLDER);
}
