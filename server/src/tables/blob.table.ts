import { integer, pgTable, primaryKey, text } from 'drizzle-orm/pg-core';
import { bytes, instant } from '../db/index.js';

/** Pictures and files, each called by the SHA-256 of what it is, so that the same one is kept once. */
export const blobs = pgTable('blob', {
  hash: text().primaryKey(),
  type: text().notNull(),
  bytes: integer().notNull(),
  createdAt: instant('created_at').notNull(),
});

/** Cut in parts, so that a large one is never held whole. */
export const blobParts = pgTable(
  'blob_part',
  {
    hash: text()
      .notNull()
      .references(() => blobs.hash, { onDelete: 'cascade' }),
    part: integer().notNull(),
    data: bytes('data').notNull(),
  },
  (t) => [primaryKey({ columns: [t.hash, t.part] })],
);
