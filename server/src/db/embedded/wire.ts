import { Duplex } from 'node:stream';
import type { Exchange } from '../../wake/index.js';

/** A simple query, as a driver writes it. */
export function simpleQuery(text: string): Buffer {
  const message = Buffer.from(`Q....${text}\0`);
  message.writeInt32BE(message.length - 1, 1);
  return message;
}
/** Whoever held the line before may have left a transaction open, and statements of his own kept ready. */
const AFRESH = [simpleQuery('ROLLBACK'), simpleQuery('DEALLOCATE ALL')];
/** The first byte of a driver's goodbye. The engine has one connection and must not hear it. */
const GOODBYE = 'X'.charCodeAt(0);

/**
 * The line between PostgreSQL's driver and the embedded engine, where a socket would be. What the driver writes before
 * the program waits for anything is carried over in one go: to wake the engine costs more than most of what it is asked.
 */
export class Wire extends Duplex {
  private engine: Exchange | null = null;
  private gathered: Buffer[] = [];
  private answered: Promise<void> = Promise.resolve();

  /** @param ready waits until an engine listens, and hands over the way to it. */
  constructor(private readonly ready: () => Promise<Exchange>) {
    super();
  }

  /** What the driver asks of a socket. */
  connect(): this {
    this.begin().then(
      () => this.emit('connect'),
      (error: Error) => this.destroy(error),
    );
    return this;
  }
  setNoDelay(): this {
    return this;
  }
  setKeepAlive(): this {
    return this;
  }
  ref(): this {
    return this;
  }
  unref(): this {
    return this;
  }

  private async begin(): Promise<void> {
    const engine = await this.ready();
    for (const query of AFRESH) await engine(query);
    this.engine = engine;
  }

  override _read(): void {
    // Answers are pushed as they come.
  }

  override _write(chunk: Buffer, _: BufferEncoding, done: (error?: Error | null) => void): void {
    this.gather([chunk]);
    done();
  }

  override _writev(chunks: { chunk: Buffer }[], done: (error?: Error | null) => void): void {
    this.gather(chunks.map(({ chunk }) => chunk));
    done();
  }

  private gather(chunks: Buffer[]): void {
    if (this.gathered.length === 0) process.nextTick(() => this.carry());
    this.gathered.push(...chunks.filter((chunk) => chunk[0] !== GOODBYE));
  }

  private carry(): void {
    const chunks = this.gathered;
    this.gathered = [];
    if (chunks.length === 0 || this.destroyed) return;
    const answer = this.engine!(chunks.length === 1 ? chunks[0]! : Buffer.concat(chunks));
    // The driver goes by the order of what it asked.
    this.answered = Promise.all([answer, this.answered]).then(
      ([{ buffer, byteOffset, byteLength }]) => void this.push(Buffer.from(buffer, byteOffset, byteLength)),
      (error: Error) => void this.destroy(error),
    );
  }

  override _final(done: (error?: Error | null) => void): void {
    this.push(null);
    done();
  }
}
