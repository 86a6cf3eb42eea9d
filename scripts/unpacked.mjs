import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { installFromDebian } from './debian.mjs';
import { run, must, ROOT } from './run.mjs';

/** Programs of Debian's that the tests run, and the libraries they need beside the usual ones. */
const PROGRAMS = {
  nginx: [],
  mosquitto: ['libcjson1', 'libdlt2', 'libwrap0'],
};

/** One of them, unpacked for the tests and not installed: an installed one would serve this machine’s ports by itself. */
function ensureUnpacked(name, libraries) {
  const folder = join(ROOT, 'node_modules', '.cache', name);
  if (existsSync(join('/usr/sbin', name)) || existsSync(join(folder, 'usr', 'sbin', name))) return;
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  if (libraries.length > 0) installFromDebian(...libraries);
  else {
    const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
    const [command, ...update] = [...sudo, 'apt-get', 'update'];
    run(command, update);
  }
  must('apt-get', ['download', name], { cwd: folder });
  const [archive] = readdirSync(folder).filter((file) => file.endsWith('.deb'));
  execFileSync('dpkg', ['-x', archive, '.'], { cwd: folder });
}

export function ensureServers() {
  for (const [name, libraries] of Object.entries(PROGRAMS)) ensureUnpacked(name, libraries);
}
