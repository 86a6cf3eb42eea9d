/*
 * For how long each question of the API keeps the program's one thread from answering anybody else: every route that
 * reads, as its own description lists them, over the demo household and over one ten times a household's size.
 * `npm run bench:loop`; aim: no more than 50 ms.
 */
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { fillHousehold, startDemo, startServer } from './scale.mjs';

const PORT = 4891;
const LAG_PORT = 4890;
const AIM_MS = 50;
const RUNS = 5;
const SIZE = { things: 1000, places: 40, days: 365 };

process.env.NODE_OPTIONS = `--import=${pathToFileURL(fileURLToPath(new URL('lagProbe.mjs', import.meta.url))).href}`;
process.env.LAG_PORT = String(LAG_PORT);

const lag = async () => Number(await (await fetch(`http://127.0.0.1:${LAG_PORT}`)).text());

/** Ids of everything there is, by the word that stands before them in an address. */
async function idsIn(url) {
  const get = async (path) => (await fetch(url + path)).json();
  const { items } = await get('/api/gear?limit=20');
  const { places } = await get('/api/storage/places');
  const { devices } = await get('/api/air/devices');
  const cleanings = await get('/api/care/cleanings');
  const first = (list) => list?.[0]?.item?.id ?? list?.[0]?.id;
  return { gear: first(items), items: first(items), places: first(places), devices: first(devices), cleanings: first(cleanings) };
}

/** The addresses that read, with what stands in braces filled in; those for which the household has nothing are left out. */
async function readsOf(url) {
  const { paths } = await (await fetch(`${url}/api/docs.json`)).json();
  const ids = await idsIn(url);
  return (
    Object.entries(paths)
      // One of them never ends: what moves is told as it moves.
      .filter(([path, methods]) => methods.get && path !== '/api/live')
      .map(([path]) => path.replace(/\/(\w[\w-]*)\/\{[^}]+\}/g, (_, word) => `/${word}/${ids[word] ?? '{none}'}`))
      .filter((path) => !path.includes('{'))
  );
}

async function measure(name, server) {
  const { url } = server;
  const rows = [];
  for (const path of await readsOf(url)) {
    const worst = [];
    let status = 0;
    for (let run = 0; run < RUNS; run += 1) {
      await lag();
      const answer = await fetch(url + path);
      await answer.arrayBuffer();
      status = answer.status;
      worst.push(await lag());
    }
    if (status < 400) rows.push({ path, first: worst[0], later: Math.min(...worst.slice(1)) });
  }
  await server.stop();
  rows.sort((a, b) => b.later - a.later);
  console.log(`\n${name}: ${rows.length} routes that read; the first time, and the best of four later, in ms`);
  for (const { path, first, later } of rows.filter((r) => r.first > AIM_MS || r.later > AIM_MS / 2))
    console.log(`${first.toFixed(0).padStart(6)} ${later.toFixed(0).padStart(6)}  ${path}${later > AIM_MS ? '  (aim: 50)' : ''}`);
}

await measure('demo', await startDemo(mkdtempSync(join(tmpdir(), 'bright-keeper-loop-')), PORT));
const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-loop-'));
const filling = await startServer(dataDir, PORT);
await fillHousehold(filling, SIZE);
await filling.stop();
await measure(`${SIZE.things} things, ${SIZE.places} hygrometers`, await startServer(dataDir, PORT));
