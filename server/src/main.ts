import { WEB } from './paths.js';
import { databaseUrl, dataDirectory, networkFromEnvironment, portFromEnvironment, serve } from './serve.js';

try {
  const dataDir = dataDirectory();
  const { app, address } = await serve({
    dataDir,
    url: databaseUrl(),
    port: portFromEnvironment(),
    ...networkFromEnvironment(),
    webDir: WEB,
  });
  console.log(`Bright Keeper is at ${address}  (data in ${databaseUrl() ? 'PostgreSQL' : dataDir})`);
  if (process.argv.includes('--lan')) {
    const { openAtTerminal } = await import('./access/index.js');
    for (const line of await openAtTerminal(app, address)) console.log(line);
  }
} catch (error) {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
}
