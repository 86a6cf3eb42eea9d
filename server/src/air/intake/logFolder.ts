import { mkdirSync } from 'node:fs';
import { lstat, readdir } from 'node:fs/promises';
import { join } from 'node:path';

/** Folders that lie elsewhere on the network tell of no change: they are looked at so often. */
const LOOK_EVERY_MS = 5000;

/** What a file was when it was looked at. Null of what is no file of its own, as a link, or cannot be looked at now. */
async function stateOf(path: string): Promise<string | null> {
  try {
    const stats = await lstat(path);
    return stats.isFile() ? `${stats.ino} ${stats.size} ${stats.mtimeMs}` : null;
  } catch {
    return null;
  }
}

/**
 * The folder into which logs of hygrometers are put. All of it is looked at each time, and told by what it was the time
 * before: a watcher that hears of changes misses what comes while it begins to listen.
 */
export class LogFolder {
  private readonly timer: NodeJS.Timeout;
  private seen = new Map<string, { state: string; isTold: boolean }>();
  private looking: Promise<void> | null = null;
  private isClosed = false;

  /**
   * @param came told of each file once it has stayed as it is from one look to the next, of those that lie there already, too
   * @throws an error of the system where the folder is not there and cannot be made
   */
  constructor(
    private readonly path: string,
    private readonly came: (file: string) => void,
  ) {
    mkdirSync(path, { recursive: true, mode: 0o700 });
    void this.look();
    this.timer = setInterval(() => void this.look(), LOOK_EVERY_MS).unref();
  }

  /** Looks at every file there, one look at a time. A folder that is gone, with its disk say, is empty until it is back. */
  look(): Promise<void> {
    this.looking ??= this.lookOnce().finally(() => (this.looking = null));
    return this.looking;
  }

  private async lookOnce(): Promise<void> {
    const before = this.seen;
    const seen: typeof before = new Map();
    for (const file of await this.files()) {
      const state = await stateOf(file);
      if (state === null) continue;
      const last = before.get(file);
      const isWhole = last?.state === state;
      seen.set(file, { state, isTold: isWhole });
      if (isWhole && !last.isTold && !this.isClosed) this.came(file);
    }
    this.seen = seen;
  }

  /** Not what an editor or a copy under way keeps beside them. */
  private async files(): Promise<string[]> {
    const names = await readdir(this.path).catch(() => []);
    return names.filter((name) => !name.startsWith('.')).map((name) => join(this.path, name));
  }

  close(): void {
    this.isClosed = true;
    clearInterval(this.timer);
  }
}
