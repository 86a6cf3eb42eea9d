import { ensureInstalled } from './run.mjs';
import { runServer } from './runServer.mjs';

ensureInstalled();
// Imported only now: it needs the packages that were just installed.
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt();
runServer('server/dist/bundle.js', process.argv.slice(2));
