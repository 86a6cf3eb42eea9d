import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The folder of the project. */
export const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

/** Runs a command in the project's folder with its output shown; tells whether it succeeded. */
export function run(command, args, options = {}) {
  const { status } = spawnSync(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  return status === 0;
}

/** Like `run`, but others go on meanwhile; what it says is shown whole when it has ended. */
export function runBeside(command, args) {
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: ROOT, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (text) => (said += text));
    child.once('close', (status) => {
      process.stdout.write(said);
      resolve(status === 0);
    });
  });
}

/** Like `run`, but a failure ends this process. */
export function must(command, args, options) {
  if (!run(command, args, options)) process.exit(1);
}

/** A command of an installed package. */
export const bin = (name) => join(ROOT, 'node_modules', '.bin', name);

const lockOf = (file) => (existsSync(file) ? readFileSync(file, 'utf8') : '');
/** npm leaves a copy of the lock file in node_modules; its package list tells whether an install is still current. */
function isInstalled() {
  const installed = join(ROOT, 'node_modules', '.package-lock.json');
  if (!existsSync(installed)) return false;
  const wanted = JSON.parse(lockOf(join(ROOT, 'package-lock.json'))).packages;
  const present = JSON.parse(lockOf(installed)).packages;
  return Object.entries(wanted).every(
    ([path, entry]) =>
      path === '' || entry.optional || entry.link || !path.includes('node_modules/') || present[path]?.version === entry.version,
  );
}

/** Installs the packages of the lock file unless they are there. */
export function ensureInstalled() {
  if (!isInstalled()) must('npm', ['ci', '--no-audit', '--no-fund']);
}
