import { readSheet } from 'read-excel-file/node';
import writeXlsx from 'write-excel-file/node';
import { LIMITS } from '../../limits.js';
import type { Line, Told } from './table.js';

/** What a sheet has in a cell. */
type Cell = string | number | boolean | Date | null;

/** A cell as one reads it: a day as days are written, a number with as many figures as a spreadsheet keeps. */
function textOf(cell: Cell): string {
  if (cell === null) return '';
  if (cell instanceof Date) return Number.isNaN(cell.getTime()) ? '' : cell.toISOString().slice(0, 10);
  if (typeof cell === 'boolean') return cell ? 'yes' : 'no';
  return typeof cell === 'number' ? String(Number(cell.toPrecision(15))) : cell.trim();
}

/** The first sheet of a workbook (ECMA-376); of a formula what it came to when it was kept. Null where it is none that can be read. */
export async function readXlsx(bytes: Buffer): Promise<Line[] | null> {
  try {
    const rows = (await readSheet(bytes)) as Cell[][];
    return rows.slice(0, LIMITS.list.rows + 2).map((row, i) => ({ line: i + 1, cells: row.slice(0, LIMITS.list.columns).map(textOf) }));
  } catch {
    return null;
  }
}

/** A table as a workbook of one sheet; every cell is what it is, and none is run. */
export async function writeXlsxTable(columns: readonly string[], rows: readonly (readonly Told[])[]): Promise<Buffer> {
  const cellOf = (value: Told) => (typeof value === 'number' ? { value, type: Number } : { value: value, type: String });
  const head = columns.map((value) => ({ value, type: String, fontWeight: 'bold' as const }));
  return writeXlsx([head, ...rows.map((row) => row.map(cellOf))], { sheet: 'Gear' }).toBuffer();
}
