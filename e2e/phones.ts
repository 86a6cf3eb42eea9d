import { devices, expect, test, type Browser, type BrowserContext, type Page } from '@playwright/test';
import { start, type Running } from './server.js';

export const PASSPHRASE = 'four lenses on one shelf';

/** Above the ports that a system gives away by itself, two for each that runs beside. */
export const networkPort = (): number => 61_000 + 2 * test.info().parallelIndex;

/** The machine that keeps the household, and what a phone calls it. */
export const begin = (dataDir?: string, args: string[] = []): Promise<Running> =>
  start({ ...(dataDir ? { dataDir } : {}), args, env: { NETWORK_PORT: String(networkPort()), NETWORK_NAMES: 'localhost' } });
export const onNetwork = (): string => `https://localhost:${networkPort()}`;

/** Phones are closed with the test they belong to. */
export class Phones {
  private readonly all: BrowserContext[] = [];

  /** That the certificate itself is good is seen by OpenSSL (authority.test.ts); this browser has been told of no authority. */
  async one(browser: Browser): Promise<Page> {
    const { userAgent, viewport, isMobile, hasTouch } = devices['Pixel 7'];
    const phone = await browser.newContext({ userAgent, viewport, isMobile, hasTouch, ignoreHTTPSErrors: true });
    this.all.push(phone);
    return phone.newPage();
  }

  async close(): Promise<void> {
    await Promise.all(this.all.splice(0).map((phone) => phone.close()));
  }
}

/** Chooses a passphrase on the machine itself, and opens the network. */
export async function openTo(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/settings/access`);
  await page.getByLabel('Passphrase', { exact: true }).fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Choose it' }).click();
  await page.getByRole('button', { name: 'Open it to the network' }).click();
  await expect(page.getByRole('button', { name: 'Close it' })).toBeVisible();
}

export async function codeOn(page: Page): Promise<string> {
  await page.getByRole('button', { name: /^Show a(nother)? code$/ }).click();
  return (await page.getByLabel('Code', { exact: true }).textContent())!;
}

/** Lets a phone in, by the code as one types it. */
export async function comeIn(phone: Page, code: string, path = '/'): Promise<void> {
  await phone.goto(onNetwork() + path);
  await phone.getByLabel('Code').fill(code);
  await phone.getByRole('button', { name: 'Let it in' }).click();
  await expect(phone.getByRole('heading', { name: 'Let this device in' })).toBeHidden();
}
