import { AsyncLocalStorage } from 'node:async_hooks';

/** One request, or one piece of work of the program's own: whether anything of it has come true already. */
type Asking = { kept: boolean };
const current = new AsyncLocalStorage<Asking>();

/** Runs what belongs to one request, so that it is known of it whether something was kept before the database went. */
export const asOneRequest = <T>(work: () => T): T => current.run({ kept: false }, work);

/** Something that this request wrote has come true. */
export function noteKept(): void {
  const asking = current.getStore();
  if (asking) asking.kept = true;
}

/** Has anything that this request wrote come true? */
export const somethingIsKept = (): boolean => current.getStore()?.kept ?? false;
