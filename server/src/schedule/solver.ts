import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import { WORKERS } from '../paths.js';

export type Solved = { optimal: boolean; values: Readonly<Record<string, number>> };
type Answer = { status: string; objective: number; values: Record<string, number> };

/** Loading the solver takes a tenth of a second more than the time it may think (measured). */
const LOADING_MS = 3_000;

/** Solves a programme in a thread of its own; null when it gave no answer in its time. */
export function solveProgramme(lp: string, seconds: number): Promise<Solved | null> {
  return new Promise((resolve) => {
    const worker = new Worker(join(WORKERS, 'solver.mjs'), { workerData: { lp, seconds } });
    const timeout = setTimeout(() => end(null), seconds * 1000 + LOADING_MS);
    const end = (solved: Solved | null) => {
      clearTimeout(timeout);
      void worker.terminate();
      resolve(solved);
    };
    worker.once('message', ({ status, values }: Answer) => end({ optimal: status === 'Optimal', values }));
    // A solver that fails leaves the answer that is there: it is good, only not proven.
    worker.once('error', () => end(null));
  });
}
