import { createHash, type Hash } from 'node:crypto';
import { typeFits } from '../blobs/index.js';
import type { Faults } from './faults.js';

/** Enough of a file to see what it is. */
const HEAD_BYTES = 16;
type Told = { row: number; type: string; bytes: number; hash: Hash; head: Buffer; parts: number; got: number };

/** Holds pictures against what is said of them: that they are whole, are called by what they are, and are of their type. */
export class BlobCheck {
  private readonly told = new Map<string, Told>();

  constructor(private readonly faults: Faults) {}

  blob({ hash, type, bytes }: { hash: string; type: string; bytes: number }, row: number): void {
    this.told.set(hash, { row, type, bytes, hash: createHash('sha256'), head: Buffer.alloc(0), parts: 0, got: 0 });
  }

  part({ hash, part, data }: { hash: string; part: number; data: string }, row: number): void {
    const told = this.told.get(hash);
    if (!told) return this.faults.add('blob_part', row, 'hash', 'It is a part of nothing.');
    if (part !== told.parts) return this.faults.add('blob_part', row, 'part', 'The parts of a file stand one after the other.');
    const bytes = Buffer.from(data.slice(2), 'hex');
    told.parts += 1;
    told.got += bytes.length;
    if (told.head.length < HEAD_BYTES) told.head = Buffer.concat([told.head, bytes.subarray(0, HEAD_BYTES)]);
    told.hash.update(bytes);
  }

  /** When all of them have passed. */
  finish(): void {
    for (const [hash, { row, type, bytes, hash: sum, head, got }] of this.told) {
      if (got !== bytes) this.faults.add('blob', row, 'bytes', 'It has another length than it says.');
      else if (sum.digest('hex') !== hash) this.faults.add('blob', row, 'hash', 'It is not called by the SHA-256 of what it is.');
      else if (!typeFits(type, head)) this.faults.add('blob', row, 'type', 'It is not of the type it says.');
    }
  }
}
