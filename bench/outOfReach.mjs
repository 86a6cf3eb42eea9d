/* global navigator, indexedDB, crypto -- what runs in the page */
import { chromium } from '@playwright/test';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM } from '../scripts/chromium.mjs';
import { slowed } from './browserTimes.mjs';
import { fillHousehold, median, startServer } from './scale.mjs';

const PORT = 4892;
const THINGS = 300;
const STARTS = 5;
const DOCUMENTS = 200;

/** A phone that keeps a household of 300 things: brought along, started without a network, and what it kept carried over. */
export async function outOfReach() {
  const server = await startServer(mkdtempSync(join(tmpdir(), 'bright-keeper-reach-')), PORT);
  const browser = await chromium.launch(CHROMIUM);
  try {
    await fillHousehold(server, { things: THINGS, places: 3, days: 0 });
    const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true });
    await context.addInitScript(() => localStorage.setItem('keeps-here', 'yes'));
    const page = await slowed(context, 4);
    const begin = performance.now();
    await page.goto(`${server.url}/kept`);
    await page.getByText(`${THINGS} things are kept`).waitFor({ timeout: 300_000 });
    console.log(`brought along, ${THINGS} things, phone at 4×: ${((performance.now() - begin) / 1000).toFixed(1)} s`);
    await page.evaluate(async () => (await navigator.serviceWorker.ready).active);
    await context.setOffline(true);
    for (const address of ['/', '/gear', '/field']) {
      const times = [];
      for (let i = 0; i < STARTS; i += 1) {
        const at = performance.now();
        await page.goto(server.url + address, { waitUntil: 'commit' });
        await page.locator('main h1').waitFor();
        // Until a tap would be heard.
        await page.evaluate(() => new Promise((resolve) => setTimeout(resolve)));
        times.push(performance.now() - at);
      }
      console.log(`started without a network at ${address}, phone at 4×: ${median(times).toFixed(0)} ms (aim: 1,500 ms)`);
    }
    await page.goto(`${server.url}/field`);
    await page.getByRole('button', { name: /Rain/ }).first().click();
    const note = page.getByRole('button', { name: 'Note it, and keep the rest for home' });
    await page.getByRole('checkbox').first().check();
    // Typed by hand it would take an hour: the same record, written as the page writes it.
    await note.click();
    await page.getByText('Noted and kept here').waitFor();
    await page.evaluate(async (count) => {
      const db = await new Promise((resolve) => {
        const asked = indexedDB.open('bright-keeper kept');
        asked.onsuccess = () => resolve(asked.result);
      });
      const things = await new Promise((resolve) => {
        const asked = db.transaction('answers').objectStore('answers').getAllKeys();
        asked.onsuccess = () => resolve(asked.result.flatMap((key) => /^\/api\/gear\/([0-9a-f-]{36})$/.exec(key)?.[1] ?? []));
      });
      const store = db.transaction('waiting', 'readwrite').objectStore('waiting');
      const [first] = await new Promise((resolve) => {
        const asked = store.getAll();
        asked.onsuccess = () => resolve(asked.result);
      });
      for (let i = 1; i < count; i += 1) {
        const itemId = things[i % things.length];
        store.put({ ...first, id: crypto.randomUUID(), seq: first.seq + i, itemId, happened: { ...first.happened, itemIds: [itemId] } });
      }
      await new Promise((resolve) => (store.transaction.oncomplete = resolve));
      db.close();
    }, DOCUMENTS);
    await page.goto(`${server.url}/kept`);
    await page
      .getByRole('link', { name: new RegExp(`${DOCUMENTS} to carry over`) })
      .first()
      .waitFor();
    const at = performance.now();
    await context.setOffline(false);
    await page.getByText('Nothing waits here').waitFor({ timeout: 300_000 });
    console.log(`${DOCUMENTS} documents carried over, phone at 4×: ${((performance.now() - at) / 1000).toFixed(1)} s (aim: 5 s)`);
  } finally {
    await browser.close();
    await server.stop();
  }
}

if (process.argv[1]?.endsWith('outOfReach.mjs')) await outOfReach();
