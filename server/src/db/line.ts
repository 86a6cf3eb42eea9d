import pg from 'pg';

/** A line on which nothing comes for so long although something was asked is given up; up to twice as long passes until then. */
export const SILENT_MS = 60_000;
const CONNECTED_WITHIN_MS = 5_000;
const ENDED_WITHIN_MS = 2_000;

type Call = (...given: unknown[]) => unknown;
type Socket = { bytesRead: number; destroy: (error?: Error) => void };

/** The driver's client by what is done with it: its own types name a dozen overloads. */
const driver = pg.Client.prototype as unknown as Record<'query' | 'end', Call>;

/**
 * A driver's client whose line cannot be dead without anybody knowing. A cable that is pulled, a router that forgets, a
 * machine that stops say nothing: the system would wait a quarter of an hour. A line that is silent for `silentMs` after
 * something was asked over it breaks instead, and whatever was under way is answered as on any line that broke.
 */
export function lineClient(silentMs: number): typeof pg.Client {
  return class LineClient extends pg.Client {
    private awaited = 0;
    private watching = false;

    constructor(config?: string | pg.ClientConfig) {
      super({ connectionTimeoutMillis: CONNECTED_WITHIN_MS, ...(typeof config === 'string' ? { connectionString: config } : config) });
    }

    static {
      // On the prototype, where a client made of this one finds them.
      this.prototype.query = function (this: LineClient, ...given: unknown[]) {
        return this.await(given);
      } as typeof pg.Client.prototype.query;
      this.prototype.end = function (this: LineClient, ...given: unknown[]) {
        // Over a dead line nobody answers a farewell either.
        setTimeout(() => this.socket.destroy(), ENDED_WITHIN_MS).unref();
        return driver.end.apply(this, given);
      } as typeof pg.Client.prototype.end;
    }

    private get socket(): Socket {
      return (this as unknown as { connection: { stream: Socket } }).connection.stream;
    }

    private await(given: unknown[]): unknown {
      this.awaited += 1;
      const heard = () => void (this.awaited -= 1);
      const done = given.at(-1);
      if (typeof done === 'function') given.splice(-1, 1, (...answer: unknown[]) => (heard(), (done as Call)(...answer)));
      const result = driver.query.apply(this, given);
      if (result instanceof Promise) result.then(heard, heard);
      this.watch();
      return result;
    }

    private watch(): void {
      if (this.watching) return;
      this.watching = true;
      const { bytesRead } = this.socket;
      setTimeout(() => {
        this.watching = false;
        if (this.awaited === 0) return;
        if (this.socket.bytesRead === bytesRead) this.socket.destroy(new Error('Connection terminated: nothing came over it any more'));
        else this.watch();
      }, silentMs).unref();
    }
  };
}
