import { spawnSync } from 'node:child_process';
import { join } from 'node:path';
import { ensureInstalled, ROOT } from './run.mjs';

const [command, ...words] = process.argv.slice(2);
ensureInstalled();
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt();
const { status } = spawnSync(process.execPath, [join(ROOT, 'server', 'dist', 'cli', `${command}.js`), ...words], { stdio: 'inherit' });
process.exit(status ?? 1);
