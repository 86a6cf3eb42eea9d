import Papa from 'papaparse';

/** What a record may be at the most. A table that people keep is far smaller; a file that was made to hurt is not. */
export const MOST_COLUMNS = 200;
export const LONGEST_RECORD = 100_000;
/** A cell with line breaks in it goes over so many lines at the most: after that the quotation mark was never closed. */
const MOST_LINES = 50;

export type CsvFault = 'open-quote' | 'too-long' | 'too-wide';
/** A record with the line it begins on: its cells, or why it was set aside with its beginning. */
export type CsvRow = { line: number; cells: string[]; fault: null } | { line: number; cells: null; fault: CsvFault; text: string };

const SHOWN = 120;
/**
 * Whether a quoted cell is still open after this line. A quotation mark opens a cell only where the cell begins, and closes
 * it only where the cell ends; elsewhere it is a letter like any other: a tube of 5" is no error.
 */
function leavesOpen(line: string, delimiter: string, isOpen: boolean): boolean {
  let open = isOpen;
  for (let at = line.indexOf('"'); at >= 0; at = line.indexOf('"', at + 1)) {
    if (!open) open = at === 0 || line[at - 1] === delimiter;
    else if (line[at + 1] === '"') at += 1;
    else if (at === line.length - 1 || line[at + 1] === delimiter) open = false;
  }
  return open;
}

/** Where the lines of a text end, asked for from left to right. Each sort of end is looked for once, not at every line. */
class LineEnds {
  private feed: number;
  private back: number;
  constructor(private readonly text: string) {
    this.feed = text.indexOf('\n');
    this.back = text.indexOf('\r');
  }

  /** -1 where there is none; a carriage return at the very end may be half of one, and waits. */
  after(from: number): number {
    if (this.feed >= 0 && this.feed < from) this.feed = this.text.indexOf('\n', from);
    if (this.back >= 0 && this.back < from) this.back = this.text.indexOf('\r', from);
    if (this.back < 0 || (this.feed >= 0 && this.feed < this.back)) return this.feed;
    return this.back === this.text.length - 1 ? -1 : this.back;
  }
}

/**
 * Reads a table as it comes (RFC 4180), one record after the other: quoted cells may hold line breaks, lines end in any
 * of the usual ways, blank lines are passed over. A quotation mark that is not closed sets its own line aside and no more.
 */
export class CsvRows {
  private rest = '';
  private line = 0;
  /** A record with a cell that is not closed yet. */
  private open: { line: number; lines: string[]; length: number } | null = null;
  /** Passing over the rest of a line that was longer than any record. */
  private skipping = false;
  private readonly out: CsvRow[] = [];

  constructor(private readonly delimiter: string) {}

  /** @returns the records that are whole with this. */
  push(text: string): CsvRow[] {
    const all = this.rest + text;
    const ends = new LineEnds(all);
    let from = 0;
    for (let end = ends.after(from); end >= 0; end = ends.after(from)) {
      this.take(all.slice(from, end));
      from = all[end] === '\r' && all[end + 1] === '\n' ? end + 2 : end + 1;
    }
    this.rest = all.slice(from);
    if (this.rest.length > LONGEST_RECORD) {
      if (!this.skipping) this.set(this.line + 1, 'too-long', this.rest);
      this.skipping = true;
      this.rest = '';
    }
    return this.out.splice(0);
  }

  /** @returns what was left at the end. */
  end(): CsvRow[] {
    const last = this.rest.replace(/\r$/, '');
    this.rest = '';
    if (last !== '') this.take(last);
    while (this.open) this.giveUp(this.open);
    return this.out.splice(0);
  }

  private set(line: number, fault: CsvFault, text: string): void {
    this.out.push({ line, cells: null, fault, text: text.slice(0, SHOWN) });
  }

  private take(line: string): void {
    this.line += 1;
    if (this.skipping) {
      this.skipping = false;
      return;
    }
    if (this.open) return this.goOn(this.open, line);
    if (line.length > LONGEST_RECORD) return this.set(this.line, 'too-long', line);
    if (leavesOpen(line, this.delimiter, false)) this.open = { line: this.line, lines: [line], length: line.length };
    else this.record(this.line, line);
  }

  private goOn(open: NonNullable<typeof this.open>, line: string): void {
    open.lines.push(line);
    open.length += line.length + 1;
    if (!leavesOpen(line, this.delimiter, true)) {
      this.open = null;
      this.record(open.line, open.lines.join('\n'));
    } else if (open.lines.length > MOST_LINES || open.length > LONGEST_RECORD) this.giveUp(open);
  }

  /** The quotation mark was never closed: its line is set aside, and those after it stand for themselves. */
  private giveUp({ line, lines: [first, ...after] }: NonNullable<typeof this.open>): void {
    this.open = null;
    this.set(line, 'open-quote', first!);
    this.line = line;
    for (const next of after) this.take(next);
  }

  private record(line: number, text: string): void {
    const cells = text.includes('"')
      ? (Papa.parse<string[]>(text, { delimiter: this.delimiter, newline: '\n' }).data[0] ?? [])
      : text.split(this.delimiter);
    if (cells.every((cell) => cell.trim() === '')) return;
    if (cells.length > MOST_COLUMNS) this.set(line, 'too-wide', text);
    else this.out.push({ line, cells, fault: null });
  }
}

/** All records of a text. */
export function csvRows(text: string, delimiter: string): CsvRow[] {
  const rows = new CsvRows(delimiter);
  return [...rows.push(text), ...rows.end()];
}

/** The records of a stream of text, as many at a time as come with a piece of it. */
export async function* csvStream(texts: AsyncIterable<string>, delimiter: string): AsyncGenerator<CsvRow[]> {
  const rows = new CsvRows(delimiter);
  for await (const text of texts) yield rows.push(text);
  yield rows.end();
}
