import type { Kept } from '../kept';
import { ApiError } from './http';
import { keptHere, mayKeep } from './kept';
import { outside } from '../outside';
import { ownRole } from './ownRole';
import { reach } from './reach';

/** A call that is not answered for so long is a reason to ask whether the household is there at all. */
const DOUBT_MS = 6000;

/** Settles when the household falls silent while something is asked of it. */
function silence(kept: Kept): { falls: Promise<'silent'>; end: () => void } {
  let end = () => undefined as void;
  const falls = new Promise<'silent'>((resolve) => {
    end = reach.subscribe(() => reach.isAway && resolve('silent'));
  });
  let isOver = false;
  void outside.wait(DOUBT_MS).then(() => (isOver ? undefined : kept.isThere()));
  return { falls, end: () => ((isOver = true), end()) };
}

/**
 * Does something at the household; where it is out of reach and this browser keeps things, does it here, to be carried over.
 * What was sent and not answered may have arrived: whatever is kept has to be known again by what it is.
 *
 * @param id of a document: one that waits to be carried over is gone on with here, whether the household answers or not.
 */
export async function orKept<T>(ask: () => Promise<T>, keep: (kept: Kept) => Promise<T>, id?: string): Promise<T> {
  const kept = mayKeep() ? await keptHere() : null;
  // Whoever only reads is refused by the household, and nothing is kept that it would never take.
  if (!kept || ownRole.get() === 'reader') return ask();
  if (reach.isAway || (id !== undefined && kept.waits(id))) return keep(kept);
  const { falls, end } = silence(kept);
  try {
    const asked = ask();
    asked.catch(() => undefined);
    const answer = await Promise.race([asked, falls]);
    return answer === 'silent' ? await keep(kept) : answer;
  } catch (error) {
    if (error instanceof ApiError && error.isOffline) return keep(kept);
    throw error;
  } finally {
    end();
  }
}

/** What the household answered to a change is what it has now: kept as such, so that it is gone on from there. */
export const remembered =
  (address: string) =>
  async <T>(doc: T): Promise<T> => {
    if (mayKeep()) await (await keptHere())?.answers.remember(address, doc);
    return doc;
  };
