import { routes, type Backups, type Device, type DeviceToken } from '@bright-keeper/contract';
import { expect, test } from '@playwright/test';
import { execFileSync, spawn } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { oldHousehold } from './oldHousehold.js';
import { sequence } from '../server/src/testing/sequence.js';
import { freePort, freshDirectory, start, type Running } from './server.js';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');

const send = (method: string, url: string, body: object, headers: Record<string, string> = {}) =>
  fetch(url, { method, headers: { 'content-type': 'application/json', ...headers }, body: JSON.stringify(body) });
const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));
const lens = (name: string, notes = '') => ({ name, kind: 'lens', traits: {}, notes, acquiredOn: null });

/** All that was acknowledged to those who wrote. */
type Ledger = { things: Map<string, string>; readings: number; deviceId: string | null };

/** Writes of every sort until the server is gone: things added and edited, readings pushed. Only what was answered counts. */
async function write(server: Running, ledger: Ledger, round: number): Promise<void> {
  if (!ledger.deviceId) {
    const probe = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' };
    ledger.deviceId = ((await (await send('POST', server.url + routes.devices, probe)).json()) as Device).id;
  }
  const { token } = (await (await send('POST', server.url + routes.deviceToken(ledger.deviceId), {})).json()) as DeviceToken;
  const adding = async () => {
    for (let i = 0; ; i += 1) {
      const name = `Lens ${round}/${i}`;
      const added = await send('POST', server.url + routes.gear, lens(name));
      if (added.status !== 201) return;
      const item = (await added.json()) as { id: string; version: number };
      ledger.things.set(item.id, name);
      const edited = await send('PUT', server.url + routes.item(item.id), { ...lens(`${name} edited`), version: item.version });
      if (edited.status === 200) ledger.things.set(item.id, `${name} edited`);
    }
  };
  const pushing = async () => {
    const from = Date.parse('2026-01-01T00:00:00Z') / 1000 + round * 1_000_000;
    for (let i = 0; ; i += 1) {
      const bt = from + i * 600;
      const pack = [
        { bt, n: 't', u: 'Cel', v: 20 },
        { n: 'h', u: '%RH', v: 50 },
      ];
      const pushed = await send('POST', server.url + routes.pushReadings, pack, { authorization: `Bearer ${token}` });
      if (pushed.status === 200) ledger.readings += 1;
    }
  };
  await Promise.all([adding(), adding(), pushing()].map((work) => work.catch(() => undefined)));
}

/** Every thing on the shelf of a server: its name by its id. */
async function shelfOf(server: Running): Promise<Map<string, string>> {
  const shelf = new Map<string, string>();
  for (let cursor: string | null = ''; cursor !== null;) {
    const page = (await (await fetch(`${server.url}${routes.gear}?limit=200${cursor && `&cursor=${cursor}`}`)).json()) as {
      items: { item: { id: string; name: string } }[] | { id: string; name: string }[];
      nextCursor: string | null;
    };
    for (const row of page.items) {
      const item = 'item' in row ? row.item : row;
      shelf.set(item.id, item.name);
    }
    cursor = page.nextCursor;
  }
  return shelf;
}

/** Holds what a server knows against what was acknowledged. An edit whose answer was lost may be there or not. */
async function check(server: Running, ledger: Ledger): Promise<void> {
  const shelf = await shelfOf(server);
  for (const [id, name] of ledger.things) expect([name, `${name} edited`], `${name} is ${shelf.get(id)}`).toContain(shelf.get(id));
  const device = (await (await fetch(server.url + routes.device(ledger.deviceId!))).json()) as Device;
  expect(device.readings).toBeGreaterThanOrEqual(ledger.readings);
}

test.describe('a server that ends at any moment', () => {
  test.describe.configure({ mode: 'parallel' });

  test('has lost nothing it acknowledged, killed again and again under mixed writes', async () => {
    const random = sequence(20_261_126);
    const dataDir = freshDirectory();
    const ledger: Ledger = { things: new Map(), readings: 0, deviceId: null };
    for (let round = 0; round < 5; round += 1) {
      const server = await start({ dataDir });
      if (round > 0) await check(server, ledger);
      const [things, readings] = [ledger.things.size, ledger.readings];
      const writing = write(server, ledger, round);
      // However slow the machine, something was acknowledged of each kind before the kill.
      await expect.poll(() => ledger.things.size >= things + 5 && ledger.readings >= readings + 2).toBe(true);
      await pause(random() * 1500);
      await server.kill('SIGKILL');
      await writing;
    }
    const last = await start({ dataDir });
    await check(last, ledger);
    await last.kill('SIGTERM');
  });

  test('leaves whole backups only, and what it had, when it is killed while it makes one', async () => {
    const dataDir = freshDirectory();
    const server = await start({ dataDir });
    for (let i = 0; i < 100; i += 1) await send('POST', server.url + routes.gear, lens(`Lens ${i}`, 'x'.repeat(4000)));
    const making = send('POST', server.url + routes.backups, {}).catch(() => null);
    const folder = join(dataDir, 'backups');
    while (!existsSync(folder) || readdirSync(folder).length === 0) await pause(1);
    await server.kill('SIGKILL');
    await making;
    const again = await start({ dataDir });
    const { files } = (await (await fetch(again.url + routes.backups)).json()) as Backups;
    expect((await send('POST', again.url + routes.backups, {})).status).toBe(201);
    await again.kill('SIGTERM');
    for (const { name } of files) {
      const said = execFileSync(process.execPath, [join(ROOT, 'server/dist/cli/restore.js'), join(folder, name), '--check']);
      expect(said.toString()).toContain('came out as they went in');
    }
  });

  test('grows up from an old household, killed again and again while it does', async () => {
    const { dataDir, things, entries } = await oldHousehold();
    const random = sequence(11);
    for (let round = 0; round < 6; round += 1) {
      const child = spawn(process.execPath, [join(ROOT, 'server/dist/bundle.js')], {
        env: { ...process.env, DATABASE_URL: '', PORT: String(await freePort()), BRIGHT_KEEPER_DATA: dataDir },
        stdio: 'ignore',
      });
      const ended = new Promise((resolve) => child.once('exit', resolve));
      await pause(300 + random() * 1200);
      child.kill('SIGKILL');
      await ended;
    }
    const server = await start({ dataDir });
    expect((await shelfOf(server)).size).toBe(things);
    const file = join(dataDir, 'all.zip');
    writeFileSync(file, Buffer.from(await (await fetch(server.url + routes.exportAll)).arrayBuffer()));
    const said = execFileSync(process.execPath, [join(ROOT, 'server/dist/cli/restore.js'), file, '--check']).toString();
    expect(said).toContain('came out as they went in');
    expect(readdirSync(dataDir).some((name) => name.startsWith('before-upgrade-'))).toBe(true);
    // What only a log of that day told is an entry of the journal now.
    const agenda = await fetch(server.url + routes.today);
    expect(agenda.status).toBe(200);
    const journal = JSON.parse(execFileSync('unzip', ['-p', file, 'data/journal_entry.json']).toString()) as unknown[];
    expect(journal.length).toBeGreaterThanOrEqual(entries);
    await server.kill('SIGTERM');
  });

  test('ends within ten seconds of being asked to, however many keep asking', async () => {
    const server = await start();
    let going = true;
    const asking = Array.from({ length: 30 }, async () => {
      while (going) await fetch(server.url + routes.today).catch(() => pause(5));
    });
    await pause(1500);
    const asked = Date.now();
    expect(await server.kill('SIGTERM')).not.toBeNull();
    const took = Date.now() - asked;
    going = false;
    await Promise.all(asking);
    expect(took).toBeLessThan(10_000);
  });
});

/** A disk of its own, small enough to fill. Only root may make one. */
function smallDisk(): string | null {
  const at = mkdtempSync(join(tmpdir(), 'bright-keeper-disk-'));
  try {
    execFileSync('mount', ['-t', 'tmpfs', '-o', 'size=256m', 'tmpfs', at], { stdio: 'ignore' });
    return at;
  } catch {
    rmSync(at, { recursive: true });
    return null;
  }
}

/** So much is left on the disk, in MB. */
const leftOn = (disk: string): number => Number(execFileSync('df', ['--output=avail', '-m', disk]).toString().split('\n')[1]);
function fillUpTo(disk: string, leaveMb: number): string {
  const filler = join(disk, 'filler');
  const chunk = Buffer.alloc(1024 * 1024);
  while (leftOn(disk) > leaveMb) writeFileSync(filler, chunk, { flag: 'a' });
  return filler;
}

test('a disk that fills half-way through a log: it is told in words, the program goes on, and the log can be sent again', async () => {
  const disk = smallDisk();
  test.skip(disk === null, 'only root may make a disk to fill');
  // The margin would turn the log away before it began.
  process.env.BRIGHT_KEEPER_DISK_MARGIN_MB = '0';
  try {
    const server = await start({ dataDir: join(disk!, 'data') });
    const probe = { name: 'Probe', source: 'csv', outdoor: false, placeId: null, everyMinutes: 1, note: '' };
    const { id } = (await (await send('POST', server.url + routes.devices, probe)).json()) as Device;
    const filler = fillUpTo(disk!, 1);
    // Of no pattern, so that the database cannot make it small.
    const random = sequence(3);
    const rows = Array.from(
      { length: 1_200_000 },
      (_, i) => `${new Date(Date.UTC(2020, 0, 1) + i * 60_000).toISOString()},${(random() * 40).toFixed(2)},${(random() * 100).toFixed(2)}`,
    );
    const preview = await send('POST', server.url + routes.logPreview, {
      startBase64: Buffer.from(['at,temperature C,humidity %', ...rows.slice(0, 20)].join('\n')).toString('base64'),
    });
    const guessed = ((await preview.json()) as { format: object }).format;
    const csv = ['at,temperature C,humidity %', ...rows].join('\n');
    const importing = () =>
      fetch(`${server.url}${routes.logImport(id)}?format=${encodeURIComponent(JSON.stringify(guessed))}`, {
        method: 'POST',
        headers: { 'content-type': 'text/csv' },
        body: csv,
      });
    const refused = await importing();
    expect(refused.status).toBe(507);
    expect(((await refused.json()) as { code: string }).code).toBe('disk-full');
    expect((await fetch(server.url + routes.today)).status).toBe(200);
    rmSync(filler);
    await expect.poll(async () => (await importing()).status, { timeout: 60_000 }).toBe(200);
    const device = (await (await fetch(server.url + routes.device(id))).json()) as Device;
    expect(device.readings).toBe(rows.length);
    expect(await server.kill('SIGTERM')).toBe(0);
  } finally {
    delete process.env.BRIGHT_KEEPER_DISK_MARGIN_MB;
    execFileSync('umount', ['-l', disk!]);
  }
});

test('a fault that nobody caught ends the program in good order: what it acknowledged is there, and why is written', async () => {
  process.env.NODE_OPTIONS = `--import=data:text/javascript,${encodeURIComponent("process.on('SIGUSR2',()=>{throw new Error('provoked')})")}`;
  const server = await start();
  delete process.env.NODE_OPTIONS;
  const ledger: Ledger = { things: new Map(), readings: 0, deviceId: null };
  const writing = write(server, ledger, 0);
  await expect.poll(() => ledger.things.size >= 5).toBe(true);
  expect(await server.kill('SIGUSR2')).toBe(1);
  await writing;
  expect(server.output()).toContain('provoked');
  const again = await start({ dataDir: server.dataDir });
  await check(again, ledger);
  await again.kill('SIGTERM');
});

test('a full disk: reads go on, writes are refused in words, and all goes on by itself when there is room', async ({ page }) => {
  const disk = smallDisk();
  test.skip(disk === null, 'only root may make a disk to fill');
  try {
    const server = await start({ dataDir: join(disk!, 'data') });
    expect((await send('POST', server.url + routes.gear, lens('Before'))).status).toBe(201);
    const filler = fillUpTo(disk!, 40);

    const refused = await send('POST', server.url + routes.gear, lens('Too much'));
    console.log(server.output());
    expect(refused.status).toBe(507);
    expect(((await refused.json()) as { code: string }).code).toBe('disk-full');
    await page.goto(server.url + '/gear');
    await expect(page.getByRole('alert')).toContainText('The disk is nearly full');
    await expect(page.getByText('Before').first()).toBeVisible();

    rmSync(filler);
    expect((await send('POST', server.url + routes.gear, lens('After'))).status).toBe(201);
    await page.reload();
    await expect(page.getByText('After').first()).toBeVisible();
    await expect(page.getByText('The disk is nearly full')).toHaveCount(0);
    expect(statSync(join(disk!, 'data')).mode & 0o077).toBe(0);
    await server.kill('SIGTERM');
  } finally {
    execFileSync('umount', [disk!]);
  }
});
