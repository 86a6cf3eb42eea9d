import { expect, test, type Page } from '@playwright/test';
import { routes } from '@bright-keeper/contract';
import { lookedAt, post, SHELF, start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });

test('a sensor clean: a dry run once, safe power, and out before the exposure ends', async ({ page, request }) => {
  const traits = { sensorCleaningMode: false };
  const id = await lookedAt(running, request, 'Reflex body', 'slr-body', traits, { 'sensor-cover': [{ soil: 'grease', severity: 3 }] });
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByRole('img', { name: /A swab 24 mm wide along the long side, 1 strip/ })).toBeVisible();
  await button(page, 'Start cleaning').click();
  await button(page, 'Ready').click();
  await button(page, 'Done').click();

  // The dry run: too late the first time, out in time the second.
  await expect(heading(page, 'First a dry run')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(heading(page, 'First a dry run')).toBeVisible();
  await page.getByLabel(/How long is the exposure/).fill('12');
  await expect(button(page, 'Start the dry run')).toBeDisabled();
  await page.getByLabel(/How long is the exposure/).fill('15');
  await button(page, 'Start the dry run').click();
  await expect(page.getByText('Open. Work calmly.')).toBeVisible();
  await expect(page.getByText('Out now', { exact: true })).toBeVisible({ timeout: 14_000 });
  await expect(page.getByText('Closed', { exact: true })).toBeVisible({ timeout: 9_000 });
  await button(page, 'I am out').click();
  await expect(page.getByText(/It closed while you were inside/)).toBeVisible();
  await button(page, 'Start the dry run').click();
  await button(page, 'I am out').click();

  await expect(button(page, 'Power is safe')).toBeDisabled();
  await page.getByLabel(/Battery full/).check();
  await button(page, 'Power is safe').click();
  await page.getByLabel(/How long is the exposure/).fill('15');
  await button(page, 'The shutter is open').click();
  await expect(page.getByRole('timer', { name: 'Exposure' })).toBeVisible();
  // A reload in the middle: the clock has gone on.
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('Out now', { exact: true })).toBeVisible({ timeout: 14_000 });
  // Said too late, it is asked what was inside when it closed.
  await expect(page.getByText('Closed', { exact: true })).toBeVisible({ timeout: 9_000 });
  await button(page, 'I am out, nothing is inside').click();
  await expect(heading(page, 'The shutter closed before you said so')).toBeVisible();
  await page.keyboard.press('Space');
  await expect(heading(page, 'The shutter closed before you said so')).toBeVisible();
  await button(page, /^Nothing was inside/).click();
  await button(page, /^Clean enough/).click();
  await button(page, 'Put it in the log').click();
  await expect(heading(page, 'Reflex body')).toBeVisible();
  await page.goto(`${running.url}/settings`);
  await expect(page.getByText(/The bench goes straight to the power check/)).toBeVisible();
});

test('fungus: one tap isolates, the neighbours are listed and due to be looked at', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'Loaned lens', 'lens', {}, { 'inner-glass': [{ soil: 'fungus', severity: 2 }] });
  const beside = await post(running, request, routes.gear, {
    name: 'Lens beside it',
    kind: 'lens',
    traits: {},
    notes: '',
    acquiredOn: null,
  });
  const place = await post(running, request, routes.places, {
    ...SHELF,
    name: 'Oak cupboard',
    kind: 'cupboard',
    volumeL: 300,
    openingsPerWeek: 5,
    lining: 'wood',
  });
  await page.goto(`${running.url}/gear/${id}`);
  await page.getByLabel('Move it to').selectOption('Oak cupboard');
  await expect(page.getByRole('link', { name: 'Oak cupboard' })).toBeVisible();
  await request.put(running.url + routes.itemPlace(beside.id), { data: { placeId: place.id } });

  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByText('Move it away from the rest now.')).toBeVisible();
  await button(page, 'Move to quarantine').click();
  await expect(page.getByText('It lies apart from the rest.')).toBeVisible();
  await page.goto(`${running.url}/gear/${id}`);
  await expect(page.getByRole('heading', { name: 'What it shared a place with' })).toBeVisible();
  await expect(page.getByText('Apart from the rest, in quarantine.')).toBeVisible();
  await page.getByRole('link', { name: 'Lens beside it' }).click();
  await expect(page.getByText('Neighbour of a quarantined thing: look now')).toBeVisible();
  await expect(page.getByText('Neighbour of a quarantined thing: look after 12 weeks')).toBeVisible();
});

test('out in the field, on a phone: what to do now, and what waits for home', async ({ page, request }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await post(running, request, routes.gear, { name: 'Shore lens', kind: 'lens', traits: {}, notes: '', acquiredOn: null });
  await page.goto(`${running.url}/field`);
  await button(page, 'Salt spray').click();
  await expect(page.getByText(/Dried, it wants fresh water and nothing else/)).toBeVisible();
  await expect(page.getByText(/no sealed wipe and no alcohol over a crust/)).toBeVisible();
  await page.getByLabel(/Shore lens/).check();
  await button(page, 'Note it, and keep the rest for home').click();
  await expect(page.getByText(/It waits on Today/)).toBeVisible();
  await page.goto(running.url);
  await expect(page.getByText(/Waited for home/).first()).toBeVisible();

  // The look at home expects what was noted out there.
  await page.goto(`${running.url}/gear`);
  await page.getByRole('link', { name: 'Shore lens' }).first().click();
  await button(page, /^Look at it/).click();
  await expect(heading(page, 'Front glass')).toBeVisible();
  await expect(page.getByText(/Noted outdoors: salt spray/)).toBeVisible();
  await expect(page.getByText(/Salt crystals scratch/)).toBeVisible();
});

test('go or no-go: a manual lens one ring deep is opened with a record and closed in reverse', async ({ page, request }) => {
  const traits = { electronicContacts: false, value: 200, servicePrice: 120 };
  const id = await lookedAt(running, request, 'Old fifty', 'lens', traits, { 'inner-glass': [{ soil: 'fungus', severity: 2 }] });
  await page.goto(`${running.url}/gear/${id}/opening?depth=deeper`);
  await expect(page.getByText('Hand it to a workshop')).toBeVisible();
  await button(page, 'Behind the front group').click();
  await button(page, 'I opened this type before').click();
  await expect(page.getByText('Go: undo that one ring, slowly')).toBeVisible();
  await button(page, 'Start the record').click();
  for (const [i, what] of ['front ring', 'first element'].entries()) {
    await button(page, i === 0 ? 'Note the first stage' : 'Next stage').click();
    await page.getByLabel('What comes off').nth(i).fill(what);
  }
  await page.getByLabel('Turns until it came off').first().fill('3.5');
  await button(page, 'Close it again').click();
  await expect(page.getByText('1. Put back: first element.')).toBeVisible();
  await expect(page.getByLabel(/2\. Put back: front ring/)).toBeDisabled();
  await expect(button(page, 'All is back: put it in the log')).toBeDisabled();
  await page.getByLabel(/1\. Put back/).check();
  await page.getByLabel(/2\. Put back: front ring. 3.5 turns in./).check();
  await button(page, 'All is back: put it in the log').click();
  await expect(page.getByText('Opened behind the front group and closed again')).toBeVisible();
});

test('a stuck filter: the gentlest way first, and what came of it is remembered', async ({ page, request }) => {
  const { id } = await post(running, request, routes.gear, {
    name: 'Filtered',
    kind: 'lens',
    traits: { filterFitted: true, filterStuck: true },
    notes: '',
    acquiredOn: null,
  });
  await page.goto(`${running.url}/gear/${id}`);
  await page.getByRole('link', { name: 'The filter is stuck' }).click();
  await expect(heading(page, 'Flat of the hand')).toBeVisible();
  await button(page, 'Still stuck').click();
  await expect(heading(page, 'Wide rubber band')).toBeVisible();
  await button(page, 'In the field').click();
  await button(page, 'Still stuck').click();
  await expect(heading(page, 'Pliers, as a last resort')).toBeVisible();
  await expect(page.getByText(/otherwise shoot with it on/)).toBeVisible();
  await button(page, 'Still stuck').click();
  await expect(heading(page, 'Shoot with it on')).toBeVisible();
  await button(page, 'At home').click();
  await expect(heading(page, 'Rubber cup or filter wrench')).toBeVisible();
  await button(page, 'It came off').click();
  await expect(heading(page, 'Filtered')).toBeVisible();
  const item = (await (await request.get(running.url + routes.item(id))).json()) as { traits: { filterStuck: boolean } };
  expect(item.traits.filterStuck).toBe(false);
});

test('a stiff focus: the effort is noted before and after each drop', async ({ page, request }) => {
  const traits = { helicoidExposed: true, electronicContacts: false };
  const id = await lookedAt(running, request, 'Stiff lens', 'lens', traits, { helicoid: [{ soil: 'dried-grease', severity: 3 }] });
  await page.goto(`${running.url}/gear/${id}/plan`);
  await button(page, 'Start cleaning').click();
  await button(page, 'Ready').click();
  await expect(page.getByText('Before the first drop: how hard does it turn?')).toBeVisible();
  await button(page, 'Hard').click();
  await button(page, 'Done, now look').click();
  await expect(heading(page, 'Feel how it turns')).toBeVisible();
  await button(page, 'Firm').click();
  await expect(page.getByText(/second try/)).toBeVisible();
  await button(page, 'Done, now look').click();
  await button(page, 'Light').click();
  await expect(heading(page, 'Done. Put it away')).toBeVisible();
});

test('a plan made before a school changed is marked and remade at the bench', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'Outdated', 'lens', {}, { 'front-glass': [{ soil: 'fingerprint', severity: 3 }] });
  const cleaning = await post(running, request, routes.cleanings, { itemId: id, place: 'home' });
  const settings = (await (await request.get(running.url + routes.settings)).json()) as { schools: object };
  await request.put(running.url + routes.settings, { data: { ...settings, schools: { ...settings.schools, solvent: 'alcohol-free' } } });
  await page.goto(`${running.url}/bench/${cleaning.id}`);
  await expect(page.getByText(/made before your schools changed/)).toBeVisible();
  await button(page, 'Remake what is ahead').click();
  await expect(page.getByText(/made before/)).toHaveCount(0);
  await button(page, 'Ready').click();
  await button(page, 'Done').click();
  await expect(page.getByText(/alcohol-free eyeglass cleaner/)).toBeVisible();
});
