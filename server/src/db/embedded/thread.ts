import { parentPort, workerData } from 'node:worker_threads';
import { openEngine } from './engine.js';
import { lastWords } from './panic.js';

/** What the engine's thread is asked: to carry a message over, or to close its files and end. */
export type Asked = { message: Uint8Array } | 'close';
/** What it answers, in the order it was asked. */
export type Told = { opened: true } | { failed: string } | { answer: Uint8Array } | { closed: true };

/** Anything that is not an answer in the protocol means that the engine itself broke: the thread ends, and with it its memory. */
async function serveEngine(port: NonNullable<typeof parentPort>, directory: string): Promise<void> {
  const tell = (told: Told, transfer: ArrayBuffer[] = []) => port.postMessage(told, transfer);
  const engine = await openEngine(directory);
  tell({ opened: true });
  let turn: Promise<void> = Promise.resolve();
  const answer = async (asked: Asked): Promise<void> => {
    if (asked === 'close') {
      await engine.close();
      tell({ closed: true });
      port.close();
      return;
    }
    const said = await engine.exchange(asked.message);
    const last = lastWords(said);
    if (last !== null) throw new Error(last);
    tell({ answer: said }, [said.buffer as ArrayBuffer]);
  };
  port.on('message', (asked: Asked) => {
    turn = turn.then(() => answer(asked)).catch(broke);
  });
  function broke(error: unknown): void {
    tell({ failed: error instanceof Error ? error.message : String(error) });
    process.exit(1);
  }
}

if (parentPort) {
  const port = parentPort;
  serveEngine(port, (workerData as { directory: string }).directory).catch((error: unknown) => {
    port.postMessage({ failed: error instanceof Error ? error.message : String(error) } satisfies Told);
    process.exit(1);
  });
}
