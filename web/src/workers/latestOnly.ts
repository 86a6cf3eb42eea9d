/**
 * Does what was asked for last, one thing at a time: what is asked for while something is under way waits, and only the
 * newest of it is done. So a slider that is dragged never runs ahead of what it asks for.
 */
export function latestOnly(): (work: () => Promise<void>) => void {
  let waiting: (() => Promise<void>) | null = null;
  let busy = false;
  return (work) => {
    waiting = work;
    if (busy) return;
    busy = true;
    void (async () => {
      while (waiting) {
        const next = waiting;
        waiting = null;
        await next();
      }
      busy = false;
    })();
  };
}
