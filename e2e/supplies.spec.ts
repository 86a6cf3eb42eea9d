import { expect, test } from '@playwright/test';
import { lookedAt, start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

test('the drawer decides what a plan may use, and the bench counts it down', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'Drawer lens', 'lens', {}, { 'front-glass': [{ soil: 'fingerprint', severity: 3 }] });

  await page.goto(`${running.url}/supplies`);
  const putIn = async (thing: string, stock?: string) => {
    await page.getByRole('button', { name: 'Put something in' }).click();
    await page.getByLabel('What').selectOption({ label: thing });
    if (stock !== undefined) await page.getByLabel(/How much is left/).fill(stock);
    await page.getByRole('button', { name: 'Put it in the drawer' }).click();
    await expect(page.getByRole('row', { name: new RegExp(thing) }).last()).toBeVisible();
  };
  await putIn('Bulb blower');
  // Millilitres, as one reads them off the bottle.
  await putIn('Lens fluid', '5');
  await putIn('Microfibre kept for glass');
  await expect(page.getByText('Is this all you have?')).toBeVisible();
  await page.getByRole('button', { name: 'Yes, this is all' }).click();
  await expect(page.getByText(/This is all you have, you said/)).toBeVisible();

  // The cloth touched a shell: the plan has nothing left that may touch glass, and says so.
  await page.getByRole('button', { name: 'It touched a shell' }).click();
  await expect(page.getByText('used on a shell')).toBeVisible();
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByRole('heading', { name: 'Missing' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Start cleaning' })).toHaveCount(0);

  // Washed, it may come back.
  await page.goto(`${running.url}/supplies`);
  await page.getByRole('button', { name: 'Washed', exact: true }).click();
  await expect(page.getByText('used on a shell')).toHaveCount(0);
  await page.goto(`${running.url}/gear/${id}/plan`);
  await page.getByRole('button', { name: 'Start cleaning' }).click();
  const steps = [
    ['Before you begin', 'Space'],
    ['Blow', 'Space'],
    ['Damp wipe', 'Space'],
    ['Look', '1'],
  ] as const;
  for (const [heading, key] of steps) {
    await expect(page.getByRole('heading', { name: heading, exact: true })).toBeVisible();
    await page.keyboard.press(key);
  }
  await page.getByRole('button', { name: 'Put it in the log' }).click();
  await page.waitForURL(/\/gear\/[0-9a-f-]+$/);
  await page.goto(`${running.url}/supplies`);
  await expect(page.getByRole('row', { name: /^Lens fluid/ })).toContainText('4.9 mL, 49 cleans left');
  await expect(page.getByRole('row', { name: /^Microfibre kept for glass/ })).toContainText('1 of 10 uses since its wash');
});
