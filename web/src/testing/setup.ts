import { configure, getConfig } from '@testing-library/react';

// No test is about time, and a machine may be busy with others.
configure({ asyncUtilTimeout: 20_000 });

/** React's own tasks that were due before: the last of them makes what was drawn hear of taps and keys. */
const TASKS = 5;
const usual = getConfig();
/** What is drawn in slices is there a moment before it hears: nobody is that quick, but a test on a busy machine is. */
configure({
  asyncWrapper: (wait: () => Promise<unknown>): Promise<unknown> =>
    usual.asyncWrapper(async (): Promise<unknown> => {
      const found = await wait();
      for (let i = 0; i < TASKS; i += 1) await new Promise((resolve) => setImmediate(resolve));
      return found;
    }),
});

/* What jsdom lacks and the component library asks for: nothing is ever resized in a test. */
class NeverResized implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= NeverResized;

/** A desk: what is laid out for a phone is tried in the browser tests. */
window.matchMedia = (media) =>
  ({ media, matches: true, addEventListener: () => {}, removeEventListener: () => {} }) as unknown as MediaQueryList;
window.scrollTo = () => {};
