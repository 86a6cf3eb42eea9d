import { PGlite } from '@electric-sql/pglite';
import { build } from 'esbuild';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { wake } from '../server/dist/wake/index.js';
import { openWaking } from '../server/dist/startup/index.js';

const ROOT = fileURLToPath(new URL('..', import.meta.url));
const LONE = 300;
const TOGETHER = 2000;
const AT_ONCE = 50;
const TABLE = 'create table written (id int, note text)';
const INSERT = 'insert into written values ($1, $2)';
const NOTE = 'x'.repeat(100);

/** A PostgreSQL server of the benchmark's own, from the same helper the tests use; its commits reach the disk. */
export async function durableCluster() {
  const entry = join(ROOT, 'server', 'src', 'testing', 'postgresCluster.ts');
  const { outputFiles } = await build({ entryPoints: [entry], bundle: true, platform: 'node', format: 'esm', write: false });
  const { startCluster } = await import(`data:text/javascript,${encodeURIComponent(outputFiles[0].text)}`);
  return startCluster({ durable: true });
}

/** @param write one write that is on disk when it comes back. */
async function measure(name, write) {
  const lone = [];
  for (let i = 0; i < LONE; i += 1) {
    const begin = performance.now();
    await write(i);
    lone.push(performance.now() - begin);
  }
  lone.sort((a, b) => a - b);
  const begin = performance.now();
  for (let i = 0; i < TOGETHER; i += AT_ONCE) await Promise.all(Array.from({ length: AT_ONCE }, (_, k) => write(i + k)));
  const perSecond = (TOGETHER / (performance.now() - begin)) * 1000;
  const at = (share) => lone[Math.floor(LONE * share)].toFixed(2);
  console.log(`${name}: a lone write ${at(0.5)} ms (99 % in ${at(0.99)}), ${AT_ONCE} at once ${Math.round(perSecond)} a second`);
}

/** Writes that are on disk when they are answered, held against the same writes of others in the same run. */
export async function durableWrites() {
  const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-bench-'));
  const bare = await PGlite.create(join(folder, 'bare'));
  await bare.exec(TABLE);
  await measure('bare PGlite, which syncs nothing', (i) => bare.query(INSERT, [i, NOTE]));
  await bare.close();

  const dataDir = join(folder, 'ours');
  const { database: ours, ready } = openWaking(wake(dataDir), { dataDir, onStopped: () => {} });
  await ready;
  await ours.pool.query(TABLE);
  await measure('ours, embedded, synced before the answer', async (i) => {
    const kept = ours.promise();
    await ours.pool.query(INSERT, [i, NOTE]);
    await kept();
  });
  await ours.close();

  const cluster = await durableCluster();
  const pool = new pg.Pool({ connectionString: cluster.urlOf('postgres'), max: 20 });
  await pool.query(TABLE);
  await measure('PostgreSQL, 20 connections, synchronous_commit on', (i) => pool.query(INSERT, [i, NOTE]));
  await pool.end();
  cluster.stop();
  rmSync(folder, { recursive: true });
}
