import { createHash } from 'node:crypto';
import { existsSync, realpathSync, rmSync } from 'node:fs';
import { createConnection, createServer, type Server } from 'node:net';
import { join } from 'node:path';

/** Another process owns the data directory. */
export class DirectoryInUse extends Error {
  constructor(dataDir: string, holder: string) {
    super(`The data in ${dataDir} is already open: ${holder}. Stop that one first, or name another directory with BRIGHT_KEEPER_DATA.`);
    this.name = 'DirectoryInUse';
  }
}

/**
 * Where the lock listens. The kernel frees an abstract socket (Linux) and a named pipe (Windows) the moment its
 * process dies, however it dies; elsewhere a socket file is probed, and removed when nobody answers.
 */
function lockAddress(dataDir: string): { address: string; isFile: boolean } {
  const key = createHash('sha256').update(realpathSync(dataDir)).digest('hex').slice(0, 32);
  if (process.platform === 'linux') return { address: `\0bright-keeper-${key}`, isFile: false };
  if (process.platform === 'win32') return { address: `\\\\.\\pipe\\bright-keeper-${key}`, isFile: false };
  return { address: join(dataDir, 'in-use.sock'), isFile: true };
}

/** Asks whoever holds the lock who they are; null when nobody answers. */
const askHolder = (address: string): Promise<string | null> =>
  new Promise((resolve) => {
    let said = '';
    const socket = createConnection(address);
    socket.setTimeout(2000, () => socket.destroy());
    socket.on('data', (data) => (said += data.toString()));
    socket.on('error', () => resolve(null));
    socket.on('close', (failed) => !failed && resolve(said || 'by a process that does not answer'));
  });

const listen = (address: string): Promise<Server> =>
  new Promise((resolve, reject) => {
    const started = new Date().toISOString();
    const server = createServer((socket) => socket.end(`by process ${process.pid}, started ${started}`));
    server.once('error', reject);
    server.listen(address, () => resolve(server));
  });

const isTaken = (error: unknown) => (error as NodeJS.ErrnoException).code === 'EADDRINUSE';

/**
 * Takes the data directory for this process. PGlite has no lock of its own, and two processes on one directory
 * corrupt it without a word.
 *
 * @returns how to let go of it again.
 * @throws DirectoryInUse naming the process that holds it.
 */
export async function lockDirectory(dataDir: string): Promise<() => Promise<void>> {
  const { address, isFile } = lockAddress(dataDir);
  const holder = isFile && existsSync(address) ? await askHolder(address) : null;
  if (isFile && holder === null) rmSync(address, { force: true });
  try {
    const server = await listen(address);
    server.unref();
    return () => new Promise((resolve) => server.close(() => resolve()));
  } catch (error) {
    if (!isTaken(error)) throw error;
    throw new DirectoryInUse(dataDir, holder ?? (await askHolder(address)) ?? 'by another process');
  }
}
