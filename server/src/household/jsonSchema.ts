import type { TableShape } from './tables.js';

/** PostgreSQL's types as JSON writes them. */
const TYPES: Record<string, object> = {
  uuid: { type: 'string', format: 'uuid' },
  text: { type: 'string' },
  integer: { type: 'integer' },
  smallint: { type: 'integer' },
  bigint: { type: 'integer' },
  'double precision': { type: 'number' },
  real: { type: 'number' },
  numeric: { type: 'number' },
  boolean: { type: 'boolean' },
  date: { type: 'string', format: 'date' },
  'timestamp with time zone': { type: 'string', format: 'date-time' },
  bytea: { type: 'string', pattern: '^\\\\x([0-9a-f]{2})*$', contentEncoding: 'base16' },
  jsonb: {},
};

function typeOf({ type, nullable }: TableShape['columns'][number]): object {
  const plain = TYPES[type] ?? {};
  return nullable && 'type' in plain ? { ...plain, type: [plain.type, 'null'] } : plain;
}

/** Describes the data files of an export (JSON Schema 2020-12): one definition for the rows of each table. */
export const schemaOf = (tables: readonly TableShape[]): object => ({
  $schema: 'https://json-schema.org/draft/2020-12/schema',
  $id: 'urn:bright-keeper:household',
  title: 'A household of Bright Keeper',
  description:
    'Each file data/TABLE.json is a list of rows as $defs/TABLE describes them. Columns of the database that hold a document have it under "data", with its version under "v".',
  $defs: Object.fromEntries(
    tables.map(({ name, columns, key }) => [
      name,
      {
        type: 'array',
        items: {
          type: 'object',
          properties: Object.fromEntries(columns.map((column) => [column.name, typeOf(column)])),
          required: columns.map((column) => column.name),
          additionalProperties: false,
          $comment: `key: ${key.join(', ')}`,
        },
      },
    ]),
  ),
});
