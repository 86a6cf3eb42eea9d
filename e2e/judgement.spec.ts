import { routes } from '@bright-keeper/contract';
import { expect, test, type Page } from '@playwright/test';
import { lookedAt, post, start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const heading = (page: Page, name: string) => page.getByRole('heading', { name, exact: true });
/** Nothing of a bench card runs past the right edge. */
const fits = (page: Page) =>
  expect
    .poll(() =>
      page.evaluate(() =>
        Math.max(
          ...[...document.querySelectorAll('[data-scrolls] :is(h2, p, button, svg, label)')].map((e) => e.getBoundingClientRect().right),
        ),
      ),
    )
    .toBeLessThanOrEqual(390);

const plain = (name: string, kind: string, traits = {}) => ({ name, kind, traits, notes: '', acquiredOn: null });

test('an empty drawer is begun in one tap, and what it does not list is assumed until it is all', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'Starter lens', 'lens', {}, { 'front-glass': [{ soil: 'fingerprint', severity: 3 }] });
  await page.goto(`${running.url}/supplies`);
  await page.getByRole('listitem').filter({ hasText: 'Travel pouch' }).getByRole('button', { name: 'Begin with this' }).click();
  await expect(page.getByRole('row', { name: /Sealed wet wipe/ })).toContainText('not counted');
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByText(/What the drawer does not list is assumed at hand/)).toBeVisible();
  await expect(page.getByText(/lens fluid/).first()).toBeVisible();

  await page.goto(`${running.url}/supplies`);
  // Nobody counted: nothing is said of how long it lasts. Counted and nearly gone, it is to be bought.
  await expect(page.getByText(/Sealed wet wipe.*: Say how much is left/)).toBeVisible();
  const count = async (left: string) => {
    await page
      .getByRole('row', { name: /Sealed wet wipe/ })
      .getByRole('button', { name: 'Edit' })
      .click();
    await page.getByLabel(/^How much is left/).fill(left);
    await button(page, 'Save').click();
  };
  await count('2');
  await expect(page.getByRole('listitem').filter({ hasText: 'Sealed wet wipe' })).toHaveText('Sealed wet wipe, now');
  await expect(page.getByText('Sealed wet wipe: Not told before it was used at 3 benches over 30 days.')).toBeVisible();
  await count('');
  await expect(page.getByRole('heading', { name: 'To buy' })).toHaveCount(0);
  await button(page, 'Yes, this is all').click();
  await expect(page.getByText(/This is all you have, you said/)).toBeVisible();
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(
    page
      .getByRole('list', { name: 'Touch ladder for the front glass' })
      .getByText(/sealed wet wipe/)
      .first(),
  ).toBeVisible();
  await expect(page.getByText(/Instead: sealed wet wipe/).first()).toBeVisible();
});

test('an eyepiece at the telescope with nothing but a blower and a pen is cleaned all the same, on a phone', async ({ page, request }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const pouch = (await (await request.get(running.url + routes.supplies)).json()) as { supplies: { id: string; thing: string }[] };
  for (const { id, thing } of pouch.supplies)
    if (!['bulb-blower', 'carbon-pen'].includes(thing)) await request.delete(running.url + routes.supply(id));
  const id = await lookedAt(running, request, 'Night eyepiece', 'eyepiece', {}, { 'eye-lens': [{ soil: 'skin-oil', severity: 3 }] });
  await page.goto(`${running.url}/gear/${id}/plan?place=field`);
  await button(page, 'Start cleaning').click();
  await button(page, 'Ready').click();
  await expect(heading(page, 'Blow')).toBeVisible();
  // Air does not take oil: nothing is judged before the pen.
  await button(page, 'Done').click();
  await expect(heading(page, 'Carbon tip')).toBeVisible();
  await fits(page);
  await button(page, 'Done, now look').click();
  await button(page, /^Still there/).click();
  // Nothing is said of inside or damage before it is asked what stays.
  await expect(heading(page, 'What is it that stays?')).toBeVisible();
  await fits(page);
  await button(page, /^A film/).click();
  await expect(page.getByText('a film is left')).toBeVisible();
  await button(page, 'Put it in the log').click();
  await expect(page.getByText(/another fluid may take/).first()).toBeVisible();
});

test('a sticky grip, to its end: found, removed by school, logged, and pressed again in two months', async ({ page, request }) => {
  const remover = {
    thing: 'adhesive-remover',
    state: 'clean',
    stock: 400,
    packSize: null,
    packPrice: null,
    openedOn: null,
    widthMm: null,
    note: '',
  };
  await post(running, request, routes.supplies, remover);
  await post(running, request, routes.supplies, { ...remover, thing: 'paper-towel', stock: 40 });
  const { id } = await post(running, request, routes.gear, plain('Gluey body', 'mirrorless-body'));
  await page.goto(`${running.url}/gear/${id}`);
  await button(page, /^Look at it/).click();
  await page.getByRole('list', { name: 'Surfaces in the order light meets them' }).getByRole('button', { name: /^grip/ }).click();
  await button(page, /sticky coating/)
    .first()
    .click();
  await expect(page.getByText(/two to twelve months/)).toBeVisible();
  await button(page, 'Finish the look').click();
  // It is over once its page is left: who goes elsewhere before may be quicker than the answer.
  await expect(page).toHaveURL(/\/gear\//);
  await page.goto(`${running.url}/gear/${id}`);
  await expect(page.getByText('Look again: sticky finish')).toBeVisible();

  await page.goto(`${running.url}/gear/${id}/plan?school.sticky=remove`);
  await expect(page.getByText(/Lettering, paint, rubber and leather dressing may come off/).first()).toBeVisible();
  await button(page, 'Start cleaning').click();
  await button(page, 'Ready').click();
  await button(page, 'Done').click();
  await expect(heading(page, 'Coating remover')).toBeVisible();
  await expect(page.getByText('1 mL of plaster-glue remover · 4 sheets of paper towel')).toBeVisible();
  await button(page, 'Done, now look').click();
  await button(page, /^Clean enough/).click();
  await expect(page.getByText(/Look at it again in two months/)).toBeVisible();
  await button(page, 'Put it in the log').click();
  await expect(page.getByText('Look again: sticky finish')).toBeVisible();
  const drawer = (await (await request.get(running.url + routes.supplies)).json()) as { supplies: { thing: string; stock: number }[] };
  expect(drawer.supplies.find((s) => s.thing === 'adhesive-remover')?.stock).toBe(380);
});

test('a lens behind one ring: from the look over the plan to the opening, one answer all the way', async ({ page, request }) => {
  const traits = { yearMade: 1962, electronicContacts: false, filterFitted: true, filterStuck: true, value: 220, servicePrice: 90 };
  const id = await lookedAt(running, request, 'Hazy lens', 'lens', traits, { 'inner-glass': [{ soil: 'haze', severity: 3 }] });
  await page.goto(`${running.url}/gear/${id}?surface=inner-glass`);
  await expect(page.getByText(/weigh opening that ring yourself against a workshop/).first()).toBeVisible();
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByText(/A filter is stuck on: it comes off first/)).toBeVisible();
  await page.getByRole('link', { name: 'Open it, or not?' }).click();
  await expect(page.getByText('First free the filter')).toBeVisible();
  await expect(button(page, /Start the record|Open it all the same/)).toHaveCount(0);
  await page.getByRole('link', { name: 'Free the filter', exact: true }).click();
  await button(page, 'It came off').click();
  await page.goto(`${running.url}/gear/${id}/opening?soil=haze&depth=front-group&experience=this-type`);
  await expect(page.getByText('Go: undo that one ring, slowly')).toBeVisible();
  await button(page, 'Deeper than one ring').click();
  await expect(page.getByText(/one ring is where the owner stops/)).toBeVisible();
  await expect(button(page, /Start the record|Open it all the same/)).toHaveCount(0);
  await button(page, 'Behind the rear group').click();
  await button(page, 'Start the record').click();
  await expect(page.getByRole('list', { name: 'Touch ladder for the rear glass' })).toBeVisible();
});

test('a kind changed while adding keeps nothing of the other kind, and a year sets what was usual', async ({ page }) => {
  await page.goto(`${running.url}/gear/new`);
  await page.getByLabel('Name', { exact: true }).fill('Changed my mind');
  await page.getByText('underwater port', { exact: true }).click();
  await expect(page.getByLabel('Optic made of')).toHaveValue('acrylic');
  await page.getByText('lens', { exact: true }).click();
  await expect(page.getByLabel('Optic made of')).toHaveValue('glass');
  await page.getByLabel('Year made').fill('1938');
  await expect(page.getByRole('checkbox', { name: /Electronic contacts/ })).not.toBeChecked();
  await expect(page.getByText('Before about 1945 glass is bare.')).toBeVisible();
  await button(page, 'Put it on the shelf').click();
  await expect(heading(page, 'Changed my mind')).toBeVisible();
  await expect(page.locator('[data-surface="contacts"]')).toHaveCount(0);
});

test('the cloth is changed at the bench, and wear is counted on the one that was used', async ({ page, request }) => {
  const cloth = { thing: 'glass-cloth', state: 'clean', stock: null, packSize: null, packPrice: null, openedOn: null, widthMm: null };
  await post(running, request, routes.supplies, { ...cloth, note: 'Blue edge.' });
  const grey = await post(running, request, routes.supplies, { ...cloth, note: 'Grey edge.' });
  const id = await lookedAt(running, request, 'Two cloths', 'lens', {}, { 'front-glass': [{ soil: 'smear', severity: 2 }] });
  await page.goto(`${running.url}/gear/${id}/plan`);
  await button(page, 'Start cleaning').click();
  await button(page, 'Ready').click();
  await button(page, 'Done').click();
  await expect(heading(page, 'Dry wipe')).toBeVisible();
  await expect(page.getByText('microfibre kept for glass (Blue edge)', { exact: true }).first()).toBeVisible();
  await page.getByLabel('Which microfibre kept for glass?').selectOption({ label: 'Microfibre kept for glass (Grey edge)' });
  await button(page, 'Done, now look').click();
  await button(page, /^Clean enough/).click();
  await button(page, 'Put it in the log').click();
  await page.waitForURL(/\/gear\/[0-9a-f-]+$/);
  const drawer = (await (await request.get(running.url + routes.supplies)).json()) as {
    supplies: { id: string; thing: string; usesSinceWash: number }[];
  };
  const uses = drawer.supplies.filter((s) => s.thing === 'glass-cloth').map((s) => [s.id === grey.id, s.usesSinceWash]);
  expect(uses).toEqual([
    [false, 0],
    [true, 1],
  ]);
});

test('the handbook answers a situation told in one’s own words', async ({ page }) => {
  await page.goto(`${running.url}/handbook`);
  await page.getByLabel('Search the handbook').fill('sand flying on my lens');
  await expect(page.getByRole('heading', { name: /Sand is flying, the front is full of it/ })).toBeVisible();
  await expect(page.getByText('Cap it and put it away: nothing is opened, brushed or wiped out in this.').first()).toBeVisible();
});
