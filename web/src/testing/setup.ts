/* What jsdom lacks and the component library asks for: nothing is ever resized in a test. */
class NeverResized implements ResizeObserver {
  observe(): void {}
  unobserve(): void {}
  disconnect(): void {}
}
globalThis.ResizeObserver ??= NeverResized;
