import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { bin, ensureInstalled, ROOT } from './run.mjs';

/**
 * `npm run dev`: the demo household to work on. A page follows its source at once (Vite, http://localhost:5173); core,
 * contract, words and server are compiled as they change, and the server begins anew with what came out.
 */
const COMPILED = ['core', 'contract', 'words', 'devices', 'server', 'demo'];

ensureInstalled();
// Imported only now: it needs the packages that were just installed.
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt();

const running = [];
function keep(command, args, options = {}) {
  const child = spawn(command, args, { cwd: ROOT, stdio: 'inherit', ...options });
  running.push(child);
  // Whichever ends takes the others along: half of it would only puzzle.
  child.on('exit', (code) => end(code ?? 0));
}
function end(code) {
  for (const child of running) child.kill('SIGTERM');
  process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => end(0));

for (const workspace of COMPILED) keep(bin('tsc'), ['-p', `${workspace}/tsconfig.build.json`, '--watch', '--preserveWatchOutput']);
keep(process.execPath, [
  '--watch',
  '--watch-preserve-output',
  '--enable-source-maps',
  join('demo', 'dist', 'main.js'),
  ...process.argv.slice(2),
]);
keep(bin('vite'), ['--port', '5173', '--strictPort'], { cwd: join(ROOT, 'web') });
