import { Duplex } from 'node:stream';
import type { Exchange } from './engine.js';

/** A simple query, as a driver writes it. */
function simpleQuery(text: string): Buffer {
  const message = Buffer.from(`Q....${text}\0`);
  message.writeInt32BE(message.length - 1, 1);
  return message;
}
/** Whoever held the line before may have left a transaction open, and statements of his own kept ready. */
const AFRESH = [simpleQuery('ROLLBACK'), simpleQuery('DEALLOCATE ALL')];
/** The first byte of a driver's goodbye. The engine has one connection and must not hear it. */
const GOODBYE = 'X'.charCodeAt(0);

/**
 * The line between PostgreSQL's driver and the embedded engine, where a socket would be. What the driver writes in one
 * go is carried over in one.
 */
export class Wire extends Duplex {
  private engine: Exchange | null = null;

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
    this.carry(chunk, done);
  }

  override _writev(chunks: { chunk: Buffer }[], done: (error?: Error | null) => void): void {
    this.carry(Buffer.concat(chunks.map(({ chunk }) => chunk)), done);
  }

  private carry(message: Buffer, done: (error?: Error | null) => void): void {
    if (message[0] === GOODBYE) return done();
    this.engine!(message).then((answer) => {
      this.push(Buffer.from(answer.buffer, answer.byteOffset, answer.byteLength));
      done();
    }, done);
  }

  override _final(done: (error?: Error | null) => void): void {
    this.push(null);
    done();
  }
}
