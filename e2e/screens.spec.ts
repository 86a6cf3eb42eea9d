import { routes, type Cleaning } from '@bright-keeper/contract';
import { care } from '@bright-keeper/core';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { lookedAt, post, start, type Running, type Seen } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });

/** Counts the taps of a person: nothing else is clicked. */
function tapper(page: Page) {
  const counted = { taps: 0 };
  const tap = async (name: string | RegExp) => {
    counted.taps += 1;
    await button(page, name).first().click();
  };
  return { counted, tap };
}

test.describe.configure({ mode: 'serial' });

test('an empty household has three doors, and a thumbprint is a plan within six taps', async ({ page }) => {
  await page.goto(running.url);
  const doors = page.getByRole('main').getByRole('listitem');
  await expect(doors).toHaveCount(3);
  await expect(doors.getByRole('link').nth(1)).toHaveAttribute('href', '/gear/import');
  const { counted, tap } = tapper(page);
  counted.taps += 1;
  await page.getByRole('link', { name: /^One lens that bothers me now/ }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Corvane 50/1.8');
  await tap('Look at it');
  await expect(heading(page, 'Front glass')).toBeVisible();
  await tap('fingerprint');
  await tap('obvious');
  await tap('Finish the look');
  await expect(heading(page, /^Plan: Corvane 50/)).toBeVisible();
  await expect(page.getByText('One surface to clean, gentlest first. Stop as soon as it is clean enough.')).toBeVisible();
  expect(counted.taps).toBeLessThanOrEqual(6);
});

test('the damp cupboard: a place, what the dial in it shows, and a verdict', async ({ page }) => {
  await page.goto(`${running.url}/storage/new?then=hygrometer`);
  await page
    .getByRole('textbox', { name: /Name|called/ })
    .first()
    .fill('Hall cupboard');
  await button(page, 'Add it').click();
  await expect(page.getByText('Nothing is measured here yet')).toBeVisible();
  await page.getByLabel('It reads, °C').fill('18,5');
  await page.getByLabel('and % RH').fill('720');
  await button(page, 'That is what it shows').click();
  await expect(page.getByText(/At most 100/)).toBeVisible();
  await page.getByLabel('and % RH').fill('72');
  await button(page, 'That is what it shows').click();
  await expect(page.getByText(/18\.5\s°C, 72\s%/)).toBeVisible();
  await expect(page.getByText('Nothing is measured here yet')).toHaveCount(0);
  await expect(page.getByText(/^One day of readings so far: /)).toBeVisible();
});

const DUSTY: Seen = Object.fromEntries(
  ['barrel', 'focus-ring', 'hood-outside', 'front-glass', 'rear-glass'].map((s) => [s, [{ soil: 'dust', severity: 2 }]]),
);

test('a typical clean, five dusty surfaces, is half the taps it was: one round of air and one look for each set-up', async ({
  page,
  request,
}) => {
  const id = await lookedAt(running, request, 'Week on the shelf', 'lens', {}, DUSTY);
  await page.goto(`${running.url}/gear/${id}/plan`);
  await button(page, 'Start cleaning').click();
  const { counted, tap } = tapper(page);
  await tap('Ready');
  await expect(heading(page, 'Blow all 3')).toBeVisible();
  await tap('Done, now look');
  const each = page.getByRole('list', { name: 'Each surface' });
  await expect(each.getByRole('listitem')).toHaveCount(3);
  await tap('All clean enough');
  await expect(heading(page, 'Blow all 2')).toBeVisible();
  await tap('Done, now look');
  await tap('All clean enough');
  await expect(heading(page, 'Done. Put it away')).toBeVisible();
  await tap('Put it in the log');
  await expect(page.getByText('Front glass: clean enough')).toBeVisible();
  // One surface after the other it was: ready, five times done and clean enough, and into the log.
  expect(counted.taps).toBe(6);
  expect(counted.taps).toBeLessThanOrEqual((1 + 5 * 2 + 1) / 2);
});

test('what is not clean by the round goes on by itself, and an answer is taken back', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'One stays', 'lens', {}, DUSTY);
  await page.goto(`${running.url}/gear/${id}/plan`);
  await button(page, 'Start cleaning').click();
  await button(page, 'Ready').click();
  await button(page, 'Done, now look').click();
  const ring = page.getByRole('group', { name: 'Focus ring' });
  await ring.getByRole('button', { name: 'Clean enough' }).click();
  await expect(ring.getByRole('button', { name: 'Clean enough' })).toBeDisabled();
  await button(page, 'Undo').click();
  await ring.getByRole('button', { name: 'Still there' }).click();
  await button(page, 'The rest is clean enough').click();
  await expect(heading(page, 'Stiff brush')).toBeVisible();
  // Whether the server has the tap yet or not: the browser remembers it until it has.
  await page.reload();
  await expect(heading(page, 'Stiff brush')).toBeVisible();
});

/** Every state a cleaning goes through when nothing helps: the taps that lead to each. */
function states(plan: care.CleaningPlan): care.BenchEvent[][] {
  const all: care.BenchEvent[][] = [[]];
  for (;;) {
    const events = all.at(-1)!;
    const tap = care.nextTap(plan, events, () => 'no-change');
    if (!tap) return all;
    // An exposure runs by the clock of the page.
    all.push([...events, tap.type === 'exposure' ? { ...tap, at: new Date().toISOString() } : tap]);
  }
}

/** The rightmost edge of anything one can see, beside the width of the window. */
const rightEdge = (page: Page) =>
  page.evaluate(() =>
    Math.max(
      document.documentElement.scrollWidth,
      ...[...document.querySelectorAll('main :is(h1, h2, p, li, button, svg, label, input, select, a)')].map((e) =>
        e.closest('.sr-only') ? 0 : e.getBoundingClientRect().right,
      ),
    ),
  );

async function begun(request: APIRequestContext, name: string, kind: string, traits: object, seen: Seen): Promise<Cleaning> {
  const id = await lookedAt(running, request, name, kind, traits, seen);
  const { id: cleaningId } = await post(running, request, routes.cleanings, { itemId: id, place: 'home' });
  return (await (await request.get(running.url + routes.cleaning(cleaningId))).json()) as Cleaning;
}

const one = (soil: string, severity: number) => [{ soil, severity }];
const CLEANINGS: [string, string, object, Seen][] = [
  [
    'Many rungs',
    'lens',
    {},
    { 'front-glass': [...one('fingerprint', 3), ...one('dust', 3)], barrel: one('dust', 2), 'focus-ring': one('dust', 2) },
  ],
  ['Grains and salt', 'lens', {}, { 'front-glass': [...one('grit', 3), ...one('salt', 2)] }],
  ['A greasy sensor', 'slr-body', { sensorCleaningMode: false }, { 'sensor-cover': one('grease', 3) }],
  ['Stiff focus', 'lens', { helicoidExposed: true, electronicContacts: false }, { helicoid: one('dried-grease', 3) }],
];

for (const [name, kind, traits, seen] of CLEANINGS)
  test(`no card of the bench runs past the edge, on a phone and on a desk: ${name}`, async ({ page, request }) => {
    const cleaning = await begun(request, name, kind, traits, seen);
    let { version } = cleaning;
    for (const events of states(cleaning.plan)) {
      const saved = await request.put(running.url + routes.cleaning(cleaning.id), { data: { version, events } });
      ({ version } = (await saved.json()) as Cleaning);
      for (const width of [390, 1280]) {
        await page.setViewportSize({ width, height: 844 });
        if (width === 390) {
          await page.goto(`${running.url}/bench/${cleaning.id}`);
          await expect(heading(page, name)).toBeVisible();
        }
        expect(await rightEdge(page), `${width} px: ${JSON.stringify(events.at(-1) ?? 'begin')}`).toBeLessThanOrEqual(width);
      }
    }
  });
