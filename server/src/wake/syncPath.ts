import { closeSync, fsyncSync, openSync, statSync } from 'node:fs';

/** Brings a file, or a folder's list of names, to disk. */
export function syncPath(path: string): void {
  // Windows keeps names of files without being asked, and cannot be asked.
  if (process.platform === 'win32' && statSync(path).isDirectory()) return;
  const fd = openSync(path, 'r');
  try {
    fsyncSync(fd);
  } finally {
    closeSync(fd);
  }
}
