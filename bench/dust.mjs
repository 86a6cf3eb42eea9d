/* How far what is said of a sensor's frames can be trusted: `npm run bench:dust -- SHADOWS CLEAN SCENES`; all of it takes about an hour. */
import { join } from 'node:path';
import { bin, must, ROOT } from '../scripts/run.mjs';

const out = join(ROOT, 'bench', 'dist', 'sureness.mjs');
must(bin('esbuild'), [
  join(ROOT, 'bench', 'src', 'sureness.ts'),
  '--bundle',
  '--platform=node',
  '--format=esm',
  '--external:sharp',
  `--outfile=${out}`,
  '--log-level=error',
]);
must(process.execPath, [out, ...process.argv.slice(2)]);
