import Papa from 'papaparse';
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
