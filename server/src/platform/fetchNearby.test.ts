import { createServer, type RequestListener, type Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterEach, describe, expect, it } from 'vitest';
import { gzipSync } from 'node:zlib';
import { fetchNearby } from './fetchNearby.js';
import { isNearby } from './nearby.js';

const LIMITS = { bytes: 20_000, unpackedBytes: 50_000, wholeMs: 60_000, redirects: 2 };

let server: Server | null = null;
afterEach(() => {
  server?.closeAllConnections();
  server?.close();
});

async function serving(answer: RequestListener): Promise<string> {
  server = createServer(answer);
  await new Promise<void>((resolve) => server!.listen(0, '127.0.0.1', resolve));
  return `http://localhost:${(server.address() as AddressInfo).port}`;
}
const fetched = (address: string, limits = LIMITS) => fetchNearby(address, 'text/calendar', limits);

describe('what is fetched from an address of this network', () => {
  it('is its text, packed or not, also where it leads on', async () => {
    const at = await serving(({ url }, response) => {
      if (url === '/old') return void response.writeHead(302, { location: '/packed' }).end();
      if (url === '/packed') return void response.writeHead(200, { 'content-encoding': 'gzip' }).end(gzipSync('a naïve text'));
      response.end('plain');
    });
    expect(await fetched(at)).toBe('plain');
    expect(await fetched(`${at}/packed`)).toBe('a naïve text');
    expect(await fetched(`${at}/old`)).toBe('a naïve text');
  });

  it('is given up when too much comes, packed or unpacked, or without end', async () => {
    const at = await serving(({ url }, response) => {
      if (url === '/bomb') return void response.writeHead(200, { 'content-encoding': 'gzip' }).end(gzipSync(Buffer.alloc(10_000_000)));
      const more = (): void => {
        while (!response.destroyed && response.write('x'.repeat(4000)));
        if (!response.destroyed) response.once('drain', more);
      };
      more();
    });
    await expect(fetched(`${at}/bomb`)).rejects.toMatchObject({ why: 'too-large' });
    await expect(fetched(`${at}/endless`)).rejects.toMatchObject({ why: 'too-large' });
    await expect(fetched(`${at}/endless`, { ...LIMITS, bytes: 50_000, unpackedBytes: 20_000 })).rejects.toMatchObject({ why: 'too-large' });
  });

  it('may take so long in all, however it drips', async () => {
    const at = await serving((_, response) => {
      const drip = setInterval(() => response.write('x'), 20);
      response.once('close', () => clearInterval(drip));
    });
    await expect(fetched(at, { ...LIMITS, wholeMs: 300 })).rejects.toMatchObject({ why: 'silent' });
  });

  it('is nothing where it leads to another network, in circles, or into another manner of speaking', async () => {
    const at = await serving(({ url }, response) => {
      // RFC 5737 and RFC 3849: addresses for documentation, which are nobody's.
      const locations: Record<string, string> = {
        '/far': 'http://192.0.2.1/x.ics',
        '/far6': 'http://[2001:db8::1]/x.ics',
        '/circle': '/circle',
        '/file': 'file:///etc/passwd',
        '/no': 'http://',
      };
      response.writeHead(301, { location: locations[url!]! }).end();
    });
    await expect(fetched(`${at}/far`)).rejects.toMatchObject({ why: 'not-nearby' });
    await expect(fetched(`${at}/far6`)).rejects.toMatchObject({ why: 'not-nearby' });
    for (const path of ['/circle', '/file', '/no']) await expect(fetched(at + path)).rejects.toMatchObject({ why: 'silent' });
  });

  it('is nothing where what was packed breaks off, or is packed in a way nobody knows', async () => {
    const at = await serving(({ url }, response) => {
      const packed = gzipSync('x'.repeat(9000));
      response.writeHead(200, { 'content-encoding': url === '/odd' ? 'compress' : 'gzip' }).end(packed.subarray(0, packed.length - 9));
    });
    for (const path of ['/cut', '/odd']) await expect(fetched(at + path)).rejects.toMatchObject({ why: 'silent' });
  });
});

/** Sources: RFC 1918, RFC 4193, RFC 5737 (addresses for documentation, which are nobody's). */
it.each([
  ['127.0.0.1', true],
  ['10.1.2.3', true],
  ['172.31.0.1', true],
  ['172.32.0.1', false],
  ['192.168.1.5', true],
  ['192.0.2.1', false],
  ['203.0.113.9', false],
  ['::1', true],
  ['fd00::1', true],
  ['2001:db8::1', false],
  ['somewhere', false],
  // A rented machine's own secrets lie there: common practice.
  ['169.254.169.254', false],
  ['169.254.1.1', true],
  ['0.0.0.0', false],
  ['::ffff:192.0.2.1', false],
])('%s lies on this network: %s', (address, near) => expect(isNearby(address)).toBe(near));
