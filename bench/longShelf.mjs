import { chromium } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from '../scripts/chromium.mjs';
import { framesDropped, slowed } from './browserTimes.mjs';
import { fillHousehold, median, startServer } from './scale.mjs';

const PORT = 4893;
const THINGS = 1000;
/** A quick thumb. */
const SCROLL_PX_PER_S = 4000;
const SCROLL_PX = 30_000;

/** "Show more" until all is shown: how long from each click until the things stand there, ms. */
async function shownMore(page) {
  const times = [];
  const more = page.getByRole('button', { name: /^Show more/ });
  while (await more.isVisible()) {
    times.push(
      await page.evaluate(async () => {
        const own = () => [...document.querySelectorAll('button')].find((b) => b.textContent.startsWith('Show more'));
        const before = own().textContent;
        const begin = performance.now();
        own().click();
        while (own()?.textContent === before || own()?.disabled) await new Promise(requestAnimationFrame);
        return performance.now() - begin;
      }),
    );
  }
  return times;
}

/** A shelf of a thousand things: all of it shown and scrolled through, on a desk and on a phone four times slower. */
export async function longShelf() {
  const server = await startServer(mkdtempSync(join(tmpdir(), 'bright-keeper-shelf-')), PORT);
  const browser = await chromium.launch(CHROMIUM);
  try {
    await fillHousehold(server, { things: THINGS, places: 0, days: 0 });
    for (const [name, viewport, rate] of [
      ['desk', { width: 1280, height: 800 }, 1],
      ['phone, at 4×', { width: 390, height: 844 }, 4],
    ]) {
      const context = await browser.newContext({ viewport });
      const page = await slowed(context, rate);
      await page.goto(`${server.url}/gear`, { waitUntil: 'networkidle' });
      const times = await shownMore(page);
      await page.evaluate(() => window.scrollTo(0, 0));
      const session = await context.newCDPSession(page);
      const gesture = { x: 200, y: 400, yDistance: -SCROLL_PX, speed: SCROLL_PX_PER_S, gestureSourceType: 'mouse' };
      const { expected, dropped } = await framesDropped(page, () => session.send('Input.synthesizeScrollGesture', gesture));
      console.log(
        `a shelf of ${THINGS}, ${name}: more in ${median(times).toFixed(0)} ms, worst ${Math.max(...times).toFixed(0)} ms (aim: 100 ms); scrolled through with ${dropped} of ${expected} frames dropped (aim: none)`,
      );
      await context.close();
    }
  } finally {
    await browser.close();
    await server.stop();
  }
}
