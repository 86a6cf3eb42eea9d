import { AsyncLocalStorage } from 'node:async_hooks';

const hands = new AsyncLocalStorage<string | null>();

/** Runs what is done at the word of a keeper. @param keeper as they are called; null where there is nobody to be told from. */
export const inHandOf = <T>(keeper: string | null, work: () => T): T => hands.run(keeper, work);

/** At whose word the present work is done, as far as it has to be told. */
export const handNow = (): string | null => hands.getStore() ?? null;
