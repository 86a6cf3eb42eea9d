import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { run, must, ROOT } from './run.mjs';

const FOLDER = join(ROOT, 'node_modules', '.cache', 'nginx');

/** Debian's nginx, unpacked for the tests and not installed: an installed one would serve this machine's port 80. */
export function ensureNginx() {
  if (existsSync('/usr/sbin/nginx') || existsSync(join(FOLDER, 'usr', 'sbin', 'nginx'))) return;
  rmSync(FOLDER, { recursive: true, force: true });
  mkdirSync(FOLDER, { recursive: true });
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const [command, ...update] = [...sudo, 'apt-get', 'update'];
  run(command, update);
  must('apt-get', ['download', 'nginx'], { cwd: FOLDER });
  const [archive] = readdirSync(FOLDER).filter((file) => file.endsWith('.deb'));
  execFileSync('dpkg', ['-x', archive, '.'], { cwd: FOLDER });
}
