import {
  gearErrors,
  IMPORT_TARGETS,
  type ImportFate,
  type ImportKinds,
  type ImportMapping,
  type ImportPreview,
  type ImportRequest,
  type ImportResult,
  type ImportTarget,
  type Item,
} from '@bright-keeper/contract';
import { type care, gear } from '@bright-keeper/core';
import { Injectable } from '@nestjs/common';
import { Database, type Db } from '../db/index.js';
import { problem } from '../http/index.js';
import { type ListFile, type ListForm, readList, type Told, writeCsv, writeOdsTable, writeXlsxTable } from './list/index.js';
import { GearRepository } from '../gear/index.js';
import { GearService } from './gear.service.js';
import { MoveService, PlaceService, StayRepository } from '../places/index.js';
import { LIMITS } from '../limits.js';
import { Clock } from '../platform/index.js';
import { SettingsService } from '../settings/index.js';
import { orderOf } from './cells.js';
import { guessMapping } from './headings.js';
import { statusCell } from './statusWords.js';
import { readRow, sameKindUnsaid, type ReadAgainst, type ReadRow } from './importRows.js';
import { takingFrom } from './listAgain.js';

/** How many rows a preview shows of each sort. */
const GOOD_SHOWN = 20;
const TOLD_SHOWN = 200;
const BAD_SHOWN = 200;
const KINDS_SHOWN = 40;

const cellOf = (item: Item, placeName: string, target: ImportTarget): Told => {
  if (target === 'place') return placeName;
  if (target === 'status') return statusCell(item.status);
  const particular = gear.PARTICULAR_IDS.find((id) => id === target);
  if (particular) {
    const told = item.particulars[particular];
    return Array.isArray(told) ? told.join(', ') : (told ?? '');
  }
  if (!target.startsWith('trait:')) return item[target as 'name' | 'kind' | 'notes' | 'acquiredOn'] ?? '';
  const value = item.traits[target.slice(6) as care.TraitId];
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  return value ?? '';
};

type Read = { file: ListFile; mapping: ImportMapping; rows: ReadRow[]; areDaysAmbiguous: boolean };

@Injectable()
export class ImportService {
  constructor(
    private readonly database: Database,
    private readonly gear: GearService,
    private readonly repository: GearRepository,
    private readonly places: PlaceService,
    private readonly stays: StayRepository,
    private readonly moves: MoveService,
    private readonly settings: SettingsService,
    private readonly clock: Clock,
  ) {}

  async preview(request: ImportRequest): Promise<ImportPreview> {
    const { file, mapping, rows, areDaysAmbiguous } = await this.read(this.database.db, request);
    const of = (...fates: ImportFate[]) => rows.filter((r) => fates.includes(r.fate));
    const [bad, good] = [of('wrong'), of('new', 'update', 'same')];
    const isTold = (r: ReadRow) => r.isKindGuessed || Object.keys(r.told).length > 0;
    const shownGood = [...good.filter(isTold).slice(0, TOLD_SHOWN), ...good.filter((r) => !isTold(r)).slice(0, GOOD_SHOWN)];
    const shown = [...bad.slice(0, BAD_SHOWN), ...shownGood].sort((a, b) => a.line - b.line);
    const { form, encoding, delimiter, columns, notices } = file;
    return {
      ...{ form, encoding, delimiter, columns, mapping, notices, areDaysAmbiguous },
      ...{ total: rows.length, good: good.length, bad: bad.length, updates: of('update').length, same: of('same').length },
      kinds: kindsUnsaid(rows),
      rows: shown.map(({ there: _, unsaid: _u, ...row }) => row),
    };
  }

  /** Every row that can come, comes, together or not at all; one that cannot is left out. What is there already is brought up to the list. */
  async confirm(request: ImportRequest): Promise<ImportResult> {
    return this.database.transaction(async (db) => {
      const { rows } = await this.read(db, request);
      const good = rows.filter((r) => r.input !== null);
      if (good.length === 0) throw nothingCanCome(rows);
      const fresh = good.filter((r) => r.fate === 'new');
      const ids = await this.gear.insertAll(
        db,
        fresh.map((r) => r.input!),
        'imported',
      );
      const updated = good.filter((r) => r.fate === 'update');
      for (const { there, input } of updated) await this.gear.updateIn(db, there!, input!);
      for (const [itemId, { place }] of [...fresh.map((r, i) => [ids[i]!, r] as const), ...updated.map((r) => [r.there!.id, r] as const)])
        if (place) await this.moves.moveIn(db, itemId, place.id);
      // What is isolated has its neighbours looked at: it comes last, when everything lies where the list says.
      const isolated = [
        ...fresh.flatMap((r, i) => (r.isolates ? [ids[i]!] : [])),
        ...updated.flatMap((r) => (r.isolates ? [r.there!.id] : [])),
      ];
      for (const id of isolated) await this.gear.isolateIn(db, id);
      return {
        imported: fresh.length,
        updated: updated.length,
        same: good.length - fresh.length - updated.length,
        leftOut: rows.length - good.length,
      };
    });
  }

  /** The shelf with one column for each import target, so that the file can be read back. */
  async export(): Promise<string> {
    const { items, cellsOf } = await this.listed();
    return writeCsv(IMPORT_TARGETS, items, cellsOf);
  }

  /** The same as a spreadsheet; columns in which nothing is told are left out. */
  async exportSheet(form: Exclude<ListForm, 'csv'>): Promise<Buffer> {
    const { items, cellsOf } = await this.listed();
    const rows = items.map(cellsOf);
    const told = IMPORT_TARGETS.flatMap((_, i) => (i === 0 || rows.some((row) => row[i] !== '') ? [i] : []));
    const columns = told.map((i) => IMPORT_TARGETS[i]!);
    const write = form === 'xlsx' ? writeXlsxTable : writeOdsTable;
    return write(
      columns,
      rows.map((row) => told.map((i) => row[i]!)),
    );
  }

  private async listed(): Promise<{ items: Item[]; cellsOf: (item: Item) => Told[] }> {
    const { db } = this.database;
    const [items, open] = await Promise.all([this.repository.all(db), this.stays.open(db)]);
    const placeOf = new Map(open.map((s) => [s.itemId, s.name]));
    return { items, cellsOf: (item) => IMPORT_TARGETS.map((target) => cellOf(item, placeOf.get(item.id) ?? '', target)) };
  }

  private async read(db: Db, request: ImportRequest): Promise<Read> {
    const { fileBase64, mapping: given, kinds = [], corrections = {}, monthFirst } = request;
    const file = await readList(Buffer.from(fileBase64, 'base64'));
    if (!file) throw problem(gearErrors, 'import-unreadable');
    if (file.rows.length > LIMITS.list.rows)
      throw problem(gearErrors, 'import-unreadable', {
        detail: `The file has ${file.rows.length} rows; split it into files of at most ${LIMITS.list.rows}.`,
      });
    const mapping = given ?? guessMapping(file.columns);
    const daysIn = [mapping.acquiredOn, mapping.warrantyUntil].filter((column) => column !== undefined);
    const { order, ambiguous } = orderOf(daysIn.flatMap((column) => file.rows.map((r) => r.cells[column] ?? '')));
    const against: ReadAgainst = {
      mapping,
      corrections,
      kinds: new Map(kinds.map((meant) => [sameKindUnsaid(meant), meant.kind])),
      dayOrder: order ?? (monthFirst ? 'month-first' : 'day-first'),
      now: this.clock.now(),
      currency: (await this.settings.get(db)).currency,
      ...(await this.whatIsThere(db)),
    };
    const rows = file.rows.filter(({ cells }) => !isBlank(cells)).map(({ line, cells }) => readRow(line, cells, against));
    tellDoubled(rows, mapping.serial ?? 'serial');
    return { file, mapping, rows, areDaysAmbiguous: ambiguous };
  }

  private async whatIsThere(db: Db): Promise<Pick<ReadAgainst, 'places' | 'take'>> {
    const [items, open, places] = await Promise.all([this.repository.all(db), this.stays.open(db), this.places.all(db)]);
    const placeOf = new Map(open.map((s) => [s.itemId, s.placeId]));
    return {
      places: new Map(places.map(({ id, name }) => [name.trim().toLowerCase(), { id, name }])),
      take: takingFrom(items.map((item) => ({ ...item, placeId: placeOf.get(item.id) ?? null }))),
    };
  }
}

/** Two rows with one serial number are two things all the same, unless somebody mistyped: that is said. */
function tellDoubled(rows: readonly ReadRow[], heading: string): void {
  const first = new Map<string, number>();
  for (const { line, input, told } of rows) {
    const serial = gear.sameSerial(input?.particulars?.serial);
    if (serial === '') continue;
    const before = first.get(serial);
    if (before === undefined) first.set(serial, line);
    else told[heading] = `Line ${before} has the same serial number: one of them is mistyped, or it is one thing twice.`;
  }
}

/** How kinds are written that nobody knows for one, or that only other words of the row tell. */
function kindsUnsaid(rows: readonly ReadRow[]): ImportKinds[] {
  const all = new Map<string, ImportKinds>();
  for (const { unsaid } of rows) {
    if (!unsaid) continue;
    const key = sameKindUnsaid(unsaid);
    const told = all.get(key) ?? { ...unsaid, rows: 0 };
    all.set(key, { ...told, rows: told.rows + 1 });
  }
  return [...all.values()].sort((a, b) => b.rows - a.rows).slice(0, KINDS_SHOWN);
}

const isBlank = (cells: Record<string, string>): boolean => Object.values(cells).every((cell) => cell === '');

function nothingCanCome(rows: readonly ReadRow[]) {
  return problem(gearErrors, 'import-has-errors', {
    detail:
      rows.length === 0 ? 'There are no rows below the heading line.' : `None of the ${rows.length} rows can be imported as they are.`,
    fields: Object.fromEntries(
      rows.slice(0, BAD_SHOWN).map((r) => [
        `line ${r.line}`,
        Object.entries(r.errors)
          .map(([c, m]) => `${c}: ${m}`)
          .join(' '),
      ]),
    ),
  });
}
