import { routes, type Access, type Problem } from '@bright-keeper/contract';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { request as plainRequest, type IncomingMessage } from 'node:http';
import { request } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { debianServer, freePort } from '../testing/debianServer.js';
import { onNetwork, type OnNetwork } from '../testing/onNetwork.js';
import { Authority } from './authority.js';

const NGINX = debianServer('nginx');
const NAME = 'keeper.home.arpa';
/** Where a phone comes from, seen from a proxy at 127.0.0.1. */
const PHONE = '127.0.0.2';

const configuration = (folder: string, port: number, application: number): string => `
daemon off; worker_processes 1; pid ${folder}/pid; error_log ${folder}/error.log;
events {}
http {
  access_log off;
  ${['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'].map((of) => `${of}_temp_path ${folder}/${of};`).join(' ')}
  server {
    listen 127.0.0.1:${port} ssl;
    ssl_certificate ${folder}/proxy.pem; ssl_certificate_key ${folder}/proxy.key;
    location / {
      proxy_pass http://127.0.0.1:${application};
      proxy_http_version 1.1;
      proxy_set_header Connection "";
      proxy_set_header Host $host;
      proxy_set_header X-Forwarded-For $proxy_add_x_forwarded_for;
      proxy_set_header X-Forwarded-Proto $scheme;
    }
  }
}`;

async function textOf(response: IncomingMessage): Promise<string> {
  let text = '';
  for await (const part of response) text += String(part);
  return text;
}

/** Until somebody answers there. */
async function answering(port: number): Promise<void> {
  for (;;) {
    const there = await new Promise<boolean>((resolve) => {
      const asked = request({ host: '127.0.0.1', port, path: '/', rejectUnauthorized: false }, (response) => {
        response.resume();
        resolve(true);
      });
      asked.once('error', () => resolve(false));
      asked.end();
    });
    if (there) return;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
}

describe('behind a proxy of Debian’s (nginx)', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-proxy-'));
  let t: OnNetwork;
  let nginx: ChildProcess;
  let port: number;
  beforeAll(async () => {
    if (!NGINX) throw new Error('nginx is not there: `npm test` fetches it.');
    t = await onNetwork({ proxy: { name: NAME, from: ['127.0.0.1'] } });
    port = await freePort();
    const { key, certificate } = await (
      await Authority.in(folder, new Date())
    ).issue({ dns: ['localhost'], ips: ['127.0.0.1'] }, new Date());
    writeFileSync(join(folder, 'proxy.pem'), certificate);
    writeFileSync(join(folder, 'proxy.key'), key);
    writeFileSync(join(folder, 'nginx.conf'), configuration(folder, port, t.port));
    nginx = spawn(NGINX, ['-c', join(folder, 'nginx.conf'), '-p', folder], { stdio: 'ignore' });
    await answering(port);
  });
  afterAll(async () => {
    nginx?.kill('SIGTERM');
    await t?.close();
    rmSync(folder, { recursive: true, force: true });
  });

  const open = (path: string, headers: Record<string, string> = {}, method = 'GET', body?: unknown): Promise<IncomingMessage> =>
    new Promise((resolve, reject) => {
      const asked = request(
        {
          host: '127.0.0.1',
          port,
          path,
          method,
          localAddress: PHONE,
          rejectUnauthorized: false,
          headers: { host: NAME, ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
        },
        resolve,
      );
      asked.once('error', reject);
      asked.end(body === undefined ? undefined : JSON.stringify(body));
    });
  const ask = async (...given: Parameters<typeof open>) => {
    const response = await open(...given);
    const text = await textOf(response);
    return {
      status: response.statusCode,
      cookie: response.headers['set-cookie']?.[0]?.split(';')[0],
      body: text.startsWith('{') ? (JSON.parse(text) as unknown) : text,
    };
  };
  const comeIn = async (): Promise<string> =>
    (await ask(routes.accessPair, { origin: `https://${NAME}` }, 'POST', { code: await t.code(), name: 'Phone' })).cookie!;

  it('lets in whoever comes through it, and knows who that is', async () => {
    expect((await ask(routes.today)).status).toBe(401);
    // What a phone says itself of where it comes from is what the proxy has from it, and counts for nothing.
    const cookie = await comeIn();
    const seen = (await ask(routes.access, { cookie, 'x-forwarded-for': '198.51.100.7' })).body as Access;
    expect(seen.devices.at(-1)).toMatchObject({ name: 'Phone', seenFrom: PHONE, isThis: true });
    expect(seen.network.addresses).toEqual([`https://${NAME}`]);
  });

  it('tells through it what moves, as it moves', async () => {
    const line = await open(routes.live, { cookie: await comeIn() });
    const heard = line[Symbol.asyncIterator]();
    const until = async (words: RegExp) => {
      for (let said = ''; !words.test(said);) said += String((await heard.next()).value);
    };
    await until(/"moved":\[\]/);
    await t.add('Fifty');
    await until(/"gear"/);
    line.destroy();
  });

  it.each([
    ['another page', { origin: 'https://evil.example' }],
    ['the page of the program behind it', { origin: 'http://localhost:4870' }],
  ])('takes nothing that %s sends through it', async (_, headers) => {
    const cookie = await comeIn();
    expect(await ask(routes.gear, { cookie, ...headers }, 'POST', {})).toMatchObject({ status: 403, body: { code: 'not-local' } });
  });

  it('is not reached through it by another name', async () => {
    expect(await ask(routes.access, { host: 'evil.example' })).toMatchObject({ status: 403, body: { code: 'not-local' } });
  });

  it('answers nobody who comes past it, whatever they say of themselves', async () => {
    const past = (from: string, headers: Record<string, string>): Promise<string> =>
      new Promise((resolve, reject) => {
        const asked = plainRequest(
          { host: '127.0.0.1', port: t.port, path: routes.access, localAddress: from, headers: { host: NAME, ...headers } },
          (response) => void textOf(response).then((text) => resolve((JSON.parse(text) as Problem).code), reject),
        );
        asked.once('error', reject);
        asked.end();
      });
    const forged = { 'x-forwarded-for': '192.168.1.9', 'x-forwarded-proto': 'https' };
    expect(await past(PHONE, forged)).toBe('unnamed-proxy');
    expect(await past('127.0.0.1', {})).toBe('unnamed-proxy');
    expect(await past('127.0.0.1', { ...forged, 'x-forwarded-proto': 'http' })).toBe('unnamed-proxy');
  });
});
