import { drizzle, type NodePgDatabase } from 'drizzle-orm/node-postgres';
import type { Table } from 'drizzle-orm';
import pg from 'pg';
import { noteKept, somethingIsKept } from './asking.js';
import { Changes, type Stamp, type Written } from './changes.js';
import { watchedClient, type Listener } from './client.js';
import { isLost, TransactionUndone } from './lost.js';
import { Settled } from './settled.js';

type Drizzle = NodePgDatabase<Record<string, never>>;
/** What a repository queries with: the database itself or a running transaction. */
export type Db = Pick<Drizzle, 'select' | 'selectDistinct' | 'insert' | 'update' | 'delete' | 'execute'>;

/** Bytes as PostgreSQL writes them, `\\x` and two digits each. */
function bytesFrom(text: string): Uint8Array {
  const { buffer, byteOffset, byteLength } = Buffer.from(text.slice(2), 'hex');
  return new Uint8Array(buffer, byteOffset, byteLength);
}
pg.types.setTypeParser(pg.types.builtins.BYTEA, bytesFrom);

/** Which turn it was, by what the database knows its transaction, and a mark that no other turn has. */
export type Turn = { taken: number; transaction: string; mark: string };

/** What one process does because there may be others on the same database. */
export type Others = {
  /** The statement that tells them what was written. */
  tell: Listener['along'];
  /** Hears of it from them. */
  hear: (heard: (written: Written) => void) => void;
  /**
   * Waits, inside a transaction, until nobody else is in the middle of one that writes.
   */
  takeTurn: (db: Db) => Promise<Turn>;
  /** What became of a turn; waits while the database is away. Null where that cannot be known any more. */
  fateOf: (turn: Turn) => Promise<'committed' | 'aborted' | null>;
};

/** Which database it is, and what differs with it. */
export type Backing = {
  kind: 'embedded' | 'postgres';
  /** @param watched makes of a driver's client one that tells what is written through it. */
  connect: (watched: (Client: typeof pg.Client) => typeof pg.Client) => pg.Pool;
  /** Brings what was committed to disk; null where a commit does so by itself. */
  flush: ((pool: pg.Pool) => Promise<unknown>) | null;
  /** A statement that makes the commit after it bring itself to disk; null where every commit does. */
  syncCommit: string | null;
  /** How often the database has been started. */
  lives: () => number;
  /** Whether what it writes to is still what was opened: a folder may be moved or replaced under a running program. */
  isOurs: () => boolean;
  /** Whether it is there to be asked; that others are before one in the line does not count. */
  isThere: () => Promise<boolean>;
  close: (pool: pg.Pool) => Promise<void>;
  /** Others on the same database; null where there can be none. */
  others: Others | null;
};

/** Whoever waits for a database to come back waits so long. */
const RETURN_WITHIN_MS = 8000;
const TRY_AGAIN_MS = 250;

/** The open database: the one way to it, whichever it is. Whatever belongs together runs in one `transaction`. */
export class Database {
  readonly db: Drizzle;
  readonly changes = new Changes();
  readonly pool: pg.Pool;
  private readonly settling: Settled | null;
  private lastTurn = NaN;
  private inTheLog = false;

  constructor(private readonly backing: Backing) {
    this.settling = backing.flush && new Settled(() => backing.flush!(this.pool));
    const listener: Listener = {
      sent: (written) => {
        this.changes.note(written);
        this.settling?.note();
        this.inTheLog = true;
      },
      committed: (all) => {
        noteKept();
        all.forEach((written) => this.changes.cameTrue(written));
      },
      along: (written) => backing.others?.tell(written) ?? null,
      beforeCommit: () => this.beforeCommit(),
    };
    this.pool = backing.connect((Client) => watchedClient(Client, listener));
    // A line that breaks fails whatever is asked over it, and an idle one is replaced by the next who asks: nobody else need
    // be told, and a break that nobody hears would end the process.
    this.pool.on('error', () => {});
    this.pool.on('connect', (line) => void line.on('error', () => {}));
    backing.others?.hear((written) => this.changes.cameTrue(written));
    this.db = drizzle(this.pool);
  }

  /** Where others wait for the line they share one sync afterwards; one that is alone is on disk with its commit. */
  private beforeCommit(): ReturnType<Listener['beforeCommit']> {
    const { syncCommit } = this.backing;
    if (!syncCommit || !this.settling || this.pool.waitingCount > 0) return null;
    return { text: syncCommit, done: this.settling.upToNow() };
  }

  isThere(): Promise<boolean> {
    return this.backing.isThere();
  }

  /** Whether the data still lies where it was opened. */
  isOurs(): boolean {
    return this.backing.isOurs();
  }

  get kind(): Backing['kind'] {
    return this.backing.kind;
  }

  /** How these tables stand to who asks, and whatever else a value hangs on. */
  stampFor(db: Db, tables: readonly Table[], ...besides: (string | number)[]): Stamp {
    return { text: [this.changes.stampOf(...tables), ...besides].join(' '), alone: db !== this.db };
  }

  /**
   * Runs what belongs together, all or nothing, one after the other.
   *
   * @throws TransactionUndone when the line broke and nothing is kept. Where it broke at the commit the database is asked
   * what became of it.
   */
  async transaction<T>(work: (db: Db) => Promise<T>): Promise<T> {
    let turn: Turn | null = null;
    let done: { result: T } | null = null;
    try {
      const result = await this.db.transaction(async (db) => {
        turn = await this.takeTurn(db);
        done = { result: await work(db) };
        return done.result;
      });
      this.lastTurn = (turn as Turn | null)?.taken ?? this.lastTurn;
      return result;
    } catch (error) {
      this.changes.undone();
      if (!isLost(error)) throw error;
      return this.afterTheBreak(error, turn, done);
    }
  }

  private async afterTheBreak<T>(error: unknown, turn: Turn | null, done: { result: T } | null): Promise<T> {
    // What never came to its commit is undone by the end of its line. What the same request did before is not.
    if (!done) throw somethingIsKept() ? error : new TransactionUndone({ cause: error });
    const fate = turn && this.backing.others ? await this.backing.others.fateOf(turn) : null;
    if (fate === 'committed') {
      noteKept();
      return done.result;
    }
    throw fate === 'aborted' && !somethingIsKept() ? new TransactionUndone({ cause: error }) : error;
  }

  /**
   * The same for what belongs to something that is done already: where the database went, it is tried again until it is
   * back, or `RETURN_WITHIN_MS` are over.
   */
  async transactionAfterwards<T>(work: (db: Db) => Promise<T>): Promise<T> {
    const until = performance.now() + RETURN_WITHIN_MS;
    for (;;) {
      try {
        return await this.transaction(work);
      } catch (error) {
        if (!isLost(error) || performance.now() > until) throw error;
        await new Promise((resolve) => setTimeout(resolve, TRY_AGAIN_MS));
      }
    }
  }

  /** What is read in it is of one moment, however long it takes; it writes nothing, and nobody waits for it who need not. */
  snapshot<T>(work: (db: Db) => Promise<T>): Promise<T> {
    return this.db.transaction(work, { isolationLevel: 'repeatable read', accessMode: 'read only' });
  }

  /**
   * What others wrote between our turns may not have been heard yet: then nothing that was worked out is kept. Only a turn
   * that came to its end counts; one that was taken back is given to the next who asks.
   */
  private async takeTurn(db: Db): Promise<Turn | null> {
    const { others } = this.backing;
    if (!others) return null;
    const turn = await others.takeTurn(db);
    if (turn.taken !== this.lastTurn + 1) this.changes.undone();
    return turn;
  }

  /**
   * To be asked when something begins that somebody will be told of.
   *
   * @returns what to wait for before telling them: all that was written is on disk then.
   */
  promise(): () => Promise<void> {
    const life = this.backing.lives();
    return async () => {
      await this.settling?.now();
      // A database that was started anew has forgotten what was not on disk yet: nobody may be told that it is kept.
      if (life !== this.backing.lives()) throw new DatabaseRestarted();
      // Nor of what went into files that are not under that name any more.
      if (!this.backing.isOurs()) throw new DataTaken();
    };
  }

  /** Moves what the log holds into the files it belongs to, so that the log stays small and a start after a crash short. */
  async checkpoint(): Promise<void> {
    this.inTheLog = false;
    await this.pool.query('checkpoint');
  }

  /** The same, where something was written since the last one. */
  async checkpointIfWritten(): Promise<void> {
    if (this.inTheLog) await this.checkpoint();
  }

  async close(): Promise<void> {
    await this.settling?.now().catch(() => {});
    await this.backing.close(this.pool);
  }
}

/** The folder of the data was removed, moved or replaced while the program ran. */
export class DataTaken extends Error {
  constructor() {
    super('The data is not where it was opened any more.');
    this.name = 'DataTaken';
  }
}

/** The database was started anew while something was under way: whether that is kept is not known. */
export class DatabaseRestarted extends Error {
  constructor() {
    super('The database was started anew while this was under way.');
    this.name = 'DatabaseRestarted';
  }
}
