import { sql } from 'drizzle-orm';
import { type Db, keptDocument, readDocument, type DocumentColumn } from '../db/index.js';

/** Rewrites every document of an earlier version in the present one, so that nothing old is left behind an upgrade. */
export async function rewriteOldDocuments(db: Pick<Db, 'execute'>, columns: readonly DocumentColumn[]): Promise<number> {
  let rewritten = 0;
  // A kind that is still at its first version has no earlier one to look for at each start.
  for (const { table, column, key, kind } of columns.filter((c) => c.kind.version > 1)) {
    const [tableName, columnName] = [sql.identifier(table), sql.identifier(column)];
    const keys = sql.join(
      key.map((k) => sql.identifier(k)),
      sql`, `,
    );
    const { rows } = await db.execute<Record<string, unknown>>(
      sql`select ${keys}, ${columnName} as document from ${tableName} where (${columnName}->>'v')::int < ${kind.version}`,
    );
    for (const row of rows) {
      const now = JSON.stringify(keptDocument(kind, readDocument(kind, row.document)));
      const here = sql.join(
        key.map((k) => sql`${sql.identifier(k)} = ${row[k]}`),
        sql` and `,
      );
      await db.execute(sql`update ${tableName} set ${columnName} = ${now}::jsonb where ${here}`);
    }
    rewritten += rows.length;
  }
  return rewritten;
}
