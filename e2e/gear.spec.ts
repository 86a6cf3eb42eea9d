import { expect, test } from '@playwright/test';
import { routes } from '@bright-keeper/contract';
import { start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

test('a gear list: bad rows are marked with their reason, the mapping mends them, then all of it or nothing', async ({ page }) => {
  await page.goto(`${running.url}/gear/import`);
  const file = '\uFEFFTitel;Type;Year\nCorvane 35/2;lens;1998\n=1+1;filter;1990\nOdd one;submarine;\n';
  await page.locator('input[type=file]').setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(file) });
  await expect(page.getByText('cells parted by semicolons')).toBeVisible();
  await expect(page.getByRole('heading', { name: '3 of 3 rows cannot be imported' })).toBeVisible();

  await page.getByLabel('Titel').selectOption({ label: 'Name' });
  await expect(page.getByRole('heading', { name: '2 of 3 rows cannot be imported' })).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'submarine' })).toContainText('Choose one of');
  await expect(page.getByRole('row').filter({ hasText: '=1+1' })).toContainText('Year: This is not known here');
  await page.getByLabel('Year', { exact: true }).selectOption({ label: 'Leave out' });
  await expect(page.getByRole('heading', { name: '1 of 3 rows cannot be imported' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Correct the rows above first' })).toBeDisabled();

  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from('Name;Type\nCorvane 35/2;lens\n=1+1;filter\n') });
  await page.getByRole('button', { name: 'Put 2 things on the shelf' }).click();
  await expect(page.getByRole('link', { name: '=1+1' }).first()).toBeVisible();

  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Export CSV' }).click();
  const stream = await (await download).createReadStream();
  let text = '';
  for await (const chunk of stream) text += String(chunk);
  expect(text).toMatch(/^"'=1\+1","filter",/m);
});

test('the shelf is searched and filtered, and the address keeps the choice', async ({ page }) => {
  for (const [name, kind] of [
    ['Tidewell 24-70/4', 'lens'],
    ['Skerrow M2', 'mirrorless-body'],
  ])
    await page.request.post(running.url + routes.gear, { data: { name, kind, traits: {}, notes: '', acquiredOn: null } });
  await page.goto(`${running.url}/gear`);
  await page.getByLabel('Search the shelf').fill('tide');
  await expect(page).toHaveURL(/search=tide/);
  await expect(page.getByRole('table').getByRole('link')).toHaveText(['Tidewell 24-70/4']);
  await page.getByLabel('Search the shelf').fill('');
  await page.getByLabel('Kind').selectOption('mirrorless-body');
  await expect(page.getByRole('table').getByRole('link')).toHaveText(['Skerrow M2']);
  await page.reload();
  await expect(page.getByRole('table').getByRole('link')).toHaveText(['Skerrow M2']);
  await page.getByLabel('Last verdict').selectOption('clean');
  await expect(page.getByText('Nothing matches')).toBeVisible();
});

test('a stale edit offers the newer version and keeps what was typed', async ({ page }) => {
  const created = await page.request.post(running.url + routes.gear, {
    data: { name: 'Edited twice', kind: 'lens', traits: {}, notes: '', acquiredOn: null },
  });
  const { id } = (await created.json()) as { id: string };
  await page.goto(`${running.url}/gear/${id}/edit`);
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('My new name');
  await page.request.put(running.url + routes.item(id), {
    data: { name: 'Renamed elsewhere', kind: 'lens', traits: {}, notes: '', acquiredOn: null, version: 1 },
  });
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('There it is now called “Renamed elsewhere”')).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('My new name');
  await page.getByRole('button', { name: 'Keep mine' }).click();
  await expect(page.getByRole('heading', { name: 'My new name' })).toBeVisible();
});

test('a school chosen in Settings changes the plan', async ({ page }) => {
  const created = await page.request.post(running.url + routes.gear, {
    data: { name: 'School lens', kind: 'lens', traits: {}, notes: '', acquiredOn: null },
  });
  const { id } = (await created.json()) as { id: string };
  const look = (await (await page.request.post(running.url + routes.looks, { data: { itemId: id } })).json()) as { id: string };
  await page.request.put(running.url + routes.look(look.id), {
    data: { version: 1, at: null, answers: [{ surface: 'front-glass', findings: [{ soil: 'fingerprint', severity: 3 }], note: '' }] },
  });
  await page.request.post(running.url + routes.lookFinish(look.id), { data: { version: 2 } });
  await page.goto(`${running.url}/settings`);
  await page.getByRole('combobox', { name: /^Fluid What goes on/ }).selectOption('alcohol');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByRole('list', { name: /Touch ladder/ }).getByText(/isopropanol/)).toBeVisible();
});
