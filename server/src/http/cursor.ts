import { gearErrors, unkeepableTexts, uuidText } from '@bright-keeper/contract';
import { problem } from './problem.js';

/** Where the next page begins: the sort key of the last row and its id. */
export type Mark = { key: string; id: string };

export const writeCursor = (mark: Mark): string => Buffer.from(JSON.stringify([mark.key, mark.id])).toString('base64url');

/** @throws ProblemError when the mark is not one of ours. */
export function readCursor(cursor: string | undefined): Mark | null {
  if (cursor === undefined) return null;
  try {
    const [key, id] = JSON.parse(Buffer.from(cursor, 'base64url').toString()) as [unknown, unknown];
    if (typeof key === 'string' && typeof id === 'string' && uuidText.test(id) && Object.keys(unkeepableTexts(key)).length === 0)
      return { key, id };
  } catch {
    // Falls through to the same answer as a mark of the wrong shape.
  }
  throw problem(gearErrors, 'cursor-unknown');
}
