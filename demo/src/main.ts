import { Claim, networkFromEnvironment, portFromEnvironment, serve } from '@bright-keeper/server/start';
import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const WEB = fileURLToPath(new URL('../../web/dist', import.meta.url));

/** The demo never touches the user's own data: it has a directory of its own. */
const dataDir = process.env.BRIGHT_KEEPER_DEMO_DATA || join(homedir(), '.bright-keeper-demo');
const marker = join(dataDir, 'demo-loaded.json');

/** Empties the demo directory, unless another process has it open. */
function reset(): void {
  mkdirSync(dataDir, { recursive: true });
  const claim = new Claim(dataDir);
  rmSync(marker, { force: true });
  rmSync(join(dataDir, 'db'), { recursive: true, force: true });
  claim.release();
}

let stopDevices = () => {};
let leaving = false;

try {
  const port = portFromEnvironment();
  // A load that was cut short left no marker: it is begun anew.
  if (process.argv.includes('--reset') || !existsSync(marker)) reset();
  const { app, address } = await serve({
    dataDir,
    port,
    ...networkFromEnvironment(),
    webDir: WEB,
    prepare: async ({ database }) => {
      if (existsSync(marker)) return;
      const { playDemo } = await import('./play.js');
      const loadedAt = new Date();
      await playDemo(database, loadedAt);
      writeFileSync(marker, JSON.stringify({ loadedAt }));
    },
  });
  // From here on the server ends by itself when it is told to.
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      leaving = true;
      stopDevices();
    });
  const [{ DeviceService }, { startDevices }] = await Promise.all([import('@bright-keeper/server'), import('./liveDevices.js')]);
  stopDevices = await startDevices(app.get(DeviceService), address);
  console.log(`The demo of Bright Keeper is at ${address}  (data in ${dataDir}; start afresh with: npm run demo -- --reset)`);
} catch (error) {
  // Whoever stops it while it begins wants to hear nothing of what was under way.
  if (!leaving) {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  }
}
