import { routes, type Access } from '@bright-keeper/contract';
import { mkdtempSync, rmSync } from 'node:fs';
import { request as ask, Agent, type RequestOptions } from 'node:https';
import { request as askPlainly, type IncomingHttpHeaders } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { AccessService, ownAuthority, type CertificateSource, type ProxyInFront } from '../access/index.js';
import { testApp, type TestApp } from './testApp.js';

export const PASSPHRASE = 'four lenses on one shelf';
export const ADDRESS = '127.0.0.1';

export type Answer = { status: number; headers: IncomingHttpHeaders; body: unknown; text: string };
/** `from`: the address of this machine that it is sent from. */
type Sent = { method?: string; cookie?: string | null; headers?: Record<string, string>; body?: unknown; from?: string };

const heard = (request: ReturnType<typeof ask>, body: unknown): Promise<Answer> =>
  new Promise((resolve, reject) => {
    request.once('error', reject);
    request.once('response', (response) => {
      const parts: Buffer[] = [];
      response.on('data', (part: Buffer) => parts.push(part));
      response.once('error', reject);
      response.once('end', () => {
        const text = Buffer.concat(parts).toString();
        const isJson = /json/.test(response.headers['content-type'] ?? '');
        resolve({
          status: response.statusCode!,
          headers: response.headers,
          text,
          body: isJson && text ? (JSON.parse(text) as unknown) : null,
        });
      });
    });
    request.end(body === undefined ? undefined : JSON.stringify(body));
  });

/** The cookie that an answer gives to show, as a browser would show it. */
export const given = ({ headers }: Answer): string | null => headers['set-cookie']?.at(-1)?.split(';')[0] ?? null;

type Given = { certificates?: CertificateSource; proxy?: ProxyInFront | null };

/** Whoever speaks TLS goes by the machine's own clock, wherever the application's stands. */
const today = ({ get, isOver }: CertificateSource): CertificateSource => ({
  get: () => get(new Date()),
  isOver: (present) => isOver(present, new Date()),
});

/**
 * The whole application with a passphrase, answering its network over TLS in this process, and what a phone on the
 * network would send.
 */
export async function onNetwork({ certificates, proxy = null }: Given = {}) {
  const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-network-'));
  const namesNow = () => ({ dns: ['kitchen.local'], ips: ['127.0.0.1'] });
  const t: TestApp = await testApp({
    dataDir,
    network: {
      port: 0,
      beginPort: 0,
      certificates: today(certificates ?? ownAuthority(dataDir, namesNow)),
      namesNow,
      tellsName: false,
      proxy,
    },
  });
  const service = t.app.get(AccessService);
  const { http } = t;
  await http.put(routes.accessPassphrase).send({ passphrase: PASSPHRASE, endOthers: false }).expect(200);
  const opened = (await http.put(routes.accessNetwork).send({ open: true, sessionDays: 30 }).expect(200)).body as Access;
  const port = service.network.port!;
  const beginPort = Number(new URL(opened.network.unencryptedAt[0]!).port);
  const host = `${ADDRESS}:${port}`;
  const agent = new Agent({ ca: service.network.certificate?.authority?.pem, keepAlive: false });

  /** Over TLS, believed by the household's authority alone. */
  const send = (path: string, { method = 'GET', cookie, headers = {}, body, from }: Sent = {}): Promise<Answer> => {
    const all: RequestOptions = {
      host: ADDRESS,
      port,
      path,
      method,
      agent,
      ...(from ? { localAddress: from } : {}),
      // Whatever name the request itself asks for.
      servername: 'localhost',
      headers: {
        host,
        ...(cookie ? { cookie } : {}),
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...headers,
      },
    };
    return heard(ask(all), body);
  };
  /** In plain HTTP. */
  const sendPlainly = (path: string, { method = 'GET', headers = {}, body }: Sent = {}): Promise<Answer> =>
    heard(
      askPlainly({
        host: ADDRESS,
        port: beginPort,
        path,
        method,
        headers: { host: `${ADDRESS}:${beginPort}`, ...(body === undefined ? {} : { 'content-type': 'application/json' }), ...headers },
      }),
      body,
    );
  const code = async (): Promise<string> => ((await http.post(routes.accessCode).expect(201)).body as { code: string }).code;
  /** Lets a phone in, and gives what it shows. */
  const pair = async (name = 'Phone'): Promise<{ cookie: string; id: string }> => {
    const answer = await send(routes.accessPair, { method: 'POST', body: { code: await code(), name } });
    return { cookie: given(answer)!, id: (answer.body as { id: string }).id };
  };
  const close = async () => {
    agent.destroy();
    await t.app.close();
    rmSync(dataDir, { recursive: true, force: true });
  };
  return { ...t, dataDir, service, send, sendPlainly, code, pair, host, port, beginPort, close };
}

export type OnNetwork = Awaited<ReturnType<typeof onNetwork>>;
