import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ensureInstalled, ROOT } from './run.mjs';
import { build } from './build.mjs';
import { runServer } from './runServer.mjs';

ensureInstalled();
const isBuilt = ['web/dist/index.html', 'server/dist/main.js'].every((file) => existsSync(join(ROOT, file)));
if (!isBuilt) build();
runServer('server/dist/main.js');
