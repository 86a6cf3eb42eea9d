import { routes } from '@bright-keeper/contract';
import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { lookedAt, post, SHELF, start, type Running, type Seen } from './server.js';

let running: Running;
test.beforeEach(async () => void (running = await start()));
test.afterEach(() => running.kill('SIGTERM'));

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });
const day = (offset: number) => new Date(Date.now() + offset * 86_400_000).toISOString().slice(0, 10);

/** A finished look at a thing that is there already. */
async function look(request: APIRequestContext, itemId: string, seen: Seen): Promise<void> {
  const doc = await post(running, request, routes.looks, { itemId });
  const answers = Object.entries(seen).map(([surface, findings]) => ({ surface, findings, note: '' }));
  const { version } = (await (await request.get(running.url + routes.look(doc.id))).json()) as { version: number };
  await request.put(running.url + routes.look(doc.id), { data: { version, at: null, answers } });
  await request.post(running.url + routes.lookFinish(doc.id), { data: { version: version + 1 } });
}

test('fungus behind a stuck filter: apart at once, and a wiped front is no torch through its neighbour', async ({ page, request }) => {
  const shelf = await post(running, request, routes.places, SHELF);
  const sick = await lookedAt(
    running,
    request,
    'Old fifty',
    'lens',
    { yearMade: 1962, filterFitted: true, filterStuck: true },
    {
      'filter-back': [{ soil: 'fungus-outside', severity: 2 }],
      'front-glass': [{ soil: 'fingerprint', severity: 3 }],
    },
  );
  const beside = await lookedAt(running, request, 'Neighbour', 'lens', { yearMade: 1975 }, { 'inner-glass': [] });
  for (const itemId of [sick, beside]) await request.put(running.url + routes.itemPlace(itemId), { data: { placeId: shelf.id } });

  await page.goto(`${running.url}/gear/${sick}/plan`);
  await expect(page.getByText('Move it away from the rest now.')).toBeVisible();
  await expect(heading(page, 'When the filter is off')).toBeVisible();
  await button(page, 'Move to quarantine').click();
  await expect(page.getByText('It lies apart from the rest.')).toBeVisible();

  await page.goto(running.url);
  const neighbour = page.getByRole('button', { name: 'More about Neighbour: Neighbour of a quarantined thing: look now' });
  await expect(neighbour).toBeVisible();
  await look(request, beside, { 'front-glass': [], 'rear-glass': [] });
  await page.reload();
  await expect(neighbour).toBeVisible();
  await look(request, beside, { 'inner-glass': [] });
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await expect(neighbour).toHaveCount(0);
  await page.goto(`${running.url}/gear/${beside}`);
  await expect(page.getByText('Neighbour of a quarantined thing: look after 12 weeks')).toBeVisible();
});

test('salt on day two of a fortnight: asked the same evening, known to the plan at once, and not settled by a wiped front', async ({
  page,
  request,
}) => {
  const id = await lookedAt(running, request, 'Shore lens', 'lens', {}, { 'front-glass': [], 'inner-glass': [] });
  await post(running, request, routes.outings, {
    name: 'Fortnight on the coast',
    place: 'shore',
    from: day(-1),
    to: day(12),
    met: ['salt'],
    itemIds: [id],
    frames: null,
    lensChanges: null,
    hours: null,
    note: '',
  });
  await page.goto(running.url);
  const evening = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('button', { name: /^More about Shore lens: Look at it tonight/ }) });
  await expect(evening).toContainText('Fortnight on the coast is still under way and met salt');

  // The field page: it happened; the plan out here knows of the salt and leaves none of it to be good enough.
  await page.goto(`${running.url}/field?happened=spray&things=${id}`);
  await button(page, /^Note it/).click();
  await page.getByRole('link', { name: 'Its plan out here' }).click();
  await expect(page.getByText(/it waits for home/i).first()).toBeVisible();
  await expect(heading(page, 'Waits for home')).toBeVisible();
  await expect(page.getByText(/good enough/)).toHaveCount(0);

  await look(request, id, { 'front-glass': [] });
  await page.goto(running.url);
  await expect(evening).toContainText('1 of 4 seen');
  await look(request, id, { barrel: [], 'hood-outside': [], 'focus-ring': [] });
  await page.reload();
  await expect(heading(page, 'Today')).toBeVisible();
  await expect(evening).toHaveCount(0);
});

test('a flooded compact: nothing is switched on, and nothing is cleaned', async ({ page, request }) => {
  const id = await lookedAt(
    running,
    request,
    'Pocket one',
    'compact',
    {},
    {
      'battery-bay': [{ soil: 'sea-water', severity: 3 }],
      screen: [{ soil: 'fingerprint', severity: 3 }],
    },
  );
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByText(/Sea water got in: nothing is switched on to try; bring it to a workshop at once/)).toBeVisible();
  await expect(heading(page, 'After it has dried')).toBeVisible();
  await expect(button(page, 'Start cleaning')).toHaveCount(0);
});

test('a print on a telescope’s mirror asks for its washing procedure soon; dust beside it is left', async ({ page, request }) => {
  const id = await lookedAt(
    running,
    request,
    'Light bucket',
    'reflector',
    {},
    {
      'primary-mirror': [
        { soil: 'fingerprint', severity: 2 },
        { soil: 'dust', severity: 3 },
      ],
    },
  );
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByText(/Skin acid eats into aluminium.*washing procedure/).first()).toBeVisible();
  await expect(page.getByText(/each wash costs silver/).first()).toBeVisible();
  await expect(button(page, 'Start cleaning')).toHaveCount(0);
});

test('an o-ring with a cut is renewed before the next dive, and may not stay', async ({ page, request }) => {
  const id = await lookedAt(running, request, 'Dome', 'port', {}, { 'o-ring': [{ soil: 'worn-seal', severity: 1 }] });
  await page.goto(`${running.url}/gear/${id}/plan`);
  await expect(page.getByText(/what is worn is renewed before it is used again/).first()).toBeVisible();
  await expect(page.getByText(/renewed before the next dive, however small the cut/)).toBeVisible();
  await page.goto(running.url);
  await expect(page.getByRole('listitem').filter({ hasText: 'Dome' }).first()).toContainText('Renew');
});

test('a folding camera of the fifties goes to the end of the bench without a word of a battery, on a phone', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${running.url}/gear/new`);
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Folding six');
  await page.getByText('film camera with a fixed lens', { exact: true }).click();
  await page.getByLabel('Year made').fill('1954');
  await button(page, 'Put it on the shelf').click();
  await button(page, 'Look at it').click();
  await expect(heading(page, 'Front glass')).toBeVisible();
  await button(page, 'fingerprint').click();
  await button(page, 'obvious').click();
  await button(page, 'Next surface').click();
  await button(page, 'Finish the look').click();
  await expect(heading(page, /^Plan: Folding six/)).toBeVisible();
  await expect(page.getByText(/alcohol-free/).first()).toBeVisible();
  await button(page, 'Start cleaning').click();
  const words: string[] = [];
  const read = async () => void words.push(await page.locator('body').innerText());
  await read();
  await button(page, 'Ready').click();
  await expect(heading(page, 'Blow')).toBeVisible();
  await read();
  await button(page, 'Done').click();
  await expect(heading(page, 'Damp wipe')).toBeVisible();
  await read();
  await button(page, 'Done, now look').click();
  await button(page, /^Clean enough/).click();
  await expect(heading(page, 'Done. Put it away')).toBeVisible();
  await read();
  await button(page, 'Put it in the log').click();
  await expect(heading(page, 'Folding six')).toBeVisible();
  for (const text of words) expect(text).not.toMatch(/battery|switch off|lens off|sensor/i);
});
