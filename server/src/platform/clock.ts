import { v7 } from 'uuid';

/** The time, as the services ask for it: a test or the demo hands in its own. */
export abstract class Clock {
  abstract now(): Date;

  /** So many seconds before now. */
  ago(seconds: number): Date {
    return new Date(this.now().getTime() - seconds * 1000);
  }
}

export class SystemClock extends Clock {
  now(): Date {
    return new Date();
  }
}

/** A clock that stands where it was last set. */
export class SetClock extends Clock {
  constructor(private at: Date) {
    super();
  }
  now(): Date {
    return this.at;
  }
  set(at: Date): void {
    this.at = at;
  }
}

/** Makes ids that sort by the time they were made (UUIDv7). */
export abstract class Ids {
  abstract next(): string;
}

export class SystemIds extends Ids {
  next(): string {
    return v7();
  }
}

/** Ids of a given clock and a seeded sequence, so that the same story always gets the same ids. */
export class SeededIds extends Ids {
  private count = 0;
  constructor(private readonly clock: Clock) {
    super();
  }
  next(): string {
    this.count += 1;
    const bytes = new Uint8Array(16);
    new DataView(bytes.buffer).setUint32(12, this.count);
    return v7({ msecs: this.clock.now().getTime(), seq: this.count, random: bytes });
  }
}
