import { describe, expect, it } from 'vitest';
import { latestOnly } from './latestOnly';

describe('the latest only', () => {
  it('does the first at once, and of what comes meanwhile only the last', async () => {
    const ask = latestOnly();
    const done: number[] = [];
    const ends: (() => void)[] = [];
    const work = (i: number) => () => {
      done.push(i);
      return new Promise<void>((resolve) => void ends.push(resolve));
    };
    for (let i = 0; i < 10; i += 1) ask(work(i));
    expect(done).toEqual([0]);
    ends.shift()!();
    await Promise.resolve();
    await Promise.resolve();
    expect(done).toEqual([0, 9]);
    ends.shift()!();
    await Promise.resolve();
    await Promise.resolve();
    ask(work(10));
    expect(done).toEqual([0, 9, 10]);
  });
});
