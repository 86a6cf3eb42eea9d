import { expect, test, type Page } from '@playwright/test';
import { routes, type Item, type ItemPage, type Place } from '@bright-keeper/contract';
import type { schedule } from '@bright-keeper/core';
import { readFileSync } from 'node:fs';
import { start, type Running } from './server.js';

let running: Running;
test.beforeEach(async () => void (running = await start()));
test.afterEach(() => running.kill('SIGTERM'));

/** Which week since 1970 a day lies in. */
const week = (day: string): number => Math.floor(Date.parse(day) / (7 * 86_400_000));

const add = async (page: Page, name: string, more: object = {}): Promise<Item> =>
  (await (
    await page.request.post(running.url + routes.gear, { data: { name, kind: 'lens', traits: {}, notes: '', acquiredOn: null, ...more } })
  ).json()) as Item;
const itemPage = async (page: Page, { id }: Item): Promise<ItemPage> =>
  (await (await page.request.get(running.url + routes.item(id))).json()) as ItemPage;
const PLACE = { kind: 'shelf', volumeL: 40, airChangesPerDay: null, openingsPerWeek: 1, lining: 'none', lowPct: 35, highPct: 55 };
const addPlace = async (page: Page, name: string): Promise<Place> =>
  (await (await page.request.post(running.url + routes.places, { data: { ...PLACE, name, standsInId: null, note: '' } })).json()) as Place;

/** Every tap on the page from now on is counted; what is typed is not. */
async function countTaps(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    Object.assign(window, { taps: 0 });
    document.addEventListener('click', (event) => {
      // A label hands its tap on to its field: that is one.
      if (event.isTrusted && event.detail > 0) (window as unknown as { taps: number }).taps += 1;
    });
  });
  return () => page.evaluate(() => (window as unknown as { taps: number }).taps);
}

test('a lens and what belongs to it: put together, moved together, lent together, and back', async ({ page }) => {
  await addPlace(page, 'Drawer');
  const lens = await add(page, 'Corvane 35/2', { particulars: { threadMm: 58 } });
  const spare = await add(page, 'Loose cap', { kind: 'accessory', particulars: { part: 'front-cap', threadMm: 58 } });
  await page.goto(`${running.url}/gear/${lens.id}`);
  await page.getByRole('link', { name: 'A new thing that belongs to it' }).click();
  await expect(page.getByText('It belongs to Corvane 35/2: it moves with it and is lent with it.')).toBeVisible();
  await page.getByLabel('Name', { exact: true }).fill('Its hood');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('list', { name: 'What belongs to it' })).toContainText('Its hood');

  await page.getByLabel('Move it to').selectOption({ label: 'Drawer' });
  await expect(page.getByText('Moved to: Drawer')).toBeVisible();
  await page.getByRole('list', { name: 'What belongs to it' }).getByRole('link', { name: 'Its hood' }).click();
  await expect(page.getByText('Moved to: Drawer')).toBeVisible();
  await expect(page.getByText('It belongs to Corvane 35/2.')).toBeVisible();

  await page.getByRole('link', { name: 'Corvane 35/2' }).click();
  await page.getByRole('button', { name: 'It goes away…' }).click();
  await page.getByLabel('Where is it?').selectOption('service');
  await page.getByLabel(/^What it is to cost/).fill('120');
  await page.getByRole('button', { name: 'It is away' }).click();
  await expect(page.getByText(/It is at a workshop since today; it is to cost 120 EUR\./)).toBeVisible();
  await page.getByRole('link', { name: 'Its hood' }).click();
  await expect(page.getByText(/^It is at a workshop since today/)).toBeVisible();
  await page.getByRole('link', { name: 'Corvane 35/2' }).click();
  await page.getByRole('button', { name: 'It is back' }).first().click();
  await expect(page.getByRole('button', { name: 'It goes away…' })).toBeVisible();

  // Its cap is lost: the spare one is found by its thread.
  await page.getByRole('button', { name: 'A cap is missing…' }).click();
  await page.getByRole('group', { name: 'Which cap is missing?' }).getByRole('button', { name: 'Front cap' }).click();
  await page.goto(`${running.url}/gear/fit`);
  await expect(page.getByText(/Corvane 35\/2 has lost its front cap: Loose cap lies spare and fits/)).toBeVisible();
  expect((await itemPage(page, spare)).belongsTo).toBeNull();
});

test('many at once: looked at by a light, lent, taken along, each taken back in one go', async ({ page }) => {
  const things: Item[] = [];
  for (let i = 0; i < 12; i++) things.push(await add(page, `Twelfth ${String(i).padStart(2, '0')}`));
  await page.goto(`${running.url}/gear`);
  const choose = async () => page.getByRole('button', { name: /^Choose all 12/ }).click();
  await page.getByRole('button', { name: 'Choose several' }).click();
  await choose();
  await page.getByRole('button', { name: 'They were looked at…' }).click();
  await page.getByLabel('By what light?').selectOption('torch');
  await page.getByRole('button', { name: 'Nothing new was found' }).click();
  await expect(page.getByText('12 things looked at, nothing new found.')).toBeVisible();
  await expect(page.getByRole('row', { name: /Twelfth 03/ })).toContainText('Leave it');
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Taken back for 12 things.')).toBeVisible();
  await expect(page.getByRole('row', { name: /Twelfth 03/ })).toContainText('Not looked at');

  await choose();
  await page.getByRole('button', { name: 'Lend them…' }).click();
  await page.getByRole('button', { name: 'They are away' }).click();
  await expect(page.getByText('Whom is it lent to? A name is enough.')).toBeVisible();
  await page.getByRole('textbox', { name: 'Lent to' }).fill('A friend');
  await page.getByRole('button', { name: 'They are away' }).click();
  await expect(page.getByText(/^12 things are on loan to A friend/)).toBeVisible();
  expect((await itemPage(page, things[5]!)).away).toMatchObject({ why: 'loan', to: 'A friend' });
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Taken back for 12 things.')).toBeVisible();
  expect((await itemPage(page, things[5]!)).away).toBeNull();

  await choose();
  await page.getByRole('button', { name: 'How often…' }).click();
  await page.getByLabel('What is done?').selectOption('light-test');
  await page.getByLabel('How often?').selectOption('24');
  await page.getByRole('button', { name: 'Set it for them' }).click();
  await expect(page.getByText(/every 24 months, for 12 things\./)).toBeVisible();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('Taken back for 12 things.')).toBeVisible();

  await choose();
  await page.getByRole('button', { name: 'On an outing…' }).click();
  await page.getByLabel('Name of it').fill('To the shore');
  await page.getByLabel('Where to').selectOption('shore');
  await page.getByRole('button', { name: 'They came along', exact: true }).click();
  await expect(page.getByText('Noted: To the shore, with 12 things.')).toBeVisible();
  await page.goto(`${running.url}/outings`);
  await expect(page.getByText('To the shore').first()).toBeVisible();
});

test('the shelf in groups, with the columns one likes, and both stay; anything is found by a key', async ({ page }) => {
  const box = await addPlace(page, 'Gasket box');
  const lens = await add(page, 'Ostrane 58', { particulars: { serial: 'OS-7781', insuredFor: 900 } });
  await add(page, 'Six filters', { kind: 'filter', particulars: { count: 6, paid: 120 } });
  await page.request.put(running.url + routes.itemPlace(lens.id), { data: { placeId: box.id, since: null } });
  await page.goto(`${running.url}/gear`);
  await page.getByLabel('Groups').selectOption('place');
  const groups = page.getByRole('list', { name: 'The shelf in groups' });
  await expect(groups.getByRole('listitem')).toContainText([
    /Gasket box.*1 thing · 900 EUR/,
    /In no place we know.*6 things on 1 line · 120 EUR/,
  ]);
  await page.getByRole('button', { name: 'Rows and columns' }).click();
  await page.getByLabel('Serial number', { exact: true }).check();
  await page.getByLabel('Kind', { exact: true }).last().uncheck();
  await page.reload();
  await groups.getByRole('button', { name: /Gasket box/ }).click();
  const table = page.getByRole('table', { name: 'Gasket box' });
  await expect(table.getByRole('columnheader')).toHaveText(['Thing', 'Last verdict', 'Next', 'Serial number']);
  await expect(table.getByRole('row', { name: /Ostrane 58/ })).toContainText('OS-7781');

  await page.goto(`${running.url}/calendar`);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.keyboard.press('/');
  await page.getByRole('combobox', { name: 'Find anything' }).fill('7781');
  await expect(page.getByRole('option', { name: /Ostrane 58/ })).toContainText('lens · Gasket box');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Ostrane 58' })).toBeVisible();
  await page.keyboard.press('Control+k');
  await page.getByRole('combobox', { name: 'Find anything' }).fill('insurance');
  await page.getByRole('option', { name: /Print the inventory/ }).click();
  await expect(page.getByRole('heading', { name: 'Inventory' })).toBeVisible();
  // Where one types, the stroke is a letter.
  await page.goto(`${running.url}/gear`);
  await page.getByLabel('Search the shelf').fill('');
  await page.getByLabel('Search the shelf').press('/');
  await expect(page.getByLabel('Search the shelf')).toHaveValue('/');
});

test('the log: an edit is taken back, a look corrected, and what a clean rests on stands with its reason', async ({ page }) => {
  const lens = await add(page, 'Corvane 28/2');
  await page.goto(`${running.url}/gear/${lens.id}/edit`);
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Corvan 28/2');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Before, it was called Corvane 28/2.')).toBeVisible();
  await page.getByRole('button', { name: 'Take back…' }).first().click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByRole('heading', { name: 'Corvane 28/2' })).toBeVisible();

  const look = (await (await page.request.post(running.url + routes.looks, { data: { itemId: lens.id } })).json()) as { id: string };
  await page.request.put(running.url + routes.look(look.id), {
    data: { version: 1, at: null, answers: [{ surface: 'front-glass', findings: [{ soil: 'fungus-outside', severity: 3 }], note: '' }] },
  });
  await page.request.post(running.url + routes.lookFinish(look.id), { data: { version: 2 } });
  await page.goto(`${running.url}/gear/${lens.id}`);
  await page.getByRole('link', { name: 'Correct it' }).click();
  await page.getByRole('button', { name: /^Front glass/ }).click();
  await page.getByRole('button', { name: 'Not there after all' }).click();
  await page.getByRole('button', { name: 'fingerprint' }).click();
  await page.getByRole('button', { name: 'Save the correction' }).click();
  await expect(page.getByText(/^Corrected\. Before, it was said: Front glass: /)).toBeVisible();
  expect((await itemPage(page, lens)).surfaces).toMatchObject([{ findings: [{ soil: 'fingerprint' }], verdict: 'clean' }]);

  await page.request.post(running.url + routes.cleanings, { data: { itemId: lens.id, place: 'home' } });
  await page.reload();
  await page.getByRole('button', { name: 'Take back…' }).first().click();
  await page.getByRole('button', { name: 'Take it back' }).click();
  await expect(page.getByText('A clean that is under way began from it: end that first.')).toBeVisible();
});

test('the next thing takes two taps, a list of thirty three; and the list goes out and in as a spreadsheet', async ({ page }) => {
  await page.goto(`${running.url}/gear/new`);
  let taps = await countTaps(page);
  await page.getByLabel('Name', { exact: true }).fill('First body');
  await page.getByText('mirrorless body', { exact: true }).click();
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(page.getByRole('heading', { name: 'First body' })).toBeVisible();
  // Of the kind, its label and its field are told of the same tap.
  expect(await taps()).toBeLessThanOrEqual(3);

  const rows = Array.from({ length: 30 }, (_, i) => `Thirtieth ${i + 1} lens;${1950 + i};${100 + i},50 €`);
  await page.goto(`${running.url}/gear/import`);
  taps = await countTaps(page);
  await page.locator('input[type=file]').setInputFiles({
    name: 'list.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(`My list;;\n;;\nBezeichnung;Baujahr;Kaufpreis\n${rows.join('\n')}\nSumme;;3.450,00 €\n`),
  });
  await expect(page.getByText(/headings stand in line 3/)).toBeVisible();
  await page.getByRole('button', { name: 'Put 30 things on the shelf', exact: true }).click();
  await expect(page.getByText('31 things on the shelf')).toBeVisible();
  expect(await taps()).toBeLessThanOrEqual(1);

  // Their first looks have turns: no week has all of them, and each has some day of its own.
  const { duties } = (await (await page.request.get(running.url + routes.agenda)).json()) as schedule.Agenda;
  const first = duties.filter((d) => d.code === 'light-test' && d.ahead === 0);
  const weeks = first.reduce(
    (all, { window }) => all.set(week(window.due), (all.get(week(window.due)) ?? 0) + 1),
    new Map<number, number>(),
  );
  expect(first).toHaveLength(30);
  expect(weeks.size).toBeGreaterThan(3);
  expect(Math.max(...weeks.values())).toBeLessThan(15);
  await page.goto(`${running.url}/calendar`);
  await expect(page.getByRole('link', { name: /^Thirtieth/ }).first()).toBeVisible();

  await page.goto(`${running.url}/gear/inventory`);
  const printed = page.waitForEvent('download');
  await page.getByRole('link', { name: 'As PDF' }).click();
  expect(
    readFileSync(await (await printed).path())
      .subarray(0, 5)
      .toString(),
  ).toBe('%PDF-');
  for (const form of ['XLSX', 'ODS']) {
    const coming = page.waitForEvent('download');
    await page.getByRole('link', { name: `As ${form}` }).click();
    const file = await (await coming).path();
    await page.goto(`${running.url}/gear/import`);
    await page.locator('input[type=file]').setInputFiles(file);
    await expect(page.getByText(`Read as a spreadsheet (${form}): its first sheet.`)).toBeVisible();
    await expect(page.getByRole('heading', { name: '31 rows, all good, 31 of them on the shelf already' })).toBeVisible();
    await page.goto(`${running.url}/gear/inventory`);
  }
  await page.getByRole('button', { name: 'A page for each thing' }).click();
  await expect(page.getByRole('article')).toHaveCount(31);
});

test('a loan that comes due: asked for on Today once its day is over, and gone from there when it is back', async ({ page }) => {
  const lens = await add(page, 'Lent lens');
  const day = (offset: number) => new Date(Date.now() + offset * 86_400_000).toISOString();
  const away = { itemId: lens.id, why: 'loan', to: 'Mara', until: day(-1).slice(0, 10), at: day(-20) };
  expect((await page.request.post(running.url + routes.away, { data: away })).status()).toBe(201);
  await page.goto(running.url);
  const due = page.getByRole('listitem').filter({ hasText: 'It is on loan to Mara' }).first();
  await expect(due).toContainText('Lent lens');
  await expect(due).toContainText(/yesterday|overdue/);
  await due.getByRole('button', { name: /^It is back/ }).click();
  await expect(page.getByText('It is on loan to Mara')).toHaveCount(0);
  await page.goto(`${running.url}/gear/${lens.id}`);
  await expect(page.getByRole('heading', { name: 'Lent lens' })).toBeVisible();
  await expect(page.getByText(/^It is on loan/)).toHaveCount(0);
});
