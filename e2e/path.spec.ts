import { expect, test, type Page } from '@playwright/test';
import { start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });

test('one lens from the shelf to clean, with a reload and a dead server on the way', async ({ page }) => {
  await page.goto(running.url);
  await expect(heading(page, 'Today')).toBeVisible();
  await expect(page.getByRole('link', { name: /^One lens that bothers me now/ })).toBeVisible();
  await page.goto(`${running.url}/gear/new`);

  // The shelf: an empty name is refused beside its field, and what was ticked stays.
  await page.getByText('Weather-sealed', { exact: false }).first().click();
  await button(page, 'Put it on the shelf').click();
  await expect(page.getByRole('alert')).toHaveText('This must not be empty.');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Corvane 35/2');
  await expect(page.getByRole('checkbox', { name: /Weather-sealed/ })).toBeChecked();
  await button(page, 'Put it on the shelf').click();
  await expect(heading(page, 'Corvane 35/2')).toBeVisible();

  // The look: tap what is seen, go on, reload, and go on where one stood.
  await button(page, 'Look at it').click();
  await expect(heading(page, 'Front glass')).toBeVisible();
  await button(page, 'fingerprint').click();
  await button(page, 'obvious').click();
  await expect(page.getByText('Clean it').first()).toBeVisible();
  await button(page, 'dust').click();
  await page.getByLabel('Notes on this surface').fill('A whole thumb.');
  await button(page, 'Next surface').click();
  await expect(heading(page, 'Inner glass')).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(heading(page, 'Inner glass')).toBeVisible();
  await button(page, 'Nothing here').click();
  await expect(heading(page, 'Aperture blades')).toBeVisible();
  await page
    .getByRole('button', { name: /^rear glass/ })
    .last()
    .click();
  await expect(heading(page, 'Rear glass')).toBeVisible();
  await button(page, 'Nothing here').click();
  await button(page, 'Finish the look').click();

  // The plan: another place and another school replan at once.
  await expect(heading(page, /^Plan: Corvane/)).toBeVisible();
  const ladder = page.getByRole('list', { name: /Touch ladder/ });
  await expect(ladder.getByText('Damp wipe', { exact: true })).toBeVisible();
  await expect(ladder.getByText(/A film as plain as this only spreads/)).toBeVisible();
  await button(page, 'In the field').click();
  await expect(ladder.getByText('Sealed wet wipe', { exact: true })).toBeVisible();
  await button(page, 'At home').click();
  // Only the schools that change this plan, each with what it would change.
  await button(page, /^Do it by another school/).click();
  await expect(page.getByText('Takes alcohol-free eyeglass cleaner instead of lens fluid.')).toBeVisible();
  await expect(page.getByText(/^Reflex mirror:/)).toHaveCount(0);
  await page
    .getByRole('button', { name: /alcohol-free/ })
    .first()
    .click();
  await expect(ladder.getByText(/alcohol-free eyeglass cleaner/)).toBeVisible();
  await page.reload();
  await expect(ladder.getByText(/alcohol-free eyeglass cleaner/)).toBeVisible();

  // The bench, by keyboard: air, look, brush; then the browser is reloaded, then the server is killed.
  await button(page, 'Start cleaning').click();
  await expect(heading(page, 'Before you begin')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(heading(page, 'Blow')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await expect(heading(page, 'Look')).toBeVisible();
  await page.keyboard.press('3');
  await expect(heading(page, 'Soft brush')).toBeVisible();
  await page.keyboard.press('ArrowLeft');
  await expect(heading(page, 'Look')).toBeVisible();
  await button(page, /^Still there/).click();
  await expect(heading(page, 'Soft brush')).toBeVisible();
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(heading(page, 'Soft brush')).toBeVisible();

  await running.kill('SIGKILL');
  await button(page, 'Done, now look').click();
  await expect(page.getByText(/still trying/)).toBeVisible();
  running = await start({ dataDir: running.dataDir, port: running.port });
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(button(page, /^Still there/)).toBeVisible();

  await button(page, /^Still there/).click();
  await expect(heading(page, 'Blow again')).toBeVisible();
  await page.keyboard.press('PageDown');
  await page.keyboard.press('3');
  await expect(heading(page, 'Damp wipe')).toBeVisible();
  await expect(page.getByText(/alcohol-free eyeglass cleaner/)).toBeVisible();
  await button(page, 'Done, now look').click();
  await button(page, /^Better/).click();
  await expect(page.getByText(/second try, fresh patch/)).toBeVisible();
  await button(page, 'Done, now look').click();
  await button(page, /^Clean enough/).click();
  await expect(heading(page, 'Done. Put it away')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Front glass' })).toContainText('clean enough · 3 touches');
  await button(page, 'Put it in the log').click();

  // The log, the touches, and the next look.
  await expect(heading(page, 'Corvane 35/2')).toBeVisible();
  const timeline = page.getByRole('list', { name: 'Timeline' });
  await expect(timeline.getByText('Cleaned at the bench')).toBeVisible();
  await expect(timeline.getByText('Front glass: clean enough')).toBeVisible();
  await expect(timeline.getByText('Front glass: “A whole thumb.”')).toBeVisible();
  await expect(page.getByText('3 touches in 12 months.')).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'Look through it with a torch' })).toContainText('due in 3 months');
  await page.getByRole('link', { name: 'Today' }).first().click();
  await expect(page.getByText(/Nothing needs you/)).toBeVisible();
});

test('a thing with nothing found gets an empty plan that says to leave it', async ({ page }) => {
  await page.goto(`${running.url}/gear/new`);
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Clear 52 mm');
  await page.getByText('filter', { exact: true }).click();
  await button(page, 'Put it on the shelf').click();
  await button(page, 'Look at it').click();
  for (const surface of ['Filter, front face', 'Filter, back face', 'Filter thread', 'Case']) {
    await expect(heading(page, surface)).toBeVisible();
    await button(page, 'Nothing here').click();
  }
  await button(page, 'Finish the look').click();
  await page.waitForURL(/\/gear\/[0-9a-f-]+$/);
  await page.goto(`${page.url()}/plan`);
  await expect(page.getByText(/Leave it\. It is good enough/).first()).toBeVisible();
  await expect(button(page, 'Start cleaning')).toHaveCount(0);
});

test('fungus is isolated in one tap from the plan, and is not told to be once it is', async ({ page }) => {
  await page.goto(`${running.url}/gear/new`);
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Ostrane 58/2');
  await button(page, 'Put it on the shelf').click();
  await button(page, 'Look at it').click();
  await expect(heading(page, 'Look: Ostrane 58/2')).toBeVisible();
  await page
    .getByRole('button', { name: /^inner glass/ })
    .last()
    .click();
  await button(page, 'fungus inside').click();
  await expect(page.getByText('Isolate', { exact: true }).first()).toBeVisible();
  await button(page, 'Finish the look').click();
  await button(page, 'Move to quarantine').click();
  await expect(page.getByText('It lies apart from the rest.')).toBeVisible();
  await page.getByRole('link', { name: 'Today' }).first().click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Ostrane 58/2' }).first()).toContainText('Hand over');
});
