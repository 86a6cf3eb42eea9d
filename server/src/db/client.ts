import pg, { type QueryConfig, type QueryResult } from 'pg';
import { writtenBy, type Written } from './changes.js';

/** Who wants to know what is written. */
export type Listener = {
  /** A statement goes out. */
  sent: (written: Written) => void;
  /** What a transaction, or a statement on its own, wrote has become true. */
  committed: (written: readonly Written[]) => void;
  /** A statement to send along with what was written, in the same transaction; null for none. */
  along: (written: readonly Written[]) => QueryConfig | null;
  /** What to send before the commit of something written, and who to tell when it has come true; null for nothing. */
  beforeCommit: () => { text: string; done: () => void } | null;
};

type Done = (error: Error, result: QueryResult) => void;
type Query = (config: string | QueryConfig, values?: unknown, done?: Done) => Promise<QueryResult> | void;

/** Nobody reads what a driver answers to it. */
const BEGUN = { command: 'BEGIN', rowCount: null, oid: 0, fields: [], rows: [] } satisfies QueryResult;
const BEGIN = /^\s*begin\b/i;
const COMMIT = /^\s*commit\b/i;
const ROLLBACK = /^\s*rollback\s*;?\s*$/i;

/** PostgreSQL's code (appendix A of its manual). */
const IN_FAILED_TRANSACTION = '25P02';

/** So many statements are kept ready by a line; each takes some kilobytes of the database. */
const MOST_KEPT_READY = 300;

/**
 * Names the statements of a line that come again, so that the database reads and plans each of them once: of a short one
 * that is most of its work. One that comes once only is not kept.
 */
export class StatementNames {
  private readonly seen = new Set<string>();
  private readonly names = new Map<string, string>();

  named(config: string | QueryConfig): string | QueryConfig {
    if (typeof config === 'string' || config.name !== undefined) return config;
    const { text } = config;
    const known = this.names.get(text);
    if (known !== undefined) return { ...config, name: known };
    if (!this.seen.has(text)) {
      if (this.seen.size >= MOST_KEPT_READY) this.seen.clear();
      this.seen.add(text);
      return config;
    }
    if (this.names.size >= MOST_KEPT_READY) return config;
    const name = `kept-${this.names.size}`;
    this.names.set(text, name);
    return { ...config, name };
  }
}

/** A driver's client that tells what is written through it, when it is sent and when it has become true. */
export function watchedClient(Client: typeof pg.Client, listener: Listener): typeof pg.Client {
  class WatchedClient extends Client {
    /** What the open transaction has written; null outside of one. */
    private open: Written[] | null = null;
    /** What went wrong first in the open transaction. */
    private fault: Error | null = null;
    /** Whether the open transaction has begun at all. */
    private begun: Promise<unknown> | null = null;

    private readonly names = new StatementNames();
    private readonly plain: Query = (config, values, done) => (super.query as Query).call(this, this.names.named(config), values, done);

    // The driver's own type of this method has a dozen overloads; ours takes what they take.
    override query = ((config: string | QueryConfig, values?: unknown, done?: Done) => {
      const text = typeof config === 'string' ? config : config.text;
      const written = writtenBy(text);
      if (written !== 'nothing') listener.sent(written);
      const ending = COMMIT.test(text) ? (this.open ?? []) : null;
      let onDisk = (): void => {};
      if (ending && ending.length > 0) {
        this.sendAlong(ending);
        onDisk = this.sendBefore();
      }
      const told = ending ?? (this.open || written === 'nothing' ? [] : [written]);
      const begins = BEGIN.test(text);
      if (begins) [this.open, this.fault] = [[], null];
      else if (ending || ROLLBACK.test(text)) this.open = null;
      else if (written !== 'nothing') this.open?.push(written);
      const after = (): void => {
        onDisk();
        if (told.length === 0) return;
        listener.committed(told);
        if (!ending) this.sendAlong(told);
      };
      if (typeof done === 'function') {
        return this.plain(config, values, (error, result) => {
          if (!error) after();
          done(error, result);
        });
      }
      if (begins) return this.begin(config);
      const result = this.plain(config, values);
      if (!(result instanceof Promise)) return result;
      return Promise.all([result, ending && this.begun]).then(
        ([r]) => (after(), r),
        (error: Error) => {
          throw this.firstFault(error);
        },
      );
    }) as typeof pg.Client.prototype.query;

    /** Is not waited for, so that it goes along with what is asked first; one that failed fails the commit. */
    private begin(config: string | QueryConfig): Promise<QueryResult> {
      const begun = this.plain(config) as Promise<QueryResult>;
      begun.catch(() => {});
      this.begun = begun;
      return Promise.resolve(BEGUN);
    }

    /** Of what is asked side by side the second to fail is heard first, and says only that something failed before it. */
    private firstFault(error: Error): Error {
      if ((error as Partial<pg.DatabaseError>).code === IN_FAILED_TRANSACTION) return this.fault ?? error;
      if (this.open) this.fault ??= error;
      return error;
    }

    private sendBefore(): () => void {
      const before = listener.beforeCommit();
      if (!before) return () => {};
      (this.plain(before.text) as Promise<QueryResult>).catch(() => {});
      return before.done;
    }

    /** Goes out on the same line, and so before whatever is asked next. */
    private sendAlong(written: readonly Written[]): void {
      const statement = listener.along(written);
      // If the line breaks here, what was meant to be told is told by the one who listens coming back.
      if (statement) void (this.plain(statement) as Promise<QueryResult>).catch(() => {});
    }
  }
  return WatchedClient;
}
