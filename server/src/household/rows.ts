import { sql } from 'drizzle-orm';
import type { Db } from '../db/index.js';
import type { TableShape } from './tables.js';

/** Rows are read so many at a time, or so many bytes, so that a large table never lies in memory whole. */
const ROWS_AT_ONCE = 2000;
const BYTES_AT_ONCE = 16 * 1024 * 1024;

const nameOf = ({ name }: { name: string }) => sql.identifier(name);
const keyOf = ({ key }: TableShape) =>
  sql.join(
    key.map((column) => sql.identifier(column)),
    sql`, `,
  );

/** Rows that hold pictures are few at a time. */
async function rowsAtOnce(db: Pick<Db, 'execute'>, table: TableShape): Promise<number> {
  const blobs = table.columns
    .filter(({ type }) => type === 'bytea')
    .map(({ name }) => sql`coalesce(octet_length(${sql.identifier(name)}), 0)`);
  if (blobs.length === 0) return ROWS_AT_ONCE;
  const { rows } = await db.execute<{ most: number | null }>(
    sql`select max(${sql.join(blobs, sql` + `)})::int as most from ${nameOf(table)}`,
  );
  return Math.max(1, Math.min(ROWS_AT_ONCE, Math.floor(BYTES_AT_ONCE / (rows[0]!.most || 1))));
}

/**
 * The rows of a table as JSON in the database's own words, by key, so that every value comes back as it was: bytes as
 * hexadecimal, instants with their offset, numbers to the last digit.
 */
export async function* rowsOf(db: Pick<Db, 'execute'>, table: TableShape): AsyncGenerator<string[]> {
  const atOnce = await rowsAtOnce(db, table);
  for (let from = 0; ; from += atOnce) {
    const { rows } = await db.execute<{ row: string }>(
      sql`select to_json(t)::text as row from ${nameOf(table)} t order by ${keyOf(table)} limit ${atOnce} offset ${from}`,
    );
    if (rows.length > 0) yield rows.map((r) => r.row);
    if (rows.length < atOnce) return;
  }
}

const recordsOf = (table: TableShape, rows: readonly string[]) =>
  sql`json_populate_recordset(null::${nameOf(table)}, ${`[${rows.join(',')}]`}::json)`;

/** Puts rows into an empty table. Rows of one table may refer to each other, so it is one statement. */
export async function fill(db: Pick<Db, 'execute'>, table: TableShape, rows: readonly string[]): Promise<void> {
  if (rows.length > 0) await db.execute(sql`insert into ${nameOf(table)} select * from ${recordsOf(table, rows)}`);
}

/** Of these rows, by key: how many are not here yet, and how many are here with something else in them. */
export async function heldAgainst(
  db: Pick<Db, 'execute'>,
  table: TableShape,
  rows: readonly string[],
): Promise<{ fresh: number; changed: number }> {
  if (rows.length === 0) return { fresh: 0, changed: 0 };
  const first = sql.identifier(table.key[0]!);
  const { rows: counted } = await db.execute<{ fresh: number; changed: number }>(sql`
    select count(*) filter (where here.${first} is null)::int as fresh,
           count(*) filter (where here.${first} is not null and to_jsonb(here) <> to_jsonb(comes))::int as changed
    from ${recordsOf(table, rows)} comes left join ${nameOf(table)} here using (${keyOf(table)})`);
  return counted[0]!;
}

/** Puts rows into a table that has some: what has the same key is replaced. */
export async function merge(db: Pick<Db, 'execute'>, table: TableShape, rows: readonly string[]): Promise<void> {
  if (rows.length === 0) return;
  const rest = table.columns.filter(({ name }) => !table.key.includes(name));
  const set = sql.join(
    rest.map(({ name }) => sql`${sql.identifier(name)} = excluded.${sql.identifier(name)}`),
    sql`, `,
  );
  const otherwise = rest.length > 0 ? sql`do update set ${set}` : sql`do nothing`;
  await db.execute(sql`insert into ${nameOf(table)} select * from ${recordsOf(table, rows)} on conflict (${keyOf(table)}) ${otherwise}`);
}
