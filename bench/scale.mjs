import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const STEP_MIN = 10;
const MS_PER_DAY = 86_400_000;
const KINDS = ['lens', 'lens', 'lens', 'mirrorless-body', 'filter', 'binocular'];
/** How the logs of these benchmarks are written. */
const FORMAT = {
  delimiter: ',',
  decimal: '.',
  dateOrder: 'iso',
  date: 'time',
  time: null,
  temperature: 'temperature',
  humidity: 'humidity',
  temperatureUnit: 'C',
  humidityUnit: 'pct',
  timeZone: 'UTC',
};

/** Starts the bundle that people run, on a directory or a PostgreSQL server; ready when it answers. */
export const startServer = (dataDir, port, databaseUrl = '') =>
  startProgram(join('server', 'dist', 'bundle.js'), { PORT: String(port), BRIGHT_KEEPER_DATA: dataDir, DATABASE_URL: databaseUrl });

/** The demo household, likewise. */
export const startDemo = (dataDir, port) =>
  startProgram(join('server', 'dist', 'demo.js'), { PORT: String(port), BRIGHT_KEEPER_DEMO_DATA: dataDir, DATABASE_URL: '' });

async function startProgram(script, more) {
  const child = spawn(process.execPath, [join(ROOT, script)], { env: { ...process.env, ...more }, stdio: ['ignore', 'ignore', 'inherit'] });
  const url = `http://localhost:${more.PORT}`;
  for (;;) {
    try {
      if ((await fetch(`${url}/api/settings`)).ok) break;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  }
  const send = async (method, path, body, type = 'application/json') => {
    const response = await fetch(url + path, {
      method,
      headers: { 'content-type': type },
      body: typeof body === 'string' ? body : JSON.stringify(body),
    });
    if (!response.ok) throw new Error(`${method} ${path}: ${response.status} ${(await response.text()).slice(0, 300)}`);
    return response.json();
  };
  const ended = new Promise((resolve) => child.on('exit', resolve));
  return { child, url, send, stop: () => (child.kill('SIGTERM'), ended) };
}

/** Invented air of a place: a season, a day, and what its own walls make of them. */
function logOf(days, seed) {
  const lines = ['time,temperature,humidity'];
  const steps = (days * 24 * 60) / STEP_MIN;
  const end = Math.floor(Date.now() / (STEP_MIN * 60_000)) * STEP_MIN * 60_000;
  for (let i = 0; i < steps; i += 1) {
    const at = end - (steps - i) * STEP_MIN * 60_000;
    const season = Math.cos((2 * Math.PI * at) / (365 * MS_PER_DAY) + seed);
    const day = Math.cos((2 * Math.PI * at) / MS_PER_DAY);
    const temperature = (19 + 5 * season + day).toFixed(1);
    const humidity = (52 + (seed % 14) - 9 * season + 3 * day).toFixed(1);
    lines.push(`${new Date(at).toISOString()},${temperature},${humidity}`);
  }
  return `${lines.join('\n')}\n`;
}

/** A household of so many things, and so many places with a hygrometer each and its log of so many days. */
export async function fillHousehold({ send }, { things, places, days }) {
  const content = ['name,kind', ...Array.from({ length: things }, (_, i) => `Thing ${i},${KINDS[i % KINDS.length]}`)].join('\n');
  const bytes = Buffer.from(content).toString('base64');
  await send('POST', '/api/gear/import', { fileBase64: bytes });
  for (let i = 0; i < places; i += 1) {
    const kind = ['shelf', 'cupboard', 'dry-cabinet', 'hard-case'][i % 4];
    const { device } = await addMeasuredPlace(send, { name: `Place ${i}`, kind, everyMinutes: STEP_MIN });
    await send('POST', logAddress(device.id), logOf(days, i), 'text/csv');
  }
}

/** A place and the hygrometer that lies in it, whose log is imported. */
export async function addMeasuredPlace(send, { name, kind, everyMinutes }) {
  const usual = {
    volumeL: 200,
    airChangesPerDay: null,
    openingsPerWeek: 0,
    lining: 'none',
    lowPct: 35,
    highPct: 60,
    standsInId: null,
    note: '',
  };
  const place = await send('POST', '/api/storage/places', { name, kind, ...usual });
  const logger = { name: `${name}, logger`, source: 'csv', outdoor: false, placeId: place.id, everyMinutes, note: '' };
  return { place, device: await send('POST', '/api/air/devices', logger) };
}

export const logAddress = (deviceId) => `/api/air/devices/${deviceId}/log?format=${encodeURIComponent(JSON.stringify(FORMAT))}`;

/** How much memory a process holds now, and held at its most, MB. */
export function memoryOf(pid) {
  const status = readFileSync(`/proc/${pid}/status`, 'utf8');
  const mb = (key) => Math.round(Number(new RegExp(`${key}:\\s+(\\d+)`).exec(status)[1]) / 1024);
  return `${mb('VmRSS')} MB now, ${mb('VmHWM')} MB at most`;
}

export const median = (values) => [...values].sort((a, b) => a - b)[values.length >> 1];

/** How long each of the trivial requests took that were sent, one after another, while something else was asked for, ms. */
export async function timesBeside(url, work) {
  let over = false;
  const ended = work().finally(() => (over = true));
  const times = [];
  while (!over) {
    const begin = performance.now();
    await (await fetch(`${url}/api/settings`)).text();
    times.push(performance.now() - begin);
    await new Promise((resolve) => setTimeout(resolve, 2));
  }
  await ended;
  return times;
}
