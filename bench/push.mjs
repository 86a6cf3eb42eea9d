import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addMeasuredPlace, startServer } from './scale.mjs';

const PORT = 4894;
const SECONDS = 5;
const DEVICES = 20;
const A_MINUTE_MS = 60_000;

/** Readings as a hygrometer sends them, a minute apart. */
const packOf = (fromMs, count) =>
  Array.from({ length: count }, (_, i) => {
    const t = (fromMs + i * A_MINUTE_MS) / 1000;
    return [
      { n: 'temperature', u: 'Cel', t, v: 20 + (i % 10) / 10 },
      { n: 'humidity', u: '%RH', t, v: 50 + (i % 20) / 10 },
    ];
  }).flat();

/** Pushes of hygrometers into the running server: one after another by one of them, by many at once, and a day at a time. */
export async function pushes() {
  const { url, send, stop } = await startServer(mkdtempSync(join(tmpdir(), 'bright-keeper-push-')), PORT);
  const keys = [];
  for (let i = 0; i < DEVICES; i += 1) {
    const { device } = await addMeasuredPlace(send, { name: `Place ${i}`, kind: 'shelf', everyMinutes: 1 });
    keys.push((await send('POST', `/api/air/devices/${device.id}/token`, {})).token);
  }
  const push = async (key, pack) => {
    const response = await fetch(`${url}/api/air/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/senml+json', authorization: `Bearer ${key}` },
      body: JSON.stringify(pack),
    });
    const { accepted } = await response.json();
    if (accepted !== pack.length / 2) throw new Error(`${response.status}: ${accepted} of ${pack.length / 2} accepted`);
    return accepted;
  };
  /** Readings a second while so many devices push, each as soon as it was answered. */
  const rate = async (devices, size, startDaysAgo) => {
    let accepted = 0;
    const begin = performance.now();
    const until = begin + SECONDS * 1000;
    const one = async (key) => {
      for (let at = Date.now() - startDaysAgo * 86_400_000; performance.now() < until; at += size * A_MINUTE_MS) {
        const taken = await push(key, packOf(at, size));
        accepted += taken;
      }
    };
    await Promise.all(keys.slice(0, devices).map(one));
    return (accepted / (performance.now() - begin)) * 1000;
  };
  console.log(`SenML, one reading a request, one device: ${Math.round(await rate(1, 1, 300))} a second (aim: 400)`);
  console.log(`SenML, one reading a request, ${DEVICES} devices at once: ${Math.round(await rate(DEVICES, 1, 250))} a second`);
  console.log(`SenML, 500 readings a request, one device: ${Math.round(await rate(1, 500, 3000))} a second (aim: 15,000)`);
  await stop();
}
