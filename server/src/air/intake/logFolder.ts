import { watch, type FSWatcher } from 'chokidar';
import { mkdirSync } from 'node:fs';
import { basename } from 'node:path';

/** A file counts as whole once it has not grown for so long. */
const WHOLE_AFTER_MS = 2000;
/** Folders that lie elsewhere on the network tell of no change: they are looked at so often. */
const LOOK_EVERY_MS = 5000;

/** The folder into which logs of hygrometers are put, watched for files that come or change. */
export class LogFolder {
  private readonly watcher: FSWatcher;

  /** @param came told of each file, one after the other as they come, of those that lie there already, too. */
  constructor(path: string, came: (file: string) => void) {
    mkdirSync(path, { recursive: true, mode: 0o700 });
    this.watcher = watch(path, {
      depth: 0,
      followSymlinks: false,
      usePolling: true,
      interval: LOOK_EVERY_MS,
      // What is still being written, and what an editor keeps beside it.
      awaitWriteFinish: { stabilityThreshold: WHOLE_AFTER_MS, pollInterval: WHOLE_AFTER_MS / 4 },
      ignored: (file, stats) => basename(file).startsWith('.') || stats?.isSymbolicLink() === true,
    });
    this.watcher
      .on('add', came)
      .on('change', came)
      .on('error', () => undefined);
  }

  async close(): Promise<void> {
    await this.watcher.close();
  }
}
