import { chromium } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from '../scripts/chromium.mjs';
import { FRAME_MS, framesDropped, slowed } from './browserTimes.mjs';
import { median, startDemo } from './scale.mjs';

const PORT = 4895;
const PHONE = { width: 390, height: 844 };
const DRAG_STEPS = 160;

/** What the browser fetches for a page with nothing kept: kilobytes over the wire with their headers, and how many files. */
async function fetched(browser, url) {
  const context = await browser.newContext({ viewport: PHONE });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  const sizes = new Map();
  session.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => sizes.set(requestId, encodedDataLength));
  await page.goto(url, { waitUntil: 'networkidle' });
  await context.close();
  const bytes = [...sizes.values()].reduce((sum, size) => sum + size, 0);
  return { kB: bytes / 1000, files: sizes.size };
}

/** Taps one after another; of each how long until the next paint, ms, as the browser's Event Timing has it. */
async function tapped(page, taps) {
  await page.evaluate(() => {
    window.paints = [];
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) if (entry.interactionId) window.paints.push([entry.interactionId, entry.duration]);
    }).observe({ type: 'event', durationThreshold: 16 });
  });
  for (const tap of taps) {
    await tap(page);
    await page.waitForTimeout(400);
  }
  const paints = await page.evaluate(() => window.paints);
  const longest = new Map();
  for (const [id, ms] of paints) longest.set(id, Math.max(longest.get(id) ?? 0, ms));
  // What took less than the observer's 16 ms is not told.
  return [...longest.values(), ...Array.from({ length: Math.max(0, taps.length - longest.size) }, () => 16)];
}

const button = (name) => (page) =>
  page
    .getByRole('button', { name, exact: typeof name === 'string' })
    .first()
    .click();
const LOOK_TAPS = ['fingerprint', 'obvious', 'dust', 'Next surface', 'Nothing here', 'Nothing here', 'Nothing here'].map(button);
/** The bench's own answer is the third button, after undo and the way out, whatever the step. */
const onward = (page) => page.getByRole('button').nth(2).click();
const BENCH_TAPS = [...Array(8).fill(onward), button('Undo'), onward];

/** Drags a slider over its whole length in small steps, and counts the frames that were not drawn. */
async function dragged(page, label) {
  const slider = page.getByLabel(label);
  await slider.scrollIntoViewIfNeeded();
  const { x, y, width, height } = await slider.boundingBox();
  return framesDropped(page, async () => {
    await page.mouse.move(x + 8, y + height / 2);
    await page.mouse.down();
    for (let i = 0; i <= DRAG_STEPS; i += 1) {
      await page.mouse.move(x + 8 + ((width - 16) * i) / DRAG_STEPS, y + height / 2);
      await page.waitForTimeout(FRAME_MS);
    }
    await page.mouse.up();
  });
}

/** The pages as a browser has them: what they weigh, and how soon they answer a thumb, on a desk and four times slower. */
export async function inBrowser() {
  const demo = await startDemo(mkdtempSync(join(tmpdir(), 'bright-keeper-browser-')), PORT);
  const { url, send } = demo;
  const browser = await chromium.launch(CHROMIUM);
  try {
    const { items } = await (await fetch(`${url}/api/gear?limit=200`)).json();
    const { places } = await (await fetch(`${url}/api/storage/places`)).json();
    const idOf = (name) => items.find((i) => i.name === name).id;
    const placeOf = (name) => places.find((p) => p.name === name).id;
    for (const [name, path] of [
      ['Today', '/'],
      ['Gear', '/gear'],
      ['a thing', `/gear/${idOf('Corvane 35/2')}`],
      ['a place', `/storage/${placeOf('Oak cupboard')}`],
    ]) {
      const { kB, files } = await fetched(browser, url + path);
      console.log(`${name}, nothing kept: ${kB.toFixed(0)} kB in ${files} files${path === '/' ? ' (aim: under 170 kB)' : ''}`);
    }
    const toClean = items.filter((i) => i.kind === 'lens' && i.surfaces.some((surface) => surface.verdict === 'clean'));
    for (const [i, rate] of [1, 4].entries()) {
      const context = await browser.newContext({ viewport: PHONE });
      const look = await send('POST', '/api/inspection/looks', { itemId: idOf('Corvane 28/2') });
      const page = await slowed(context, rate);
      await page.goto(`${url}/look/${look.id}`, { waitUntil: 'networkidle' });
      const looks = await tapped(page, LOOK_TAPS);
      const cleaning = await send('POST', '/api/care/cleanings', { itemId: toClean[i].id, place: 'home' });
      await page.goto(`${url}/bench/${cleaning.id}`, { waitUntil: 'networkidle' });
      const benches = await tapped(page, BENCH_TAPS);
      for (const [name, times] of [
        ['look', looks],
        ['bench', benches],
      ])
        console.log(
          `next paint after a tap, ${name}, at ${rate}×: median ${median(times)} ms, worst ${Math.max(...times)} ms (aim: ${rate === 1 ? 50 : 150} ms)`,
        );
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(`${url}/storage/${placeOf('Gasket box')}/what-if`, { waitUntil: 'networkidle' });
      const { expected, dropped } = await dragged(page, /^Desiccant/);
      console.log(`a dragged what-if, at ${rate}×: ${dropped} of ${expected} frames dropped (aim: 5 %)`);
      await context.close();
      await fetch(`${url}/api/inspection/looks/${look.id}`, { method: 'DELETE' });
    }
  } finally {
    await browser.close();
    await demo.stop();
  }
}
