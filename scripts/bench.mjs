import { spawn } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { atScale } from '../bench/atScale.mjs';
import { durableWrites } from '../bench/durable.mjs';
import { inBrowser } from '../bench/inBrowser.mjs';
import { listeners } from '../bench/listeners.mjs';
import { longShelf } from '../bench/longShelf.mjs';
import { manyClients } from '../bench/manyClients.mjs';
import { outOfReach } from '../bench/outOfReach.mjs';
import { messages } from '../bench/broker.mjs';
import { pushes } from '../bench/push.mjs';
import { addMeasuredPlace, logAddress, median, memoryOf, startDemo, startServer, timesBeside } from '../bench/scale.mjs';
import { ensureChromium } from './chromium.mjs';
import { bin, ensureInstalled, must, ROOT } from './run.mjs';

const PORT = 4898;

/** Runs a TypeScript benchmark against the built core. */
function runTypeScript(file) {
  const out = join(mkdtempSync(join(tmpdir(), 'bright-keeper-bench-')), 'bench.mjs');
  must(bin('esbuild'), [file, '--bundle', '--platform=node', '--format=esm', `--outfile=${out}`, '--log-level=error']);
  must(process.execPath, [out]);
}

/**
 * A process that opens the database on these files and does nothing else: what no start can be quicker than. It closes
 * them again, or the next start would have to recover them.
 */
async function openBare(dataDir) {
  const script = `import { PGlite } from '@electric-sql/pglite'; const db = await PGlite.create(${JSON.stringify(join(dataDir, 'db'))}); await db.query('select 1'); console.log('there'); await db.close();`;
  const begin = performance.now();
  const child = spawn(process.execPath, ['--input-type=module', '-e', script], { cwd: ROOT, stdio: ['ignore', 'pipe', 'inherit'] });
  const ended = new Promise((resolve) => child.on('exit', resolve));
  await new Promise((resolve) => child.stdout.once('data', resolve));
  const ms = performance.now() - begin;
  await ended;
  return ms;
}

/** From spawning the process to its first answer, when its page is there too, and to Today. */
async function startOnce(dataDir) {
  const begin = performance.now();
  const { url, stop } = await startServer(dataDir, PORT);
  const page = performance.now() - begin;
  await (await fetch(`${url}/api/today`)).text();
  const today = performance.now() - begin;
  await stop();
  return { page, today };
}

/** Starts on the demo household, against the database alone on the same files; and one on a new directory. */
async function coldStart() {
  const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-bench-'));
  await (await startDemo(dataDir, PORT)).stop();
  const [bare, starts] = [[], []];
  for (let i = 0; i < 5; i += 1) {
    bare.push(await openBare(dataDir));
    starts.push(await startOnce(dataDir));
  }
  const anchor = median(bare);
  for (const [name, what, aim] of [
    ['its page', 'page', 1.4],
    ['Today', 'today', 1.7],
  ]) {
    const ms = median(starts.map((s) => s[what]));
    console.log(
      `start on the demo to ${name}: ${(ms / 1000).toFixed(2)} s, ${(ms / anchor).toFixed(1)} times the database alone (aim: ${aim})`,
    );
  }
  const { page } = await startOnce(mkdtempSync(join(tmpdir(), 'bright-keeper-bench-')));
  console.log(`start on a new directory: ${(page / 1000).toFixed(2)} s (aim: under 2 s)`);
}

/** A log of so many minutes as a CSV file. */
function minuteLog(rows, endMs) {
  const parts = ['time,temperature,humidity\n'];
  for (let i = 0; i < rows; i += 10_000) {
    const lines = Array.from({ length: Math.min(10_000, rows - i) }, (_, k) => {
      const minute = i + k;
      const at = new Date(endMs - (rows - minute) * 60_000).toISOString();
      return `${at},${(20 + 3 * Math.sin(minute / 900)).toFixed(1)},${(55 + 12 * Math.sin(minute / 4000)).toFixed(1)}\n`;
    });
    parts.push(lines.join(''));
  }
  return new Blob(parts, { type: 'text/csv' });
}

/** Five years of minutes into the running server, and its charts out again. */
async function storageApi() {
  const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-bench-'));
  const { child, url, send, stop } = await startServer(dataDir, PORT);
  const { place, device } = await addMeasuredPlace(send, { name: 'Shelf', kind: 'shelf', everyMinutes: 1 });
  const endMs = Math.floor(Date.now() / 60_000) * 60_000;
  const importRows = async (rows, end) => {
    const file = minuteLog(rows, end);
    const begin = performance.now();
    let perSecond = 0;
    const beside = await timesBeside(url, async () => {
      const response = await fetch(url + logAddress(device.id), { method: 'POST', body: file });
      const { accepted } = await response.json();
      perSecond = (accepted / (performance.now() - begin)) * 1000;
    });
    return { perSecond, beside: median(beside) };
  };
  const million = await importRows(1_000_000, endMs);
  console.log(
    `import of a CSV of 1 million rows: ${Math.round(million.perSecond / 1000)},000 rows a second (aim: 400,000); ` +
      `a trivial request beside it: median ${million.beside.toFixed(0)} ms (aim: 30); memory ${memoryOf(child.pid)}`,
  );
  await importRows(1_630_000, endMs - 1_000_000 * 60_000);
  const chart = async (days) => {
    const begin = performance.now();
    const from = new Date(endMs - days * 86_400_000).toISOString();
    const query = new URLSearchParams({ from, to: new Date(endMs).toISOString(), points: '600' });
    await (await fetch(`${url}/api/storage/places/${place.id}/chart?${query}`)).json();
    return performance.now() - begin;
  };
  const first = await chart(365);
  for (const [name, days] of [
    ['an hour', 1 / 24],
    ['a week', 7],
    ['a year', 365],
    ['5 years', 1826],
  ]) {
    const times = [];
    for (let i = 0; i < 15; i += 1) times.push(await chart(days));
    times.sort((a, b) => a - b);
    console.log(`chart of ${name} out of 2.6 million readings: median ${times[7].toFixed(0)} ms`);
  }
  console.log(
    `the first chart after an import: ${first.toFixed(0)} ms; memory of the server ${memoryOf(child.pid)} (aim for a year: under 150 ms median)`,
  );
  await stop();
}

ensureInstalled();
ensureChromium();
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt();
runTypeScript('bench/src/plan.ts');
runTypeScript('bench/src/space.ts');
runTypeScript('bench/src/box.ts');
runTypeScript('bench/src/homes.ts');
runTypeScript('bench/src/pack.ts');
runTypeScript('bench/src/mould.ts');
runTypeScript('bench/src/agenda.ts');
runTypeScript('bench/src/frame.ts');
await coldStart();
await storageApi();
await atScale();
await manyClients();
await durableWrites();
await pushes();
await messages();
await inBrowser();
await longShelf();
await outOfReach();
await listeners();
