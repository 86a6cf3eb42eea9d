import { Worker } from 'node:worker_threads';

/** Takes what a driver writes to a PostgreSQL server and gives back what the server answers, in memory that nobody else has. */
export type Exchange = (message: Uint8Array) => Promise<Uint8Array>;

/** What the engine's thread is asked: to carry a message over, or to close its files and end. */
export type Asked = { message: Uint8Array } | 'close';
/** What it answers, in the order it was asked. */
export type Told = { opened: true } | { failed: string } | { answer: Uint8Array } | { closed: true };

/** The embedded database ended, or had to be ended, before it answered. Whether it did what it was asked is not known. */
export class DatabaseStopped extends Error {
  constructor(why: string) {
    super(`The database stopped before it answered: ${why}`);
    this.name = 'DatabaseStopped';
  }
}

export type KeeperOptions = {
  /** The script of the engine's thread. */
  script: string | URL;
  directory: string;
  /** How long one message may take before the engine counts as hung, ms. */
  patienceMs: number;
  /** How long to wait before an engine that would not start is tried again, ms. */
  restMs: number;
  /** Told each time an engine ended without being asked to. */
  onStopped: (why: string) => void;
};

type Waiting = { resolve: (answer: Uint8Array) => void; reject: (error: Error) => void };

/** One engine in its thread, from its start to its end. */
class Running {
  private readonly worker: Worker;
  private readonly waiting: Waiting[] = [];
  private closed: (() => void) | null = null;
  private watch: NodeJS.Timeout | null = null;
  private why = 'its thread ended';
  /** Settles when the engine listens, or could not be opened. */
  readonly opened: Promise<void>;
  /** Settles when it has ended, however. */
  readonly ended: Promise<string>;

  constructor(private readonly options: KeeperOptions) {
    this.worker = new Worker(options.script, { workerData: { directory: options.directory } });
    this.opened = new Promise((resolve, reject) => {
      this.worker.on('message', (told: Told) => this.hear(told, resolve));
      this.worker.once('exit', () => reject(new DatabaseStopped(this.why)));
    });
    this.opened.catch(() => {});
    this.ended = new Promise((resolve) => {
      this.worker.on('error', (error) => (this.why = error.message));
      this.worker.once('exit', () => {
        this.rest();
        for (const { reject } of this.waiting.splice(0)) reject(new DatabaseStopped(this.why));
        this.closed?.();
        resolve(this.why);
      });
    });
  }

  private hear(told: Told, opened: () => void): void {
    if ('opened' in told) opened();
    else if ('failed' in told) this.why = told.failed;
    else if ('answer' in told) {
      this.waiting.shift()?.resolve(told.answer);
      this.rest();
      if (this.waiting.length > 0) this.wait();
    }
  }

  /** The watchdog: nobody waits for ever on an engine that no longer answers. */
  private wait(): void {
    this.watch ??= setTimeout(() => {
      this.why = `it did not answer for ${this.options.patienceMs / 1000} s`;
      void this.worker.terminate();
    }, this.options.patienceMs);
  }
  private rest(): void {
    if (this.watch) clearTimeout(this.watch);
    this.watch = null;
  }

  private ask(asked: Asked, handedOver: ArrayBuffer[] = []): void {
    this.worker.postMessage(asked, handedOver);
  }

  readonly exchange: Exchange = (message) =>
    new Promise((resolve, reject) => {
      this.waiting.push({ resolve, reject });
      // A copy: the driver's buffers lie in a pool that cannot be handed over.
      const copy = new Uint8Array(message);
      this.ask({ message: copy }, [copy.buffer]);
      this.wait();
    });

  close(): Promise<void> {
    return new Promise((resolve) => {
      this.closed = resolve;
      const late = setTimeout(() => void this.worker.terminate(), this.options.patienceMs);
      void this.ended.then(() => clearTimeout(late));
      this.ask('close');
    });
  }
}

/**
 * Keeps the embedded database running in a thread of its own, so that nothing it does holds up an answer that needs it
 * not. One that ends or hangs is started anew on the same files; what it was asked meanwhile fails as not done.
 */
export class EngineKeeper {
  private running: Running | null = null;
  private starting: Promise<Exchange> | null = null;
  private closing = false;
  private failedAt = -Infinity;
  private lastFailure: Error | null = null;

  constructor(private readonly options: KeeperOptions) {}

  /** The way to an engine that listens; starts one where none does. @throws DatabaseStopped when it cannot be opened. */
  async ready(): Promise<Exchange> {
    if (this.running) return this.running.exchange;
    if (this.closing) throw new DatabaseStopped('the program is ending');
    if (this.lastFailure && performance.now() - this.failedAt < this.options.restMs) throw this.lastFailure;
    this.starting ??= this.start().finally(() => (this.starting = null));
    return this.starting;
  }

  private async start(): Promise<Exchange> {
    const engine = new Running(this.options);
    try {
      await engine.opened;
    } catch (error) {
      this.failedAt = performance.now();
      this.lastFailure = error as Error;
      throw error;
    }
    this.lastFailure = null;
    this.running = engine;
    void engine.ended.then((why) => {
      this.running = null;
      if (!this.closing) this.options.onStopped(why);
    });
    return engine.exchange;
  }

  async close(): Promise<void> {
    this.closing = true;
    await this.starting?.catch(() => {});
    await this.running?.close();
  }
}

/** A keeper, and who is told when its engine ended without being asked to. */
export type KeptEngine = { keeper: EngineKeeper; onStopped: (why: string) => void };
