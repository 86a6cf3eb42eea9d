import { expect, test } from '@playwright/test';
import { routes } from '@bright-keeper/contract';
import { start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

test('a gear list: read as people write it, what cannot come is corrected there or left out, the rest comes, and once', async ({
  page,
}) => {
  await page.goto(`${running.url}/gear/import`);
  const file =
    '\uFEFFTitel;Type;Baujahr;Remarks\nCorvane 35/2;;c. 1998;sharp\n=1+1;filter;1990;\nOdd one;submarine;;\n;lens;;nameless\n;;;\n';
  const choose = () =>
    page.locator('input[type=file]').setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(file) });
  await choose();
  await expect(page.getByText('cells parted by semicolons')).toBeVisible();
  // The kind of the first is told by its words.
  await expect(page.getByRole('heading', { name: '2 of 4 rows cannot be imported yet' })).toBeVisible();
  await expect(page.getByRole('row').filter({ hasText: 'submarine' })).toContainText('Choose one of');
  await expect(page.getByRole('row').filter({ hasText: '=1+1' })).toContainText('“1990” was left out');
  await expect(page.getByLabel('Kind in line 2')).toHaveValue('lens');
  await page.getByLabel('Type in line 4').selectOption('drone');
  await expect(page.getByRole('heading', { name: '1 of 4 rows cannot be imported yet' })).toBeVisible();
  await page.getByRole('button', { name: 'Put 3 things on the shelf, leave 1 out' }).click();
  await expect(page.getByRole('link', { name: '=1+1' }).first()).toBeVisible();
  await expect(page.getByRole('link', { name: 'Odd one' }).first()).toBeVisible();

  // The same list again, and the row that was left out mended: that one comes, and nothing is doubled.
  await page.goto(`${running.url}/gear/import`);
  await choose();
  await page.getByLabel('Titel in line 5').fill('Named after all');
  await page.getByLabel('Titel in line 5').press('Enter');
  await page.getByLabel('Type in line 4').selectOption('drone');
  await page.getByRole('button', { name: 'Put 1 thing on the shelf', exact: true }).click();
  await expect(page.getByText('4 things on the shelf')).toBeVisible();

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

test('forty things are chosen, told to lie in a box since January, archived and taken back, each in one go', async ({ page }) => {
  const place = { kind: 'sealed-box', volumeL: 40, airChangesPerDay: null, openingsPerWeek: 1, lining: 'none', lowPct: 35, highPct: 55 };
  await page.request.post(running.url + routes.places, { data: { ...place, name: 'Gasket box', standsInId: null, note: '' } });
  for (let i = 0; i < 40; i++)
    await page.request.post(running.url + routes.gear, {
      data: { name: `Fortieth ${String(i).padStart(2, '0')}`, kind: 'filter', traits: {}, notes: '', acquiredOn: null },
    });
  await page.goto(`${running.url}/gear?search=Fortieth`);
  await page.getByRole('button', { name: 'Choose several' }).click();
  await page.getByRole('checkbox', { name: 'Choose Fortieth 02' }).click();
  await page.getByRole('checkbox', { name: 'Choose Fortieth 05' }).click({ modifiers: ['Shift'] });
  await expect(page.getByText('4 things chosen')).toBeVisible();
  await page.getByRole('button', { name: 'Choose all 40 that match' }).click();
  await expect(page.getByText('40 things chosen')).toBeVisible();
  await page.getByRole('button', { name: 'Not now, earlier…' }).click();
  await page.getByLabel('since').fill('2026-01-05T12:00');
  await page.getByLabel('They lie in').selectOption({ label: 'Gasket box' });
  await page.getByRole('button', { name: 'Move them' }).click();
  await expect(page.getByText('40 things moved to Gasket box.')).toBeVisible();

  await page.getByRole('link', { name: 'Fortieth 07' }).click();
  await expect(page.getByRole('link', { name: 'Gasket box' })).toBeVisible();
  await expect(page.getByText('Moved to: Gasket box')).toBeVisible();

  await page.goto(`${running.url}/gear?search=Fortieth`);
  await page.getByRole('button', { name: 'Choose several' }).click();
  await page.getByRole('button', { name: 'Choose all 40 that match' }).click();
  await page.getByRole('button', { name: 'Archive them' }).click();
  await expect(page.getByText('40 things taken off the shelf.')).toBeVisible();
  await expect(page.getByText('Nothing matches')).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Taken back for 40 things.')).toBeVisible();
  await expect(page.getByText('40 things match')).toBeVisible();
});

test('an inventory: numbers, mounts and tags are typed once, found again, told from each side, and asked anew for the next', async ({
  page,
}) => {
  await page.goto(`${running.url}/gear/new`);
  const add = async (name: string, kind: string, more: () => Promise<void>) => {
    await page.getByLabel('Name', { exact: true }).fill(name);
    await page.getByText(kind, { exact: true }).click();
    const asks = page.getByRole('button', { name: /^Add its number/ });
    if (await asks.isVisible()) await asks.click();
    await more();
    await page.getByRole('button', { name: 'Put it on the shelf' }).click();
    await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
  };
  const fold = (name: RegExp) => page.getByRole('button', { name, expanded: false }).click();
  await add('Lantern 40/2', 'lens', async () => {
    await fold(/^Maker, serial/);
    await page.getByLabel('Serial number').fill('LT-5521-B');
    await page.getByLabel('Tags').fill('walks, old glass');
    await fold(/^What it fits/);
    await page.getByLabel('Goes on mount').fill('Lantern K');
    await page.getByLabel('Filter thread, mm').fill('55');
  });
  await page.goto(`${running.url}/gear/new`);
  await add('Lantern body', 'SLR body', async () => {
    await fold(/^What it fits/);
    await page.getByLabel('Takes mount').fill('lantern k');
  });
  await expect(page.getByText('Takes Lantern 40/2')).toBeVisible();

  await page.goto(`${running.url}/gear`);
  await page.getByLabel('Search the shelf').fill('5521');
  await expect(page.getByRole('row', { name: /Lantern 40\/2 walks old glass/ })).toBeVisible();
  await page.getByLabel('Search the shelf').fill('');
  await page.getByLabel('Tag', { exact: true }).selectOption('walks');
  await expect(page.getByText('1 thing matches')).toBeVisible();
  await page.getByRole('link', { name: 'Lantern 40/2' }).click();
  await expect(page.getByText('Goes on Lantern body')).toBeVisible();

  await page.getByRole('link', { name: 'Another like it' }).click();
  await expect(page.getByText(/^Like Lantern 40\/2/)).toBeVisible();
  await fold(/^Maker, serial/);
  await expect(page.getByLabel('Serial number')).toHaveValue('');
  await expect(page.getByLabel('Tags')).toHaveValue('walks, old glass');
  await page.getByLabel('Serial number').fill('lt 5521 b');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByText(/The same serial number stands on Lantern 40\/2/)).toBeVisible();

  await page.getByRole('link', { name: 'What fits what' }).click();
  await expect(page.getByText('Lantern 40/2 and Lantern 40/2 on Lantern body')).toBeVisible();
});

test('a receipt and a picture are kept with a thing, stand on the shelf, and leave with everything else', async ({ page }) => {
  const added = await page.request.post(running.url + routes.gear, {
    data: { name: 'Papered lens', kind: 'lens', traits: {}, notes: '', acquiredOn: null },
  });
  const { id } = (await added.json()) as { id: string };
  await page.goto(`${running.url}/gear/${id}`);
  const picture = await page.screenshot({ clip: { x: 0, y: 0, width: 60, height: 40 } });
  const receipt = Buffer.from('%PDF-1.4\n1 0 obj << >> endobj\ntrailer << >>\n%%EOF\n');
  await page.getByLabel('Add a picture, receipt or manual').setInputFiles([
    { name: 'front.png', mimeType: 'image/png', buffer: picture },
    { name: 'Receipt 2019.pdf', mimeType: 'application/pdf', buffer: receipt },
    { name: 'none.pdf', mimeType: 'application/pdf', buffer: Buffer.from('no PDF') },
  ]);
  await expect(page.getByText('One file was not kept.')).toBeVisible();
  await expect(page.getByText('Receipt: Receipt 2019.pdf')).toBeVisible();

  const downloaded = page.waitForEvent('download');
  await page.getByRole('link', { name: /^Receipt 2019.pdf/ }).click();
  const chunks: Buffer[] = [];
  for await (const chunk of await (await downloaded).createReadStream()) chunks.push(chunk as Buffer);
  expect(Buffer.concat(chunks)).toEqual(receipt);

  await page.goto(`${running.url}/gear?search=Papered`);
  const face = page.getByRole('row').filter({ hasText: 'Papered lens' }).locator('img');
  await expect(face).toBeVisible();
  expect(await face.evaluate((img: HTMLImageElement) => img.naturalWidth)).toBeGreaterThan(0);
});

test('some of several are split off, one of them is sold, and its log says so', async ({ page }) => {
  await page.request.post(running.url + routes.gear, {
    data: { name: 'Six caps', kind: 'accessory', traits: {}, notes: '', acquiredOn: null, particulars: { count: 6 } },
  });
  await page.goto(`${running.url}/gear?search=caps`);
  await expect(page.getByRole('row').filter({ hasText: 'Six caps' })).toContainText('× 6');
  await page.getByRole('link', { name: 'Six caps' }).click();
  await page.getByRole('button', { name: 'Split some off…' }).click();
  await page.getByRole('button', { name: 'Make it a line of its own' }).click();
  await page.getByRole('link', { name: 'a line of its own' }).click();
  await expect(page.getByText('Split off from Six caps')).toBeVisible();
  await page.getByRole('button', { name: 'It is gone…' }).click();
  await page.getByLabel(/^Sold for/).fill('4.50');
  await page.getByRole('button', { name: 'Take it off the shelf' }).click();
  await expect(page.getByText(/^Sold on .*; sold for 4.5 /)).toBeVisible();
  await expect(page.getByText(/^Gone: sold on/)).toBeVisible();
});
