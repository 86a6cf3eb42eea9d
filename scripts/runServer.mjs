import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { ROOT } from './run.mjs';

/** Runs a built program of ours with the given arguments; signals and its exit code pass through. */
export function runServer(program, args = []) {
  const server = spawn(process.execPath, [join(ROOT, program), ...args], { stdio: 'inherit' });
  for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
  server.on('exit', (code) => process.exit(code ?? 0));
}
