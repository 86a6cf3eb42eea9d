import { describe, expect, it } from 'vitest';
import { EndedApart, runApart } from './apart.js';

const script = (code: string) =>
  new URL(`data:text/javascript,${encodeURIComponent(`import { parentPort, workerData } from 'node:worker_threads';\n${code}`)}`);
const PLENTY = { ms: 60_000, memoryMb: 64 };

describe('what runs apart', () => {
  it('answers what it was asked', async () => {
    expect(await runApart(script('parentPort.postMessage({ answer: workerData + 1 })'), 41, PLENTY)).toBe(42);
  });

  it('is ended when it takes too long, and where it stood is told', async () => {
    const endless = script('parentPort.postMessage({ at: 7 }); for (;;);');
    await expect(runApart(endless, null, { ...PLENTY, ms: 2000 })).rejects.toMatchObject({ why: 'too-long', at: 7 });
  });

  it('is ended when it takes too much memory, and nobody else is', async () => {
    const greedy = script('const all = []; for (;;) all.push(new Array(1000).fill(all.length));');
    await expect(runApart(greedy, null, PLENTY)).rejects.toMatchObject({ why: 'too-much' });
  });

  it('is told of when it breaks, or ends without a word', async () => {
    await expect(runApart(script("throw new Error('no')"), null, PLENTY)).rejects.toThrow(EndedApart);
    await expect(runApart(script(''), null, PLENTY)).rejects.toMatchObject({ why: 'broke' });
  });
});
