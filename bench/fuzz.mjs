/* Feeds parsers of what comes from outside with what was made to hurt, led by the code it reaches: `npm run bench:fuzz -- SECONDS [PARSER]`. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { clearInterval, setInterval } from 'node:timers';
import { fileURLToPath } from 'node:url';
import { Worker } from 'node:worker_threads';
import { ROOT } from '../scripts/run.mjs';
import { PARSERS } from './fuzzTargets.mjs';

/** Whoever needs longer for one input of some kilobytes hangs. */
const PATIENCE_MS = 5_000;
const LOOK_EVERY_MS = 250;
const MOST_BYTES = 8 * 1024;
const FINDS = join(ROOT, 'test-results', 'fuzz');

/** One parser until its time is over; a worker that hangs is ended, and its last input is a find. */
async function fuzz(name, seconds, seed) {
  const until = performance.now() + seconds * 1000;
  // Where the worker tells what it is at: how often, how long, and the bytes of it.
  const shared = new SharedArrayBuffer(16 + MOST_BYTES);
  const told = new Int32Array(shared, 0, 4);
  const finds = [];
  let runs = 0;
  let reached = 0;
  for (let round = 0; performance.now() < until && finds.length < 10; round += 1) {
    told.fill(0);
    const worker = new Worker(fileURLToPath(new URL('fuzzWorker.mjs', import.meta.url)), {
      workerData: { name, seed: seed + round, shared, mostBytes: MOST_BYTES },
      resourceLimits: { maxOldGenerationSizeMb: 512 },
    });
    const ended = new Promise((resolve) => {
      worker.on('message', (said) => {
        if (said.fault) finds.push({ why: said.fault, input: Buffer.from(said.input) });
        if (said.reached) reached = Math.max(reached, said.reached);
      });
      worker.once('error', (error) => resolve(error.message));
      worker.once('exit', () => resolve(null));
    });
    let [last, since] = [-1, performance.now()];
    const hung = new Promise((resolve) => {
      const looking = setInterval(() => {
        const at = Atomics.load(told, 0);
        if (at !== last) [last, since] = [at, performance.now()];
        const isOver = performance.now() > until;
        const hangs = at > 0 && performance.now() - since > PATIENCE_MS;
        if (!isOver && !hangs) return;
        clearInterval(looking);
        resolve(hangs ? 'it hangs' : null);
      }, LOOK_EVERY_MS);
      void ended.then(() => clearInterval(looking));
    });
    const why = await Promise.race([ended, hung]);
    runs += Atomics.load(told, 0);
    if (why && !(why === 'it hangs' && PARSERS[name].mayHang))
      finds.push({ why, input: Buffer.from(new Uint8Array(shared, 16, Atomics.load(told, 1))) });
    await worker.terminate();
  }
  return { runs, reached, finds };
}

export async function fuzzing(seconds = 600, only = null, seed = 1) {
  mkdirSync(FINDS, { recursive: true });
  let all = 0;
  for (const name of Object.keys(PARSERS).filter((n) => !only || n === only)) {
    const { runs, reached, finds } = await fuzz(name, seconds, seed);
    console.log(`${name}: ${runs} inputs in ${seconds} s, ${reached} stretches of code reached, ${finds.length} finds`);
    for (const [i, { why, input }] of finds.entries()) {
      const file = join(FINDS, `${name}-${i}`);
      writeFileSync(file, input);
      console.log(`  ${why} (${input.length} bytes, ${file})`);
    }
    all += finds.length;
  }
  return all;
}

const [seconds, only] = process.argv.slice(2);
process.exitCode = (await fuzzing(Number(seconds ?? 600), only ?? null)) > 0 ? 1 : 0;
