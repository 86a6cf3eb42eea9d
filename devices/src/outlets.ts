import type { air } from '@bright-keeper/core';
import { appendFile, stat, writeFile } from 'node:fs/promises';
import { createServer } from 'node:http';
import { join } from 'node:path';
import { connectAsync } from 'mqtt';
import { pushReadings, type Target } from './push.js';

/** What a device says of itself beside its readings. */
export type Own = { batteryPct: number | null; signalDbm: number };

/** A way in which a device lets its readings be known. */
export type Outlet = (readings: readonly air.Reading[], own: Own) => Promise<void>;

/** One reading as small devices write it. */
const asJson = ({ at, temperatureC, humidityPct }: air.Reading, { batteryPct, signalDbm }: Own): string =>
  JSON.stringify({
    time: at,
    temperature: temperatureC,
    humidity: humidityPct,
    rssi: signalDbm,
    ...(batteryPct === null ? {} : { battery: batteryPct }),
  });

/** Pushes over HTTP with its key. */
export const pushing =
  (target: Target): Outlet =>
  (readings, own) =>
    pushReadings(target, readings, own);

/** Publishes to a broker, and has it say when it is gone: its last will. */
export async function publishing(broker: string, topic: string): Promise<Outlet> {
  const state = `${topic}/state`;
  const client = await connectAsync(broker, { will: { topic: state, payload: Buffer.from('offline'), qos: 1, retain: true } });
  const sayOn = () => client.publishAsync(state, 'online', { qos: 1, retain: true });
  client.on('connect', () => void sayOn().catch(() => undefined));
  await sayOn();
  return async (readings, own) => {
    for (const reading of readings) await client.publishAsync(topic, asJson(reading, own), { qos: 1, retain: true });
  };
}

/** Answers at an address of this machine with its newest reading. */
export async function answering(port: number): Promise<Outlet> {
  let latest = '{}';
  const server = createServer((_, response) => response.writeHead(200, { 'content-type': 'application/json' }).end(latest));
  await new Promise<void>((resolve, reject) => server.once('error', reject).listen(port, '127.0.0.1', resolve));
  return (readings, own) => {
    const last = readings.at(-1);
    if (last) latest = asJson(last, own);
    return Promise.resolve();
  };
}

/** Writes its log into a folder, a file for each month. */
export function logging(folder: string): Outlet {
  return async (readings) => {
    for (const { at, temperatureC, humidityPct } of readings) {
      const file = join(folder, `hygrometer-${at.slice(0, 7)}.csv`);
      const isNew = await stat(file).then(
        () => false,
        () => true,
      );
      if (isNew) await writeFile(file, 'time,temperature,humidity\n');
      await appendFile(file, `${at},${temperatureC},${humidityPct}\n`);
    }
  };
}
