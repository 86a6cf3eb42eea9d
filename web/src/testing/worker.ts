import { expose } from 'comlink';

/** A worker that runs here, over a channel as a real one does: what it is asked and what it answers is copied. */
export function workerOf(api: object): Worker {
  const { port1, port2 } = new MessageChannel();
  expose(api, port1);
  return Object.assign(port2, { terminate: () => port1.close() }) as unknown as Worker;
}
