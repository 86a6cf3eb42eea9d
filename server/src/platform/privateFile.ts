import { readFileSync, statSync } from 'node:fs';
import { writeWhole } from '../wake/index.js';
import { log } from './log.js';

export type PrivateFileOptions<T> = {
  /** Null keeps it in memory. */
  path: string | null;
  /** What holds while there is no file, and while what stands there cannot be read. */
  none: T;
  /** From what stands there. @throws Error where that cannot be read. */
  read: (kept: unknown) => T;
  keep: (value: T) => unknown;
  /** What the log says where it cannot be read. */
  unreadable: string;
  /** What whoever wants to change it is told then. */
  refusal: () => Error;
};

/**
 * What is about this machine and not about the household, in a file of the data folder that only its owner reads: no
 * export, no backup and no household from elsewhere carries it. It is written whole beside the old one, brought to disk,
 * and put in its place. What cannot be read is never written over.
 */
export class PrivateFile<T extends object> {
  private now: T;
  /** Which file was read, as the file system tells one from another. */
  private seen: string | null = null;
  private isReadable = true;

  constructor(private readonly options: PrivateFileOptions<T>) {
    this.now = options.none;
    this.refresh();
  }

  /** Reads what another process has written meanwhile, or a keeper has put right or moved away. */
  refresh(): void {
    const { path, none } = this.options;
    if (path === null) return;
    const present = this.present(path);
    if (present === this.seen) return;
    this.seen = present;
    this.isReadable = true;
    this.now = present === null ? none : this.read(path);
  }

  private present(path: string): string | null {
    const found = statSync(path, { throwIfNoEntry: false });
    return found ? `${found.ino} ${found.mtimeMs}` : null;
  }

  private read(path: string): T {
    const { read, none, unreadable } = this.options;
    try {
      return read(JSON.parse(readFileSync(path, 'utf8')));
    } catch (error) {
      this.isReadable = false;
      log.error({ path, error: (error as Error).message }, unreadable);
      return none;
    }
  }

  get(): Readonly<T> {
    return this.now;
  }

  /**
   * What is changed counts once it is on disk.
   *
   * @param change reckoned from what is there.
   * @throws Error where what stands there cannot be read, or one of the file system; then nothing has changed.
   */
  change(change: (now: Readonly<T>) => Partial<T>): void {
    this.refresh();
    const { path, keep, refusal } = this.options;
    if (!this.isReadable) throw refusal();
    const next = { ...this.now, ...change(this.now) };
    if (path !== null) {
      writeWhole(path, JSON.stringify(keep(next)));
      this.seen = this.present(path);
    }
    this.now = next;
  }
}
