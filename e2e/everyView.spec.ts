import { expect, test, type Page } from '@playwright/test';
import { routes, type BenchDays, type Devices, type Places, type Shelf } from '@bright-keeper/contract';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { start, type Running } from './server.js';

const AXE = readFileSync(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8');

let running: Running;
let views: Record<string, string>;

test.beforeAll(async ({ request }) => {
  test.setTimeout(240_000);
  running = await start({ program: 'demo' });
  const { items } = (await (await request.get(`${running.url}${routes.gear}?limit=200`)).json()) as Shelf;
  const id = items.find((i) => i.name === 'Corvane 35/2')!.id;
  const look = (await (
    await request.post(running.url + routes.looks, { data: { itemId: items.find((i) => i.name === 'Corvane 28/2')!.id } })
  ).json()) as { id: string };
  const cleaning = (await (await request.post(running.url + routes.cleanings, { data: { itemId: id, place: 'home' } })).json()) as {
    id: string;
  };
  const { places } = (await (await request.get(running.url + routes.places)).json()) as Places;
  const { devices } = (await (await request.get(running.url + routes.devices)).json()) as Devices;
  const { plan } = (await (await request.get(running.url + routes.benchDays)).json()) as BenchDays;
  const cupboard = places.find((p) => p.name === 'Oak cupboard')!;
  const old = items.find((i) => i.name.startsWith('Ostrane 58'))!;
  const teardown = (await (
    await request.post(running.url + routes.teardowns, { data: { itemId: old.id, depth: 'front-group' } })
  ).json()) as { id: string };
  views = {
    Today: '/',
    Gear: '/gear',
    'Add a thing': '/gear/new',
    Import: '/gear/import',
    Item: `/gear/${id}`,
    Edit: `/gear/${id}/edit`,
    Plan: `/gear/${id}/plan`,
    Clean: '/clean',
    Look: `/look/${look.id}`,
    Bench: `/bench/${cleaning.id}`,
    Storage: '/storage',
    'Add a place': '/storage/new',
    Place: `/storage/${cupboard.id}?span=year`,
    'Edit a place': `/storage/${cupboard.id}/edit`,
    'What if': `/storage/${places.find((p) => p.name === 'Gasket box')!.id}/what-if`,
    Hygrometers: `/hygrometers?device=${devices[0]!.id}`,
    'Import a log': `/hygrometers/${devices[0]!.id}/log`,
    'In from the cold': '/warm-up',
    'In the field': '/field?happened=sand',
    'Open it or not': `/gear/${old.id}/opening`,
    Opened: `/teardown/${teardown.id}`,
    'Stuck filter': `/gear/${id}/stuck-filter`,
    Calendar: '/calendar',
    'Calendar, a month': '/calendar?view=month',
    'Calendar, a year': '/calendar?view=year',
    'A week to print': '/calendar/week',
    'Bench day': `/calendar/bench/${plan.days[0]!.day}`,
    Rhythms: '/calendar/rhythms?duty=light-test',
    'Other calendars': '/calendar/others',
    Outings: '/outings?outing=new',
    Supplies: '/supplies',
    Handbook: '/handbook',
    'Where is the dirt': '/diagnose',
    Settings: '/settings',
  };
});
test.afterAll(() => running.kill('SIGTERM'));

async function open(page: Page, path: string): Promise<void> {
  await page.goto(running.url + path);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  await page.waitForLoadState('networkidle');
}

/** Serious faults of WCAG 2.1 A and AA, by axe-core. */
const faults = async (page: Page): Promise<string[]> => {
  await page.evaluate(AXE);
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: {
        run: (context: Document, options: object) => Promise<{ violations: { id: string; impact: string; nodes: { html: string }[] }[] }>;
      };
    };
    const { violations } = await axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa'] });
    return violations.filter((v) => ['serious', 'critical'].includes(v.impact)).map((v) => `${v.id}: ${v.nodes[0]!.html.slice(0, 160)}`);
  });
};

for (const theme of ['day', 'lamp', 'night-red'] as const)
  test(`every view can be used by everyone in the ${theme} theme`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.addInitScript((t) => localStorage.setItem('theme', t), theme);
    for (const [name, path] of Object.entries(views)) {
      await open(page, path);
      // Red on black cannot reach the contrast of white light, and must not: that is its purpose.
      const found = (await faults(page)).filter((f) => theme !== 'night-red' || !f.startsWith('color-contrast'));
      expect(found, name).toEqual([]);
    }
  });

test('ribbons and charts are read by keyboard, day by day and stretch by stretch', async ({ page }) => {
  await open(page, views.Place!);
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

test('no view runs past the edge of a desk', async ({ page }) => {
  test.setTimeout(240_000);
  for (const [name, path] of Object.entries(views)) {
    await open(page, path);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(1280);
  }
});

test('no view scrolls sideways on a phone, and thumbs find every button at the bench', async ({ page }) => {
  test.setTimeout(240_000);
  await page.setViewportSize({ width: 390, height: 844 });
  for (const [name, path] of Object.entries(views)) {
    await open(page, path);
    expect(await page.evaluate(() => document.documentElement.scrollWidth), name).toBeLessThanOrEqual(390);
  }
  await open(page, views.Bench!);
  for (const button of await page.getByRole('button').all()) expect((await button.boundingBox())!.height).toBeGreaterThanOrEqual(44);
});

test('night-red shows nothing but red light', async ({ page }) => {
  test.setTimeout(240_000);
  await page.addInitScript(() => localStorage.setItem('theme', 'night-red'));
  for (const [name, path] of Object.entries(views)) {
    await open(page, path);
    const shot = (await page.screenshot()).toString('base64');
    const strongest = await page.evaluate(async (png) => {
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
    // A level or two may come of rounding where half-transparent reds overlap.
    expect(strongest, name).toBeLessThanOrEqual(8);
  }
});
