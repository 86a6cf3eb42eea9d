import { decode, guessDelimiter, unguarded, csvRows, type CsvFault, BYTE_ORDER_MARK, csvInSlices, csvLines } from '../../csv/index.js';
import { type ListFile, tableOf } from './table.js';

const FAULT_WORDS: Record<CsvFault, string> = {
  'open-quote': 'a quotation mark is not closed',
  'too-long': 'it is far too long',
  'too-wide': 'it has too many cells',
};

const MOST_NOTICES = 20;

/**
 * Reads a CSV file as a table with a heading line: any common delimiter, quoted line breaks, with or without a
 * byte-order mark. Nothing in it is ever run: `=…` is text.
 *
 * @returns null when it holds no heading line, or is no text at all.
 */
export function readCsv(bytes: Uint8Array): ListFile | null {
  const { text, encoding } = decode(bytes);
  if (text.includes('\0')) return null;
  const delimiter = guessDelimiter(text);
  const all = csvRows(text, delimiter);
  if (!all[0]?.cells) return null;
  const faults = all.flatMap((row) => (row.fault ? [`Line ${row.line}: ${FAULT_WORDS[row.fault]}; it was left out.`] : []));
  const notices = faults.slice(0, MOST_NOTICES);
  if (encoding === 'Windows-1252') notices.push('The file is not UTF-8; it was read as Windows-1252. Check the accents.');
  const lines = all.flatMap(({ line, cells }) => (cells ? [{ line, cells: cells.map((cell) => unguarded(cell.trim())) }] : []));
  const table = tableOf(lines, notices);
  return table && { form: 'csv', encoding, delimiter, ...table };
}

/** A table as a CSV file for whoever opens it in a spreadsheet. */
export async function writeCsv<Of>(
  columns: readonly string[],
  list: readonly Of[],
  cellsOf: (one: Of) => readonly unknown[],
): Promise<string> {
  let text = BYTE_ORDER_MARK + csvLines([columns]);
  for await (const some of csvInSlices(list, cellsOf)) text += some;
  return text;
}
