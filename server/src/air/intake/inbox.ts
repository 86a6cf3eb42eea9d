import type { sources } from '@bright-keeper/core';

/** So often what came is kept: a transaction for each message would keep everybody else waiting. */
const KEEP_EVERY_MS = 500;
/** What could not be kept is tried again after so long. */
const AGAIN_AFTER_MS = 5000;
/** Of what a device says without a time of its own nobody needs more than this. */
const UNTIMED_EVERY_MS = 10_000;
/** So many messages and readings of a device wait to be kept at most: whoever floods loses its own. */
const MOST_WAITING = 20_000;

/** Several messages as one, in the order of time; of what was set aside the last message counts. */
const asOne = (parts: readonly sources.PushedReadings[]): sources.PushedReadings => ({
  readings: parts.flatMap(({ readings }) => readings).sort((a, b) => a.at.localeCompare(b.at)),
  setAside: parts.at(-1)!.setAside,
  vitals: Object.assign({}, ...parts.map(({ vitals }) => vitals)) as sources.Vitals,
  aheadMs: parts.at(-1)!.aheadMs,
});

type Keep = (id: string, came: sources.PushedReadings) => Promise<unknown>;

/** What was heard of devices and waits to be kept, so that a flood of one device becomes one write. */
export class Inbox {
  private waiting = new Map<string, { parts: sources.PushedReadings[]; size: number }>();
  private readonly untimedMs = new Map<string, number>();
  private timer: NodeJS.Timeout | null = null;
  private keeping = Promise.resolve();

  constructor(private readonly keep: Keep) {}

  /** @returns whether there was room for all of it. */
  put(id: string, came: sources.PushedReadings, now: Date): boolean {
    const hasRoom = this.hold(id, this.thinned(id, came, now));
    this.wake(KEEP_EVERY_MS);
    return hasRoom;
  }

  private hold(id: string, came: sources.PushedReadings): boolean {
    const waiting = this.waiting.get(id) ?? { parts: [], size: 0 };
    if (waiting.size >= MOST_WAITING) return false;
    waiting.parts.push(came);
    waiting.size += 1 + came.readings.length;
    this.waiting.set(id, waiting);
    return true;
  }

  private wake(ms: number): void {
    this.timer ??= setTimeout(() => void this.flush(), ms).unref();
  }

  /** Whoever tells no time and says the same again at once says nothing new of the air. */
  private thinned(id: string, came: sources.PushedReadings, now: Date): sources.PushedReadings {
    const at = now.toISOString();
    if (came.readings.length !== 1 || came.readings[0]!.at !== at) return came;
    if (now.getTime() - (this.untimedMs.get(id) ?? -Infinity) < UNTIMED_EVERY_MS) return { ...came, readings: [] };
    this.untimedMs.set(id, now.getTime());
    return came;
  }

  /** Keeps what waits, after what is being kept. What cannot be kept now waits on. */
  flush(): Promise<void> {
    if (this.timer) clearTimeout(this.timer);
    this.timer = null;
    this.keeping = this.keeping.then(() => {
      const taken = this.waiting;
      this.waiting = new Map();
      return this.keepAll(taken);
    });
    return this.keeping;
  }

  private async keepAll(taken: typeof this.waiting): Promise<void> {
    await Promise.all(
      [...taken].map(async ([id, { parts }]) => {
        const came = asOne(parts);
        try {
          await this.keep(id, came);
        } catch {
          this.hold(id, came);
          this.wake(AGAIN_AFTER_MS);
        }
      }),
    );
  }
}
