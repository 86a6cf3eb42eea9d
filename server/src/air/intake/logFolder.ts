import { lstatSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';

/** Folders that lie elsewhere on the network tell of no change: they are looked at so often. */
const LOOK_EVERY_MS = 5000;

/** What a file was when it was looked at; what is no file of its own, a link say, has none. */
function stateOf(path: string): string | null {
  const stats = lstatSync(path, { throwIfNoEntry: false });
  return stats?.isFile() ? `${stats.ino} ${stats.size} ${stats.mtimeMs}` : null;
}

/**
 * The folder into which logs of hygrometers are put. All of it is looked at each time, and told by what it was the time
 * before: a watcher that hears of changes misses what comes while it begins to listen.
 */
export class LogFolder {
  private readonly timer: NodeJS.Timeout;
  private seen = new Map<string, string>();
  private told = new Map<string, string>();

  /**
   * @param came told of each file once it has stayed as it is from one look to the next, of those that lie there already, too
   * @throws an error of the system where the folder is not there and cannot be made
   */
  constructor(
    private readonly path: string,
    private readonly came: (file: string) => void,
  ) {
    mkdirSync(path, { recursive: true, mode: 0o700 });
    this.look();
    this.timer = setInterval(() => this.look(), LOOK_EVERY_MS).unref();
  }

  /** Looks at every file there. A folder that is gone, taken away with its disk say, is looked for again. */
  look(): void {
    const [before, toldBefore] = [this.seen, this.told];
    this.seen = new Map();
    this.told = new Map();
    for (const file of this.files()) {
      const state = stateOf(file);
      if (state === null) continue;
      this.seen.set(file, state);
      const isWhole = before.get(file) === state;
      const last = toldBefore.get(file);
      if (isWhole) this.told.set(file, state);
      else if (last !== undefined) this.told.set(file, last);
      if (isWhole && last !== state) this.came(file);
    }
  }

  /** Not what an editor or a copy under way keeps beside them. */
  private files(): string[] {
    try {
      return readdirSync(this.path)
        .filter((name) => !name.startsWith('.'))
        .map((name) => join(this.path, name));
    } catch {
      return [];
    }
  }

  close(): void {
    clearInterval(this.timer);
  }
}
