import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { durableCluster } from './durable.mjs';
import { fillHousehold, startServer } from './scale.mjs';

const PORT = 4896;
const A_KEEPER = { things: 300, places: 12, days: 365 };
/** A club of twenty keepers, as far as one household reaches. */
const A_CLUB = { things: 5000, places: 100, days: 60 };
const CLIENTS = 20;
const SECONDS = 20;
const DAY = 86_400_000;

/** Seeded numbers below one, so that every run asks the same. */
let state = 4_872;
const random = () => {
  state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
  return state / 2 ** 32;
};
const pick = (list) => list[Math.floor(random() * list.length)];

/** Twenty keepers of a keeper's household, and of a club's over both databases. */
export async function manyClients() {
  await twentyAtOnce('embedded', A_KEEPER);
  await twentyAtOnce('embedded', A_CLUB);
  const cluster = await durableCluster();
  await twentyAtOnce('PostgreSQL', A_CLUB, cluster.urlOf('postgres'));
  cluster.stop();
}

/** Twenty people at once who look at pages, charts and things, and note a reading now and then. */
async function twentyAtOnce(database, size, databaseUrl) {
  const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-clients-'));
  const server = await startServer(dataDir, PORT, databaseUrl);
  await fillHousehold(server, size);
  const { url } = server;
  const get = async (path) => (await fetch(url + path)).json();
  const { items } = await get('/api/gear?limit=100');
  const { places } = await get('/api/storage/places');
  const { devices } = await get('/api/air/devices');
  await get('/api/schedule/bench-days');
  const chart = (days) => {
    const to = Date.now();
    const query = new URLSearchParams({ from: new Date(to - days * DAY).toISOString(), to: new Date(to).toISOString(), points: '600' });
    return `/api/storage/places/${pick(places).id}/chart?${query}`;
  };
  const asks = [
    () => fetch(`${url}/api/today`),
    () => fetch(`${url}/api/gear?limit=50`),
    () => fetch(`${url}/api/gear/${pick(items).id}`),
    () => fetch(`${url}/api/storage`),
    () => fetch(`${url}/api/storage/places/${pick(places).id}`),
    () => fetch(url + chart(pick([1 / 24, 7, 31, 365]))),
    () => fetch(`${url}/api/settings`),
    () =>
      fetch(`${url}/api/air/devices/${pick(devices).id}/readings`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ temperatureC: 20, humidityPct: 50 }),
      }),
  ];
  const times = [];
  let failed = 0;
  const until = performance.now() + SECONDS * 1000;
  const client = async () => {
    while (performance.now() < until) {
      const begin = performance.now();
      try {
        const response = await pick(asks)();
        await response.arrayBuffer();
        if (!response.ok) failed += 1;
      } catch {
        failed += 1;
      }
      times.push(performance.now() - begin);
    }
  };
  await Promise.all(Array.from({ length: CLIENTS }, client));
  await server.stop();
  times.sort((a, b) => a - b);
  const at = (share) => times[Math.min(times.length - 1, Math.floor(times.length * share))].toFixed(0);
  console.log(
    `${database}: ${CLIENTS} clients, ${size.things} things, ${size.places} hygrometers over ${size.days} days: ${Math.round(times.length / SECONDS)} requests a second, ` +
      `half in ${at(0.5)} ms, 95 % in ${at(0.95)} ms, 99 % in ${at(0.99)} ms, ${failed} failed (aims: 300 ms, 1 s, none)`,
  );
}
