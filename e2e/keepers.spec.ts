import { expect, test, type Page } from '@playwright/test';
import { begin, codeOn, comeIn, onNetwork, openTo, PASSPHRASE, Phones } from './phones.js';
import type { Running } from './server.js';

/** Several who keep one household, from an empty one. */
const BENS = 'two hoods and a cap in snow';
let running: Running;
const phones = new Phones();

test.beforeEach(async () => void (running = await begin()));
test.afterEach(async () => {
  await phones.close();
  await running.kill('SIGTERM');
});

/** The second keeper comes to the household, and the first says what they are called. */
async function addBen(page: Page, role: RegExp): Promise<void> {
  await page.getByRole('button', { name: 'Add a keeper' }).click();
  await page.getByLabel('What you are called').fill('Ada');
  await page.getByLabel('What the other one is called').fill('Ben');
  const option = await page.getByLabel('What they may do').locator('option').filter({ hasText: role }).getAttribute('value');
  await page.getByLabel('What they may do').selectOption(option);
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Cannot come in yet: a code for a device of theirs lets them in.')).toBeVisible();
}

async function benComesIn(page: Page, phone: Page, path: string): Promise<void> {
  await page.getByLabel('For a device of').selectOption('Ben');
  const code = await codeOn(page);
  await expect(page.getByText(/^For one device of Ben, until/)).toBeVisible();
  await comeIn(phone, code, path);
}

async function choosePassphrase(phone: Page, passphrase: string): Promise<void> {
  await phone.goto(`${onNetwork()}/settings/access`);
  await phone.getByLabel('Passphrase', { exact: true }).fill(passphrase);
  await phone.getByRole('button', { name: 'Choose it' }).click();
  await expect(phone.getByText('The passphrase is chosen.')).toBeVisible();
}

async function putOnShelf(page: Page, name: string): Promise<void> {
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill(name);
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
}

test('one alone hears of nobody else; a second comes in by a code, and what they do is told under their name', async ({
  page,
  browser,
}) => {
  await openTo(page, running.url);
  await expect(page.getByText('You keep this household alone.')).toBeVisible();
  await expect(page.getByLabel('For a device of')).toBeHidden();
  await addBen(page, /^Keeper/);
  const phone = await phones.one(browser);
  await benComesIn(page, phone, '/gear/new');
  await putOnShelf(phone, 'Corvane 35/2');
  await expect(phone.getByRole('heading', { name: 'Corvane 35/2' })).toBeVisible();
  await expect(phone.getByText('Reading only')).toBeHidden();

  await page.goto(`${running.url}/gear`);
  await page.getByRole('link', { name: 'Corvane 35/2' }).first().click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Came on the shelf' }).first()).toContainText('Ben,');
  await page.goto(`${running.url}/settings/data/trail`);
  await expect(page.getByRole('row').filter({ hasText: 'Corvane 35/2' })).toContainText('Ben');
  await expect(page.getByRole('row').filter({ hasText: 'Keeper added' })).toContainText('Somebody at the machine');
  // Ben lets nobody in.
  await phone.goto(`${onNetwork()}/settings/access`);
  await expect(phone.getByText('You are here as Ben.')).toBeVisible();
  await expect(phone.getByRole('button', { name: /code/ })).toBeHidden();
  await expect(phone.getByRole('button', { name: 'Add a keeper' })).toBeHidden();
});

test('a reader looks at all of it and changes nothing, and what they typed stays', async ({ page, browser }) => {
  await openTo(page, running.url);
  await addBen(page, /^Reader/);
  const phone = await phones.one(browser);
  await benComesIn(page, phone, '/gear/new');
  await expect(phone.getByRole('link', { name: 'Reading only' })).toBeVisible();
  await putOnShelf(phone, 'Corvane 35/2');
  await expect(phone.getByText('You read this household and change nothing in it')).toBeVisible();
  await expect(phone.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Corvane 35/2');
  // Made a keeper meanwhile, they go on where they were.
  await page.getByRole('button', { name: 'Change Ben' }).click();
  await page.getByLabel('What they may do').selectOption('keeper');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByText('Keeper: does everything but let others in.').first()).toBeVisible();
  await phone.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(phone.getByRole('heading', { name: 'Corvane 35/2' })).toBeVisible();
  await expect(phone.getByRole('link', { name: 'Reading only' })).toBeHidden();
});

test('by name and passphrase from elsewhere, at the machine itself, and out at once when removed', async ({ page, browser }) => {
  await openTo(page, running.url);
  await addBen(page, /^Reader/);
  const phone = await phones.one(browser);
  await benComesIn(page, phone, '/');
  await choosePassphrase(phone, BENS);

  const tablet = await phones.one(browser);
  await tablet.goto(`${onNetwork()}/gear`);
  await tablet.getByRole('button', { name: 'Use the passphrase' }).click();
  await tablet.getByLabel('Your name').fill('Ben');
  await tablet.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await tablet.getByRole('button', { name: 'Let it in' }).click();
  await expect(tablet.getByText('That name and that passphrase do not belong together')).toBeVisible();
  await tablet.getByLabel('Passphrase', { exact: true }).fill(BENS);
  await tablet.getByRole('button', { name: 'Let it in' }).click();
  await expect(tablet.getByRole('heading', { name: 'Gear' })).toBeVisible();

  await page.reload();
  await page.getByRole('button', { name: 'Say who I am' }).click();
  await page.getByLabel('Who', { exact: true }).selectOption('Ben');
  await page.getByLabel('Passphrase', { exact: true }).last().fill(BENS);
  await page.getByRole('button', { name: 'That is me' }).click();
  await expect(page.getByText('You are here as Ben.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Reading only' })).toBeVisible();
  await page.getByRole('button', { name: 'Let Computer go', exact: true }).click();
  await page.getByRole('button', { name: 'Let Computer go now' }).click();
  await expect(page.getByRole('link', { name: 'Reading only' })).toBeHidden();

  // A household has an owner: the last one is not offered to go.
  await expect(page.getByRole('button', { name: 'Remove Ada' })).toBeHidden();
  await page.getByRole('button', { name: 'Remove Ben' }).click();
  await page.getByRole('button', { name: 'Remove them' }).click();
  await expect(page.getByText('You keep this household alone.')).toBeVisible();
  for (const one of [phone, tablet]) await expect(one.getByRole('heading', { name: 'Let this device in' })).toBeVisible();
});
