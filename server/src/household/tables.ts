import { sql } from 'drizzle-orm';
import type { Db } from '../db/index.js';

/** A table as the database itself describes it: a backup holds what is there, whatever the program of the day knows of it. */
export type TableShape = { name: string; columns: { name: string; type: string; nullable: boolean }[]; key: string[]; needs: string[] };

/** A table that refers to itself is filled in one go. */
export const inOneGo = ({ name, needs }: TableShape): boolean => needs.includes(name);

const HERE = sql`current_schema()`;

/** Those that others refer to come first. */
function inOrder(tables: TableShape[]): TableShape[] {
  const ordered: TableShape[] = [];
  const visit = (table: TableShape): void => {
    if (ordered.includes(table)) return;
    for (const need of table.needs) {
      const other = tables.find((t) => t.name === need);
      if (other && other !== table) visit(other);
    }
    ordered.push(table);
  };
  tables.forEach(visit);
  return ordered;
}

/** Every table with its columns and its key, in an order in which they can be filled. */
export async function tablesOf(db: Pick<Db, 'execute'>): Promise<TableShape[]> {
  const { rows: columns } = await db.execute<{ table: string; name: string; type: string; nullable: boolean }>(sql`
    select c.table_name as table, c.column_name as name, c.data_type as type, c.is_nullable = 'YES' as nullable
    from information_schema.columns c join information_schema.tables t using (table_schema, table_name)
    where c.table_schema = ${HERE} and t.table_type = 'BASE TABLE' order by c.table_name, c.ordinal_position`);
  const { rows: keys } = await db.execute<{ table: string; name: string }>(sql`
    select k.table_name as table, k.column_name as name
    from information_schema.table_constraints t join information_schema.key_column_usage k using (constraint_schema, constraint_name)
    where t.constraint_schema = ${HERE} and t.constraint_type = 'PRIMARY KEY' order by k.table_name, k.ordinal_position`);
  const { rows: references } = await db.execute<{ table: string; needs: string }>(sql`
    select c.conrelid::regclass::text as table, c.confrelid::regclass::text as needs
    from pg_constraint c join pg_namespace n on n.oid = c.connamespace where n.nspname = ${HERE} and c.contype = 'f'`);
  const of = <T extends { table: string }>(all: T[], table: string): T[] => all.filter((one) => one.table === table);
  const names = [...new Set(columns.map((c) => c.table))];
  return inOrder(
    names.map((name) => ({
      name,
      columns: of(columns, name).map(({ name: column, type, nullable }) => ({ name: column, type, nullable })),
      key: of(keys, name).map((k) => k.name),
      needs: of(references, name).map((r) => r.needs),
    })),
  );
}
