import { type air, sources } from '@bright-keeper/core';
import type { Own } from './outlets.js';

/** Where a device sends to, with its key. */
export type Target = { url: string; token: string };

const SENML = 'application/senml+json';
/** So many readings go in one pack. */
const PACK = 4000;

/** Sends a pack as a real device would: SenML over HTTP with a Bearer key. @throws Error with the server's own words. */
async function send({ url, token }: Target, path: string, pack: readonly sources.SenmlRecord[]): Promise<void> {
  const response = await fetch(url + path, {
    method: 'POST',
    headers: { 'content-type': SENML, authorization: `Bearer ${token}` },
    body: JSON.stringify(pack),
  });
  if (!response.ok) throw new Error(`${response.status}: ${await response.text()}`);
}

const packOf = (readings: readonly air.WeatherHour[]): sources.SenmlRecord[] =>
  sources.toSenml('urn:dev:bright-keeper:simulated', readings);

/** Readings, with how the device is (RFC 8428: %EL; RFC 8798: dBm). */
export async function pushReadings(target: Target, readings: readonly air.Reading[], { batteryPct, signalDbm }: Own): Promise<void> {
  const own = [{ n: 'radio', u: 'dBm', v: signalDbm }, ...(batteryPct === null ? [] : [{ n: 'battery', u: '%EL', v: batteryPct }])];
  for (let i = 0; i < readings.length; i += PACK) await send(target, '/api/air/readings', [...packOf(readings.slice(i, i + PACK)), ...own]);
}

export const pushForecast = (target: Target, readings: readonly air.WeatherHour[]): Promise<void> =>
  send(target, '/api/air/forecast', packOf(readings));
