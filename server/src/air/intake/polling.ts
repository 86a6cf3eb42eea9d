import { log } from '../../platform/index.js';

/** The shortest time between two questions to one address: a device on a cell is asked to death sooner. */
const LEAST_MS = 30_000;
/** No timer of the platform is longer than 24 days (it would go off at once); a day is often enough to see that one is silent. */
const MOST_MS = 24 * 3_600_000;
/** All are not asked at once when the program begins. */
const FIRST_AFTER_MS = 1000;

/** Asks again and again, each time after the one before has ended, until it is stopped. */
export class Polling {
  private timer: NodeJS.Timeout;
  private isStopped = false;

  /** @param everyMs from the end of one to the next. */
  constructor(
    private readonly everyMs: number,
    private readonly ask: () => Promise<void>,
  ) {
    this.timer = this.after(FIRST_AFTER_MS);
  }

  private after(ms: number): NodeJS.Timeout {
    return setTimeout(() => void this.once(), ms).unref();
  }

  private async once(): Promise<void> {
    try {
      await this.ask();
    } catch (error) {
      log.warn({ error: String(error) }, 'a hygrometer could not be asked');
    } finally {
      if (!this.isStopped) this.timer = this.after(Math.min(MOST_MS, Math.max(LEAST_MS, this.everyMs)));
    }
  }

  stop(): void {
    this.isStopped = true;
    clearTimeout(this.timer);
  }
}
