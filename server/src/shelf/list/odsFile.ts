import { SaxesParser } from 'saxes';
import yazl from 'yazl';
import { buffer } from 'node:stream/consumers';
import { LIMITS } from '../../limits.js';
import type { Line, Told } from './table.js';

const TYPE = 'application/vnd.oasis.opendocument.spreadsheet';
const CONTENT = 'content.xml';
export const ODS_PARTS = ['mimetype', CONTENT] as const;
/** Whether the parts of a packed file are those of such a document, by what it says it is. */
export const isOds = (parts: ReadonlyMap<string, Buffer>): boolean =>
  parts.has(CONTENT) && (parts.get('mimetype')?.toString('latin1').trim().startsWith(TYPE) ?? false);

type Attributes = Readonly<Record<string, string>>;
/** How often a row or a cell stands: a sheet ends with a row that stands a million times, and is empty. */
const times = (attributes: Attributes, name: string): number => Math.max(1, Number(attributes[name] ?? 1) || 1);

/** What a cell holds by its type; null where its text says it. */
function valueOf(attributes: Attributes): string | null {
  const value = attributes['office:value'];
  switch (attributes['office:value-type']) {
    case 'date':
      return (attributes['office:date-value'] ?? '').slice(0, 10);
    case 'boolean':
      return attributes['office:boolean-value'] === 'true' ? 'yes' : 'no';
    case 'currency':
      return value === undefined ? null : [value, attributes['office:currency']].filter(Boolean).join(' ');
    case 'float':
      return value ?? null;
    default:
      return null;
  }
}

/** Gathers the first table of a document as it is read. */
class FirstTable {
  readonly lines: Line[] = [];
  private line = 0;
  private tables = 0;
  private cells: string[] = [];
  private cell: { attributes: Attributes; paragraphs: string[] } | null = null;
  /** Remarks at a cell are no part of it. */
  private remarks = 0;
  private row: Attributes = {};

  /** The headings and one row more than there may be are enough to know. */
  get isOver(): boolean {
    return this.lines.length >= LIMITS.list.rows + 2;
  }

  open(name: string, attributes: Attributes): void {
    if (name === 'table:table') this.tables += 1;
    if (this.tables !== 1) return;
    if (name === 'office:annotation') this.remarks += 1;
    if (name === 'table:table-row') [this.cells, this.row] = [[], attributes];
    if (name === 'table:table-cell' || name === 'table:covered-table-cell') this.cell = { attributes, paragraphs: [] };
    if (this.cell && this.remarks === 0) {
      if (name === 'text:p') this.cell.paragraphs.push('');
      if (name === 'text:s') this.text(' '.repeat(Math.min(100, times(attributes, 'text:c'))));
      if (name === 'text:line-break') this.text('\n');
    }
  }

  text(text: string): void {
    const paragraphs = this.cell?.paragraphs;
    if (!paragraphs || this.remarks > 0 || paragraphs.length === 0) return;
    paragraphs[paragraphs.length - 1] += text;
  }

  close(name: string): void {
    if (this.tables !== 1) return;
    if (name === 'office:annotation') this.remarks -= 1;
    if (name === 'table:table-cell' || name === 'table:covered-table-cell') this.endCell();
    if (name === 'table:table-row') this.endRow();
  }

  private endCell(): void {
    const { attributes, paragraphs } = this.cell!;
    const text = valueOf(attributes) ?? paragraphs.join('\n').trim();
    const room = LIMITS.list.columns - this.cells.length;
    for (let i = Math.min(room, times(attributes, 'table:number-columns-repeated')); i > 0; i -= 1) this.cells.push(text);
    this.cell = null;
  }

  private endRow(): void {
    const repeated = times(this.row, 'table:number-rows-repeated');
    const isBlank = this.cells.every((cell) => cell === '');
    for (let i = 0; !isBlank && i < repeated && !this.isOver; i += 1) this.lines.push({ line: this.line + i + 1, cells: this.cells });
    this.line += repeated;
  }
}

/** The first table of an OpenDocument spreadsheet (ISO/IEC 26300); of a formula what it came to. Null where it cannot be read. */
export function readOds(parts: ReadonlyMap<string, Buffer>): Line[] | null {
  const table = new FirstTable();
  const parser = new SaxesParser();
  parser.on('opentag', ({ name, attributes }) => table.open(name, attributes));
  parser.on('closetag', ({ name }) => table.close(name));
  parser.on('text', (text) => table.text(text));
  try {
    parser.write(parts.get(CONTENT)!.toString('utf8')).close();
    return table.lines;
  } catch {
    return null;
  }
}

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };
/** Signs that no XML may hold are left out. */
const escaped = (text: string): string =>
  // eslint-disable-next-line no-control-regex -- they are what is looked for
  text.replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, '').replace(/[&<>"]/g, (sign) => ESCAPES[sign]!);
/** Blanks after the first are told by number: else they would be one. */
const spaced = (text: string): string => escaped(text).replace(/ {2,}/g, (blanks) => ` <text:s text:c="${blanks.length - 1}"/>`);

const cellXml = (value: Told): string =>
  typeof value === 'number'
    ? `<table:table-cell office:value-type="float" office:value="${value}"><text:p>${value}</text:p></table:table-cell>`
    : `<table:table-cell office:value-type="string">${value
        .split('\n')
        .map((line) => `<text:p>${spaced(line)}</text:p>`)
        .join('')}</table:table-cell>`;
const rowXml = (row: readonly Told[]): string => `<table:table-row>${row.map(cellXml).join('')}</table:table-row>`;

const NAMES =
  'xmlns:office="urn:oasis:names:tc:opendocument:xmlns:office:1.0" xmlns:table="urn:oasis:names:tc:opendocument:xmlns:table:1.0" xmlns:text="urn:oasis:names:tc:opendocument:xmlns:text:1.0"';
const MANIFEST = `<?xml version="1.0" encoding="UTF-8"?>
<manifest:manifest xmlns:manifest="urn:oasis:names:tc:opendocument:xmlns:manifest:1.0" manifest:version="1.3"><manifest:file-entry manifest:full-path="/" manifest:version="1.3" manifest:media-type="${TYPE}"/><manifest:file-entry manifest:full-path="content.xml" manifest:media-type="text/xml"/></manifest:manifest>`;

/** A table as an OpenDocument spreadsheet of one sheet; texts are texts, and none is run. */
export async function writeOdsTable(columns: readonly string[], rows: readonly (readonly Told[])[]): Promise<Buffer> {
  const content = `<?xml version="1.0" encoding="UTF-8"?>
<office:document-content ${NAMES} office:version="1.3"><office:body><office:spreadsheet><table:table table:name="Gear">${[columns, ...rows].map(rowXml).join('')}</table:table></office:spreadsheet></office:body></office:document-content>`;
  const zip = new yazl.ZipFile();
  // The type stands first and unpacked, so that the file is known by its first bytes.
  zip.addBuffer(Buffer.from(TYPE), 'mimetype', { compress: false });
  zip.addBuffer(Buffer.from(content), CONTENT);
  zip.addBuffer(Buffer.from(MANIFEST), 'META-INF/manifest.xml');
  zip.end();
  return buffer(zip.outputStream);
}
