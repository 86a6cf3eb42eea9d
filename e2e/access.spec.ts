import { routes, type Access } from '@bright-keeper/contract';
import { chromium, expect, test, type Page } from '@playwright/test';
import { begin, codeOn, comeIn, networkPort, onNetwork, openTo, PASSPHRASE, Phones } from './phones.js';
import { start, type Running } from './server.js';

/** A phone on the network beside the machine that keeps the household, from an empty one. */
let running: Running;
let network: string;
const phones = new Phones();

test.beforeEach(async () => {
  running = await begin();
  network = onNetwork();
});
test.afterEach(async () => {
  await phones.close();
  await running.kill('SIGTERM');
});

const open = (page: Page) => openTo(page, running.url);
const pair = async (page: Page, phone: Page, path = '/') => comeIn(phone, await codeOn(page), path);

test('an empty household is asked nothing, is opened with a passphrase, and lets a phone in by what its camera reads', async ({
  page,
  browser,
}) => {
  await page.goto(running.url);
  await expect(page.getByRole('heading', { name: 'Let this device in' })).toBeHidden();
  await page.goto(`${running.url}/settings`);
  await page.getByRole('link', { name: 'See to access' }).click();
  await expect(page.getByRole('button', { name: 'Open it to the network' })).toBeDisabled();
  await page.getByLabel('Passphrase', { exact: true }).fill('lenses');
  await page.getByRole('button', { name: 'Choose it' }).click();
  await expect(page.getByText('At least 12 characters: four words that have nothing to do with each other are good.')).toBeVisible();
  await expect(page.getByLabel('Passphrase', { exact: true })).toHaveValue('lenses');
  await open(page);

  const code = await codeOn(page);
  const phone = await phones.one(browser);
  await phone.goto(`${network}/gear#pair=${code.replace(' ', '')}`);
  await expect(phone.getByLabel('Code')).toHaveValue(code);
  await expect(phone.getByLabel('Name of this device')).toHaveValue('Phone');
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByRole('heading', { name: 'Gear' })).toBeVisible();
  expect(phone.url()).toBe(`${network}/gear`);
  await expect(page.getByText('That code is used up.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Let Phone go' })).toBeVisible();
});

test('what one types on a phone that is let go is there when it comes in again, and is kept', async ({ page, browser }) => {
  await open(page);
  const phone = await phones.one(browser);
  await pair(page, phone, '/gear/new');
  await phone.getByRole('textbox', { name: 'Name', exact: true }).fill('Corvane 35/2');
  await page.getByRole('button', { name: 'Let Phone go' }).click();
  await page.getByRole('button', { name: 'Let Phone go now' }).click();
  await expect(page.getByText('None yet. This machine itself needs none of it.')).toBeVisible();
  // Of itself: nothing was tapped.
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible();
  await phone.getByRole('button', { name: 'Use the passphrase' }).click();
  await phone.getByLabel('Passphrase', { exact: true }).fill('five lenses on one shelf');
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByText('That is not the passphrase')).toBeVisible();
  await phone.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByRole('textbox', { name: 'Name', exact: true })).toHaveValue('Corvane 35/2');
  await phone.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(phone.getByRole('heading', { name: 'Corvane 35/2' })).toBeVisible();
});

test('a look that is under way on a phone goes on where it was, after it was let go in the middle', async ({ page, browser, request }) => {
  await open(page);
  const lens = { name: 'Corvane 35/2', kind: 'lens', traits: {}, notes: '', acquiredOn: null };
  const { id } = (await (await request.post(running.url + routes.gear, { data: lens })).json()) as { id: string };
  const phone = await phones.one(browser);
  await pair(page, phone, `/gear/${id}`);
  await phone.getByRole('button', { name: /look/i }).first().click();
  await expect(phone).toHaveURL(/\/look\//);
  const lookId = phone.url().split('/').at(-1)!;
  const { devices: paired } = (await (await request.get(running.url + routes.access)).json()) as Access;
  await request.delete(running.url + routes.accessDevice(paired[0]!.id));
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible();
  await phone.getByLabel('Code').fill(await codeOn(page));
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeHidden();
  await phone.getByRole('button', { name: 'Nothing here' }).first().click();
  await expect(async () => {
    const look = (await (await request.get(running.url + routes.look(lookId))).json()) as { answers: unknown[] };
    expect(look.answers).toHaveLength(1);
  }).toPass();
});

test('a phone lets others in only with the passphrase, and lets itself go', async ({ page, browser }) => {
  await open(page);
  const phone = await phones.one(browser);
  await pair(page, phone, '/settings/access');
  await expect(phone.getByRole('button', { name: 'Show a code' })).toBeHidden();
  await phone.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await phone.getByRole('button', { name: 'Go on' }).click();
  const tablet = await phones.one(browser);
  await pair(phone, tablet);
  await phone.getByRole('button', { name: 'Let Phone go' }).first().click();
  await phone.getByRole('button', { name: 'Let Phone go now' }).click();
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible();
  await expect(tablet.getByRole('heading', { name: 'Let this device in' })).toBeHidden();
});

test('a new start opens the network again, and phones that were in are in; until it is closed', async ({ page, browser }) => {
  await open(page);
  const phone = await phones.one(browser);
  await pair(page, phone);
  await running.kill('SIGTERM');
  running = await begin(running.dataDir);
  await expect(() => phone.goto(`${network}/gear`)).toPass();
  await expect(phone.getByRole('heading', { name: 'Gear' })).toBeVisible();
  await page.goto(`${running.url}/settings/access`);
  await page.getByRole('button', { name: 'Close it' }).click();
  await expect(page.getByText('Bright Keeper answers this machine only.')).toBeVisible();
  // A line that was open already is closed within two seconds, and refused until then.
  const tried = () =>
    phone.goto(`${network}/gear`).then(
      (r) => String(r!.status()),
      (error: Error) => error.message,
    );
  await expect.poll(tried).toContain('ERR_CONNECTION_REFUSED');
});

test('whoever starts it for the network without a passphrase is told where to choose one', async () => {
  await running.kill('SIGTERM');
  running = await begin(running.dataDir, ['--lan']);
  await expect
    .poll(() => running.output())
    .toContain('Not open to the network: there is no passphrase yet. Choose one at http://localhost:');
});

test('the steps for a phone say so where its clock is off', async ({ page, browser }) => {
  await open(page);
  const phone = await phones.one(browser);
  const steps = `http://localhost:${networkPort() + 1}/`;
  await phone.goto(steps);
  await expect(phone.getByRole('alert')).toBeHidden();
  await expect(page.getByLabel('Fingerprint')).toBeVisible();
  const shown = (await page.getByLabel('Fingerprint').locator('span').allTextContents()).join(':');
  expect((await phone.locator('code').innerText()).replaceAll('\n', ':')).toBe(shown);
  await expect(phone.getByRole('link', { name: /^Open localhost/ })).toHaveAttribute('href', network);
  await phone.clock.setFixedTime(new Date('2019-05-01T12:00:00Z'));
  await phone.goto(steps);
  await expect(phone.getByRole('alert')).toContainText('This device’s clock says');
});

test('a calendar is given an address of the network, and comes unencrypted only where its key may', async ({ page, browser }) => {
  await open(page);
  await page.goto(`${running.url}/calendar/others`);
  await page.getByRole('button', { name: 'Make an address' }).click();
  const addresses = page.locator('dd');
  await expect(addresses).toHaveText([
    new RegExp(`^${network}/api/schedule/feed/.+\\.ics$`),
    new RegExp(`^${running.url}/api/schedule/feed/.+\\.ics$`),
  ]);
  const path = new URL((await addresses.first().textContent())!).pathname;
  const plain = `http://localhost:${networkPort() + 1}`;
  const phone = await phones.one(browser);
  const fetched = async (origin: string) => (await phone.request.get(origin + path)).status();
  expect([await fetched(network), await fetched(plain)]).toEqual([200, 403]);
  await page.getByRole('button', { name: 'Let this key come unencrypted' }).click();
  await expect(addresses.first()).toHaveText(plain + path);
  expect(await fetched(plain)).toBe(200);
  await page.getByRole('button', { name: 'I have it' }).click();
  await page.getByRole('button', { name: 'No more' }).click();
  await expect(page.getByText('whoever listens on the network can read it then')).toBeHidden();
  expect([await fetched(network), await fetched(plain)]).toEqual([200, 403]);
});

test('a phone that was let in keeps what is needed outdoors by itself, and forgets it when it is let go', async ({
  page,
  launchOptions,
}) => {
  const NAME = 'keeper.home.arpa';
  await running.kill('SIGTERM');
  running = await start({ env: { NETWORK_PORT: String(networkPort()), NETWORK_NAMES: NAME } });
  network = `https://${NAME}:${networkPort()}`;
  await open(page);
  // A browser that trusts the certificate and knows the name, as a phone does that followed the first code.
  const args = [...(launchOptions.args ?? []), '--ignore-certificate-errors', `--host-resolver-rules=MAP ${NAME} 127.0.0.1`];
  const browser = await chromium.launch({ ...launchOptions, args });
  const phone = await phones.one(browser);
  const code = await codeOn(page);
  await phone.goto(`${network}/kept`);
  await phone.getByLabel('Code').fill(code);
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByText('0 things are kept with their pages')).toBeVisible();
  await phone.waitForFunction(async () => (await navigator.serviceWorker.ready).active?.state === 'activated');
  await phone.context().setOffline(true);
  await phone.goto(`${network}/handbook`);
  await expect(phone.getByRole('heading', { name: 'Handbook' })).toBeVisible();
  await expect(phone.getByText(/^Out of reach/)).toBeVisible();
  await page.getByRole('button', { name: 'Let Phone go', exact: true }).click();
  await page.getByRole('button', { name: 'Let Phone go now' }).click();
  await expect(page.getByText('Phone', { exact: true })).toBeHidden();
  await phone.context().setOffline(false);
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeVisible();
  const left = () =>
    phone.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const asked = indexedDB.open('bright-keeper kept');
          asked.onsuccess = () => {
            const count = asked.result.transaction('answers').objectStore('answers').count();
            count.onsuccess = () => (asked.result.close(), resolve(count.result));
          };
        }),
    );
  await expect.poll(left).toBe(0);
  await phones.close();
  await browser.close();
});
