/** A sequence of numbers from 0 to 1 that is the same each time, so that a failure can be had again. */
export function sequence(seed: number): () => number {
  let state = seed * 7919 + 1;
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
}
