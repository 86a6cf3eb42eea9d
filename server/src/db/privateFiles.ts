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

/** @returns whether it was open to others. */
function close(path: string, mode: number): boolean {
  if ((statSync(path).mode & OTHERS) === 0) return false;
  try {
    chmodSync(path, mode);
  } catch {
    throw new NotPrivate(path);
  }
  return true;
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
  if (!close(path, PRIVATE_FOLDER)) return;
  for (const entry of readdirSync(path, { withFileTypes: true, recursive: true })) {
    const inside = join(entry.parentPath, entry.name);
    if (entry.isDirectory()) close(inside, PRIVATE_FOLDER);
    else if (entry.isFile()) close(inside, PRIVATE_FILE);
  }
}
