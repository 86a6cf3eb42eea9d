/*
 * Loaded before a program: counts its calls that change files, in the main thread and in the database's by themselves,
 * and ends the process without a word before the call it was told of (KILL_AT=main:12 or thread:3400). It counts from
 * the moment the file COUNT_FROM is there, and writes how far it came into the file COUNTED.
 */
import fs from 'node:fs';
import { syncBuiltinESMExports } from 'node:module';
import { isMainThread } from 'node:worker_threads';

const { KILL_AT, COUNT_FROM, COUNTED } = process.env;
const role = isMainThread ? 'main' : 'thread';
const [at, step] = (KILL_AT ?? '').split(':');
const last = at === role ? Number(step) : Infinity;
const { existsSync, appendFileSync } = fs;

let begun = false;
let count = 0;
function oneMore() {
  begun ||= !COUNT_FROM || existsSync(COUNT_FROM);
  if (begun && ++count >= last) process.kill(process.pid, 'SIGKILL');
}

const CHANGES = [
  ...[
    'write',
    'writev',
    'writeFile',
    'appendFile',
    'rename',
    'unlink',
    'rm',
    'rmdir',
    'mkdir',
    'mkdtemp',
    'copyFile',
    'cp',
    'link',
    'symlink',
  ],
  ...['truncate', 'ftruncate', 'fsync', 'fdatasync', 'chmod', 'fchmod'],
];
for (const home of [fs, fs.promises])
  for (const name of CHANGES.flatMap((n) => [n, `${n}Sync`])) {
    const plain = home[name];
    if (typeof plain !== 'function') continue;
    home[name] = function (...args) {
      oneMore();
      return plain.apply(this, args);
    };
  }
syncBuiltinESMExports();

if (COUNTED) process.on('exit', () => appendFileSync(COUNTED, `${role} ${count}\n`));
