import { householdErrors } from '@bright-keeper/contract';
import { createHash, type Hash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { createInterface } from 'node:readline';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import yazl from 'yazl';
import { problem } from '../http/problem.js';

const FORMAT = 'bright-keeper-household';
const FORMAT_VERSION = 1;
const MANIFEST = 'manifest.json';
const ROWS_AT_ONCE = 2000;
const LENGTH_AT_ONCE = 32 * 1024 * 1024;
const MANIFEST_LIMIT = 4 * 1024 * 1024;

/** What stands first in every file, and says what the rest must be. */
export type Manifest = {
  format: typeof FORMAT;
  formatVersion: number;
  program: string;
  madeAt: string;
  /** The last step of the schema the rows are in, by the time it was written, ms. */
  schemaStep: number;
  tables: { name: string; file: string; rows: number; sha256: string }[];
};

/** A table's rows in an archive: a JSON array with one row to a line, so that it can be read whole or line by line. */
const tableFile = (table: string): string => `data/${table}.json`;

/** Counts rows and sums bytes as they pass. */
class Sum extends Transform {
  private readonly hash: Hash = createHash('sha256');
  override _transform(chunk: Buffer, _: BufferEncoding, done: (error: null, chunk: Buffer) => void): void {
    this.hash.update(chunk);
    done(null, chunk);
  }
  digest(): string {
    return this.hash.digest('hex');
  }
}

async function* asJson(rows: AsyncIterable<string[]>, count: (rows: number) => void): AsyncGenerator<string> {
  let begun = false;
  yield '[';
  for await (const some of rows) {
    count(some.length);
    yield `${begun ? ',' : ''}\n${some.join(',\n')}`;
    begun = true;
  }
  yield '\n]\n';
}

/** An archive being written: parts one after the other, the manifest last. */
export class ArchiveWriter {
  private readonly zip = new yazl.ZipFile();
  private readonly tables: Manifest['tables'] = [];
  private readonly written: Promise<void>;

  constructor(path: string) {
    this.written = pipeline(this.zip.outputStream, createWriteStream(path, { mode: 0o600, flags: 'wx' }));
    this.written.catch(() => {});
  }

  /** Waits until a part has passed, so that a long one is never held in memory, and stops when the disk does. */
  private add(name: string, part: Readable): Promise<void> {
    this.zip.addReadStream(part, name, { mtime: EPOCH });
    const passed = new Promise<void>((resolve, reject) => {
      part.once('end', resolve);
      part.once('error', reject);
    });
    return Promise.race([passed, this.written.then(() => passed)]);
  }

  async text(name: string, parts: AsyncIterable<string> | Iterable<string>): Promise<void> {
    await this.add(name, Readable.from(parts));
  }

  async bytes(name: string, bytes: Uint8Array): Promise<void> {
    await this.add(name, Readable.from([Buffer.from(bytes)]));
  }

  async table(name: string, rows: AsyncIterable<string[]>): Promise<void> {
    const sum = new Sum();
    let count = 0;
    const file = tableFile(name);
    const source = Readable.from(asJson(rows, (n) => (count += n)));
    source.once('error', (error) => sum.destroy(error));
    await this.add(file, source.pipe(sum));
    this.tables.push({ name, file, rows: count, sha256: sum.digest() });
  }

  async finish(about: Pick<Manifest, 'program' | 'madeAt' | 'schemaStep'>): Promise<Manifest> {
    const manifest: Manifest = { format: FORMAT, formatVersion: FORMAT_VERSION, ...about, tables: this.tables };
    this.zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 2)), MANIFEST, { mtime: EPOCH });
    this.zip.end();
    await this.written;
    return manifest;
  }
}
/** The same household gives the same file, whenever it is written. */
const EPOCH = new Date('2000-01-01T00:00:00Z');

const damaged = () => problem(householdErrors, 'archive-damaged');

/** An archive open to be read. Every fault of it is a problem a person can act on. */
export class ArchiveReader {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
    readonly manifest: Manifest,
  ) {}

  /** @throws ProblemError when it is no archive of ours, or was made by a newer program. */
  static async open(path: string): Promise<ArchiveReader> {
    let zip: ZipFile;
    const entries = new Map<string, Entry>();
    try {
      zip = await yauzl.openPromise(path, { lazyEntries: true, autoClose: false });
      for await (const entry of zip.eachEntry()) entries.set(entry.fileName, entry);
    } catch {
      throw problem(householdErrors, 'archive-unreadable');
    }
    try {
      const manifest = await readManifest(zip, entries.get(MANIFEST));
      return new ArchiveReader(zip, entries, manifest);
    } catch (error) {
      zip.close();
      throw error;
    }
  }

  /** The rows of a table, some at a time; they are checked against the manifest as they pass. */
  async *rows(table: string): AsyncGenerator<string[]> {
    const told = this.manifest.tables.find((t) => t.name === table);
    const entry = told && this.entries.get(told.file);
    if (!told || !entry) throw damaged();
    const sum = new Sum();
    let count = 0;
    let some: string[] = [];
    let length = 0;
    try {
      const stream = await this.zip.openReadStreamPromise(entry);
      stream.once('error', (error) => sum.destroy(error));
      for await (const line of createInterface({ input: stream.pipe(sum), crlfDelay: Infinity })) {
        const row = line.replace(/,$/, '');
        if (row === '[' || row === ']' || row === '') continue;
        count += 1;
        length += row.length;
        if (some.push(row) === ROWS_AT_ONCE || length > LENGTH_AT_ONCE) {
          yield some;
          [some, length] = [[], 0];
        }
      }
    } catch {
      throw damaged();
    }
    if (count !== told.rows || sum.digest() !== told.sha256) throw damaged();
    if (some.length > 0) yield some;
  }

  /** All rows of a table at once. */
  async allRows(table: string): Promise<string[]> {
    const all: string[] = [];
    for await (const some of this.rows(table)) all.push(...some);
    return all;
  }

  /** Reads all of it. @throws ProblemError when any part is not as it was written. */
  async verify(): Promise<void> {
    for (const { name } of this.manifest.tables) for await (const _ of this.rows(name));
  }

  close(): void {
    this.zip.close();
  }
}

async function readManifest(zip: ZipFile, entry: Entry | undefined): Promise<Manifest> {
  if (!entry || entry.uncompressedSize > MANIFEST_LIMIT) throw problem(householdErrors, 'archive-unreadable');
  let manifest: Manifest;
  try {
    const parts: Buffer[] = [];
    for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
    manifest = JSON.parse(Buffer.concat(parts).toString('utf8')) as Manifest;
  } catch {
    throw damaged();
  }
  if (manifest.format !== FORMAT || !Array.isArray(manifest.tables)) throw problem(householdErrors, 'archive-unreadable');
  if (manifest.formatVersion > FORMAT_VERSION) throw problem(householdErrors, 'archive-newer');
  return manifest;
}
