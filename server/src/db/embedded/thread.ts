import { parentPort, workerData } from 'node:worker_threads';
import { openEngine } from './engine.js';
import type { Asked, Told } from '../../wake/index.js';
import { breaksOff, lastWords } from './panic.js';

/** The longest a timer can wait, ms; asked for more it rings at once. */
const LONGEST_WAIT_MS = 2 ** 31 - 1;

/** An engine whose clock leapt a year back waits a year for what was due: it would be woken every millisecond until then. */
function waitNoLongerThanTimersCan(): void {
  const { setTimeout: wait } = globalThis;
  globalThis.setTimeout = Object.assign(
    (work: (...given: unknown[]) => void, ms?: number, ...given: unknown[]) => wait(work, Math.min(ms ?? 0, LONGEST_WAIT_MS), ...given),
    wait,
  ) as typeof setTimeout;
}

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
    if (breaksOff(asked.message, said)) throw new Error('it broke off in the middle of an answer');
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
  waitNoLongerThanTimersCan();
  serveEngine(port, (workerData as { directory: string }).directory).catch((error: unknown) => {
    port.postMessage({ failed: error instanceof Error ? error.message : String(error) } satisfies Told);
    process.exit(1);
  });
}
