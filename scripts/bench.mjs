import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { bin, ensureInstalled, must, ROOT } from './run.mjs';

const PORT = 4898;

/** Runs a TypeScript benchmark against the built core. */
function runTypeScript(file) {
  const out = join(mkdtempSync(join(tmpdir(), 'bright-keeper-bench-')), 'bench.mjs');
  must(bin('esbuild'), [file, '--bundle', '--platform=node', '--format=esm', `--outfile=${out}`, '--log-level=error']);
  must(process.execPath, [out]);
}

/** From spawning the process to its first answer. */
async function startOnce(dataDir) {
  const begin = performance.now();
  const server = spawn(process.execPath, [join(ROOT, 'server', 'dist', 'bundle.js')], {
    env: { ...process.env, PORT: String(PORT), BRIGHT_KEEPER_DATA: dataDir },
  });
  for (;;) {
    try {
      if ((await fetch(`http://localhost:${PORT}/api/today`)).ok) break;
    } catch {
      await new Promise((resolve) => setTimeout(resolve, 10));
    }
  }
  const ms = performance.now() - begin;
  const ended = new Promise((resolve) => server.on('exit', resolve));
  server.kill('SIGTERM');
  await ended;
  return ms;
}

async function coldStart() {
  const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-bench-'));
  const fresh = await startOnce(dataDir);
  const starts = [];
  for (let i = 0; i < 5; i += 1) starts.push(await startOnce(dataDir));
  starts.sort((a, b) => a - b);
  console.log(
    `cold start on existing data: median ${(starts[2] / 1000).toFixed(2)} s of 5 (aim: under 2.5 s); on a new directory ${(fresh / 1000).toFixed(2)} s`,
  );
}

/** What the browser loads for the first page: the entry, everything it imports, and the page's own chunk with its imports. */
function firstPage() {
  const assets = join(ROOT, 'web', 'dist', 'assets');
  const html = readFileSync(join(ROOT, 'web', 'dist', 'index.html'), 'utf8');
  const todo = [...html.matchAll(/assets\/([\w-]+\.js)/g)].map((m) => m[1]);
  todo.push(readdirSync(assets).find((f) => f.startsWith('TodayPage')));
  const seen = new Set();
  while (todo.length > 0) {
    const file = todo.pop();
    if (seen.has(file)) continue;
    seen.add(file);
    for (const [, name] of readFileSync(join(assets, file), 'utf8').matchAll(/(?:import|from)\s*["']\.\/([\w-]+\.js)["']/g))
      todo.push(name);
  }
  const bytes = [...seen].reduce((sum, file) => sum + gzipSync(readFileSync(join(assets, file))).length, 0);
  console.log(`JavaScript of the first page: ${(bytes / 1000).toFixed(0)} kB gzipped in ${seen.size} files (aim: under 200 kB)`);
}

ensureInstalled();
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt();
runTypeScript('bench/src/plan.ts');
runTypeScript('bench/src/space.ts');
firstPage();
await coldStart();
