import { describe, expect, it } from 'vitest';
import { Together } from './together.js';

/** Work that ends when it is told to, and remembers what went in one go. */
function held(fails: (all: readonly string[]) => boolean = () => false) {
  const gone: string[][] = [];
  const ends: (() => void)[] = [];
  const together = new Together<string, string>({
    work: async (all) => {
      gone.push([...all]);
      await new Promise<void>((resolve) => void ends.push(resolve));
      if (fails(all)) throw new Error(`not ${all.join()}`);
      return all.map((what) => what.toUpperCase());
    },
    keyOf: (what) => what[0]!,
    most: 3,
  });
  const end = async () => {
    ends.shift()!();
    await new Promise((resolve) => setImmediate(resolve));
  };
  return { together, gone, end };
}

describe('what is asked for at once', () => {
  it('is done in one go, but for the first, for two of the same, and for more than go at once', async () => {
    const { together, gone, end } = held();
    const answers = Promise.all(['a1', 'b1', 'c1', 'a2', 'b2', 'd1', 'e1'].map((what) => together.do(what)));
    for (let i = 0; i < 3; i += 1) await end();
    expect(gone).toEqual([['a1'], ['b1', 'c1', 'a2'], ['b2', 'd1', 'e1']]);
    expect(await answers).toEqual(['A1', 'B1', 'C1', 'A2', 'B2', 'D1', 'E1']);
  });

  it('fails alone: the others are done', async () => {
    const { together, gone, end } = held((all) => all.includes('c1'));
    const answers = Promise.allSettled(['a1', 'b1', 'c1'].map((what) => together.do(what)));
    for (let i = 0; i < 4; i += 1) await end();
    expect((await answers).map((a) => a.status)).toEqual(['fulfilled', 'fulfilled', 'rejected']);
    expect(gone).toEqual([['a1'], ['b1', 'c1'], ['b1'], ['c1']]);
  });
});
