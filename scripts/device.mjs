import { ensureInstalled } from './run.mjs';
import { runServer } from './runServer.mjs';

/** A simulated device by hand, against one's own data: `npm run hygrometer -- --token …`. */
const [device, ...args] = process.argv.slice(2);
ensureInstalled();
// Imported only now: it needs the packages that were just installed.
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt();
runServer(`devices/dist/${device}.js`, args);
