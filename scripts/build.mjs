import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { bin, must, ROOT } from './run.mjs';

/** Builds what the running server needs, in the order they import each other, then the web pages. */
export function build() {
  for (const workspace of ['core', 'contract', 'server', 'demo']) {
    rmSync(join(ROOT, workspace, 'dist'), { recursive: true, force: true });
    must(bin('tsc'), ['-p', `${workspace}/tsconfig.build.json`]);
  }
  must(bin('vite'), ['build', '--logLevel', 'warn'], { cwd: join(ROOT, 'web') });
}

if (process.argv[1]?.endsWith('build.mjs')) build();
