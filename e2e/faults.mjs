/*
 * Loaded before a program: lets its disk and its clock misbehave as a seed decides (FAULTS=17), in the main thread and in
 * the database's, from the moment the file FAULTS_FROM is there. The same seed misbehaves at the same calls again.
 *
 * Of a thousand writes and syncs some fail (EIO, ENOSPC), some write half of what they were given, some syncs are slow;
 * and the clock is set back and forward, by an hour as in spring and autumn, by a day, by a year.
 */
import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';
import { isMainThread } from 'node:worker_threads';

const { FAULTS, FAULTS_FROM } = process.env;
const HOUR = 3_600_000;
const LEAPS = [0, HOUR, -HOUR, 24 * HOUR, -24 * HOUR, 366 * 24 * HOUR];
const CALLS_PER_LEAP = 40;
const { existsSync } = fs;

/** A sequence that is the same each time. */
function sequence(seed) {
  let state = seed * 7919 + (isMainThread ? 1 : 2);
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647;
}
const random = sequence(Number(FAULTS ?? 0));

let begun = false;
const misbehaves = () => (begun ||= existsSync(FAULTS_FROM ?? ''));

function fail(code) {
  throw Object.assign(new Error(`${code}: provoked`), { code, errno: code === 'EIO' ? -5 : -28, syscall: 'write' });
}

const slowly = () => Atomics.wait(new Int32Array(new SharedArrayBuffer(4)), 0, 0, 50 + random() * 300);

/** What comes over a call that changes a file; `half` where it may do half of its work. */
function fate({ half, slow }) {
  const at = random();
  if (at < 0.004) fail('EIO');
  if (at < 0.007) fail('ENOSPC');
  if (slow && at < 0.03) slowly();
  return half && at < 0.02;
}

const { writeSync, fsyncSync, ftruncateSync } = fs;
fs.writeSync = (fd, buffer, offset, length, ...rest) => {
  if (!misbehaves() || fd < 3 || typeof length !== 'number') return writeSync(fd, buffer, offset, length, ...rest);
  const writesHalf = fate({ half: length > 1, slow: false });
  return writeSync(fd, buffer, offset, writesHalf ? Math.floor(length / 2) : length, ...rest);
};
fs.fsyncSync = (fd) => {
  if (misbehaves()) fate({ half: false, slow: true });
  return fsyncSync(fd);
};
fs.ftruncateSync = (fd, ...rest) => {
  if (misbehaves()) fate({ half: false, slow: false });
  return ftruncateSync(fd, ...rest);
};
syncBuiltinESMExports();

const Plain = Date;
let asked = 0;
let leap = 0;
const now = () => {
  if (misbehaves() && ++asked % CALLS_PER_LEAP === 0) leap = LEAPS[Math.floor(random() * LEAPS.length)];
  return Plain.now() + leap;
};
globalThis.Date = class Date extends Plain {
  constructor(...args) {
    if (args.length === 0) super(now());
    else super(...args);
  }
  static now() {
    return now();
  }
};
