import { getTableName, type Table } from 'drizzle-orm';

const READS = /^\s*(select|begin|commit|rollback|savepoint|release|set|checkpoint|listen)\b/i;
const WRITES = /^\s*(?:insert\s+into|update|delete\s+from)\s+"?(\w+)"?/i;

/** What a statement writes to: a table, nothing, or something that cannot be told from it. */
export type Written = { table: string } | 'nothing' | 'unknown';

/** Reads a statement on its way to the database. */
export function writtenBy(statement: string): Written {
  if (READS.test(statement)) return 'nothing';
  const table = WRITES.exec(statement)?.[1];
  return table ? { table } : 'unknown';
}

/**
 * How often each table was written to since the program began. Whatever was worked out from tables is kept as long as
 * their counts stand still: the one idea of what makes it stale. A write is counted when it is sent, and again when it
 * has become true: what somebody worked out in between may be from before it.
 */
export class Changes {
  private readonly counts = new Map<string, number>();
  private unknown = 0;
  private readonly hearers: ((written: Written) => void)[] = [];

  /** How often something was taken back, or may have changed without being told what. */
  get upsets(): number {
    return this.unknown;
  }

  /** What cannot be told may have changed anything. */
  note(written: Written): void {
    if (written === 'unknown') this.undone();
    else if (written !== 'nothing') this.counts.set(written.table, (this.counts.get(written.table) ?? 0) + 1);
  }

  /** Has every write told once it has become true, whoever wrote it. */
  hear(hearer: (written: Written) => void): void {
    this.hearers.push(hearer);
  }

  /** Something that was written has become true, here or in another process. */
  cameTrue(written: Written): void {
    this.note(written);
    for (const hearer of this.hearers) hearer(written);
  }

  /** Something was taken back: what was worked out in between never came to be. */
  undone(): void {
    this.unknown += 1;
  }

  /** The same as long as none of these tables was written to. */
  stampOf(...tables: Table[]): string {
    return `${this.unknown}/${tables.map((t) => this.counts.get(getTableName(t)) ?? 0).join('.')}`;
  }
}

/** What a value is worked out from, as it stands. */
export type Stamp = {
  /** The same as long as the value is. */
  text: string;
  /** Who asks from inside a transaction: it must not wait for others, who may wait for its end. */
  alone: boolean;
};

/** One value that is worked out anew when what it was made from has moved on, once for all who ask meanwhile. */
export class Kept<T> {
  private stamp: string | null = null;
  private value: T | undefined;
  private making: { stamp: string; value: Promise<T> } | null = null;

  async get({ text: stamp, alone }: Stamp, make: () => Promise<T>): Promise<T> {
    if (this.stamp === stamp) return this.value as T;
    if (alone) return this.keep(stamp, await make());
    if (this.making?.stamp === stamp) return this.making.value;
    const making = { stamp, value: make().then((value) => this.keep(stamp, value)) };
    this.making = making;
    try {
      return await making.value;
    } finally {
      if (this.making === making) this.making = null;
    }
  }

  private keep(stamp: string, value: T): T {
    this.stamp = stamp;
    this.value = value;
    return value;
  }
}

/** Counts how often what is said changes: the same words again are no change. */
export class Said {
  private last = '';
  private times = 0;

  of(value: unknown): number {
    const text = JSON.stringify(value);
    if (text !== this.last) this.times += 1;
    this.last = text;
    return this.times;
  }
}
