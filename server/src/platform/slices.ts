/** So long others may wait at most for long work to pause, ms (our choice: less than a frame). */
const SLICE_MS = 10;
const AT_ONCE = 100;

/** Lets others be answered when the work has gone on for a slice of time. */
export function breather(): () => Promise<void> | undefined {
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

/** Works something out for each of a list, and lets others be answered in between. */
export async function eachInSlices<Of, Outcome>(list: readonly Of[], workOut: (one: Of) => Outcome): Promise<Outcome[]> {
  const breathe = breather();
  const outcomes: Outcome[] = [];
  for (const one of list) {
    outcomes.push(workOut(one));
    await breathe();
  }
  return outcomes;
}

/** A long list as JSON, written likewise. */
export async function longListJson(list: readonly object[]): Promise<string> {
  const starts = Array.from({ length: Math.ceil(list.length / AT_ONCE) }, (_, i) => i * AT_ONCE);
  const parts = await eachInSlices(starts, (start) => JSON.stringify(list.slice(start, start + AT_ONCE)).slice(1, -1));
  return `[${parts.join(',')}]`;
}
