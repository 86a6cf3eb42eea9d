import { routes } from '@bright-keeper/contract';
import { expect, test, type Browser, type Page } from '@playwright/test';
import { lookedAt, start, type Running } from './server.js';

/** A change made anywhere shows on the other open pages, and takes nothing away from who is at work there. */
let running: Running;
test.beforeEach(async () => void (running = await start()));
test.afterEach(() => running.kill('SIGTERM'));

const lens = (name: string) => ({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });

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

test('what is being typed stays, and whoever saves it is told what the other one wrote', async ({ page, request }) => {
  const { id } = (await (await request.post(running.url + routes.gear, { data: lens('Fifty') })).json()) as { id: string };
  await opened(page, `/gear/${id}/edit`);
  await page.getByRole('textbox', { name: 'Name' }).fill('Fifty, from my uncle');
  await request.put(running.url + routes.item(id), { data: { ...lens('Fifty f/2'), version: 1 } });
  // It was heard: the name under the form's title is the new one, the name in the form is one's own.
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Fifty, from my uncle');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText(/Fifty f\/2|changed elsewhere|Somebody else/i).first()).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name' })).toHaveValue('Fifty, from my uncle');
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
