import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { inSteps, longListJson } from './slices.js';

/** A clock that stands still but for what is done. */
let now = 0;
beforeEach(() => {
  now = 0;
  vi.spyOn(performance, 'now').mockImplementation(() => now);
});
afterEach(() => void vi.restoreAllMocks());

/** Three steps of work that take so long each, and who else was let in after which of them. */
async function worked(msAStep: number): Promise<string[]> {
  const done: string[] = [];
  let going = true;
  const others = () => {
    done.push('others');
    if (going) setImmediate(others);
  };
  const outcome = await inSteps(
    (function* () {
      setImmediate(others);
      for (const name of ['first', 'second', 'third']) {
        now += msAStep;
        done.push(name);
        yield;
      }
      return done.length;
    })(),
  );
  going = false;
  return done.slice(0, outcome);
}

describe('long work', () => {
  it('lets others in when it has gone on for a while', async () => {
    expect(await worked(20)).toEqual(['first', 'others', 'second', 'others', 'third', 'others']);
  });

  it('is not held up by its own steps where they are quick', async () => {
    expect(await worked(1)).toEqual(['first', 'second', 'third']);
  });

  it('that fails in a step fails', async () => {
    const failing = inSteps(
      (function* () {
        yield;
        throw new Error('broken');
      })(),
    );
    await expect(failing).rejects.toThrow('broken');
  });
});

describe('a long list', () => {
  it.each([0, 1, 99, 100, 101, 950])('of %i is the JSON it is', async (length) => {
    const list = Array.from({ length }, (_, i) => ({ id: i, text: `“${i}” ]},{[`, nothing: undefined }));
    expect(JSON.parse(await longListJson(list))).toEqual(JSON.parse(JSON.stringify(list)));
  });
});
