/*
 * Mixed load over the demo household for as long as one likes, an hour where nothing is said: `npm run bench:steady -- MINUTES`.
 * What a program holds must not grow with what it was asked: memory, open files and threads of the last quarter lie within
 * 5 % of those of the first, which begins when everything has been asked for once.
 */
import { readdirSync, readFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { median, startDemo } from './scale.mjs';

const PORT = 4893;
const CLIENTS = 6;
const LOOK_EVERY_MS = 1000;
const MOST_GROWTH = 1.05;
const MINUTES = Number(process.argv[2] ?? 60);
if (!(MINUTES > 0)) throw new Error('npm run bench:steady -- MINUTES');

/** Seeded numbers below one, so that every run asks the same. */
let state = 20_261_129;
const random = () => {
  state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0;
  return state / 2 ** 32;
};
const pick = (list) => list[Math.floor(random() * list.length)];

const server = await startDemo(mkdtempSync(join(tmpdir(), 'bright-keeper-steady-')), PORT);
const { url } = server;
const get = async (path) => (await fetch(url + path)).json();
const { items } = await get('/api/gear?limit=100');
const { places } = await get('/api/storage/places');
const { devices } = await get('/api/air/devices');
const hygrometer = devices.find((d) => d.source === 'push') ?? devices[0];

/** Reads of every sort, and writes that leave as much as there was: an edit, a reading of the same minute, a thing refused. */
const WORK = {
  today: () => fetch(`${url}/api/today`),
  shelf: () => fetch(`${url}/api/gear?limit=50&search=${pick(['', '35', 'Corvane', 'no such thing'])}`),
  thing: () => fetch(`${url}/api/gear/${pick(items).item?.id ?? pick(items).id}`),
  places: () => fetch(`${url}/api/storage`),
  place: () => fetch(`${url}/api/storage/places/${pick(places).id}`),
  calendar: () => fetch(`${url}/api/schedule/calendar.ics`),
  'bench days': () => fetch(`${url}/api/schedule/bench-days`),
  settings: () => fetch(`${url}/api/settings`),
  export: () => fetch(`${url}/api/household/export.zip`),
  refused: () => fetch(`${url}/api/gear`, { method: 'POST', headers: { 'content-type': 'application/json' }, body: '{"name":""}' }),
  reading: () =>
    fetch(`${url}/api/air/devices/${hygrometer.id}/readings`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        at: new Date(Date.now() - 60_000).toISOString().replace(/\d\d\.\d+Z/, '00Z'),
        temperatureC: 20,
        humidityPct: 50,
      }),
    }),
  edit: async () => {
    const id = pick(items).item?.id ?? pick(items).id;
    const { item } = await get(`/api/gear/${id}`);
    if (!item) return fetch(`${url}/api/settings`);
    const { name, kind, traits, acquiredOn, version } = item;
    return fetch(`${url}/api/gear/${id}`, {
      method: 'PUT',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name, kind, traits, acquiredOn, version, notes: `Note ${Math.floor(random() * 10)}` }),
    });
  },
};
/** Each thing is asked for about as often as people ask for it. */
const OFTEN = Object.keys(WORK).flatMap((name) => Array.from({ length: name === 'export' ? 1 : name === 'calendar' ? 4 : 12 }, () => name));

const held = () => {
  const status = readFileSync(`/proc/${server.child.pid}/status`, 'utf8');
  const of = (key) => Number(new RegExp(`${key}:\\s+(\\d+)`).exec(status)[1]);
  return { 'memory, MB': of('VmRSS') / 1024, 'open files': readdirSync(`/proc/${server.child.pid}/fd`).length, threads: of('Threads') };
};

let over = false;
const asked = {};
const client = async () => {
  while (!over) {
    const name = pick(OFTEN);
    const response = await WORK[name]().catch((error) => ({ status: `no answer: ${error.message}`, arrayBuffer: () => Promise.resolve() }));
    await response.arrayBuffer();
    const said = `${name}: ${response.status}`;
    asked[said] = (asked[said] ?? 0) + 1;
  }
};
const clients = Array.from({ length: CLIENTS }, client);

const samples = [];
const beside = [];
const begin = performance.now();
const until = begin + MINUTES * 60_000;
while (performance.now() < until) {
  const at = performance.now();
  await (await fetch(`${url}/api/health`)).arrayBuffer();
  beside.push(performance.now() - at);
  samples.push(held());
  await new Promise((resolve) => setTimeout(resolve, LOOK_EVERY_MS));
}
over = true;
await Promise.all(clients);
await server.stop();

console.log(`${Object.values(asked).reduce((a, b) => a + b, 0)} requests in ${MINUTES} minutes:`, asked);
beside.sort((a, b) => a - b);
const share = (p) => beside[Math.min(beside.length - 1, Math.floor(beside.length * p))].toFixed(0);
console.log(`Health beside them: half in ${share(0.5)} ms, 99 % in ${share(0.99)} ms, at worst ${share(1)} ms.`);

// The first tenth is the start: what is kept to answer the next one quicker is made then.
const settled = samples.slice(Math.floor(samples.length / 10));
const quarter = Math.max(1, Math.floor(settled.length / 4));
let grew = false;
for (const what of Object.keys(settled[0])) {
  const first = median(settled.slice(0, quarter).map((s) => s[what]));
  const last = median(settled.slice(-quarter).map((s) => s[what]));
  grew ||= last > first * MOST_GROWTH;
  console.log(
    `${what}: ${first.toFixed(0)} in the first quarter, ${last.toFixed(0)} in the last (${((100 * last) / first - 100).toFixed(1)} %).`,
  );
}
const failed = Object.keys(asked).filter((said) => / (5\d\d|no answer)/.test(said));
if (failed.length > 0) console.log(`Failed: ${failed.join('; ')}.`);
process.exit(grew || failed.length > 0 ? 1 : 0);
