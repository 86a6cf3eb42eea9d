import { constants, cpSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { syncPath } from './syncPath.js';

/** Brings a folder to disk with all that is in it, and its own name. */
function syncTree(folder: string): void {
  for (const entry of readdirSync(folder, { withFileTypes: true, recursive: true })) syncPath(join(entry.parentPath, entry.name));
  syncPath(folder);
  syncPath(dirname(folder));
}

/**
 * Copies a folder. The copy takes its name only when it is whole and on disk, so that one that was cut off leaves nothing
 * half made under that name.
 */
export function copyTree(from: string, to: string): void {
  const unfinished = `${to}.new`;
  rmSync(unfinished, { recursive: true, force: true });
  // Shares the blocks where the file system can, so that a copy costs no room.
  cpSync(from, unfinished, { recursive: true, mode: constants.COPYFILE_FICLONE });
  syncTree(unfinished);
  renameSync(unfinished, to);
  syncPath(dirname(to));
}
