/** A thing, and the one it belongs to: a cap to its lens, a lens to the bag it travels in. */
export type Belonging = { id: string; belongsTo: string | null };

/**
 * Everything that belongs to a thing, and what belongs to that: what is nearest to it first, each once. A set that was made
 * to contain itself elsewhere ends here, and does not count the thing among its own.
 */
export function belongingsOf(id: string, things: readonly Belonging[]): string[] {
  const found = new Set<string>([id]);
  // What is added to a set while it is walked is walked as well.
  for (const owner of found) for (const thing of things) if (thing.belongsTo === owner) found.add(thing.id);
  return [...found].slice(1);
}

/** Whether a thing that belonged to another would belong to itself by that. */
export const wouldHoldItself = (id: string, belongsTo: string, things: readonly Belonging[]): boolean =>
  id === belongsTo || belongingsOf(id, things).includes(belongsTo);
