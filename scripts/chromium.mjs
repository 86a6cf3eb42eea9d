import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { must, ROOT, run } from './run.mjs';

/** How Chromium is launched, the same as the browser tests do. */
export const CHROMIUM = JSON.parse(readFileSync(join(ROOT, 'e2e', 'chromium.json'), 'utf8'));

/** Debian's Chromium, installed when it is not there. */
export function ensureChromium() {
  if (existsSync(CHROMIUM.executablePath)) return;
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => [...sudo, 'apt-get', ...args];
  const [command, ...update] = apt('update');
  run(command, update);
  const [, ...install] = apt('install', '-y', '--no-install-recommends', 'chromium');
  must(command, install, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
}
