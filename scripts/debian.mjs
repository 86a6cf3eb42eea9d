import { must, run } from './run.mjs';

/** Installs packages of Debian's; asks for rights where they are needed. */
export function installFromDebian(...packages) {
  const sudo = process.getuid?.() === 0 ? [] : ['sudo'];
  const apt = (...args) => [...sudo, 'apt-get', ...args];
  const [command, ...update] = apt('update');
  run(command, update);
  const [, ...install] = apt('install', '-y', '--no-install-recommends', ...packages);
  must(command, install, { env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
}
