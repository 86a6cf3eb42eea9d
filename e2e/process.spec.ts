import { expect, test } from '@playwright/test';
import { routes } from '@bright-keeper/contract';
import { start } from './server.js';

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

test('a taken port is a clear message', async () => {
  const first = await start();
  const second = await start({ port: first.port });
  expect(await second.kill('SIGTERM')).toBe(1);
  expect(second.output()).toContain(`Port ${first.port} is taken`);
  await first.kill('SIGTERM');
});
