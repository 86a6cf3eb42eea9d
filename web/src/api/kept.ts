import type { Kept } from '../kept';

let here: Promise<Kept | null> | null = null;

/** Whether this browser keeps things for when the household is out of reach, as far as is known yet. */
export const mayKeep = (): boolean => here !== null;

/** What this browser keeps; null where it keeps nothing. */
export const keptHere = (): Promise<Kept | null> => here ?? Promise.resolve(null);

/** Said once, before anything is asked for. */
export function keepHere(begun: Promise<Kept | null> | null): void {
  here = begun;
}
