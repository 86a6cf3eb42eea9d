import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { openEngine, type Engine } from './engine.js';
import { simpleQuery } from './wire.js';

setFlagsFromString('--expose-gc');
const collect = runInNewContext('gc') as () => void;
const heldBytes = (): number => {
  collect();
  return process.memoryUsage().heapUsed;
};

const rows = (from: number) => simpleQuery(`select i, 'row ' || i as words from generate_series(${from}, ${from + 999}) as i`);

describe('the embedded engine', () => {
  let engine: Engine;
  beforeAll(async () => void (engine = await openEngine(null)));
  afterAll(() => engine.close());

  it('keeps nothing of what it answered', async () => {
    await engine.exchange(rows(0));
    const before = heldBytes();
    for (let i = 0; i < 200; i += 1) await engine.exchange(rows(i));
    // Kept as they were read, 200 answers of a thousand rows are some 50 MB.
    expect(heldBytes() - before).toBeLessThan(5_000_000);
  });

  it('hands an answer over for good, however long it is', async () => {
    const first = await engine.exchange(rows(0));
    const asItCame = Buffer.from(first);
    const second = await engine.exchange(rows(5000));
    expect(Buffer.from(first).equals(asItCame)).toBe(true);
    expect(second.buffer).not.toBe(first.buffer);
    for (const answer of [first, second]) expect([answer.byteOffset, answer.buffer.byteLength]).toEqual([0, answer.length]);
    expect(asItCame.toString('latin1')).toContain('row 999');
    expect(Buffer.from(second).toString('latin1')).toContain('row 5999');
  });
});
