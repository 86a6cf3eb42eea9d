import { BYTE_ORDER_MARK, csvLines } from '../csv/write.js';
import type { TableShape } from './tables.js';

const cell = (value: unknown): unknown => (value !== null && typeof value === 'object' ? JSON.stringify(value) : value);

/** Rows of a table as lines of CSV, for whoever opens it in a spreadsheet; what is nested stands as JSON in its cell. */
export async function* csvOf(table: TableShape, rows: AsyncIterable<string[]>): AsyncGenerator<string> {
  const columns = table.columns.filter(({ type }) => type !== 'bytea').map(({ name }) => name);
  yield BYTE_ORDER_MARK + csvLines([columns]);
  for await (const some of rows)
    yield csvLines(some.map((row) => JSON.parse(row) as Record<string, unknown>).map((row) => columns.map((c) => cell(row[c]))));
}
