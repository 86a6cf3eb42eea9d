import { expect, test } from '@playwright/test';
import { start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(async () => void (await running.kill('SIGTERM')));

test('out there, on a phone: from what happened to an answer, and another with every change of the weather', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${running.url}/field?happened=lens-change`);
  await page.getByRole('link', { name: 'In the weather of this hour' }).click();
  const answer = page.getByRole('status').first();
  await expect(answer).toHaveText('Go ahead, quick.');
  await expect(page.getByText('Back to the wind, over the open bag')).toBeVisible();
  await page.getByRole('button', { name: 'Drizzle or snow' }).click();
  await expect(answer).toContainText('Wait. Finish with the lens that is on.');
  await expect(page.getByRole('heading', { name: 'Step by step' })).toHaveCount(0);
  await page.getByRole('button', { name: 'A rain cover or large bag' }).click();
  await expect(answer).toContainText('Under the cover.');
  await expect(
    page.getByRole('img', { name: 'What stands open. Camera at step 5, 6; Old lens at step 5, 6, 7; Next lens at step 6.' }),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Blowing sand' }).click();
  await expect(answer).toContainText('grains come in under any cover');
  await page.getByRole('button', { name: 'A car or a room' }).click();
  await expect(answer).toContainText('In the shelter.');
  await page.getByRole('button', { name: 'It comes from the cold' }).click();
  for (const [label, value] of [['Camera', '2'], ['Air here', '22'], ['Its humidity', '60']] as const) await page.getByRole('spinbutton', { name: label }).fill(value); // prettier-ignore
  await expect(answer).toContainText('It stays shut until it is as warm as the air.');
  await expect(page.getByRole('link', { name: 'How long it stays shut' })).toBeVisible();
  // Every button is as large as a glove.
  for (const button of await page
    .getByRole('region')
    .or(page.locator('section'))
    .filter({ hasText: 'The wind' })
    .first()
    .getByRole('button')
    .all())
    // prettier-ignore
    expect((await button.boundingBox())!.height).toBeGreaterThanOrEqual(56);
  await page.reload();
  await expect(answer).toContainText('It stays shut');
});
