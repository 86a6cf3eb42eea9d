import { routes, type Device, type DeviceToken } from '@bright-keeper/contract';
import type { OpenAPIObject } from '@nestjs/swagger';
import { Agent, request, type IncomingMessage } from 'node:http';
import { mkdtempSync, rmSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, inject, it } from 'vitest';
import { Fuzzer, seeded, type Call } from '../testing/fuzz.js';
import { testApp, type TestApp } from '../testing/testApp.js';

/** Over PostgreSQL only what the database itself refuses is another matter, so fewer will do. */
const CALLS = Number(process.env.FUZZ_CALLS ?? (inject('postgres') ? 1000 : 3000));
const SEED = Number(process.env.FUZZ_SEED ?? 20261126);
const AT_ONCE = 4;

describe('thousands of things nobody should send', () => {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-fuzz-'));
  let app: TestApp;
  let port: number;
  let fuzzer: Fuzzer;
  const agent = new Agent({ keepAlive: true, maxSockets: AT_ONCE });

  const send = ({ method, path, headers, body }: Call): Promise<{ status: number; text: string }> =>
    new Promise((resolve, reject) => {
      // Without its length the body of a DELETE would be read as the next request.
      if (body !== undefined) headers['content-length'] = String(Buffer.byteLength(body));
      const asked = request({ host: '127.0.0.1', port, method, path, headers, agent }, (response: IncomingMessage) => {
        let text = '';
        // What never ends was answered when it began.
        if (response.headers['content-type']?.startsWith('text/event-stream')) {
          resolve({ status: response.statusCode!, text });
          return void response.destroy();
        }
        response.on('data', (part: Buffer) => (text += part.toString()));
        response.on('end', () => resolve({ status: response.statusCode!, text }));
        response.on('error', reject);
      });
      asked.on('error', reject);
      asked.end(body);
    });

  beforeAll(async () => {
    app = await testApp({ dataDir: folder });
    await app.app.listen(0, '127.0.0.1');
    port = (app.app.getHttpServer().address() as AddressInfo).port;
    const lens = await app.add('A lens');
    const other = await app.add('Another', { kind: 'mirrorless-body' });
    await app.look(lens.id, { 'front-glass': { dust: 2, grease: 1 } });
    const cleaning = await app.startCleaning(lens.id);
    const place = await app.addPlace();
    const device = (
      await app.http
        .post(routes.devices)
        .send({ name: 'Probe', source: 'push', outdoor: false, placeId: place.id, everyMinutes: 10, note: '' })
        .expect(201)
    ).body as Device;
    const { token } = (await app.http.post(routes.deviceToken(device.id)).expect(201)).body as DeviceToken;
    const { body: document } = await app.http.get('/api/docs.json').expect(200);
    const ids = [lens.id, other.id, cleaning.id, place.id, device.id, '01a20000-0000-7000-8000-0000000000aa'];
    fuzzer = new Fuzzer(document as OpenAPIObject, seeded(SEED), ids, [token, 'wrong']);
  });
  afterAll(async () => {
    agent.destroy();
    await app.app.close();
    rmSync(folder, { recursive: true });
  });

  it('are answered, each with what is wrong with it, and none as a fault of ours', async () => {
    expect(fuzzer.size).toBeGreaterThan(80);
    const faults: string[] = [];
    const statuses = new Map<number, number>();
    const one = async (): Promise<void> => {
      const call = fuzzer.call();
      const { status, text } = await send(call).catch((error: Error) => ({ status: 599, text: error.message }));
      statuses.set(status, (statuses.get(status) ?? 0) + 1);
      if (status >= 500 || (status >= 400 && call.method !== 'HEAD' && !/"code":"[\w-]+"/.test(text)))
        faults.push(`${status} ${call.method} ${call.path.slice(0, 160)} ${String(call.body ?? '').slice(0, 300)} → ${text.slice(0, 100)}`);
    };
    for (let i = 0; i < CALLS; i += AT_ONCE) await Promise.all(Array.from({ length: AT_ONCE }, one));
    if (process.env.FUZZ_TELL) console.log([...statuses].sort(), faults.join('\n'));
    expect(faults).toEqual([]);
    // They did get somewhere: not all were turned away at the door.
    expect(statuses.get(200) ?? 0).toBeGreaterThan(CALLS / 20);
    expect((await app.http.get(routes.today)).status).toBe(200);
  }, 1_800_000);
});
