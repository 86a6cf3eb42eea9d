import { routes, type PlaceInput } from '@bright-keeper/contract';
import type { APIRequestContext } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

export const freshDirectory = (): string => mkdtempSync(join(tmpdir(), 'bright-keeper-'));

export const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => resolve(port));
    });
  });

export type Running = {
  url: string;
  port: number;
  dataDir: string;
  process: ChildProcess;
  output: () => string;
  kill: (signal: NodeJS.Signals) => Promise<number | null>;
};

const PROGRAMS = { server: 'server/dist/bundle.js', demo: 'server/dist/demo.js' } as const;
type Options = { program?: keyof typeof PROGRAMS; dataDir?: string; port?: number; env?: NodeJS.ProcessEnv; args?: string[] };

/** Starts a built program as its own process and resolves when it has printed its address or has ended. */
export async function start({
  program = 'server',
  dataDir = freshDirectory(),
  port,
  env: more = {},
  args = [],
}: Options = {}): Promise<Running> {
  const onPort = port ?? (await freePort());
  const env = {
    ...process.env,
    DATABASE_URL: '',
    PORT: String(onPort),
    [program === 'demo' ? 'BRIGHT_KEEPER_DEMO_DATA' : 'BRIGHT_KEEPER_DATA']: dataDir,
    ...more,
  };
  const child = spawn(process.execPath, [join(ROOT, PROGRAMS[program]), ...args], { env, stdio: ['ignore', 'pipe', 'pipe'] });
  let output = '';
  const exited = new Promise<number | null>((resolve) => child.on('exit', (code) => resolve(code)));
  const ready = new Promise<void>((resolve) => {
    const hear = (chunk: Buffer) => {
      output += chunk.toString();
      if (output.includes(' is at http')) resolve();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
  });
  await Promise.race([ready, exited]);
  return {
    url: `http://localhost:${onPort}`,
    port: onPort,
    dataDir,
    process: child,
    output: () => output,
    kill: (signal) => {
      child.kill(signal);
      return exited;
    },
  };
}

/** A plain place in a room. */
export const SHELF: PlaceInput = {
  name: 'Shelf',
  kind: 'shelf',
  volumeL: 200,
  airChangesPerDay: null,
  openingsPerWeek: 0,
  lining: 'none',
  lowPct: 35,
  highPct: 60,
  standsInId: null,
  note: '',
};

/** Adds a thing of any sort by its route; its id. */
export const post = async (running: Running, request: APIRequestContext, path: string, data: object) =>
  (await request.post(running.url + path, { data })).json() as Promise<{ id: string }>;

export type Seen = Record<string, { soil: string; severity: number }[]>;

/** A thing on the shelf with a finished look; its id. */
export async function lookedAt(
  running: Running,
  request: APIRequestContext,
  name: string,
  kind: string,
  traits: object,
  seen: Seen,
): Promise<string> {
  const { id } = await post(running, request, routes.gear, { name, kind, traits, notes: '', acquiredOn: null });
  const look = await post(running, request, routes.looks, { itemId: id });
  const answers = Object.entries(seen).map(([surface, findings]) => ({ surface, findings, note: '' }));
  await request.put(running.url + routes.look(look.id), { data: { version: 1, at: null, answers } });
  await request.post(running.url + routes.lookFinish(look.id), { data: { version: 2 } });
  return id;
}
