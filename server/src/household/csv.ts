import { BYTE_ORDER_MARK, csvInSlices, csvLines } from '../csv/index.js';
import type { TableShape } from './tables.js';

const cell = (value: unknown): unknown => (value !== null && typeof value === 'object' ? JSON.stringify(value) : value);

/** Rows of a table as lines of CSV, for whoever opens it in a spreadsheet; what is nested stands as JSON in its cell. */
export async function* csvOf(table: TableShape, rows: AsyncIterable<string[]>): AsyncGenerator<string> {
  const columns = table.columns.filter(({ type }) => type !== 'bytea').map(({ name }) => name);
  yield BYTE_ORDER_MARK + csvLines([columns]);
  for await (const some of rows)
    yield* csvInSlices(some, (text) => {
      const row = JSON.parse(text) as Record<string, unknown>;
      return columns.map((c) => cell(row[c]));
    });
}
