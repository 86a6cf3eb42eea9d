import { spawn } from 'node:child_process';
import { chmodSync, existsSync, mkdtempSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { ROOT } from '../scripts/run.mjs';
import { ensureServers } from '../scripts/unpacked.mjs';
import { median, startServer, timesBeside } from './scale.mjs';

const { connectAsync } = createRequire(new URL('../server/package.json', import.meta.url))('mqtt');

const PORT = 4893;
const BROKER_PORT = 4892;
const DEVICES = 20;
const A_SECOND = 2000;
const SECONDS = 10;
const A_MINUTE_MS = 60_000;

async function startBroker() {
  ensureServers();
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-broker-'));
  chmodSync(folder, 0o755);
  writeFileSync(join(folder, 'conf'), `listener ${BROKER_PORT} 127.0.0.1\nallow_anonymous true\nmax_queued_messages 0\n`);
  const program = ['/usr/sbin/mosquitto', join(ROOT, 'node_modules/.cache/mosquitto/usr/sbin/mosquitto')].find((p) => existsSync(p));
  return spawn(program, ['-c', join(folder, 'conf')], { stdio: 'ignore' });
}

/** Two thousand messages a second at the broker, of twenty hygrometers: whether all of it is kept, and who waits meanwhile. */
export async function messages() {
  const broker = await startBroker();
  const { url, send, stop } = await startServer(mkdtempSync(join(tmpdir(), 'bright-keeper-broker-')), PORT);
  try {
    const address = `mqtt://127.0.0.1:${BROKER_PORT}`;
    await send('PUT', '/api/air/intake/broker', { address, username: '', password: null, authority: '' });
    for (let i = 0; i < DEVICES; i += 1) {
      const intake = { by: 'mqtt', topic: `bench/${i}`, humidityTopic: null, stateTopic: null, options: {} };
      await send('POST', '/api/air/devices', {
        name: `Probe ${i}`,
        source: 'mqtt',
        outdoor: false,
        placeId: null,
        everyMinutes: 1,
        note: '',
        intake,
      });
    }
    const readings = async () => {
      const { devices } = await (await fetch(`${url}/api/air/devices`)).json();
      return devices.reduce((sum, d) => sum + d.readings, 0);
    };
    const client = await connectAsync(address);
    const begin = Date.now() - 400 * 24 * 60 * A_MINUTE_MS;
    let sent = 0;
    const say = () => {
      const time = new Date(begin + Math.floor(sent / DEVICES) * A_MINUTE_MS).toISOString();
      client.publish(`bench/${sent % DEVICES}`, JSON.stringify({ time, temperature: 20, humidity: 50 }), { qos: 1 });
      sent += 1;
    };
    // The line is open, and all topics are heard, once each has said something that is kept.
    while ((await readings()) < DEVICES) {
      sent = 0;
      for (let i = 0; i < DEVICES; i += 1) say();
      await new Promise((resolve) => setTimeout(resolve, 1000));
    }
    const beside = await timesBeside(url, async () => {
      const from = performance.now();
      while (performance.now() - from < SECONDS * 1000) {
        while (sent < DEVICES + ((performance.now() - from) / 1000) * A_SECOND) say();
        await new Promise((resolve) => setTimeout(resolve, 10));
      }
    });
    const ended = performance.now();
    while ((await readings()) < sent && performance.now() - ended < 60_000) await new Promise((resolve) => setTimeout(resolve, 100));
    console.log(
      `${A_SECOND} messages a second at the broker, of ${DEVICES} hygrometers: ${await readings()} of ${sent} are kept, the last ` +
        `${((performance.now() - ended) / 1000).toFixed(1)} s after it was said; a trivial request beside them: median ${median(beside).toFixed(0)} ms, ` +
        `the longest ${Math.max(...beside).toFixed(0)} ms (aim: all, and none above 250 ms)`,
    );
    await client.endAsync(true);
  } finally {
    await stop();
    broker.kill();
  }
}

if (process.argv[1]?.endsWith('broker.mjs')) await messages();
