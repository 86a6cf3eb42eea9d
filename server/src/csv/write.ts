import Papa from 'papaparse';
import { breather } from '../platform/index.js';
import { guarded } from './formula.js';

const cell = (value: unknown): unknown => (typeof value === 'string' ? guarded(value) : value);

/** With it a spreadsheet knows that the file is UTF-8. */
export const BYTE_ORDER_MARK = '\uFEFF';

/** Rows as lines of CSV (RFC 4180), every cell in quotation marks, none that a spreadsheet would run. */
export const csvLines = (rows: readonly (readonly unknown[])[]): string =>
  rows.length === 0
    ? ''
    : Papa.unparse(
        rows.map((row) => row.map(cell)),
        { quotes: true, newline: '\r\n' },
      ) + '\r\n';

const ROWS_AT_ONCE = 100;

/** The same of many rows, a few at a time, and others are answered in between. */
export async function* csvInSlices<Of>(list: readonly Of[], cellsOf: (one: Of) => readonly unknown[]): AsyncGenerator<string> {
  const breathe = breather();
  for (let from = 0; from < list.length; from += ROWS_AT_ONCE) {
    yield csvLines(list.slice(from, from + ROWS_AT_ONCE).map(cellsOf));
    await breathe();
  }
}
