import { Worker } from 'node:worker_threads';

/** What runs apart had to be ended, or broke; where it stood when it did, if it told. */
export class EndedApart extends Error {
  constructor(
    readonly why: 'too-long' | 'too-much' | 'broke',
    readonly at: unknown,
    detail: string,
  ) {
    super(detail);
    this.name = 'EndedApart';
  }
}

/** What a thread tells: where it stands, or its answer. */
type Told<T> = { at: unknown } | { answer: T };
const OUT_OF_MEMORY = 'ERR_WORKER_OUT_OF_MEMORY';

/**
 * Runs a script in a thread of its own, which is ended when it takes too long or too much memory: so what comes from
 * elsewhere holds up nobody but who sent it.
 *
 * @param script tells `{ at }` where it stands as often as it likes, and `{ answer }` once.
 * @throws EndedApart with the last place it told of.
 */
export function runApart<T>(script: string | URL, workerData: unknown, { ms, memoryMb }: { ms: number; memoryMb: number }): Promise<T> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(script, { workerData, resourceLimits: { maxOldGenerationSizeMb: memoryMb } });
    let at: unknown = null;
    const end = (settle: () => void) => {
      clearTimeout(late);
      void worker.terminate();
      settle();
    };
    const ended = (why: EndedApart['why'], detail: string) => end(() => reject(new EndedApart(why, at, detail)));
    const late = setTimeout(() => ended('too-long', `it took longer than ${ms / 1000} s`), ms);
    worker.on('message', (told: Told<T>) => {
      if ('answer' in told) end(() => resolve(told.answer));
      else at = told.at;
    });
    worker.once('error', (error: NodeJS.ErrnoException) => ended(error.code === OUT_OF_MEMORY ? 'too-much' : 'broke', error.message));
    worker.once('exit', () => ended('broke', 'it ended without an answer'));
  });
}
