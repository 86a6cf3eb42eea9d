import { routes, type ItemPage, type Log, type LookDoc } from '@bright-keeper/contract';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { join } from 'node:path';
import { post, SHELF, start, type Running } from './server.js';

/** A phone out of reach of its household: it starts, shows, takes what is done, and carries it over once. */
let running: Running;
test.beforeEach(async () => void (running = await start()));
test.afterEach(() => running.kill('SIGKILL'));
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });

const lens = (name: string) => ({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });
const add = (request: APIRequestContext, name: string) => post(running, request, routes.gear, lens(name));
const thing = async (request: APIRequestContext, id: string) =>
  (await (await request.get(running.url + routes.item(id))).json()) as ItemPage;
const log = async (request: APIRequestContext, id: string, kind: string) =>
  ((await (await request.get(running.url + routes.itemLog(id))).json()) as Log).entries.filter((e) => e.data.kind === kind);

/** The phone keeps things here, has its program, and has brought along what is needed. */
async function packed(page: Page, things: number): Promise<void> {
  await page.goto(`${running.url}/kept`);
  await page.getByRole('button', { name: 'Keep it here' }).click();
  await expect(page.getByText(`${things} things are kept with their pages`)).toBeVisible();
  await page.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated');
}

const away = (page: Page) => page.context().setOffline(true);
const back = (page: Page) => page.context().setOffline(false);
/** Every step done, every look clean, and the end. */
async function toTheEndOfTheBench(page: Page): Promise<void> {
  const end = page.getByRole('button', { name: 'Put it in the log' });
  const forward = page.getByRole('button', { name: /^(I am ready|Ready|Done|Clean enough|None left|All clean|The rest)/ }).first();
  for (;;) {
    await expect(end.or(forward).first()).toBeVisible();
    if (await end.isVisible()) return end.click();
    await forward.click();
  }
}

const mark = (page: Page, words: RegExp) => expect(page.getByRole('link', { name: words }).first()).toBeVisible();

test('a look, its photograph, the plan and the bench from a cold start without a network, carried over once', async ({ page, request }) => {
  const { id } = await add(request, 'Corvane 35/2');
  await add(request, 'Corvane 50/2');
  await packed(page, 2);
  await away(page);
  await page.goto(`${running.url}/gear`);
  await mark(page, /Out of reach/);
  await page.getByRole('link', { name: /Corvane 35\/2/ }).click();
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'fingerprint', exact: true }).click();
  await expect(page.getByText('Kept here, to be carried over')).toBeVisible();
  await page.getByLabel('Photograph', { exact: true }).setInputFiles(join(import.meta.dirname, '..', 'docs', 'screenshots', 'today.png'));
  const picture = page.getByRole('img', { name: 'The front glass as it was seen' });
  await expect(picture).toBeVisible();
  await expect.poll(() => picture.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(100);
  // The page is thrown away in the middle of it, and goes on where it was.
  await page.reload();
  await expect(page.getByRole('group', { name: 'Fingerprint' })).toBeVisible();
  await page.getByRole('button', { name: 'Finish the look' }).click();
  await expect(page.getByRole('heading', { name: 'Plan: Corvane 35/2' })).toBeVisible();
  await page.getByRole('button', { name: 'Start cleaning' }).click();
  await expect(page.getByText('Kept here, to be carried over')).toBeVisible();
  await page.reload();
  await toTheEndOfTheBench(page);
  await expect(page.getByRole('heading', { name: 'Corvane 35/2' })).toBeVisible();
  await expect(page.getByText('Leave it').first()).toBeVisible();
  await page
    .getByRole('link', { name: /Out of reach; kept here, 3 to carry over/ })
    .first()
    .click();
  await expect(page.getByText('A photograph of the front glass')).toBeVisible();
  expect((await thing(request, id)).surfaces).toEqual([]);

  await back(page);
  await expect(page.getByText('Nothing waits here')).toBeVisible();
  await mark(page, /^Up to date$/);
  const now = await thing(request, id);
  expect(now).toMatchObject({ openLookId: null, openCleaningId: null, surfaces: [{ surface: 'front-glass', findings: [] }] });
  const [look, ...others] = await log(request, id, 'look');
  expect(others).toEqual([]);
  expect(await log(request, id, 'clean')).toHaveLength(1);
  const { photos } = await (await request.get(running.url + routes.lookPhotos((look!.data as { lookId: string }).lookId))).json();
  expect(photos).toMatchObject([{ surface: 'front-glass' }]);
  await page.goto(`${running.url}/gear/${id}`);
  await expect(page.getByText('Looked at 1 surface')).toBeVisible();
});

test('what happened out there is noted, planned by, and told once; a reading and a wait likewise', async ({ page, request }) => {
  const { id } = await add(request, 'Corvane 28/2');
  await post(running, request, routes.places, SHELF);
  await packed(page, 1);
  await away(page);
  await page.goto(`${running.url}/field`);
  await page.getByRole('button', { name: /Sand/ }).first().click();
  await page.getByRole('checkbox', { name: /Corvane 28\/2/ }).check();
  await page.getByRole('button', { name: 'Note it, and keep the rest for home' }).click();
  await expect(page.getByText('Noted and kept here. It stands on Today once it is carried over.')).toBeVisible();
  await page.getByRole('link', { name: 'Its plan out here' }).click();
  await expect(page.getByRole('heading', { name: 'Plan: Corvane 28/2' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start cleaning' })).toBeVisible();

  await page.goto(`${running.url}/warm-up?startC=-5&roomC=21&rhPct=60`);
  await page.getByRole('button', { name: /^Start a timer for/ }).click();
  await expect(page.getByText('Kept here; it stands on Today once it is carried over.')).toBeVisible();
  await mark(page, /kept here, 2 to carry over/);
  await back(page);
  await mark(page, /^Up to date$/);
  expect(await log(request, id, 'outdoors')).toHaveLength(1);
  await page.goto(running.url);
  await expect(page.getByRole('link', { name: /Corvane 28\/2/ }).first()).toBeVisible();
});

test('a look that went on at home meanwhile: surfaces of each are put together, and where the two differ a person chooses', async ({
  page,
  request,
}) => {
  const { id } = await add(request, 'Corvane 85/2');
  const open = (await post(running, request, routes.looks, { itemId: id })) as LookDoc;
  await packed(page, 1);
  await away(page);
  await page.goto(`${running.url}/gear/${id}`);
  await page.getByRole('button', { name: 'Go on looking' }).click();
  await page.getByRole('button', { name: 'dust', exact: true }).click();
  await page.getByRole('button', { name: 'Next surface' }).click();
  await page.getByRole('button', { name: 'Nothing here' }).click();
  await expect(page.getByText('Kept here, to be carried over')).toBeVisible();
  const there = [
    { surface: 'front-glass', findings: [{ soil: 'fingerprint', severity: 2 }], note: '' },
    { surface: 'barrel', findings: [], note: '' },
  ];
  await request.put(running.url + routes.look(open.id), { data: { version: 1, at: null, answers: there } });
  await back(page);
  await mark(page, /needs you/);
  await page.getByRole('link', { name: 'See to it' }).click();
  const card = page.getByRole('region', { name: 'Corvane 85/2' });
  await expect(card.getByRole('group', { name: 'Front glass' })).toBeVisible();
  await expect(card.getByRole('group')).toHaveCount(1);
  await expect(card.getByRole('button', { name: 'Carry it over so' })).toBeDisabled();
  await card.getByRole('button', { name: /Seen there.*ingerprint/s }).click();
  await card.getByRole('button', { name: 'Carry it over so' }).click();
  await mark(page, /^Up to date$/);
  const { answers } = (await (await request.get(running.url + routes.look(open.id))).json()) as LookDoc;
  const of = (surface: string) => answers.find((a) => a.surface === surface)?.findings;
  expect([of('front-glass'), of('barrel')]).toEqual([there[0]!.findings, []]);
  expect(answers).toHaveLength(3);
});

test('a household that hangs is out of reach, too; and one that was set back to before a thing was bought loses nothing', async ({
  page,
  request,
}) => {
  const { id } = await add(request, 'Corvane 100/2');
  await packed(page, 1);
  await page.goto(`${running.url}/gear/${id}`);
  await expect(page.getByRole('button', { name: 'Look at it' })).toBeVisible();
  running.process.kill('SIGSTOP');
  await page.getByRole('button', { name: 'Look at it' }).click();
  await page.getByRole('button', { name: 'Nothing here' }).click();
  await expect(page.getByText('Kept here, to be carried over')).toBeVisible();
  await page.getByRole('button', { name: 'Finish the look' }).click();
  await mark(page, /Out of reach; kept here, 1 to carry over/);
  await running.kill('SIGKILL');

  // Another household at the same address: as it was before this thing came.
  running = await start({ port: running.port });
  await page.goto(`${running.url}/kept`);
  await mark(page, /needs you/);
  await expect(page.getByRole('region', { name: 'Corvane 100/2' })).toContainText('not');
  const file = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save it as a file' }).click();
  expect((await file).suggestedFilename()).toBe('bright-keeper-kept-here.json');
  await page.getByRole('button', { name: 'Let it go' }).click();
  await page.getByRole('button', { name: 'Yes, let it go' }).click();
  await expect(page.getByText('Nothing waits here')).toBeVisible();
});

test('a browser that is to keep nothing keeps nothing', async ({ page, request }) => {
  await add(request, 'Corvane 20/2');
  await page.goto(`${running.url}/gear`);
  await expect(page.getByRole('link', { name: /Up to date/ })).toHaveCount(0);
  await packed(page, 1);
  await page.getByRole('button', { name: 'Keep nothing here any more' }).click();
  await page.getByRole('button', { name: 'Forget all of it' }).click();
  await expect(page.getByRole('button', { name: 'Keep it here' })).toBeVisible();
  const left = await page.evaluate(async () => ({
    workers: (await navigator.serviceWorker.getRegistrations()).length,
    caches: (await caches.keys()).length,
    stores: (await indexedDB.databases()).filter(({ name }) => name?.includes('bright-keeper')).length,
  }));
  expect(left).toEqual({ workers: 0, caches: 0, stores: 0 });
});
