import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Polling } from './polling.js';

describe('asking again and again', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());
  const HOUR = 3_600_000;

  it.each([
    ['a second', 1000, 121],
    ['a quarter of an hour', HOUR / 4, 5],
    // Longer than a timer of the platform can be: it would go off at once, and again at once.
    ['a month', 30 * 24 * HOUR, 1],
  ])('at intervals of %s', async (_, everyMs, times) => {
    let asked = 0;
    const polling = new Polling(everyMs, () => Promise.resolve(void (asked += 1)));
    await vi.advanceTimersByTimeAsync(HOUR + 1500);
    expect(asked).toBe(times);
    polling.stop();
    await vi.advanceTimersByTimeAsync(48 * HOUR);
    expect(asked).toBe(times);
  });

  it('waits for the answer, however long it takes, and goes on after one that failed', async () => {
    let asked = 0;
    const polling = new Polling(1000, async () => {
      asked += 1;
      await new Promise((resolve) => setTimeout(resolve, HOUR / 2));
      throw new Error('silent');
    });
    await vi.advanceTimersByTimeAsync(HOUR / 2);
    expect(asked).toBe(1);
    await vi.advanceTimersByTimeAsync(HOUR);
    expect(asked).toBe(3);
    polling.stop();
  });
});
