/** Everything the pages need of the world outside them. A test hands in its own; nothing else reaches past it. */
export type Outside = {
  fetch: typeof fetch;
  now: () => Date;
  /** Waits so long before something is tried again. */
  wait: (ms: number) => Promise<void>;
  /** What this browser remembers by itself: the theme, and the bench day that is being worked through. */
  remember: (key: string, value: string | null) => void;
  recall: (key: string) => string | null;
  startWorker: (make: () => Worker) => Worker;
};

const THIS_BROWSER: Outside = {
  fetch: (input, init) => globalThis.fetch(input, init),
  now: () => new Date(),
  wait: (ms) => new Promise((resolve) => setTimeout(resolve, ms)),
  remember: (key, value) => (value === null ? globalThis.localStorage.removeItem(key) : globalThis.localStorage.setItem(key, value)),
  recall: (key) => globalThis.localStorage.getItem(key),
  startWorker: (make) => make(),
};

export const outside: Outside = { ...THIS_BROWSER };

/** Puts something else in its place; call what it gives back to have the browser again. */
export function replaceOutside(change: Partial<Outside>): () => void {
  Object.assign(outside, change);
  return () => void Object.assign(outside, THIS_BROWSER);
}
