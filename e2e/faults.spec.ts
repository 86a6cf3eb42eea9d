import { routes, type Shelf } from '@bright-keeper/contract';
import { expect, test } from '@playwright/test';
import { writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { sequence } from '../server/src/testing/sequence.js';
import { freshDirectory, start, type Running } from './server.js';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
/** `SEEDS=200 npx playwright test --config e2e/playwright.config.ts faults` runs more; `SEED=17` one alone. */
const SEEDS = process.env.SEED ? [Number(process.env.SEED)] : Array.from({ length: Number(process.env.SEEDS ?? 1) }, (_, i) => i + 1);
const HANDS = 4;
const WRITES = 12;

/** What was said of a thing: it is kept, it is not, or nobody knows. */
type Told = 'kept' | 'not-kept' | 'unknown';
type Ledger = Map<string, { added: Told; edited: Told | null }>;

const lens = (name: string) => ({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });

/** Of a write that was refused nothing is there; of one whose line broke, or that says itself that it is not certain, either. */
const toldBy = async (answer: Response): Promise<Told> => {
  if (answer.ok) return 'kept';
  const { code } = (await answer.json()) as { code: string };
  return code === 'database-away' ? 'unknown' : 'not-kept';
};

/** One that is broken off by its own side now and then. */
async function send(method: string, url: string, body: object, breaksOffAfterMs: number | null) {
  const signal = breaksOffAfterMs === null ? {} : { signal: AbortSignal.timeout(breaksOffAfterMs) };
  return fetch(url, { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body), ...signal });
}

async function writeAll(server: Running, seed: number): Promise<Ledger> {
  const ledger: Ledger = new Map();
  const hand = async (h: number) => {
    const random = sequence(seed * 100 + h);
    const patience = () => (random() < 0.1 ? Math.ceil(random() * 40) : null);
    for (let i = 0; i < WRITES; i += 1) {
      const name = `Lens ${h}/${i}`;
      const entry: { added: Told; edited: Told | null } = { added: 'unknown', edited: null };
      ledger.set(name, entry);
      try {
        const added = await send('POST', server.url + routes.gear, lens(name), patience());
        entry.added = await toldBy(added.clone());
        if (!added.ok) continue;
        const { id, version } = (await added.json()) as { id: string; version: number };
        entry.edited = 'unknown';
        entry.edited = await toldBy(await send('PUT', server.url + routes.item(id), { ...lens(`${name} edited`), version }, patience()));
      } catch {
        // The line broke: what was said last stands.
      }
    }
  };
  await Promise.all(Array.from({ length: HANDS }, (_, h) => hand(h)));
  return ledger;
}

async function namesIn(server: Running): Promise<string[]> {
  const names: string[] = [];
  for (let cursor: string | null = ''; cursor !== null;) {
    const page = (await (await fetch(`${server.url}${routes.gear}?limit=200${cursor && `&cursor=${cursor}`}`)).json()) as Shelf;
    names.push(...page.items.map((i) => i.name));
    cursor = page.nextCursor;
  }
  return names;
}

function hold(names: readonly string[], ledger: Ledger): void {
  for (const [name, { added, edited }] of ledger) {
    const plain = names.filter((n) => n === name).length;
    const changed = names.filter((n) => n === `${name} edited`).length;
    const what = `${name}: told ${added}, edit told ${edited ?? 'nothing'}`;
    if (added === 'kept') expect(plain + changed, what).toBe(1);
    if (added === 'not-kept') expect(plain + changed, what).toBe(0);
    expect(plain + changed, what).toBeLessThanOrEqual(1);
    if (edited === 'kept') expect(changed, what).toBe(1);
    if (edited !== 'kept' && edited !== 'unknown') expect(changed, what).toBe(0);
  }
}

test.describe('a disk that fails, a clock that leaps, lines that break', () => {
  test.describe.configure({ mode: 'parallel' });

  for (const seed of SEEDS)
    test(`lose nothing that was acknowledged, double nothing, halve nothing: seed ${seed}`, async () => {
      const dataDir = freshDirectory();
      const from = join(freshDirectory(), 'from');
      const preload = pathToFileURL(join(ROOT, 'e2e/faults.mjs')).href;
      const server = await start({ dataDir, env: { NODE_OPTIONS: `--import=${preload}`, FAULTS: String(seed), FAULTS_FROM: from } });
      writeFileSync(from, '');
      const ledger = await writeAll(server, seed);
      await server.kill(seed % 2 === 0 ? 'SIGKILL' : 'SIGTERM');
      const again = await start({ dataDir });
      hold(await namesIn(again), ledger);
      // It is no ruin that only answers: it takes something new, too.
      expect((await send('POST', again.url + routes.gear, lens('After'), null)).status).toBe(201);
      expect(await again.kill('SIGTERM')).toBe(0);
    });
});
