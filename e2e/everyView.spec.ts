import { routes } from '@bright-keeper/contract';
import { expect, test, type Page } from '@playwright/test';
import type { Running } from './server.js';
import { faults, open, startDemo } from './views.js';

let running: Running;
let views: Record<string, string>;

test.beforeAll(async ({ request }) => {
  ({ running, views } = await startDemo(request));
});
test.afterAll(() => running.kill('SIGTERM'));

/** What the document told the browser to fetch ahead, and what the page then asked for itself. */
const fetchedAhead = (page: Page): Promise<{ ahead: string[]; asked: string[] }> =>
  page.evaluate(() => ({
    ahead: [...document.querySelectorAll('link[as=fetch]')].map((link) => link.getAttribute('href')!),
    asked: (window as unknown as { asked: string[] }).asked,
  }));

test('every view can be used by everyone, none runs past the edge of a desk, and what it asks for first is fetched ahead, once', async ({
  page,
}) => {
  await page.addInitScript(() => {
    localStorage.setItem('theme', 'day');
    const seen: string[] = [];
    const plain = window.fetch;
    Object.assign(window, { asked: seen, fetch: (input: string, init?: RequestInit) => (seen.push(input), plain(input, init)) });
  });
  // A hygrometer that is heard meanwhile is a reason to ask again: this is about what a page asks for by itself.
  await page.route(
    (url) => url.pathname === routes.live,
    (route) => route.abort(),
  );
  const sent: string[] = [];
  page.on('request', (request) => void sent.push(request.url().replace(running.url, '')));
  for (const [name, path] of Object.entries(views)) {
    sent.length = 0;
    await open(page, running.url + path);
    const { ahead, asked } = await fetchedAhead(page);
    expect(ahead, name).toContain('/api/settings');
    for (const address of ahead) {
      expect(asked, `${name} asks for ${address}`).toContain(address);
      expect(
        sent.filter((url) => url === address),
        `${name} fetches ${address} once`,
      ).toHaveLength(1);
    }
    expect(await faults(page), name).toEqual([]);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(1280);
  }
});

test('ribbons and charts are read by keyboard, day by day and stretch by stretch', async ({ page }) => {
  await open(page, running.url + views.Place!);
  const ribbon = page.getByRole('slider', { name: /days of air/ });
  await ribbon.focus();
  await page.keyboard.press('ArrowLeft');
  const last = await ribbon.getAttribute('aria-valuetext');
  expect(last).toMatch(/: \d+–\d+ %, on average \d+ %; early warning /);
  await expect(page.getByText(last!)).toBeVisible();
  await page.keyboard.press('Home');
  expect(await ribbon.getAttribute('aria-valuetext')).not.toBe(last);
  await expect(page.getByRole('list', { name: 'Dates' }).getByText('today')).toBeVisible();
  await expect(page.getByRole('list', { name: 'Legend' }).first()).toContainText('early warning, at the top growth is to be expected');

  const chart = page.getByRole('slider', { name: 'Air and risk over time' });
  await chart.focus();
  await page.keyboard.press('Home');
  const first = await chart.getAttribute('aria-valuetext');
  expect(first).toMatch(/\d{4}, \d\d:\d\d: \d+ % \(\d+–\d+\), .*dew point .*; mould index /);
  await expect(page.getByText(first!)).toBeVisible();
});

test('no view scrolls sideways on a phone, and thumbs find every button at the bench', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  for (const [name, path] of Object.entries(views)) {
    await open(page, running.url + path);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(390);
  }
  await open(page, running.url + views.Bench!);
  for (const button of await page.getByRole('button').all()) expect((await button.boundingBox())!.height).toBeGreaterThanOrEqual(44);
});
