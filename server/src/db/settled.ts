/** One sync of the database's log to disk. */
export type Flush = () => Promise<unknown>;

/**
 * What was written stands on disk before anybody is told that it was. Writes are counted as they are sent, and whoever
 * asks while one sync runs shares the next, so that a hundred answers cost two.
 */
export class Settled {
  private written = 0;
  private onDisk = 0;
  private running: Promise<void> | null = null;

  constructor(private readonly flush: Flush) {}

  /** Something was sent that has to be kept. */
  note(): void {
    this.written += 1;
  }

  /** @returns to be called when what was sent until now has come to disk in another way. */
  upToNow(): () => void {
    const upTo = this.written;
    return () => (this.onDisk = Math.max(this.onDisk, upTo));
  }

  /** Waits until all that was sent before this call is on disk. */
  async now(): Promise<void> {
    const goal = this.written;
    while (this.onDisk < goal) await (this.running ??= this.sync().finally(() => (this.running = null)));
  }

  private async sync(): Promise<void> {
    // What is sent from here on may be later than the sync. The line is in order: all before it is not.
    const done = this.upToNow();
    await this.flush();
    done();
  }
}
