import {
  decode,
  type Encoding,
  guessDelimiter,
  unguarded,
  csvRows,
  type CsvFault,
  BYTE_ORDER_MARK,
  csvInSlices,
  csvLines,
} from '../csv/index.js';

export type CsvFile = {
  encoding: Encoding;
  delimiter: string;
  columns: string[];
  rows: { line: number; cells: Record<string, string> }[];
  notices: string[];
};

const FAULT_WORDS: Record<CsvFault, string> = {
  'open-quote': 'a quotation mark is not closed',
  'too-long': 'it is far too long',
  'too-wide': 'it has too many cells',
};

const MOST_NOTICES = 20;

/** Headings may be empty or stand twice; each column gets a name of its own. */
function nameColumns(headings: readonly string[]): string[] {
  const taken = new Set<string>();
  return headings.map((heading, i) => {
    const base = heading.trim() || `column ${i + 1}`;
    let name = base;
    for (let n = 2; taken.has(name); n += 1) name = `${base} (${n})`;
    taken.add(name);
    return name;
  });
}

/**
 * Reads a CSV file as a table with a heading line: any common delimiter, quoted line breaks, with or without a
 * byte-order mark. Nothing in it is ever run: `=…` is text.
 *
 * @returns null when it holds no heading line, or is no text at all.
 */
export function readCsv(bytes: Uint8Array): CsvFile | null {
  const { text, encoding } = decode(bytes);
  if (text.includes('\0')) return null;
  const delimiter = guessDelimiter(text);
  const [headings, ...body] = csvRows(text, delimiter);
  if (!headings?.cells) return null;
  const columns = nameColumns(headings.cells);
  const notices = body
    .flatMap((row) => (row.fault ? [`Line ${row.line}: ${FAULT_WORDS[row.fault]}; it was left out.`] : []))
    .slice(0, MOST_NOTICES);
  if (encoding === 'Windows-1252') notices.push('The file is not UTF-8; it was read as Windows-1252. Check the accents.');
  const good = body.flatMap((row) => (row.cells ? [row] : []));
  const tooLong = good.filter(({ cells }) => cells.length > columns.length).length;
  if (tooLong > 0) notices.push(`${tooLong} rows have more cells than the heading line; the extra cells are left out.`);
  const rows = good.map(({ line, cells }) => ({
    line,
    cells: Object.fromEntries(columns.map((c, j) => [c, unguarded((cells[j] ?? '').trim())])),
  }));
  return { encoding, delimiter, columns, rows, notices };
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
