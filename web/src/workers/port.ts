import { wrap, type Remote } from 'comlink';
import { outside } from '../outside';
import type { BoxWorker } from './box';
import type { FrameWorker } from './frame.worker';
import type { HeadsWorker } from './heads.worker';
import type { PracticeWorker } from './practice';

/** Every worker there is, by its name. */
type Workers = { box: BoxWorker; frame: FrameWorker; heads: HeadsWorker; practice: PracticeWorker };
export type WorkerName = keyof Workers;
// Written out in one expression each: the bundler finds workers by it.
const MAKE: Record<WorkerName, () => Worker> = {
  box: () => new Worker(new URL('./box.worker.ts', import.meta.url), { type: 'module' }),
  frame: () => new Worker(new URL('./frame.worker.ts', import.meta.url), { type: 'module' }),
  heads: () => new Worker(new URL('./heads.worker.ts', import.meta.url), { type: 'module' }),
  practice: () => new Worker(new URL('./practice.worker.ts', import.meta.url), { type: 'module' }),
};

/** A worker that runs: what it can do, and how it is ended. */
export type Running<Name extends WorkerName> = { api: Remote<Workers[Name]>; end: () => void };

/** Starts a worker. Whoever starts it ends it. */
export function startWorker<Name extends WorkerName>(name: Name): Running<Name> {
  const worker = outside.startWorker(MAKE[name]);
  return { api: wrap<Workers[Name]>(worker), end: () => worker.terminate() };
}
