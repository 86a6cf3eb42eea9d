import { describe, expect, it } from 'vitest';
import { Settled } from './settled.js';

/** A disk that syncs when it is told to. */
function slowDisk() {
  const waiting: { done: () => void; fail: (error: Error) => void }[] = [];
  const flush = () => new Promise<void>((done, fail) => waiting.push({ done, fail }));
  return { waiting, settled: new Settled(flush) };
}
const turn = () => new Promise((resolve) => setImmediate(resolve));

describe('what is written', () => {
  it('needs no sync while nothing was', async () => {
    const { settled, waiting } = slowDisk();
    await settled.now();
    expect(waiting).toHaveLength(0);
  });

  it('is told only when the sync has come back', async () => {
    const { settled, waiting } = slowDisk();
    settled.note();
    let told = false;
    const telling = settled.now().then(() => (told = true));
    await turn();
    expect([told, waiting.length]).toEqual([false, 1]);
    waiting[0]!.done();
    await telling;
    expect(told).toBe(true);
  });

  it('shares one sync among all that arrive while another runs', async () => {
    const { settled, waiting } = slowDisk();
    settled.note();
    const first = settled.now();
    await turn();
    const later = Array.from({ length: 100 }, () => {
      settled.note();
      return settled.now();
    });
    waiting[0]!.done();
    await first;
    await turn();
    expect(waiting).toHaveLength(2);
    waiting[1]!.done();
    await Promise.all(later);
    expect(waiting).toHaveLength(2);
  });

  it('is not told when the sync failed, and is tried again for the next who asks', async () => {
    const { settled, waiting } = slowDisk();
    settled.note();
    const first = settled.now();
    await turn();
    waiting[0]!.fail(new Error('no disk'));
    await expect(first).rejects.toThrow('no disk');
    const second = settled.now();
    await turn();
    waiting[1]!.done();
    await second;
  });
});
