import { householdErrors, JOI_OPTIONS } from '@bright-keeper/contract';
import Joi from 'joi';
import { createHash, type Hash } from 'node:crypto';
import { createWriteStream } from 'node:fs';
import { Readable, Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import yauzl, { type Entry, type ZipFile } from 'yauzl';
import yazl from 'yazl';
import { problem, ProblemError } from '../http/index.js';
import { LIMITS } from '../limits.js';
import { linesOf, TooLong } from './lines.js';
import { inOneGo, type TableShape } from './tables.js';

const FORMAT = 'bright-keeper-household';
/** From version 2 on the manifest carries a sum of itself. */
const FORMAT_VERSION = 2;
const MANIFEST = 'manifest.json';
const ROWS_AT_ONCE = 2000;
const LENGTH_AT_ONCE = 32 * 1024 * 1024;
/** How much of a file is taken. */
export type ArchiveLimits = Readonly<Record<keyof typeof LIMITS.household, number>>;
/** What the keeper has at hand on this machine may be as large as it is: only what it is held against stays. */
export const AT_HAND: ArchiveLimits = {
  ...LIMITS.household,
  bytes: Infinity,
  unpackedBytes: Infinity,
  ratio: Infinity,
  parts: Infinity,
  rows: Infinity,
};

/** What stands first in every file, and says what the rest must be. */
export type Manifest = {
  format: typeof FORMAT;
  formatVersion: number;
  program: string;
  madeAt: string;
  /** The last step of the schema the rows are in, by the time it was written, ms. */
  schemaStep: number;
  tables: { name: string; file: string; rows: number; sha256: string }[];
  /** SHA-256 of all the above as JSON; left out before version 2. */
  sha256?: string;
};

const count = () => Joi.number().integer().min(0).required();
const sum = () => Joi.string().pattern(/^[0-9a-f]{64}$/);
const manifestShape = Joi.object<Manifest>({
  format: Joi.valid(FORMAT).required(),
  formatVersion: count().min(1),
  program: Joi.string().max(100).required(),
  // A machine without a clock of its own begins in 1970: what it wrote is whole all the same.
  madeAt: Joi.string().isoDate().required(),
  schemaStep: count(),
  tables: Joi.array()
    .items(
      Joi.object({
        name: Joi.string().pattern(/^\w+$/).max(100).required(),
        file: Joi.string().max(200).required(),
        rows: count(),
        sha256: sum().required(),
      }),
    )
    .unique('name')
    .unique('file')
    .max(1000)
    .required(),
  sha256: sum(),
});

/** What the manifest says of itself, summed up. */
const sumOf = ({ sha256: _, ...told }: Manifest): string => createHash('sha256').update(JSON.stringify(told)).digest('hex');

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
    const told: Manifest = { format: FORMAT, formatVersion: FORMAT_VERSION, ...about, tables: this.tables };
    const manifest: Manifest = { ...told, sha256: sumOf(told) };
    this.zip.addBuffer(Buffer.from(JSON.stringify(manifest, null, 2)), MANIFEST, { mtime: EPOCH });
    this.zip.end();
    await this.written;
    return manifest;
  }
}
/** The same household gives the same file, whenever it is written. */
const EPOCH = new Date('2000-01-01T00:00:00Z');

const damaged = () => problem(householdErrors, 'archive-damaged');
const tooMuch = (detail: string) => problem(householdErrors, 'archive-too-much', { detail });

/** What a file says of its parts: that there are not too many, none twice, and none unpacks to more than may be. */
async function entriesOf(zip: ZipFile, most: ArchiveLimits): Promise<Map<string, Entry>> {
  const entries = new Map<string, Entry>();
  let unpacked = 0;
  for await (const entry of zip.eachEntry()) {
    const { fileName, uncompressedSize, compressedSize } = entry;
    if (entries.has(fileName)) throw damaged();
    unpacked += uncompressedSize;
    if (entries.size >= most.parts) throw tooMuch(`It has more than ${most.parts} parts. Nothing was taken in.`);
    if (unpacked > most.unpackedBytes) throw tooMuch(`It unpacks to more than ${most.unpackedBytes / 1e9} GB. Nothing was taken in.`);
    if (uncompressedSize > most.ratioFromBytes && uncompressedSize > most.ratio * compressedSize)
      throw tooMuch(`Its part ${fileName} unpacks to more than ${most.ratio} times its size. Nothing was taken in.`);
    entries.set(fileName, entry);
  }
  return entries;
}

/** An archive open to be read. Every fault of it is a problem a person can act on. */
export class ArchiveReader {
  private constructor(
    private readonly zip: ZipFile,
    private readonly entries: ReadonlyMap<string, Entry>,
    readonly manifest: Manifest,
    private readonly most: ArchiveLimits,
  ) {}

  /** @throws ProblemError when it is no archive of ours, or was made by a newer program. */
  static async open(path: string, most: ArchiveLimits = LIMITS.household): Promise<ArchiveReader> {
    let zip: ZipFile;
    try {
      zip = await yauzl.openPromise(path, { lazyEntries: true, autoClose: false });
    } catch {
      throw problem(householdErrors, 'archive-unreadable');
    }
    try {
      const entries = await entriesOf(zip, most).catch((error: unknown) => {
        throw error instanceof ProblemError ? error : problem(householdErrors, 'archive-unreadable');
      });
      const manifest = await readManifest(zip, entries.get(MANIFEST), most);
      return new ArchiveReader(zip, entries, manifest, most);
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
      for await (const line of linesOf(stream.pipe(sum), this.most.rowBytes)) {
        const row = line.replace(/,$/, '');
        if (row === '[' || row === ']' || row === '') continue;
        count += 1;
        // More than it says are not read to their end.
        if (count > told.rows) throw damaged();
        length += row.length;
        if (some.push(row) === ROWS_AT_ONCE || length > LENGTH_AT_ONCE) {
          yield some;
          [some, length] = [[], 0];
        }
      }
    } catch (error) {
      throw error instanceof TooLong
        ? tooMuch(`A row of ${table} is longer than ${this.most.rowBytes / 1e6} MB. Nothing was taken in.`)
        : damaged();
    }
    if (count !== told.rows || sum.digest() !== told.sha256) throw damaged();
    if (some.length > 0) yield some;
  }

  /** All rows of a table at once. */
  async allRows(table: string): Promise<string[]> {
    const all: string[] = [];
    for await (const some of this.rows(table)) {
      all.push(...some);
      if (all.length > this.most.rowsInOneGo)
        throw tooMuch(`It has more than ${this.most.rowsInOneGo} rows of ${table}. Nothing was taken in.`);
    }
    return all;
  }

  /** The same in as many goes as a table is filled in: one that refers to itself comes whole. */
  async *rowsFor(table: TableShape): AsyncGenerator<string[]> {
    if (inOneGo(table)) yield await this.allRows(table.name);
    else yield* this.rows(table.name);
  }

  /** Reads all of it. @throws ProblemError when any part is not as it was written. */
  async verify(): Promise<void> {
    for (const { name } of this.manifest.tables) for await (const _ of this.rows(name));
  }

  close(): void {
    this.zip.close();
  }
}

async function readManifest(zip: ZipFile, entry: Entry | undefined, most: ArchiveLimits): Promise<Manifest> {
  if (!entry || entry.uncompressedSize > most.manifestBytes) throw problem(householdErrors, 'archive-unreadable');
  let told: unknown;
  try {
    const parts: Buffer[] = [];
    for await (const part of await zip.openReadStreamPromise(entry)) parts.push(part as Buffer);
    told = JSON.parse(Buffer.concat(parts).toString('utf8'));
  } catch {
    throw damaged();
  }
  const { format, formatVersion } = (told ?? {}) as Partial<Manifest>;
  if (format !== FORMAT) throw problem(householdErrors, 'archive-unreadable');
  if (Number(formatVersion) > FORMAT_VERSION) throw problem(householdErrors, 'archive-newer');
  if (manifestShape.validate(told, JOI_OPTIONS).error) throw damaged();
  const manifest = told as Manifest;
  if (manifest.formatVersion > 1 || manifest.sha256 !== undefined) if (manifest.sha256 !== sumOf(manifest)) throw damaged();
  const rows = manifest.tables.reduce((sum, table) => sum + table.rows, 0);
  if (rows > most.rows) throw tooMuch(`It has more than ${most.rows} rows. Nothing was taken in.`);
  return manifest;
}
