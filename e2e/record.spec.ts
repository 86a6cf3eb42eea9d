import { expect, test, type Page } from '@playwright/test';
import { routes, type Item } from '@bright-keeper/contract';
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { start, type Running } from './server.js';

let running: Running;
test.beforeEach(async () => void (running = await start()));
test.afterEach(() => running.kill('SIGTERM'));

const add = async (page: Page, name: string, more: object = {}): Promise<Item> =>
  (await (
    await page.request.post(running.url + routes.gear, { data: { name, kind: 'lens', traits: {}, notes: '', acquiredOn: null, ...more } })
  ).json()) as Item;

/** A file that a tap on a link takes away, kept in the folder of the test. */
async function taken(page: Page, name: string, folder: string): Promise<string> {
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name }).click();
  const file = join(folder, (await download).suggestedFilename());
  await (await download).saveAs(file);
  return file;
}

test('a report: made, taken away, checked here and by a page of its own without a household; with a word changed it was edited', async ({
  page,
}, info) => {
  const item = await add(page, 'Ostrane 58/1.4', { particulars: { serial: 'OS-7741', paid: 310 } });
  await page.goto(`${running.url}/gear/${item.id}`);
  await page.getByRole('link', { name: 'Condition report' }).click();
  await expect(page.getByRole('heading', { name: 'Condition report' })).toBeVisible();
  await expect(page.getByRole('article')).toContainText('OS-7741');
  await expect(page.getByRole('article')).not.toContainText('310');
  // What a buyer is shown is chosen, and the address keeps it.
  await page.getByRole('checkbox', { name: 'Serial number' }).uncheck();
  await expect(page.getByRole('article')).not.toContainText('OS-7741');
  await page.reload();
  await expect(page.getByRole('checkbox', { name: 'Serial number' })).not.toBeChecked();
  await expect(page.getByText(/^Signed by this household’s key/)).toBeVisible();

  const folder = info.outputDir;
  const file = await taken(page, 'Signed file', folder);
  const pdf = readFileSync(await taken(page, 'As PDF', folder));
  expect(pdf.subarray(0, 5).toString()).toBe('%PDF-');
  const checker = await taken(page, 'a page to send along', folder);
  const edited = join(folder, 'edited.json');
  writeFileSync(edited, readFileSync(file, 'utf8').replace('Not looked at.', 'Nothing found.'));
  const other = join(folder, 'other.json');
  writeFileSync(other, '{"a":1}');

  await page.getByRole('link', { name: 'Check a report' }).click();
  const choose = (path: string) => page.locator('input[type=file]').setInputFiles(path);
  await choose(file);
  await expect(page.getByText('As it was signed', { exact: true })).toBeVisible();
  await expect(page.getByText('It is signed by this household’s key:')).toBeVisible();
  await choose(edited);
  await expect(page.getByText('It was edited, or is not whole')).toBeVisible();
  await choose(other);
  await expect(page.getByText('This is no report', { exact: true })).toBeVisible();

  // Whoever has nothing but two files: no server, no network.
  await running.kill('SIGTERM');
  await page.goto(pathToFileURL(checker).href);
  await choose(file);
  await expect(page.getByText('As it was signed', { exact: true })).toBeVisible();
  await expect(page.getByText(/It is signed by the key [0-9a-f]{4} /)).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Ostrane 58/1.4' })).toBeVisible();
  await choose(edited);
  await expect(page.getByText('It was edited, or is not whole')).toBeVisible();
});

test('an offer: kept, found again, corrected, and on the shelf with what was seen of it', async ({ page }) => {
  await page.goto(`${running.url}/offer`);
  await page.getByRole('button', { name: 'Just behind the front or rear' }).click();
  await page.getByRole('button', { name: 'A web over part of it' }).click();
  await page.getByLabel(/^What a clean one costs/).fill('300');
  await page.getByLabel(/^What is asked for this one/).fill('250');
  await expect(page.getByText('Leave it at this price')).toBeVisible();
  await page.getByLabel('What it is').fill('Ostrane 58/1.4');
  await page.getByRole('button', { name: 'Keep this offer' }).click();
  await expect(page.getByRole('list', { name: 'Offers kept' })).toContainText('250 EUR asked, too dear');

  await page.goto(`${running.url}/offer`);
  await page.getByRole('link', { name: 'Ostrane 58/1.4' }).click();
  await page.getByLabel(/^What is asked for this one/).fill('60');
  await expect(page.getByText('At this price the risk is bearable')).toBeVisible();
  await page.getByRole('button', { name: 'Keep it as it stands now' }).click();
  await page.getByRole('button', { name: 'Bought: put it on the shelf' }).click();
  await expect(page.getByRole('heading', { name: /^Ostrane 58\/1\.4/ })).toBeVisible();
  await expect(page.getByText('Looked at 1 surface')).toBeVisible();
  await expect(page.getByText(/Inner glass: fungus inside \(obvious\)/).first()).toBeVisible();
  await page.goto(`${running.url}/offer`);
  await expect(page.getByRole('list', { name: 'Offers kept' })).toContainText('60 EUR asked, bought');
});

test('a run of the practice: by keys alone to its end, kept, and the next one is another', async ({ page }) => {
  await page.goto(`${running.url}/clean`);
  await page.getByRole('link', { name: 'Practice' }).click();
  await page.getByRole('button', { name: 'Sensor without a sensor' }).click();
  await expect(page.getByText(/^0 of \d+ cases practised\.$/)).toBeVisible();
  const told = await page.getByRole('heading', { level: 2, name: /^“/ }).textContent();
  const questions = Number(/Question 1 of (\d+)\./.exec((await page.getByText(/Question 1 of \d+\./).textContent())!)![1]);
  for (let question = 1; question <= questions; question++) {
    await expect(page.getByText(`Question ${question} of ${questions}.`)).toBeVisible();
    await page.keyboard.press('1');
    await expect(page.getByText(/^(Yes\.|No: )/)).toBeVisible();
    await page.keyboard.press('Enter');
  }
  await expect(page.getByText(/^It comes back on /)).toBeVisible();
  await expect(page.getByText(/^1 of \d+ cases practised/)).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Question 1 of /)).toBeVisible();
  await expect(page.getByRole('heading', { level: 2, name: told!, exact: true })).toHaveCount(0);
  await page.reload();
  await expect(page.getByText(/^1 of \d+ cases practised/)).toBeVisible();
});
