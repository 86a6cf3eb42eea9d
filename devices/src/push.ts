import { type air, sources } from '@bright-keeper/core';

/** Where a device sends to, with its key. */
export type Target = { url: string; token: string };

const SENML = 'application/senml+json';
/** So many readings go in one pack. */
const PACK = 4000;

/** Sends a pack as a real device would: SenML over HTTP with a Bearer key. @throws Error with the server's own words. */
async function send({ url, token }: Target, path: string, readings: readonly air.WeatherHour[]): Promise<void> {
  const response = await fetch(url + path, {
    method: 'POST',
    headers: { 'content-type': SENML, authorization: `Bearer ${token}` },
    body: JSON.stringify(sources.toSenml('urn:dev:bright-keeper:simulated', readings)),
  });
  if (!response.ok) throw new Error(`${response.status}: ${await response.text()}`);
}

export async function pushReadings(target: Target, readings: readonly air.Reading[]): Promise<void> {
  for (let i = 0; i < readings.length; i += PACK) await send(target, '/api/air/readings', readings.slice(i, i + PACK));
}

export const pushForecast = (target: Target, readings: readonly air.WeatherHour[]): Promise<void> =>
  send(target, '/api/air/forecast', readings);
