import { randomUUID } from 'node:crypto';
import { closeSync, fsyncSync, mkdirSync, openSync, renameSync, rmSync, writeSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { syncPath } from './syncPath.js';

/**
 * Writes a file that is its owner's alone: whole beside the old one, brought to disk, and put in its place. Whatever
 * happens meanwhile, either the old one or the new one is there.
 *
 * @throws an error of the file system; then the old one is.
 */
export function writeWhole(path: string, text: string): void {
  const folder = dirname(path);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  const unfinished = join(folder, `.${randomUUID()}.unfinished`);
  const fd = openSync(unfinished, 'wx', 0o600);
  try {
    writeSync(fd, text);
    fsyncSync(fd);
    renameSync(unfinished, path);
  } catch (error) {
    rmSync(unfinished, { force: true });
    throw error;
  } finally {
    closeSync(fd);
  }
  syncPath(folder);
}
