import { expect, test } from '@playwright/test';
import { lookedAt, start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

test('an acrylic port gets water and eyeglass cleaner, and no alcohol', async ({ page, request }) => {
  const id = await lookedAt(
    running,
    request,
    'Dome port',
    'port',
    { opticMaterial: 'acrylic', coating: 'none' },
    {
      'port-outside': [
        { soil: 'salt', severity: 2 },
        { soil: 'grease', severity: 3 },
      ],
    },
  );
  await page.goto(`${running.url}/gear/${id}/plan`);
  const ladder = page.getByRole('list', { name: 'Touch ladder for the port, outside' });
  await expect(ladder.getByText('Fresh water', { exact: true })).toBeVisible();
  await expect(ladder.getByText(/alcohol-free eyeglass cleaner/)).toBeVisible();
  await expect(ladder.getByText(/Plastic \(port, outside\): alcohol, acetone/)).toBeVisible();
  await expect(page.getByText(/Rinse it in fresh water/)).toHaveCount(0);
  await page.getByRole('button', { name: 'Start cleaning' }).click();
  await expect(page.getByText(/Rinse it in fresh water/)).toBeVisible();
});

test('a reflex body of the 1950s: air, at most a dab, and a warning about its silver', async ({ page, request }) => {
  const id = await lookedAt(
    running,
    request,
    'Old reflex',
    'slr-body',
    { yearMade: 1954, digital: false },
    { 'reflex-mirror': [{ soil: 'grease', severity: 3 }], 'focusing-screen': [{ soil: 'dust', severity: 2 }] },
  );
  await page.goto(`${running.url}/gear/${id}/plan?surface=reflex-mirror`);
  const ladder = page.getByRole('list', { name: 'Touch ladder for the reflex mirror' });
  await expect(ladder.getByText('Dab', { exact: true })).toBeVisible();
  await expect(ladder.getByText(/Never a dry wipe/).first()).toBeVisible();
  await expect(page.getByText('Old silver may come off.')).toBeVisible();
  await page.getByRole('button', { name: /^\d Focusing screen/ }).click();
  await expect(page.getByRole('list', { name: 'Touch ladder for the focusing screen' }).getByText('Blow', { exact: true })).toBeVisible();
});

test('in the field, on a phone: grit is blown and brushed, the rest waits for home', async ({ page, request }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await lookedAt(
    running,
    request,
    'Sandy lens',
    'lens',
    {},
    {
      'front-glass': [
        { soil: 'grit', severity: 3 },
        { soil: 'fingerprint', severity: 3 },
      ],
      'rear-glass': [{ soil: 'dust', severity: 2 }],
    },
  );
  await page.goto(`${running.url}/gear/${id}/plan?place=field`);
  await page.getByRole('button', { name: 'Blowing sand' }).click();
  await expect(page.getByRole('heading', { name: 'Waits for home' })).toBeVisible();
  await expect(page.getByText('Cap it and put it away: nothing is opened, brushed or wiped out in this.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start cleaning' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Blowing sand' }).click();
  await page.getByRole('button', { name: 'Start cleaning' }).click();
  await page.getByRole('button', { name: 'Ready' }).click();
  await page.getByRole('button', { name: 'Done, now look' }).click();
  await expect(page.getByRole('heading', { name: 'Any grains left?' })).toBeVisible();
  await page.getByRole('button', { name: /^No grains left/ }).click();
  // The front is done out here; the dusty rear is next, since the air is still again.
  await expect(page.getByText('surface 2 of 2')).toBeVisible();
});

test('where is the dirt: the answers lead to a surface, and the look begins there', async ({ page, request }) => {
  await lookedAt(running, request, 'Dusty body', 'slr-body', {}, { screen: [] });
  await page.goto(`${running.url}/clean`);
  await page.getByRole('link', { name: 'Where is the dirt?' }).click();
  await page.getByRole('button', { name: 'In the picture, not in the finder' }).click();
  await page.getByRole('button', { name: 'With every lens' }).click();
  await expect(page.getByRole('heading', { name: 'Look at the sensor cover glass' })).toBeVisible();
  await expect(page.getByText(/lies behind the mirror: on the sensor/)).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { name: 'With every lens, or with one?' })).toBeVisible();
  await page.goForward();
  await page.getByRole('button', { name: 'Look at Dusty body' }).click();
  await expect(page.getByRole('heading', { name: 'Sensor cover glass' })).toBeVisible();
});

test('the handbook is searched, and a step leads to its entry', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'Handbook lens', 'lens', {}, { 'front-glass': [{ soil: 'dust', severity: 3 }] });
  await page.goto(`${running.url}/gear/${id}/plan`);
  await page.getByRole('link', { name: 'Soft brush' }).click();
  await expect(page).toHaveURL(/handbook#method-soft-brush/);
  await expect(page.locator('#method-soft-brush')).toBeInViewport();
  await page.getByLabel('Search the handbook').fill('acrylic polish');
  await expect(page.getByRole('heading', { name: 'Plastic polish', exact: true })).toBeVisible();
  await expect(page.locator('#method-soft-brush')).toHaveCount(0);
});

test('two schools stand side by side for the same findings, with what each would do', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'Compared lens', 'lens', {}, { 'front-glass': [{ soil: 'dust', severity: 3 }] });
  await page.goto(`${running.url}/gear/${id}/plan`);
  const choice = page.getByLabel('Compare schools');
  await expect(choice.getByRole('option', { name: 'Reflex mirror' })).toHaveCount(0);
  await choice.selectOption('glass-brush');
  await expect(page.getByRole('heading', { name: 'Brush on glass: a soft brush (this plan)' })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Brush on glass: never' })).toBeVisible();
  await expect(page.getByText('Your school keeps bristles off glass.').first()).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Brush on glass: never' })).toBeVisible();
});
