import 'reflect-metadata';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { AccessService, broughtAlong, namesGiven, namesHere, ownAuthority, proxyInFront, type NetworkOptions } from './access/index.js';
import { createApp } from './app.js';
import { AlarmsService } from './alarms/index.js';
import { IntakeService } from './air/index.js';
import type { Database, Platform } from './db/index.js';
import type { Waking } from './wake/index.js';
import { openOnServer, openWaking, placeForCopy, type Opening } from './startup/index.js';
import { endOnFaults, endOnSignals, Ending } from './http/index.js';
import { writeArchive } from './household/index.js';
import { SystemClock, SystemIds, DataFolder, Disk, marginFromEnvironment, log } from './platform/index.js';
import { TodayService } from './today/index.js';

const portTaken = (port: number) =>
  new Error(`Port ${port} is taken by another program. Stop that one, or choose another port: PORT=${port + 1} npm start`);

const LOOK_EVERY_MS = 500;

/** Says at once that the folder of the data is not what it was: whoever moved it may still be at the keyboard. */
function sayWhenTaken(database: Database, dataDir: string): void {
  const looking = setInterval(() => {
    if (database.isOurs()) return;
    clearInterval(looking);
    log.error({ dataDir }, 'the data was removed, moved or replaced while the program ran: nothing is kept from now on');
  }, LOOK_EVERY_MS).unref();
}

async function onServer(url: string, dataDir: string): Promise<Opening> {
  const keepCopy = async (old: Parameters<typeof writeArchive>[0]) =>
    void (await writeArchive(old, placeForCopy(dataDir, '.zip'), new Date()));
  return { database: await openOnServer(url, { keepCopy }), ready: Promise.resolve() };
}

export type ServeOptions = {
  dataDir: string;
  /** A PostgreSQL server that keeps the household instead of the directory. */
  url?: string | null;
  port: number;
  /** Where the network is answered once that is wanted; the port after it tells phones how to begin. */
  networkPort?: number;
  /** Names that its network has for this machine, with commas between. */
  names?: string;
  /** A certificate one brings, and its key; without them the household vouches for itself. */
  tls?: { certificate: string; key: string } | null;
  /** A reverse proxy in front: under which name it is asked, and from which addresses it comes. */
  proxy?: { name: string; from: string } | null;
  webDir?: string;
  prepare?: (platform: Platform) => Promise<void>;
};

function networkOf({ dataDir, port, networkPort = port + 1, names = '', tls, proxy }: ServeOptions): NetworkOptions {
  const given = names ? namesGiven(names) : [];
  const namesNow = () => namesHere(given);
  return {
    port: networkPort,
    beginPort: networkPort + 1,
    certificates: tls ? broughtAlong(tls.certificate, tls.key) : ownAuthority(dataDir, namesNow),
    proxy: proxy ? proxyInFront(proxy.name, proxy.from) : null,
    namesNow,
    tellsName: true,
  };
}

/** All of the program but its database, which may be waking still: it is put together meanwhile, and listens when both are there. */
export async function serveOn(waking: Waking | null, options: ServeOptions): Promise<{ app: NestExpressApplication; address: string }> {
  const { dataDir, url = null, port, webDir, prepare } = options;
  const onStopped = (why: string) => log.error({ why }, 'the database ended and is started anew');
  const { database, ready } = waking ? openWaking(waking, { dataDir, onStopped }) : await onServer(url!, dataDir);
  const platform: Platform = {
    database,
    clock: new SystemClock(),
    ids: new SystemIds(),
    disk: new Disk(dataDir, marginFromEnvironment()),
    data: new DataFolder(dataDir, waking?.claim.secret ?? null),
  };
  const ending = new Ending();
  const [app] = await Promise.all([createApp(platform, { webDir, ending, network: networkOf(options) }), ready]);
  await prepare?.(platform);
  try {
    await app.listen(port, '127.0.0.1');
  } catch (error) {
    await app.close();
    throw (error as NodeJS.ErrnoException).code === 'EADDRINUSE' ? portTaken(port) : error;
  }
  waking?.claim.answersAt(`http://127.0.0.1:${port}`);
  endOnSignals(app, ending);
  endOnFaults(app, ending);
  sayWhenTaken(database, dataDir);
  // The machine itself does not wait for what the network is told.
  void app.get(AccessService).resume();
  void app.get(IntakeService).resume();
  app.get(AlarmsService).resume();
  // It is what one opens: whoever asks meanwhile waits for the same answer, and not for one of their own.
  void app
    .get(TodayService)
    .today()
    .catch(() => undefined);
  return { app, address: `http://localhost:${port}` };
}
