import { routes } from '@bright-keeper/contract';
import { expect, test, type APIRequestContext, type Browser, type Page } from '@playwright/test';
import { lookedAt, post, SHELF, start, type Running } from './server.js';

/** A change made anywhere shows on the other open pages, and takes nothing away from who is at work there. */
let running: Running;
test.beforeEach(async () => void (running = await start()));
test.afterEach(() => running.kill('SIGTERM'));

const lens = (name: string) => ({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });

const add = (request: APIRequestContext, path: string, data: object) => post(running, request, path, data);

/** A page of another browser. */
async function elsewhere(browser: Browser): Promise<Page> {
  return (await browser.newContext()).newPage();
}

/** The page hears what moves: only then does it count what was changed elsewhere afterwards. */
async function opened(page: Page, path: string): Promise<void> {
  const line = page.waitForResponse((r) => r.url().includes(routes.live));
  await page.goto(running.url + path);
  await line;
}

test('what is added and renamed in one browser shows in the other, without a reload', async ({ page, browser, request }) => {
  await opened(page, '/gear');
  const other = await elsewhere(browser);
  await other.goto(`${running.url}/gear/new`);
  await other.getByRole('textbox', { name: 'Name' }).fill('Corvane 35/2');
  await other.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(other.getByRole('heading', { name: 'Corvane 35/2' })).toBeVisible();
  await expect(page.getByRole('link', { name: /Corvane 35\/2/ })).toBeVisible();

  const { id } = (await (await request.get(running.url + routes.gear)).json()).items[0];
  await page.goto(`${running.url}/gear/${id}`);
  await expect(page.getByRole('heading', { name: 'Corvane 35/2' })).toBeVisible();
  await request.put(running.url + routes.item(id), { data: { ...lens('Corvane, the old one'), version: 1 } });
  await expect(page.getByRole('heading', { name: 'Corvane, the old one' })).toBeVisible();
});

/** Forms over one thing: where it is edited, what is typed there, and how another browser changes the same meanwhile. */
const FORMS: Record<
  string,
  (page: Page, request: APIRequestContext) => Promise<{ change: () => Promise<unknown>; kept: () => Promise<string> }>
> = {
  'of a thing': async (page, request) => {
    const { id } = await add(request, routes.gear, lens('Fifty'));
    await opened(page, `/gear/${id}/edit`);
    return {
      change: () => request.put(running.url + routes.item(id), { data: { ...lens('Theirs'), version: 1 } }),
      kept: async () => ((await (await request.get(running.url + routes.item(id))).json()) as { name: string }).name,
    };
  },
  'of a place': async (page, request) => {
    const { id } = await add(request, routes.places, SHELF);
    await opened(page, `/storage/${id}/edit`);
    const places = async () => (await (await request.get(running.url + routes.places)).json()) as { places: { name: string }[] };
    return {
      change: () => request.put(running.url + routes.place(id), { data: { ...SHELF, name: 'Theirs', version: 1 } }),
      kept: async () => (await places()).places[0]!.name,
    };
  },
  'of an outing': async (page, request) => {
    const { id: itemId } = await add(request, routes.gear, lens('Fifty'));
    const outing = { name: 'Shore', place: 'shore', from: '2026-03-01', to: '2026-03-02', itemIds: [itemId], met: [], note: '' };
    const whole = { ...outing, frames: null, lensChanges: null, hours: null };
    const { id } = await add(request, routes.outings, whole);
    await opened(page, '/outings');
    await page.getByRole('button', { name: 'Change Shore' }).click();
    const outings = async () => (await (await request.get(running.url + routes.outings)).json()) as { name: string }[];
    return {
      change: () => request.put(running.url + routes.outing(id), { data: { ...whole, name: 'Theirs', version: 1 } }),
      kept: async () => (await outings())[0]!.name,
    };
  },
  'of a hygrometer': async (page, request) => {
    const probe = { name: 'Probe', source: 'push', outdoor: false, placeId: null, everyMinutes: 10, note: '' };
    const { id } = await add(request, routes.devices, probe);
    await opened(page, '/hygrometers');
    await page.getByRole('button', { name: 'Open', exact: true }).click();
    await page.getByRole('button', { name: 'Edit or move' }).first().click();
    const devices = async () => (await (await request.get(running.url + routes.devices)).json()) as { devices: { name: string }[] };
    return {
      change: () => request.put(running.url + routes.device(id), { data: { ...probe, name: 'Theirs', version: 1 } }),
      kept: async () => (await devices()).devices[0]!.name,
    };
  },
};

for (const [form, begin] of Object.entries(FORMS))
  test(`what is being typed into the form ${form} stays, and writes over nothing unseen`, async ({ page, request }) => {
    const { change, kept } = await begin(page, request);
    const name = page.getByRole('textbox', { name: 'Name' });
    await name.fill('Mine');
    const news = page.waitForResponse((r) => r.request().method() === 'GET' && r.url().includes('/api/') && !r.url().includes(routes.live));
    expect(((await change()) as { status: () => number }).status()).toBe(200);
    await news;
    await expect(name).toHaveValue('Mine');
    await page.getByRole('button', { name: 'Save', exact: true }).click();
    await expect(page.getByText(/changed elsewhere/)).toBeVisible();
    await expect(name).toHaveValue('Mine');
    expect(await kept()).toBe('Theirs');
  });

test('the same bench on two screens follows, and ends on both', async ({ page, browser, request }) => {
  const id = await lookedAt(running, request, 'Fifty', 'lens', {}, { 'front-glass': [{ soil: 'dust', severity: 3 }] });
  const started = await request.post(running.url + routes.cleanings, { data: { itemId: id, place: 'home' } });
  const cleaning = (await started.json()) as { id: string };
  await opened(page, `/bench/${cleaning.id}`);
  const other = await elsewhere(browser);
  await opened(other, `/bench/${cleaning.id}`);
  await expect(other.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await expect(other.getByRole('button', { name: 'Undo' })).toBeEnabled();
  await other.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await request.delete(running.url + routes.cleaning(cleaning.id));
  await expect(other.getByText('This cleaning is not there any more')).toBeVisible();
});

test('the tabs of one browser share one line, and when its holder is closed another one goes on', async ({ context, request }) => {
  const asked: string[] = [];
  context.on('request', (r) => {
    if (r.url().includes(routes.live)) asked.push(r.url());
  });
  const first = await context.newPage();
  await opened(first, '/gear');
  const second = await context.newPage();
  await second.goto(`${running.url}/gear`);
  await expect(second.getByRole('heading', { level: 1 })).toBeVisible();
  await request.post(running.url + routes.gear, { data: lens('By the other tab') });
  await expect(second.getByRole('link', { name: /By the other tab/ })).toBeVisible();
  expect(asked).toHaveLength(1);
  await first.close();
  await request.post(running.url + routes.gear, { data: lens('While nobody held it') });
  await expect(second.getByRole('link', { name: /While nobody held it/ })).toBeVisible();
  expect(asked).toHaveLength(2);
  expect(asked[1]).toContain('since=');
});

test('a program that was started anew is heard again, with all that may have moved', async ({ page, request }) => {
  await opened(page, '/gear');
  const { port, dataDir } = running;
  await running.kill('SIGTERM');
  running = await start({ port, dataDir });
  await request.post(running.url + routes.gear, { data: lens('Since then') });
  await expect(page.getByRole('link', { name: /Since then/ })).toBeVisible();
});

test('whoever ends a look goes on from there, however late the answer comes', async ({ page, request }) => {
  const { id } = await add(request, routes.gear, lens('Fifty'));
  const look = await add(request, routes.looks, { itemId: id });
  await opened(page, `/look/${look.id}`);
  await page.getByRole('button', { name: 'Nothing here' }).click();
  await page.route('**/finish', async (route) => {
    // The news that it is finished is here, and heard, before the answer is.
    const heard = page.waitForResponse((r) => r.request().method() === 'GET' && r.url().endsWith(routes.look(look.id)));
    const answer = await route.fetch();
    await heard;
    await route.fulfill({ response: answer });
  });
  await page.getByRole('button', { name: 'Finish the look' }).click();
  await expect(page).toHaveURL(new RegExp(`/gear/${id}`));
});
