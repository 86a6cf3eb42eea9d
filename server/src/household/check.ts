import { fieldsOf, JOI_OPTIONS, unkeepableTexts } from '@bright-keeper/contract';
import { breather } from '../platform/index.js';
import type { ArchiveReader } from './archive.js';
import { BlobCheck } from './blobCheck.js';
import { Faults } from './faults.js';
import { ROW_CONTRACTS } from './rowContracts.js';
import type { TableShape } from './tables.js';

/** Rows of one table as they pass: each against its contract, and each key once. */
class TableCheck {
  private readonly keys = new Set<string>();
  private row = 0;
  private readonly breathe = breather();

  constructor(
    private readonly table: TableShape,
    private readonly faults: Faults,
    private readonly blobs: BlobCheck,
  ) {}

  async rows(texts: readonly string[]): Promise<void> {
    for (const text of texts) {
      this.row += 1;
      this.one(text);
      if (this.faults.enough) return;
      await this.breathe();
    }
  }

  private one(text: string): void {
    const { name, key } = this.table;
    let row: Record<string, unknown>;
    try {
      row = JSON.parse(text) as Record<string, unknown>;
    } catch {
      return this.faults.add(name, this.row, '', 'This is no JSON.');
    }
    const unkeepable = Object.entries(unkeepableTexts(row));
    const { error } = unkeepable.length > 0 ? {} : ROW_CONTRACTS.get(name)!.validate(row, JOI_OPTIONS);
    for (const [field, message] of error ? Object.entries(fieldsOf(error)) : unkeepable) this.faults.add(name, this.row, field, message);
    if (error || unkeepable.length > 0) return;
    const known = JSON.stringify(key.map((column) => row[column]));
    if (this.keys.has(known)) this.faults.add(name, this.row, key.join(', '), 'This stands in the file twice.');
    this.keys.add(known);
    if (name === 'blob') this.blobs.blob(row as Parameters<BlobCheck['blob']>[0], this.row);
    if (name === 'blob_part') this.blobs.part(row as Parameters<BlobCheck['part']>[0], this.row);
  }
}

/** Where rows come from: the tables there are, and the rows of each, some at a time. */
type Source = { has: (table: string) => boolean; rows: (table: TableShape) => AsyncIterable<string[]> };

async function check(tables: readonly TableShape[], source: Source, faults: Faults): Promise<void> {
  const blobs = new BlobCheck(faults);
  for (const table of tables.filter(({ name }) => source.has(name))) {
    const checking = new TableCheck(table, faults, blobs);
    for await (const rows of source.rows(table)) {
      await checking.rows(rows);
      if (faults.enough) break;
    }
  }
  if (!faults.enough) blobs.finish();
  if (faults.any) throw faults.problem();
}

/**
 * Holds a file of the present schema against what the API would take, row by row, before anything of it is written.
 *
 * @throws ProblemError with one list of what is wrong with it.
 */
export async function checkArchive(archive: ArchiveReader, tables: readonly TableShape[]): Promise<void> {
  const faults = new Faults();
  const told = new Set(archive.manifest.tables.map(({ name }) => name));
  for (const name of told) if (!tables.some((t) => t.name === name)) faults.add(name, null, '', 'There is no such table.');
  await check(tables, { has: (name) => told.has(name), rows: (table) => archive.rowsFor(table) }, faults);
}

/** The same for what was filled in already, and can be taken back: a file of an earlier schema, grown up. */
export const checkTables = (tables: readonly TableShape[], rows: (table: TableShape) => AsyncIterable<string[]>): Promise<void> =>
  check(tables, { has: () => true, rows }, new Faults());
