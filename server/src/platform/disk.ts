import { statfs } from 'node:fs/promises';

const MB = 1024 * 1024;

/**
 * What must stay free on the disk the data lies on: the database's log grows in files of 16 MB, and it needs room to
 * move what it holds into its tables, now and at the next start.
 */
const MARGIN_MB = 96;

/**
 * The margin as `BRIGHT_KEEPER_DISK_MARGIN_MB` sets it, in MB.
 *
 * @throws RangeError when it is no number of megabytes.
 */
export function marginFromEnvironment(): number {
  const text = process.env.BRIGHT_KEEPER_DISK_MARGIN_MB;
  if (!text) return MARGIN_MB;
  const megabytes = Number(text);
  if (!(megabytes >= 0)) throw new RangeError(`BRIGHT_KEEPER_DISK_MARGIN_MB is "${text}"; give a number of megabytes.`);
  return megabytes;
}

/** How much room there is, in bytes. */
export type Room = { freeBytes: number; marginBytes: number; enough: boolean };

/** Watches the disk the data lies on. */
export class Disk {
  /** @param directory where the data lies; null for a database in memory or on a server: there is always room. */
  constructor(
    private readonly directory: string | null,
    private readonly marginMb = MARGIN_MB,
  ) {}

  async room(): Promise<Room | null> {
    if (this.directory === null) return null;
    const { bavail, bsize } = await statfs(this.directory);
    const [freeBytes, marginBytes] = [bavail * bsize, this.marginMb * MB];
    return { freeBytes, marginBytes, enough: freeBytes >= marginBytes };
  }
}
