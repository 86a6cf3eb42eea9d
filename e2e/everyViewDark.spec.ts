import { expect, test, type Page } from '@playwright/test';
import type { Running } from './server.js';
import { faults, open, startDemo } from './views.js';

let running: Running;
let views: Record<string, string>;

test.beforeAll(async ({ request }) => {
  ({ running, views } = await startDemo(request));
});
test.afterAll(() => running.kill('SIGTERM'));

/** What the colours of a theme can break; all the rest is the same page as by day. Night-red cannot reach the contrast of white light. */
const OF_COLOUR = ['color-contrast', 'link-in-text-block'];

/** The strongest green or blue of what is seen. */
async function strongestBesideRed(page: Page): Promise<number> {
  const shot = (await page.screenshot()).toString('base64');
  return page.evaluate(async (png) => {
    const image = new Image();
    image.src = `data:image/png;base64,${png}`;
    await image.decode();
    const canvas = new OffscreenCanvas(image.width, image.height);
    const context = canvas.getContext('2d')!;
    context.drawImage(image, 0, 0);
    const { data } = context.getImageData(0, 0, image.width, image.height);
    let most = 0;
    for (let i = 0; i < data.length; i += 4) most = Math.max(most, data[i + 1]!, data[i + 2]!);
    return most;
  }, shot);
}

test('every view can be read by everyone in the lamp theme', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('theme', 'lamp'));
  for (const [name, path] of Object.entries(views)) {
    await open(page, running.url + path);
    expect(await faults(page, OF_COLOUR), name).toEqual([]);
  }
});

test('every view shows nothing but red light in the night-red theme', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('theme', 'night-red'));
  for (const [name, path] of Object.entries(views)) {
    await open(page, running.url + path);
    // A level or two may come of rounding where half-transparent reds overlap.
    expect(await strongestBesideRed(page), name).toBeLessThanOrEqual(8);
  }
});
