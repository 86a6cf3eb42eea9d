/** A number from words that stays the same (FNV-1a, 32 bit; its constants are the published ones). */
export function hashOf(words: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < words.length; i++) hash = Math.imul(hash ^ words.charCodeAt(i), 0x01000193);
  // What differs in its last letter alone would stay near: stirred to the end (Appleby's finaliser of MurmurHash3, published).
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  hash = Math.imul(hash ^ (hash >>> 13), 0xc2b2ae35);
  return (hash ^ (hash >>> 16)) >>> 0;
}

/** The same things in another order, which is always the same for the same words: no place tells which one is right. */
export const mixed = <T>(by: string, all: readonly T[]): T[] =>
  all
    .map((one, i) => ({ one, key: hashOf(`${by}/${i}`) }))
    .sort((a, b) => a.key - b.key)
    .map(({ one }) => one);
