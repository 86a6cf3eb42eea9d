import type { ItemStatus } from '@bright-keeper/contract';
import { bare } from './headings.js';

/** How people write where a thing stands, in the languages of lists. */
const WRITTEN: Record<ItemStatus, readonly string[]> = {
  'in-use': ['in use', 'used', 'active', 'ok', 'on the shelf', 'in gebrauch', 'aktiv', 'en service', 'en uso', 'activo'],
  quarantined: [
    'quarantined',
    'quarantine',
    'in quarantine',
    'isolated',
    'quarantäne',
    'in quarantäne',
    'en quarantaine',
    'quarantaine',
    'cuarentena',
    'en cuarentena',
  ],
};
const KNOWN = new Map(
  Object.entries(WRITTEN).flatMap(([status, words]) => words.map((word) => [bare(word), status as ItemStatus] as const)),
);

/** What a cell says of where a thing stands: nothing where it is empty, `unknown` where nobody can tell. */
export const statusOf = (cell: string): ItemStatus | 'unknown' | null => (cell === '' ? null : (KNOWN.get(bare(cell)) ?? 'unknown'));
/** As a list of ours says it. */
export const statusCell = (status: ItemStatus): string => WRITTEN[status][0]!;
export const STATUS_UNKNOWN =
  'Write “in use” or “quarantined”. What is sold, lost or archived is told on its page, once it is on the shelf.';
