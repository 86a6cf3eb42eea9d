import type pg from 'pg';
import { isLost } from './lost.js';

/** A line of the pool, as far as one has to know to tell that nobody is at its other end. */
export type HeardLine = pg.Client & {
  /** So many questions wait for their answers, and since when none came. */
  readonly waiting: { questions: number; sinceMs: number };
};

/** What a server says of a line: somebody is at work on it, nobody is, or it cannot tell. */
export type AtWork = 'at-work' | 'idle' | 'unknown';

/**
 * A line may die without a word: a router forgets it, a machine is unplugged. Nobody is told, and whoever asked would
 * wait for as long as the system does, a quarter of an hour. So where no answer has come for a while the server is asked,
 * on a line of its own, whether it is at work on the other; if it is not, or cannot be reached, the line is ended and
 * whoever waits on it is answered like on one that broke. A statement that takes long is left alone.
 */
export class SilentLines {
  private readonly lines = new Set<HeardLine>();
  private readonly timer: NodeJS.Timeout;

  /** @param silentMs for how long no answer may come before the server is asked. */
  constructor(
    private readonly askOf: (processId: number) => Promise<AtWork>,
    private readonly silentMs: number,
  ) {
    this.timer = setInterval(() => void this.look(), silentMs / 2);
    this.timer.unref();
  }

  watch(pool: pg.Pool): void {
    pool.on('connect', (line) => void this.lines.add(line as unknown as HeardLine));
    pool.on('remove', (line) => void this.lines.delete(line as unknown as HeardLine));
  }

  close(): void {
    clearInterval(this.timer);
  }

  private async look(): Promise<void> {
    const before = performance.now() - this.silentMs;
    const silent = [...this.lines].filter(({ waiting }) => waiting.questions > 0 && waiting.sinceMs < before);
    await Promise.all(
      silent.map(async (line) => {
        const { processID, connection } = line as unknown as { processID: number; connection: { stream: { destroy: (e: Error) => void } } };
        const { sinceMs } = line.waiting;
        const told = await this.askOf(processID).catch((error: unknown): AtWork => (isLost(error) ? 'idle' : 'unknown'));
        // What was answered meanwhile was only slow.
        if (told === 'idle' && line.waiting.sinceMs === sinceMs)
          connection.stream.destroy(new Error('Connection terminated: no answer comes.'));
      }),
    );
  }
}
