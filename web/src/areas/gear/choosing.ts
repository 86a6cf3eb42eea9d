/** What is chosen on the shelf, and what was tapped last: the other end of a range. */
export type Chosen = { ids: ReadonlySet<string>; last: string | null };
export const NOTHING_CHOSEN: Chosen = { ids: new Set(), last: null };

/**
 * A tap on one: it changes sides. With a range, all between it and the last one follow it.
 *
 * @param order the ids as they stand on the shelf.
 */
export function tapped({ ids, last }: Chosen, id: string, isRange: boolean, order: readonly string[]): Chosen {
  const isChosen = !ids.has(id);
  const [a, b] = [last === null ? -1 : order.indexOf(last), order.indexOf(id)];
  const range = isRange && a >= 0 && b >= 0 ? order.slice(Math.min(a, b), Math.max(a, b) + 1) : [id];
  const next = new Set(ids);
  for (const each of range)
    if (isChosen) next.add(each);
    else next.delete(each);
  return { ids: next, last: id };
}

/** All of these besides. */
export const withAll = ({ ids, last }: Chosen, more: readonly string[]): Chosen => ({ ids: new Set([...ids, ...more]), last });
