import { expect, test } from '@playwright/test';
import { routes } from '@bright-keeper/contract';
import { execFileSync, spawnSync } from 'node:child_process';
import { existsSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { start } from './server.js';

const ROOT = join(dirname(fileURLToPath(import.meta.url)), '..');
const lens = (name: string) => ({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });
const post = (url: string, body: object) =>
  fetch(url, { method: 'POST', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) });

test('a second process on the same data refuses and names the first', async () => {
  const first = await start();
  const second = await start({ dataDir: first.dataDir });
  expect(await second.kill('SIGTERM')).toBe(1);
  expect(second.output()).toContain(`by process ${first.process.pid}`);
  expect(second.output()).toContain('BRIGHT_KEEPER_DATA');
  expect((await fetch(first.url + routes.today)).status).toBe(200);
  await first.kill('SIGKILL');
  // The lock died with its process: the data can be opened again at once.
  const third = await start({ dataDir: first.dataDir });
  expect((await fetch(third.url + routes.today)).status).toBe(200);
  await third.kill('SIGTERM');
});

test('a killed server has lost nothing it acknowledged', async () => {
  const first = await start();
  const acknowledged: string[] = [];
  const writing = (async () => {
    for (let i = 0; ; i += 1) {
      const response = await post(first.url + routes.gear, lens(`Lens ${i}`));
      acknowledged.push(((await response.json()) as { name: string }).name);
    }
  })().catch(() => undefined);
  while (acknowledged.length < 25) await new Promise((resolve) => setTimeout(resolve, 20));
  await first.kill('SIGKILL');
  await writing;

  const second = await start({ dataDir: first.dataDir });
  const shelf = (await (await fetch(`${second.url}${routes.gear}?limit=200`)).json()) as { items: { name: string }[] };
  const kept = shelf.items.map((i) => i.name);
  for (const name of acknowledged) expect(kept).toContain(name);
  await second.kill('SIGTERM');
});

/** Runs `npm run backup` of one directory, as whoever sits at the terminal would. */
function backup(dataDir: string, file: string, port: number): { status: number | null; said: string } {
  const env = { ...process.env, DATABASE_URL: '', BRIGHT_KEEPER_DATA: dataDir, PORT: String(port) };
  const { status, stdout, stderr } = spawnSync(process.execPath, [join(ROOT, 'server/dist/cli/backup.js'), file], { env });
  return { status, said: stdout.toString() + stderr.toString() };
}
const namesIn = (file: string): string[] =>
  (JSON.parse(execFileSync('unzip', ['-p', file, 'data/item.json']).toString()) as { name: string }[]).map(({ name }) => name);

test('a backup from the terminal is of the folder that was named, whoever answers on the usual port', async () => {
  const [ours, other] = [await start(), await start()];
  await post(ours.url + routes.gear, lens('Ours'));
  await post(other.url + routes.gear, lens('Of another household'));
  const file = join(ours.dataDir, 'ours.zip');
  expect(backup(ours.dataDir, file, other.port)).toMatchObject({
    status: 0,
    said: expect.stringContaining('read back and whole'),
  });
  expect(namesIn(file)).toEqual(['Ours']);

  // What stands in the folder is an address of somebody who does not hold it: left there by a program that was killed, say.
  const lock = join(ours.dataDir, 'in-use');
  writeFileSync(lock, readFileSync(lock, 'utf8').replace(String(ours.port), String(other.port)));
  const refused = backup(ours.dataDir, join(ours.dataDir, 'no.zip'), other.port);
  expect(refused).toMatchObject({ status: 1, said: expect.stringContaining(`does not hold ${ours.dataDir}`) });
  expect(existsSync(join(ours.dataDir, 'no.zip'))).toBe(false);

  await ours.kill('SIGTERM');
  const closed = join(ours.dataDir, 'closed.zip');
  expect(backup(ours.dataDir, closed, other.port).status).toBe(0);
  expect(namesIn(closed)).toEqual(['Ours']);
  await other.kill('SIGTERM');
});

test('a second process refuses though somebody removed the file that tells of the first, which is put back', async () => {
  const first = await start();
  const lock = join(first.dataDir, 'in-use');
  rmSync(lock);
  const second = await start({ dataDir: first.dataDir });
  expect(await second.kill('SIGTERM')).toBe(1);
  expect(second.output()).toContain('is already open');
  expect((await post(first.url + routes.gear, lens('Kept'))).status).toBe(201);
  await expect.poll(() => existsSync(lock) && readFileSync(lock, 'utf8')).toContain(`by process ${first.process.pid}`);
  await first.kill('SIGTERM');
});

test('a server whose folder is taken away says so at once, and acknowledges nothing more', async ({ page }) => {
  const server = await start();
  expect((await post(server.url + routes.gear, lens('Kept'))).status).toBe(201);
  renameSync(server.dataDir, `${server.dataDir}-moved`);
  const refused = await post(server.url + routes.gear, lens('Lost'));
  expect(refused.status).toBe(503);
  expect(((await refused.json()) as { code: string }).code).toBe('data-taken');
  await expect.poll(() => server.output()).toContain('removed, moved or replaced');
  await page.goto(server.url + '/gear');
  await expect(page.getByRole('alert').first()).toContainText('The data is not where it was');
  await server.kill('SIGKILL');
  renameSync(`${server.dataDir}-moved`, server.dataDir);
  const again = await start({ dataDir: server.dataDir });
  const shelf = (await (await fetch(again.url + routes.gear)).json()) as { items: { name: string }[] };
  expect(shelf.items.map((i) => i.name)).toEqual(['Kept']);
  await again.kill('SIGTERM');
});

test('a taken port is a clear message', async () => {
  const first = await start();
  const second = await start({ port: first.port });
  expect(await second.kill('SIGTERM')).toBe(1);
  expect(second.output()).toContain(`Port ${first.port} is taken`);
  await first.kill('SIGTERM');
});
