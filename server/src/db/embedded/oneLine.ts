import pg from 'pg';

type Query = (config: string | pg.QueryConfig, values?: unknown) => Promise<pg.QueryResult>;
/** Those who ask over the line at the same time, from the first to the last who waits for an answer. */
type Sharing = { line: Promise<pg.PoolClient>; isOurs: boolean; asking: number };

/**
 * A pool of one line. Who asks without a transaction need not wait until others have been answered: what they ask goes
 * out one behind the other. A transaction has the line to itself, and whoever asks after it waits for it.
 */
export class OneLine extends pg.Pool {
  private sharing: Sharing | null = null;

  constructor(settings: pg.PoolConfig) {
    super({ ...settings, max: 1, pipeline: true });
  }

  // The driver's own type of this method has a dozen overloads; ours is the one that is asked.
  override query = (async (config, values) => {
    const sharing = this.isOpen(this.sharing) ? this.sharing : this.share();
    sharing.asking += 1;
    try {
      return await ((await sharing.line).query as Query)(config, values);
    } finally {
      sharing.asking -= 1;
      if (sharing.asking === 0) this.leave(sharing);
    }
  }) satisfies Query as typeof pg.Pool.prototype.query;

  /** Nobody joins once the line is there and somebody else waits for it. */
  private isOpen(sharing: Sharing | null): sharing is Sharing {
    return sharing !== null && !(sharing.isOurs && this.waitingCount > 0);
  }

  private share(): Sharing {
    const sharing: Sharing = { line: this.connect(), isOurs: false, asking: 0 };
    sharing.line.then(
      () => (sharing.isOurs = true),
      () => {},
    );
    this.sharing = sharing;
    return sharing;
  }

  private leave(sharing: Sharing): void {
    if (this.sharing === sharing) this.sharing = null;
    sharing.line.then(
      (line) => line.release(),
      () => {},
    );
  }
}
