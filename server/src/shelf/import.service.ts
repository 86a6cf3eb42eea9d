import {
  gearErrors,
  IMPORT_TARGETS,
  type ImportMapping,
  type ImportPreview,
  type ImportRequest,
  type ImportResult,
  type ImportRow,
  type ImportTarget,
  type Item,
} from '@bright-keeper/contract';
import type { care } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database } from '../db/index.js';
import { problem } from '../http/index.js';
import { readCsv, writeCsv, type CsvFile } from './csvFile.js';
import { GearRepository } from '../gear/index.js';
import { GearService } from './gear.service.js';
import { guessMapping, readRow } from './importRows.js';

/** How many rows a preview shows of each sort. */
const GOOD_SHOWN = 20;
const BAD_SHOWN = 200;
const MOST_ROWS = 50_000;

const cellOf = (item: Item, target: ImportTarget): unknown => {
  if (!target.startsWith('trait:')) return item[target as 'name' | 'kind' | 'notes' | 'acquiredOn'] ?? '';
  const value = item.traits[target.slice(6) as care.TraitId];
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return value ?? '';
};

@Injectable()
export class ImportService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearService,
    private readonly repository: GearRepository,
  ) {}

  preview(request: ImportRequest): ImportPreview {
    const { file, mapping, rows } = this.read(request);
    const good = rows.filter((r) => r.input);
    const bad = rows.filter((r) => !r.input);
    const shown = [...bad.slice(0, BAD_SHOWN), ...good.slice(0, GOOD_SHOWN)].sort((a, b) => a.line - b.line);
    const { encoding, delimiter, columns, notices } = file;
    return { encoding, delimiter, columns, mapping, total: rows.length, good: good.length, bad: bad.length, rows: shown, notices };
  }

  /** All rows or none: one bad row leaves the shelf as it was. */
  async confirm(request: ImportRequest): Promise<ImportResult> {
    const { rows } = this.read(request);
    const bad = rows.filter((r) => !r.input);
    if (bad.length > 0 || rows.length === 0)
      throw problem(gearErrors, 'import-has-errors', {
        detail:
          rows.length === 0
            ? 'There are no rows below the heading line.'
            : `${bad.length} of ${rows.length} rows cannot be imported. Nothing was imported.`,
        fields: Object.fromEntries(
          bad.slice(0, BAD_SHOWN).map((r) => [
            `line ${r.line}`,
            Object.entries(r.errors)
              .map(([c, m]) => `${c}: ${m}`)
              .join(' '),
          ]),
        ),
      });
    const inputs = rows.flatMap((r) => (r.input ? [r.input] : []));
    await this.database.transaction((db) => this.gear.insertAll(db, inputs, 'imported'));
    return { imported: inputs.length };
  }

  /** The shelf with one column for each import target, so that the file can be read back. */
  async export(): Promise<string> {
    const items = await this.repository.all(this.database.db);
    return writeCsv(IMPORT_TARGETS, items, (item) => IMPORT_TARGETS.map((target) => cellOf(item, target)));
  }

  private read({ fileBase64, mapping: given, defaultKind }: ImportRequest): { file: CsvFile; mapping: ImportMapping; rows: ImportRow[] } {
    const file = readCsv(Buffer.from(fileBase64, 'base64'));
    if (!file) throw problem(gearErrors, 'import-unreadable');
    if (file.rows.length > MOST_ROWS)
      throw problem(gearErrors, 'import-unreadable', {
        detail: `The file has ${file.rows.length} rows; split it into files of at most ${MOST_ROWS}.`,
      });
    const mapping = given ?? guessMapping(file.columns);
    return { file, mapping, rows: file.rows.map(({ line, cells }) => readRow(line, cells, mapping, defaultKind)) };
  }
}
