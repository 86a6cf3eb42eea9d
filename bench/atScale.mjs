import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fillHousehold, median, memoryOf, startServer, timesBeside } from './scale.mjs';

const PORT = 4897;
const RUNS = 9;
const SIZE = { things: 1000, places: 40, days: 365 };
const TENTH = { things: 100, places: 4, days: 365 };

async function timed(url, path) {
  const begin = performance.now();
  const response = await fetch(url + path);
  await response.text();
  if (!response.ok) throw new Error(`${path}: ${response.status}`);
  return performance.now() - begin;
}
async function medianOf(url, path, runs = RUNS) {
  const times = [];
  for (let i = 0; i < runs; i += 1) times.push(await timed(url, path));
  return median(times);
}

/** The longest a trivial request waits while something else is asked for. */
const worstBeside = async (url, work) => Math.max(...(await timesBeside(url, work)));

async function measure(size) {
  const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-scale-'));
  const filling = await startServer(dataDir, PORT);
  await fillHousehold(filling, size);
  await filling.stop();
  const server = await startServer(dataDir, PORT);
  const { url, send, child } = server;
  const anchor = await medianOf(url, '/api/settings', 31);
  const first = await timed(url, '/api/today');
  // The solver settles the bench days once; what is measured after it is the usual day.
  await timed(url, '/api/schedule/bench-days');
  const today = await medianOf(url, '/api/today');
  const { devices } = await (await fetch(`${url}/api/air/devices`)).json();
  const afterPush = [];
  for (let round = 0; round < 3; round += 1) {
    for (const [i, { id }] of devices.entries())
      await send('POST', `/api/air/devices/${id}/readings`, { temperatureC: 20 + round / 10, humidityPct: 50 + (i % 5) });
    afterPush.push(await timed(url, '/api/today'));
  }
  const figures = {
    'a trivial request, alone': anchor,
    'Today, the first': first,
    'Today, warm': today,
    'Today, after every device told something': median(afterPush),
    'the shelf': await medianOf(url, '/api/gear?limit=50'),
    'the shelf by what is due': await medianOf(url, '/api/gear?limit=50&sort=due'),
    places: await medianOf(url, '/api/storage'),
    hygrometers: await medianOf(url, '/api/air/devices'),
    'a trivial request beside Today': await worstBeside(url, () => timed(url, '/api/today')),
    'a trivial request beside the agenda': await worstBeside(url, () => timed(url, '/api/schedule/agenda')),
  };
  const memory = memoryOf(child.pid);
  await server.stop();
  return { figures, memory };
}

/** A household at scale and one of a tenth of it: each figure with its ratio to a trivial request, and to the tenth. */
export async function atScale() {
  const small = await measure(TENTH);
  const large = await measure(SIZE);
  console.log(`${SIZE.things} things, ${SIZE.places} places and hygrometers, a year of ten-minute readings; beside them a tenth of each:`);
  const anchor = large.figures['a trivial request, alone'];
  for (const [name, ms] of Object.entries(large.figures))
    console.log(
      `  ${name}: ${ms.toFixed(1)} ms, ${(ms / anchor).toFixed(1)} times a trivial request, ${(ms / small.figures[name]).toFixed(1)} times the tenth`,
    );
  console.log(`  memory: ${large.memory}; of the tenth ${small.memory}`);
}
