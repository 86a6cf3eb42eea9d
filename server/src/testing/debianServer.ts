import { existsSync } from 'node:fs';
import { type AddressInfo, createServer } from 'node:net';
import { join } from 'node:path';

/** Where a program of Debian's lies that `npm test` brings: installed, or unpacked beside the packages. */
export const debianServer = (name: string): string | undefined =>
  [join('/usr/sbin', name), join(import.meta.dirname, '../../../node_modules/.cache', name, 'usr/sbin', name)].find((path) =>
    existsSync(path),
  );

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as AddressInfo;
      server.close(() => resolve(port));
    });
  });
