import { configure } from '@testing-library/react';

// No test is about time, and a machine may be busy with others.
configure({ asyncUtilTimeout: 20_000 });

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
