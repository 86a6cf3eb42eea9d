import { expect, test, type Page } from '@playwright/test';
import { routes } from '@bright-keeper/contract';
import { sources } from '@bright-keeper/core';
import { lookedAt, post, start, type Running } from './server.js';

let running: Running;
test.beforeEach(async () => void (running = await start()));
test.afterEach(() => running.kill('SIGTERM'));

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const day = (offset: number) => new Date(Date.now() + offset * 86_400_000).toISOString().slice(0, 10);

/** Puts a tool into the drawer, or into a kit. */
async function put(page: Page, thing: string, kit: string) {
  await button(page, 'Put something in').first().click();
  await page.getByLabel('What', { exact: true }).selectOption({ label: thing });
  await page.getByLabel('In which kit').fill(kit);
  await button(page, 'Put it in the drawer').click();
  await expect(page.getByLabel('In which kit')).toHaveCount(0);
}

test('an outing with a kit: planned, under way with its minute tonight, and the plan out there has what the kit holds', async ({
  page,
  request,
}) => {
  const id = await lookedAt(
    running,
    request,
    'Shore lens',
    'lens',
    {},
    {
      'front-glass': [
        { soil: 'dust', severity: 3 },
        { soil: 'fingerprint', severity: 3 },
      ],
    },
  );
  await page.goto(`${running.url}/supplies`);
  await put(page, 'Bulb blower', 'Belt pouch');
  await put(page, 'Sealed wet wipe', 'Belt pouch');
  await put(page, 'Bulb blower', 'Boat box');
  await button(page, 'Boat box').click();
  await expect(page.getByRole('row', { name: /sealed wet wipe/i })).toHaveCount(0);

  await page.goto(`${running.url}/outings?outing=new`);
  await page.getByLabel('Name').fill('North coast');
  await page.getByLabel('From').fill(day(-1));
  await page.getByLabel('To', { exact: true }).fill(day(2));
  await page.getByLabel('Where to').selectOption('mountain');
  await button(page, 'Shore').click();
  await button(page, 'Wind').click();
  await page.getByLabel('Which kit goes along').fill('Belt pouch');
  await page.getByLabel('Shore lens').check();
  await button(page, 'Note it').click();
  await page.getByRole('link', { name: 'North coast', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'North coast' })).toBeVisible();
  await expect(page.getByText('Turn your back to the wind', { exact: false })).toBeVisible();
  await expect(page.getByText('A minute for each thing tonight')).toBeVisible();
  // What met salt asks for more than its minute.
  await button(page, 'Salt').click();
  await expect(page.getByText('Look at it tonight: still under way')).toBeVisible();
  await expect(page.getByText('A minute for each thing tonight')).toHaveCount(0);

  await page.goto(`${running.url}/gear/${id}/plan?place=field`);
  await expect(page.getByLabel('With me')).toHaveValue('Belt pouch');
  await expect(page.getByText(/sealed wet wipe/i).first()).toBeVisible();
  await page.getByLabel('With me').selectOption('Boat box');
  await expect(
    page
      .getByRole('heading', { name: 'Missing' })
      .or(page.getByText(/no sealed wet wipe/i))
      .first(),
  ).toBeVisible();
  await page.goto(`${running.url}/outings`);
  await expect(page.getByRole('heading', { name: 'Under way' })).toBeVisible();
});

test('frost is foretold by the station at home: made ready for in a tap, and the bag stays shut until its time', async ({
  page,
  request,
}) => {
  await lookedAt(running, request, 'Ridge lens', 'lens', {}, {});
  const { id } = await post(running, request, routes.devices, {
    ...{ name: 'Roof', source: 'push', outdoor: true, placeId: null, everyMinutes: 60, note: '' },
  });
  const { token } = (await (await request.post(running.url + routes.deviceToken(id))).json()) as { token: string };
  const hours = Array.from({ length: 48 }, (_, h) => ({
    at: new Date(Date.now() + h * 3_600_000).toISOString(),
    ...{ temperatureC: -4, humidityPct: 60, windMs: 9, rainMmPerH: 0 },
  }));
  const told = await request.post(running.url + routes.pushForecast, {
    headers: { authorization: `Bearer ${token}`, 'content-type': 'application/senml+json' },
    data: sources.toSenml('roof', hours),
  });
  expect(told.ok()).toBe(true);

  await page.goto(`${running.url}/outings?outing=new`);
  await page.getByLabel('Name').fill('The ridge');
  await page.getByLabel('From').fill(day(-1));
  await page.getByLabel('To', { exact: true }).fill(day(0));
  await expect(page.getByText(/“Roof” foretells for where it stands, .*−4 °C, wind up to 9 m\/s, no rain/)).toBeVisible();
  await page.getByLabel('Where to').selectOption('mountain');
  await page.getByLabel('Ridge lens').check();
  await button(page, 'Note it').click();
  await page.getByRole('link', { name: 'The ridge', exact: true }).click();
  await button(page, /^Expect wind, frost/).click();
  await expect(page.getByText(/frost.* expected/)).toBeVisible();
  await expect(page.getByText('Carry spare cells under your coat', { exact: false })).toBeVisible();

  await page.getByRole('link', { name: 'Begin the wait' }).first().click();
  await expect(page.getByRole('heading', { name: 'In from the cold' })).toBeVisible();
  await button(page, /^Start a timer for /).click();
  await expect(page.getByText(/^Over at /)).toBeVisible();
  await page.goto(running.url);
  await expect(page.getByText('Leave it shut for', { exact: false })).toBeVisible();
  await expect(page.getByText('Close the bag before you go in')).toHaveCount(0);

  await page.goto(`${running.url}/outings/lens-change`);
  await button(page, 'As “Roof” foretells it').click();
  await expect(page.getByRole('button', { name: 'It raises dust' })).toHaveAttribute('aria-pressed', 'true');
});
