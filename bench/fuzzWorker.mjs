/* Runs one parser on one input after another; what reaches code that no input reached before becomes a beginning of others. */
import inspector from 'node:inspector';
import { setImmediate } from 'node:timers';
import { parentPort, workerData } from 'node:worker_threads';
import { PARSERS } from './fuzzTargets.mjs';

const { name, seed, shared, mostBytes } = workerData;
const parser = PARSERS[name];
const told = new Int32Array(shared, 0, 4);
const atNow = new Uint8Array(shared, 16, mostBytes);

let state = seed * 7919 + 1;
const random = () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
const below = (n) => Math.floor(random() * n);
const pick = (list) => list[below(list.length)];

const session = new inspector.Session();
session.connect();
const ask = (method, params) => {
  let answer = null;
  session.post(method, params, (error, result) => (answer = error ?? result));
  return answer;
};
ask('Profiler.enable');
const run = await parser.load();
ask('Profiler.startPreciseCoverage', { callCount: true, detailed: true });

const reached = new Set();
/** Has the last input reached a stretch of code that none did before, or one of them far more often? */
function isNew() {
  let found = false;
  for (const { url, functions } of ask('Profiler.takePreciseCoverage').result) {
    if (!parser.code.test(url)) continue;
    for (const { ranges } of functions)
      for (const { startOffset, endOffset, count } of ranges) {
        if (count === 0) continue;
        const key = `${url}:${startOffset}:${endOffset}:${Math.floor(Math.log2(count))}`;
        if (reached.has(key)) continue;
        reached.add(key);
        found = true;
      }
  }
  return found;
}

function mutated(beginnings) {
  let bytes = Buffer.from(pick(beginnings));
  for (let n = 1 + below(4); n > 0; n -= 1) {
    const at = below(bytes.length + 1);
    const to = Math.min(bytes.length, at + 1 + below(16));
    const [before, cut, after] = [bytes.subarray(0, at), bytes.subarray(at, to), bytes.subarray(to)];
    bytes = pick([
      () => Buffer.concat([before, Buffer.from([below(256)]), after]),
      () => Buffer.concat([before, after]),
      () => Buffer.concat([before, cut, cut, after]),
      () => Buffer.concat([before, Buffer.from(pick(parser.words)), cut, after]),
      () => Buffer.concat([before, Buffer.from(String(pick([0, -1, 2 ** 31, 2 ** 53, 1e21, 0.1, below(10_000)]))), after]),
      () => bytes.subarray(0, at),
      () => {
        const other = Buffer.from(pick(beginnings));
        return Buffer.concat([before, other.subarray(below(other.length + 1))]);
      },
    ])();
  }
  return bytes.subarray(0, mostBytes);
}

const beginnings = [...parser.seeds];
for (let i = 0; ; i += 1) {
  const input = i < beginnings.length ? Buffer.from(beginnings[i]) : mutated(beginnings);
  atNow.set(input);
  Atomics.store(told, 1, input.length);
  Atomics.store(told, 0, i + 1);
  try {
    await run(input);
  } catch (error) {
    if (!parser.mayThrow(error)) {
      parentPort.postMessage({ fault: `${error?.constructor?.name}: ${error?.message}`.slice(0, 200), input });
      break;
    }
  }
  if (isNew() && beginnings.length < 2000) beginnings.push(input);
  if (i % 200 === 0) {
    parentPort.postMessage({ reached: reached.size });
    // Lets what was told be heard.
    await new Promise((resolve) => setImmediate(resolve));
  }
}
