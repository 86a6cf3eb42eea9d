import { existsSync } from 'node:fs';
import { must, run } from './run.mjs';

export const CHROMIUM = '/usr/bin/chromium';

/** Debian's Chromium, installed when it is not there. */
export function ensureChromium() {
  if (existsSync(CHROMIUM)) return;
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => [...sudo, 'apt-get', ...args];
  const [command, ...update] = apt('update');
  run(command, update);
  const [, ...install] = apt('install', '-y', '--no-install-recommends', 'chromium');
  must(command, install, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
}
