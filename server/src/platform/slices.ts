/** So long others may wait at most for long work to pause, ms (our choice: less than a frame). */
const SLICE_MS = 10;
const AT_ONCE = 100;

/** Lets others be answered when the work has gone on for a slice of time. */
function breather(): () => Promise<void> | undefined {
  let since = performance.now();
  return () => {
    if (performance.now() - since < SLICE_MS) return undefined;
    return new Promise((resolve) =>
      setImmediate(() => {
        since = performance.now();
        resolve();
      }),
    );
  };
}

/** Goes through work that is told in steps, and lets others be answered in between. */
export async function inSteps<Outcome>(steps: Generator<void, Outcome>): Promise<Outcome> {
  const breathe = breather();
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    await breathe();
  }
}

/** A long list as JSON, written so that others can be answered in between. */
export async function longListJson(list: readonly object[]): Promise<string> {
  const breathe = breather();
  const parts: string[] = [];
  for (let i = 0; i < list.length; i += AT_ONCE) {
    parts.push(JSON.stringify(list.slice(i, i + AT_ONCE)).slice(1, -1));
    await breathe();
  }
  return `[${parts.join(',')}]`;
}
