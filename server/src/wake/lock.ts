import { closeSync, constants, existsSync, fstatSync, ftruncateSync, openSync, readFileSync, statSync, writeSync } from 'node:fs';
import { createHmac, randomUUID } from 'node:crypto';
import { createRequire } from 'node:module';
import { join } from 'node:path';

/** The package ships no types; this is what we use of it. */
type KernelLock = {
  /** False when another holds the lock. */
  tryLock: (fd: number, from: number, bytes: number) => boolean;
  unlock: (fd: number, from: number, bytes: number) => void;
};
const { tryLock, unlock } = createRequire(import.meta.url)('fs-native-extensions') as KernelLock;

/** Another process owns the data directory. */
export class DirectoryInUse extends Error {
  constructor(dataDir: string, holder: string) {
    super(
      `The data in ${dataDir} is already open: ${holder.split('\n')[0]}. Stop that one first, or name another directory with BRIGHT_KEEPER_DATA.`,
    );
    this.name = 'DirectoryInUse';
  }
}

/** The file that tells who holds the directory. */
export const LOCK_FILE = 'in-use';

/** Where the program that holds a directory answers, and the secret that only it and its directory know. */
export type Answering = { address: string; secret: string };

/** Who holds a directory, as it tells there; null where nobody does, or nobody who answers. */
export function answeringFor(dataDir: string): Answering | null {
  const [, address, secret] = /^answers at (\S+) by (\S+)$/m.exec(holderOf(join(dataDir, LOCK_FILE))) ?? [];
  return address && secret ? { address, secret } : null;
}

/** What proves to whoever can read the directory that this program holds it, without telling anybody the secret. */
export const proofOf = (secret: string, nonce: string): string => createHmac('sha256', secret).update(nonce).digest('hex');

function holderOf(file: string): string {
  try {
    return readFileSync(file, 'utf8').trim() || 'by another process';
  } catch {
    // Where a lock forbids reading as well.
    return 'by another process';
  }
}

/** What a database directory has from its first moment to its last, and never writes again: gone, the data is gone. */
const DATA_MARK = join('db', 'PG_VERSION');
/** A byte beyond the end of any such file, so that a system whose locks forbid reading forbids nothing that is read. */
const BEYOND = 2 ** 30;

/** A file open and locked by this process. */
class Held {
  private constructor(
    private readonly path: string,
    readonly fd: number,
  ) {}

  /** @returns null when another process holds it. */
  static take(path: string, flags: number, at: number): Held | null {
    // Not emptied on opening: until the lock is ours, what stands in it is another's.
    const fd = openSync(path, flags, 0o600);
    if (tryLock(fd, at, 1)) return new Held(path, fd);
    closeSync(fd);
    return null;
  }

  /** Is what has that name still the file that is held? */
  isThere(): boolean {
    const [named, held] = [statSync(this.path, { throwIfNoEntry: false }), fstatSync(this.fd)];
    return named !== undefined && named.ino === held.ino && named.dev === held.dev;
  }

  release(at: number): void {
    unlock(this.fd, at, 1);
    closeSync(this.fd);
  }
}

/** A data directory that is this process's alone. */
export class Claim {
  private told: Held | null = null;
  private data: Held | null = null;
  private lost = false;
  private address: string | null = null;
  private readonly since = new Date().toISOString();
  /** Known to this process and to who may read the directory. */
  readonly secret = randomUUID();

  /**
   * Takes the data directory for this process: two on one directory corrupt it without a word. The lock is the kernel's,
   * so it holds from another container and through another path to the same folder, and is free the moment the process
   * dies, however it dies. It lies on a file that tells who holds it, and on one that cannot be removed without the data.
   *
   * @throws DirectoryInUse naming the process that holds it.
   */
  constructor(private readonly dataDir: string) {
    try {
      this.takeData();
      this.tell();
    } catch (error) {
      this.release();
      throw error;
    }
  }

  private takeData(): void {
    const path = join(this.dataDir, DATA_MARK);
    if (this.data || !existsSync(path)) return;
    this.data = Held.take(path, constants.O_RDWR, BEYOND);
    if (!this.data) throw new DirectoryInUse(this.dataDir, holderOf(join(this.dataDir, LOCK_FILE)));
  }

  private tell(): void {
    const path = join(this.dataDir, LOCK_FILE);
    this.told = Held.take(path, constants.O_RDWR | constants.O_CREAT, 0);
    if (!this.told) throw new DirectoryInUse(this.dataDir, holderOf(path));
    ftruncateSync(this.told.fd);
    const answers = this.address ? `answers at ${this.address} by ${this.secret}\n` : '';
    writeSync(this.told.fd, `by process ${process.pid}, started ${this.since}\n${answers}`, 0);
  }

  /** Tells in the directory where this program answers, so that who finds it taken knows whom to ask. */
  answersAt(address: string): void {
    this.address = address;
    this.tellAgain();
  }

  /** To be called when the data is there for the first time. @throws DirectoryInUse as the constructor. */
  overData(): void {
    this.takeData();
  }

  /**
   * Whether the data under that path is still what was claimed. Once it was not it never is again: what was written
   * meanwhile may be anywhere. A file that only tells is put back when somebody removed it.
   */
  holds(): boolean {
    if (this.lost) return false;
    this.lost = this.data !== null && !this.data.isThere();
    if (!this.lost && this.told && !this.told.isThere()) this.tellAgain();
    return !this.lost;
  }

  private tellAgain(): void {
    this.told?.release(0);
    this.told = null;
    try {
      this.tell();
    } catch {
      // A folder that takes no file: the lock on the data holds all the same.
    }
  }

  release(): void {
    this.told?.release(0);
    this.data?.release(BEYOND);
    [this.told, this.data] = [null, null];
  }
}
