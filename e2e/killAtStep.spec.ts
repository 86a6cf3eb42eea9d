import { routes, type Shelf } from '@bright-keeper/contract';
import { expect, test } from '@playwright/test';
import { execFileSync, spawn } from 'node:child_process';
import { cpSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import pg from 'pg';
import { startCluster, type Cluster } from '../server/src/testing/postgresCluster.js';
import { oldHousehold } from './oldHousehold.js';
import { freePort, freshDirectory, start } from './server.js';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
const SERVER = join(ROOT, 'server/dist/bundle.js');
const cli = (name: string) => join(ROOT, `server/dist/cli/${name}.js`);
/** At how many of its steps in each thread a work is killed; more of them take minutes, all of them hours: `STEPS=50`, `STEPS=all`. */
const STEPS = process.env.STEPS === 'all' ? Infinity : Number(process.env.STEPS ?? 2);

type Work = {
  /** A folder as it is before the work, with the data in `data`. */
  prepare: () => Promise<string>;
  program: string[];
  /** What a server is asked for when it has begun; without it, it is done when it has begun. */
  ask?: (url: string, folder: string) => Promise<unknown>;
  /** What has to be so afterwards, however far it came. */
  check: (folder: string, ended: boolean) => Promise<void>;
};

/** A database on the server, for each folder its own. */
const databaseOf = (folder: string): string => basename(folder).replaceAll(/\W/g, '_').toLowerCase();

/** Does the work once, killed before a step where one is named; how many steps each thread took. */
async function once({ program, ask }: Work, folder: string, killAt: string): Promise<{ ended: boolean; steps: Record<string, number> }> {
  const counted = join(folder, 'counted');
  const begun = join(folder, 'begun');
  const isServer = program[0] === SERVER;
  const port = await freePort();
  const child = spawn(
    process.execPath,
    [
      '--import',
      join(ROOT, 'e2e/killAt.mjs'),
      ...program.map((word) => word.replace('FOLDER', folder).replace('DATABASE', databaseOf(folder))),
    ],
    {
      env: {
        ...process.env,
        ...{ DATABASE_URL: '', PORT: String(port), BRIGHT_KEEPER_DATA: join(folder, 'data') },
        ...{ KILL_AT: killAt, COUNTED: counted, COUNT_FROM: ask ? begun : '' },
      },
      stdio: ['ignore', 'pipe', 'pipe'],
    },
  );
  const exited = new Promise<NodeJS.Signals | null>((resolve) => child.on('exit', (_, signal) => resolve(signal)));
  let said = '';
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (text: Buffer) => {
      const was = said;
      said += text.toString();
      if (!isServer || was.includes(' is at http') || !said.includes(' is at http')) return;
      writeFileSync(begun, '');
      const asked = ask?.(`http://localhost:${port}`, folder).catch(() => null) ?? Promise.resolve();
      void asked.then(() => child.kill('SIGTERM'));
    });
  const ended = (await exited) !== 'SIGKILL';
  const lines = existsSync(counted) ? readFileSync(counted, 'utf8').trim().split('\n') : [];
  const steps: Record<string, number> = {};
  for (const [role, count] of lines.map((l) => l.split(' '))) steps[role!] = Math.max(steps[role!] ?? 0, Number(count));
  return { ended, steps };
}

/** The steps at which a work is killed, evenly over all it takes. */
const chosen = (total: number): number[] => {
  const n = Math.min(STEPS, total);
  return Array.from({ length: n }, (_, i) => Math.ceil(((i + 0.5) * total) / n));
};

async function killedAtEachStep(work: Work): Promise<void> {
  const first = await work.prepare();
  const { ended, steps } = await once(work, first, '');
  expect(ended).toBe(true);
  await work.check(first, true);
  expect(
    Object.values(steps).some((n) => n > 0),
    JSON.stringify(steps),
  ).toBe(true);
  for (const [role, total] of Object.entries(steps))
    for (const step of chosen(total)) {
      const folder = await work.prepare();
      const killed = await once(work, folder, `${role}:${step}`);
      await test.step(`${role} ${step} of ${total}`, () => work.check(folder, killed.ended));
    }
}

const folderWith = (from?: string): string => {
  const folder = freshDirectory();
  if (from) cpSync(from, join(folder, 'data'), { recursive: true });
  return folder;
};

const isWhole = (file: string): void =>
  expect(execFileSync(process.execPath, [cli('restore'), file, '--check']).toString()).toContain('came out as they went in');

const add = (url: string, name: string) =>
  fetch(url + routes.gear, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null }),
  });

/** The names on the shelf of a household, asked of a program that is started for it. */
async function shelfIn(folder: string): Promise<string[]> {
  const server = await start({ dataDir: join(folder, 'data') });
  try {
    const { items } = (await (await fetch(`${server.url}${routes.gear}?limit=200`)).json()) as Shelf;
    // It is no ruin that only answers: it takes something new, too.
    expect((await add(server.url, 'After')).status).toBe(201);
    return items.map((i) => i.name).sort();
  } finally {
    await server.kill('SIGTERM');
  }
}

const KEPT = ['One', 'Two'];
let kept: string;
let file: string;
test.beforeAll(async () => {
  kept = freshDirectory();
  const server = await start({ dataDir: kept });
  for (const name of KEPT) await add(server.url, name);
  const folder = freshDirectory();
  file = join(folder, 'all.zip');
  writeFileSync(file, Buffer.from(await (await fetch(server.url + routes.exportAll)).arrayBuffer()));
  await server.kill('SIGTERM');
});

test.describe('killed before any of its steps', () => {
  // Each begins a program a dozen times: on a busy machine that takes longer than any other test.
  test.describe.configure({ mode: 'parallel', timeout: 1_800_000 });

  test('a first start is begun anew', () =>
    killedAtEachStep({
      prepare: () => Promise.resolve(folderWith()),
      program: [SERVER],
      check: async (folder) => expect(await shelfIn(folder)).toEqual([]),
    }));

  test('an upgrade loses nothing', async () => {
    const { dataDir, things } = await oldHousehold();
    await killedAtEachStep({
      prepare: () => Promise.resolve(folderWith(dataDir)),
      program: [SERVER],
      check: async (folder) => expect((await shelfIn(folder)).length).toBe(things),
    });
  });

  test('a backup leaves what it saves as it was, and no file that is not whole', () =>
    killedAtEachStep({
      prepare: () => Promise.resolve(folderWith(kept)),
      program: [cli('backup'), 'FOLDER/saved.zip'],
      check: async (folder, ended) => {
        const saved = join(folder, 'saved.zip');
        if (ended) expect(existsSync(saved)).toBe(true);
        if (existsSync(saved)) isWhole(saved);
        expect(await shelfIn(folder)).toEqual(KEPT);
      },
    }));

  test('a restore can be done again, or is whole', () =>
    killedAtEachStep({
      prepare: () => Promise.resolve(folderWith()),
      program: [cli('restore'), file],
      check: async (folder, ended) => {
        const there = await shelfIn(folder);
        expect(ended ? [KEPT] : [KEPT, []]).toContainEqual(there);
      },
    }));

  test('a move can be done again, or is whole, and what was here stays', async () => {
    let cluster: Cluster | null = null;
    try {
      cluster = startCluster();
    } catch {
      test.skip(true, 'PostgreSQL is not installed');
    }
    const url = cluster!.urlOf('DATABASE');
    const asked = async (database: string, sql: string): Promise<{ name: string }[]> => {
      const client = new pg.Client({ connectionString: cluster!.urlOf(database) });
      await client.connect();
      return (await client.query<{ name: string }>(sql).finally(() => client.end())).rows;
    };
    try {
      await killedAtEachStep({
        prepare: async () => {
          const folder = folderWith(kept);
          await asked('postgres', `create database ${databaseOf(folder)}`);
          return folder;
        },
        program: [cli('move'), '--to', url],
        check: async (folder, ended) => {
          const shelf = () => asked(databaseOf(folder), 'select name from item order by name');
          const there = await shelf().catch(() => []);
          expect(ended ? [KEPT] : [KEPT, []]).toContainEqual(there.map((row) => row.name));
          if (there.length === 0)
            execFileSync(process.execPath, [cli('move'), '--to', url.replace('DATABASE', databaseOf(folder))], {
              env: { ...process.env, DATABASE_URL: '', BRIGHT_KEEPER_DATA: join(folder, 'data') },
            });
          expect((await shelf()).map((row) => row.name)).toEqual(KEPT);
          expect(await shelfIn(folder)).toEqual(KEPT);
        },
      });
    } finally {
      cluster!.stop();
    }
  });

  test('another household is taken in whole, or not at all', () =>
    killedAtEachStep({
      prepare: () => Promise.resolve(folderWith()),
      program: [SERVER],
      ask: (url) =>
        fetch(url + routes.takeIn, { method: 'POST', headers: { 'content-type': 'application/zip' }, body: readFileSync(file) }),
      check: async (folder, ended) => {
        const there = await shelfIn(folder);
        expect(ended ? [KEPT] : [KEPT, []]).toContainEqual(there);
      },
    }));
});
