import Papa from 'papaparse';

export type Encoding = 'UTF-8' | 'UTF-16' | 'Windows-1252';
export type CsvFile = {
  encoding: Encoding;
  delimiter: string;
  columns: string[];
  rows: { line: number; cells: Record<string, string> }[];
  notices: string[];
};

const startsWith = (bytes: Uint8Array, ...mark: number[]) => mark.every((byte, i) => bytes[i] === byte);

/**
 * Text out of bytes: a byte-order mark decides; otherwise UTF-8 if it is valid UTF-8, else the encoding that
 * spreadsheets on older systems write.
 */
function decode(bytes: Uint8Array): { text: string; encoding: Encoding } {
  if (startsWith(bytes, 0xff, 0xfe)) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' };
  if (startsWith(bytes, 0xfe, 0xff)) return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}

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

const FORMULA_START = /^'([=+\-@\t\r])/;
/** Undoes the quote that guards a formula in exported files, so that export and import are each other's inverse. */
const unguard = (cell: string) => cell.replace(FORMULA_START, '$1');

/**
 * Reads a CSV file as a table with a heading line: any common delimiter, quoted line breaks, with or without a
 * byte-order mark. Nothing in it is ever run: `=…` is text.
 *
 * @returns null when it holds no heading line, or is no text at all.
 */
export function readCsv(bytes: Uint8Array): CsvFile | null {
  const { text, encoding } = decode(bytes);
  if (text.includes('\0')) return null;
  const parsed = Papa.parse<string[]>(text, { skipEmptyLines: 'greedy', delimitersToGuess: [',', ';', '\t', '|'] });
  const [headings, ...body] = parsed.data;
  if (!headings || headings.every((h) => h.trim() === '')) return null;
  const columns = nameColumns(headings);
  const notices = parsed.errors.filter((e) => e.type === 'Quotes').map((e) => `Line ${(e.row ?? 0) + 1}: a quotation mark is not closed.`);
  if (encoding === 'Windows-1252') notices.push('The file is not UTF-8; it was read as Windows-1252. Check the accents.');
  const tooLong = body.filter((row) => row.length > columns.length).length;
  if (tooLong > 0) notices.push(`${tooLong} rows have more cells than the heading line; the extra cells are left out.`);
  const rows = body.map((row, i) => ({
    line: i + 2,
    cells: Object.fromEntries(columns.map((c, j) => [c, unguard((row[j] ?? '').trim())])),
  }));
  return { encoding, delimiter: parsed.meta.delimiter, columns, rows, notices };
}

/** A table as CSV (RFC 4180) with a byte-order mark, cells that a spreadsheet would run guarded by a quote. */
export const writeCsv = (columns: readonly string[], rows: readonly (readonly unknown[])[]): string =>
  '\uFEFF' + Papa.unparse({ fields: [...columns], data: rows.map((r) => [...r]) }, { escapeFormulae: true, newline: '\r\n' }) + '\r\n';
