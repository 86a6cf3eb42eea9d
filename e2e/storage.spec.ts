import { expect, test, type APIRequestContext, type Page } from '@playwright/test';
import { routes } from '@bright-keeper/contract';
import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freshDirectory, post, SHELF, start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));

const HOUR = 3_600_000;
const heading = (page: Page, name: string | RegExp) => page.getByRole('heading', { name });
const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });

const device = { source: 'csv', outdoor: false, everyMinutes: 60, note: '' };

/** A log as a spreadsheet of the continent writes it: semicolons, decimal commas, day first. */
function continentalLog(hours: number, humidity: (hoursAgo: number) => number): string {
  const two = (n: number) => String(n).padStart(2, '0');
  const rows = Array.from({ length: hours }, (_, i) => {
    const ago = hours - i;
    const at = new Date(Math.floor(Date.now() / HOUR) * HOUR - ago * HOUR);
    const date = `${two(at.getUTCDate())}.${two(at.getUTCMonth() + 1)}.${at.getUTCFullYear()} ${two(at.getUTCHours())}:00`;
    return `${date};${(19.5 + Math.sin(ago / 4)).toFixed(1).replace('.', ',')};${humidity(ago).toFixed(1).replace('.', ',')}`;
  });
  return ['Zeit;Temperatur (°C);Feuchte (%)', ...rows].join('\n');
}

test('a place is added, its log with decimal commas is read, and its ribbon, chart and risk appear', async ({ page }) => {
  await page.goto(`${running.url}/storage`);
  await page.getByRole('link', { name: 'Add the first place' }).click();
  await page.getByLabel('Name').fill('North shelf');
  await page.getByLabel('Should stay above, %').fill('70');
  await button(page, 'Add it').click();
  await expect(page.getByText('The upper end of the band must lie above the lower one.')).toBeVisible();
  await page.getByLabel('Should stay above, %').fill('35');
  await button(page, 'Add it').click();
  await page.getByRole('link', { name: 'North shelf' }).click();
  await page.getByRole('link', { name: 'Set up a hygrometer' }).click();
  await button(page, 'Add a hygrometer').click();
  await page.getByLabel('Name').fill('Logger');
  await page.getByLabel('Where its readings come from').selectOption({ label: 'I import its log as a file' });
  await page.getByLabel('Lies in').selectOption('North shelf');
  await button(page, 'Add it').click();
  await page.getByRole('link', { name: 'Import a log' }).click();

  const file = join(freshDirectory(), 'log.csv');
  writeFileSync(file, `${continentalLog(40 * 24, (ago) => (ago > 400 && ago < 430 ? 88 : 67))}\n31.02.2026 10:00;20,0;50,0\n`);
  await page.getByLabel('Choose a file').setInputFiles(file);
  await expect(page.getByLabel('Decimals')).toHaveValue(',');
  await expect(page.getByLabel('Date is written')).toHaveValue('dmy');
  await expect(page.getByLabel('Humidity')).toHaveValue('Feuchte (%)');
  await expect(page.getByRole('cell', { name: '67.0' }).first()).toBeVisible();
  await expect(button(page, 'Import it')).toBeDisabled();
  await page.getByLabel('Times are those of').fill('Mars');
  await expect(page.getByText('This is no time zone; write it like Europe/Lisbon or UTC.')).toBeVisible();
  await page.getByLabel('Times are those of').fill('');
  await page.getByLabel('Times are those of').pressSequentially('UTC');
  await expect(page.getByLabel('Times are those of')).toHaveValue('UTC');
  await button(page, 'Check the whole file').click();
  await expect(page.getByText(/960 of 961 rows are good/)).toBeVisible();
  await expect(page.getByText('1 row: no time that can be read')).toBeVisible();
  await button(page, 'Import it').click();
  await expect(page.getByText(/960 readings are in/)).toBeVisible();

  await page.getByRole('link', { name: 'Storage', exact: true }).first().click();
  const ribbon = page.getByRole('slider', { name: /days of air/ });
  await expect(ribbon).toHaveAttribute('aria-valuetext', /on average 67 %/);
  await expect(page.getByText('Damper than 60 %').first()).toBeVisible();
  await page.getByRole('link', { name: 'North shelf' }).first().click();
  await button(page, '3 months').click();
  await expect(page.getByRole('slider', { name: 'Air and risk over time' })).toBeVisible();
  await expect(page).toHaveURL(/span=season/);
  await expect(page.getByRole('row', { name: /Early warning/ })).toContainText('% of the way');
});

test('a simulated hygrometer pushes like a real one, live, and not without its key', async ({ page, request }) => {
  const shelf = await post(running, request, routes.places, { ...SHELF, name: 'Live shelf' });
  await post(running, request, routes.devices, { ...device, name: 'Live probe', source: 'push', placeId: shelf.id });
  await page.goto(`${running.url}/hygrometers`);
  const row = page.getByRole('listitem', { name: 'Live probe' });
  await row.getByRole('button', { name: 'Open' }).click();
  await expect(row.getByText('Nothing heard of it yet.')).toBeVisible();
  await row.getByRole('button', { name: 'Make a key' }).click();
  const command = await row.getByText(/^npm run hygrometer/).innerText();
  const token = /--token (\S+)/.exec(command)![1]!;
  const run = (key: string) =>
    spawn(process.execPath, [
      join(import.meta.dirname, '..', 'devices', 'dist', 'hygrometer.js'),
      '--url',
      running.url,
      '--token',
      key,
      '--every',
      '1',
      '--spot',
      'cupboard',
    ]);
  const wrong = run('wrong');
  const complaint = await new Promise<string>((resolve) => wrong.stderr.once('data', (d: Buffer) => resolve(d.toString())));
  wrong.kill();
  expect(complaint).toMatch(/401/);
  const probe = run(token);
  try {
    await expect(row.getByText(/\s°C, \d+\s%/)).toBeVisible();
    await page.goto(`${running.url}/storage/${shelf.id}`);
    await expect(page.getByText(/heard/).first()).toBeVisible();
  } finally {
    probe.kill();
  }
});

test('a salt test corrects what is shown, keeps what was read, and refuses what cannot be right', async ({ page, request }) => {
  const shelf = await post(running, request, routes.places, { ...SHELF, name: 'Salt shelf' });
  await post(running, request, routes.devices, { ...device, name: 'Dial', source: 'hand', placeId: shelf.id });
  await page.goto(`${running.url}/hygrometers`);
  const row = page.getByRole('listitem', { name: 'Dial' });
  await row.getByRole('button', { name: 'Open' }).click();
  await row.getByLabel('It reads, °C').fill('25');
  await row.getByLabel('and % RH').fill('155');
  await row.getByRole('button', { name: 'Note it' }).click();
  await expect(row.getByText('At most 100.')).toBeVisible();
  await row.getByLabel('and % RH').fill('55,0');
  await row.getByRole('button', { name: 'Note it' }).click();
  await expect(row.getByText(/25\.0\s°C, 55\s%/)).toBeVisible();

  await row.getByText('Salt test', { exact: false }).first().click();
  await row.getByRole('button', { name: 'A second salt' }).click();
  for (const [i, pct] of ['74', '36'].entries()) {
    await row.getByLabel('at °C').nth(i).fill('25');
    await row.getByLabel('it read, %').nth(i).fill(pct);
  }
  await expect(row.getByText('Gain 1.119, offset -7.49 %')).toBeVisible();
  await row.getByLabel('it read, %').nth(1).fill('72');
  await expect(row.getByText(/This cannot be right/)).toBeVisible();
  await expect(row.getByRole('button', { name: 'Keep this salt test' })).toBeDisabled();
  await row.getByLabel('it read, %').nth(1).fill('36');
  await row.getByRole('button', { name: 'Keep this salt test' }).click();
  await expect(row.getByText(/25\.0\s°C, 54\s%/)).toBeVisible();
  await expect(row.getByText('(it says 55.0 %)', { exact: false })).toBeVisible();
});

/** How a logger of the Continent writes. */
const CONTINENTAL = {
  delimiter: ';',
  decimal: ',',
  dateOrder: 'dmy',
  date: 'Zeit',
  time: null,
  temperature: 'Temperatur (°C)',
  humidity: 'Feuchte (%)',
  temperatureUnit: 'C',
  humidityUnit: 'pct',
  timeZone: 'UTC',
};

test('a box: gel goes in, and what-if says in a worker what more of it, or a better seal, would do', async ({ page, request }) => {
  const room = await post(running, request, routes.places, { ...SHELF, name: 'Damp room', highPct: 80 });
  const box = await post(running, request, routes.places, {
    ...SHELF,
    name: 'Gasket box',
    kind: 'sealed-box',
    volumeL: 50,
    airChangesPerDay: 2,
    openingsPerWeek: 2,
    highPct: 50,
    standsInId: room.id,
  });
  await post(running, request, routes.places, { ...SHELF, name: 'Shelf of another room' });
  const probe = await post(running, request, routes.devices, { ...device, name: 'Room logger', placeId: room.id });
  await request.post(`${running.url}${routes.logImport(probe.id)}?format=${encodeURIComponent(JSON.stringify(CONTINENTAL))}`, {
    headers: { 'content-type': 'text/csv' },
    data: continentalLog(100 * 24, () => 68),
  });
  await page.goto(`${running.url}/storage/${box.id}`);
  await page.getByLabel('Grams, dry').fill('nothing');
  await expect(button(page, 'Put it in, freshly dried')).toBeDisabled();
  await page.getByLabel('Grams, dry').fill('60');
  await button(page, 'Put it in, freshly dried').click();
  await expect(page.getByText(/60 g of silica gel, type A: \d+ % left, spent in/).first()).toBeVisible();
  await page.getByRole('link', { name: 'What if?' }).first().click();
  // Nothing was measured in it: a rule of thumb, and said to be.
  await expect(page.getByRole('note')).toContainText('Lay a hygrometer in it for 21 days.');
  const today = page.getByRole('region', { name: 'Unchanged' });
  const whatIf = page.getByRole('region', { name: 'What if' });
  await expect(today.getByText(/Above its band/).first()).toBeVisible();
  await expect(page.getByText(/^By rule of thumb, held against nothing: /)).toBeVisible();
  const above = async (side: typeof today) => Number(/Above its band\s*(\d+) %/.exec((await side.innerText()).replace(/\n/g, ' '))![1]);
  const before = await above(today);
  expect(before).toBeGreaterThan(20);
  await page.getByLabel(/^Desiccant/).fill('600');
  await expect(page).toHaveURL(/massG=600/);
  await expect.poll(() => above(whatIf)).toBeLessThan(before);
  await page.reload();
  await expect(page.getByLabel(/^Desiccant/)).toHaveValue('600');
  await page.getByLabel('Where it stands').selectOption({ label: 'in the air of: Shelf of another room' });
  await expect(page).toHaveURL(/room=/);
  await expect(whatIf.getByText(/Above its band/).first()).toBeVisible();
});

/** The logs of a room and of a cupboard on its cold outer wall, which follows it by a day and a half. */
function roomAndCupboard(days: number): { room: string; cupboard: string } {
  const hours = days * 24;
  const [start, lagH] = [Date.now() - hours * 3_600_000, 18];
  const line = (h: number, t: number, pct: number) => {
    const [date, time] = new Date(start + h * 3_600_000).toISOString().split('T') as [string, string];
    const [y, m, d] = date.split('-');
    return `${d}.${m}.${y} ${time.slice(0, 5)};${t.toFixed(1).replace('.', ',')};${pct.toFixed(1).replace('.', ',')}`;
  };
  // Saturation after Magnus is near enough for a log that is made up.
  const saturated = (t: number) => (216.68 * 6.112 * Math.exp((17.62 * t) / (243.12 + t))) / (t + 273.15);
  const rows = { room: ['Zeit;Temperatur (°C);Feuchte (%)'], cupboard: ['Zeit;Temperatur (°C);Feuchte (%)'] };
  let slowC = 20;
  let vapour = NaN;
  for (let h = 0; h < hours; h++) {
    const t = 20 + 1.5 * Math.sin((2 * Math.PI * h) / 24) + 1.5 * Math.sin(h / 160);
    const pct = 60 + 8 * Math.sin(h / 70) + 3 * Math.sin(h / 19 + 1);
    slowC += (t - slowC) / lagH;
    const around = (pct / 100) * saturated(t);
    vapour = Number.isNaN(vapour) ? around : vapour + (around - vapour) / lagH;
    rows.room.push(line(h, t, pct));
    rows.cupboard.push(line(h, slowC - 2, (100 * vapour) / saturated(slowC - 2)));
  }
  return { room: rows.room.join('\n'), cupboard: rows.cupboard.join('\n') };
}

test('a cupboard that explains its past: what-if unchanged is its page, and away from its cold wall it is drier', async ({
  page,
  request,
}) => {
  const room = await post(running, request, routes.places, { ...SHELF, name: 'Explaining room', highPct: 75 });
  const cupboard = await post(running, request, routes.places, {
    ...SHELF,
    name: 'Cold cupboard',
    kind: 'cupboard',
    volumeL: 300,
    openingsPerWeek: 0,
    highPct: 60,
    standsInId: room.id,
  });
  const logs = roomAndCupboard(90);
  for (const [place, log] of [
    [room, logs.room],
    [cupboard, logs.cupboard],
  ] as const) {
    const probe = await post(running, request, routes.devices, { ...device, name: `Logger of ${place.id}`, placeId: place.id });
    await request.post(`${running.url}${routes.logImport(probe.id)}?format=${encodeURIComponent(JSON.stringify(CONTINENTAL))}`, {
      headers: { 'content-type': 'text/csv' },
      data: log,
    });
  }
  await page.goto(`${running.url}/storage/${cupboard.id}`);
  await expect(page.getByText(/^(2\.[01]|1\.9) °C colder than the air around it.*A cold outer wall does that/)).toBeVisible();
  await expect(page.getByText(/^On 30 days it had never seen it was off by \d\.\d % in the middle/)).toBeVisible();
  const verdict = (await page.getByRole('heading', { level: 1 }).innerText()).replace('Cold cupboard', '').trim();
  await page.getByRole('link', { name: 'What if?' }).first().click();
  const measured = page.getByRole('region', { name: 'Today, as measured' });
  const whatIf = page.getByRole('region', { name: 'What if' });
  await expect(measured.getByText(verdict, { exact: true })).toBeVisible();
  const told = async (side: typeof measured) =>
    (await side.innerText())
      .split('\n')
      .slice(1)
      .join('|')
      .replace(/^.*?\|?On average/, 'On average');
  expect(await told(whatIf)).toBe(await told(measured));
  await expect(page.getByRole('img', { name: /^What the model says of days it had never seen/ })).toBeVisible();
  const mean = async (side: typeof measured) => Number(/On average\s*(\d+) %/.exec((await side.innerText()).replace(/\n/g, ' '))![1]);
  const before = await mean(measured);
  await page.getByLabel(/^Warmer than the air around it by/).fill('0');
  await expect.poll(() => mean(whatIf)).toBeLessThan(before - 5);
  await expect(page).toHaveURL(/ownWarmerC=0/);
  expect(await mean(measured)).toBe(before);
});

/** A hygrometer in a place, and so many days of its log in a file. */
async function logged(request: APIRequestContext, placeId: string, name: string, days: number, humidityPct: number): Promise<void> {
  const { id } = await post(running, request, routes.devices, { ...device, name, placeId });
  await request.post(`${running.url}${routes.logImport(id)}?format=${encodeURIComponent(JSON.stringify(CONTINENTAL))}`, {
    headers: { 'content-type': 'text/csv' },
    data: continentalLog(days * 24, () => humidityPct),
  });
}

test('two hygrometers that disagree: the place is not called safe, and nothing is bought on either’s word', async ({ page, request }) => {
  const { id } = await post(running, request, routes.places, { ...SHELF, name: 'Disputed shelf' });
  await logged(request, id, 'Logger by the wall', 20, 57);
  await logged(request, id, 'Dial in front', 20, 45);
  await page.goto(running.url);
  const duty = page.getByRole('listitem').filter({ hasText: 'Its hygrometers disagree' });
  await expect(duty).toContainText('Disputed shelf');
  await expect(duty).toContainText('Logger by the wall 57 % (never tested), Dial in front 45 % (never tested).');
  await page.goto(`${running.url}/storage/${id}`);
  await expect(heading(page, /^Disputed shelf/).getByText('Its hygrometers disagree')).toBeVisible();
  await expect(page.getByText('find out which of them is right before anything is bought or changed')).toBeVisible();
  await page.goto(running.url);
  await duty.getByRole('link', { name: 'See the hygrometers' }).click();
  await expect(heading(page, 'Hygrometers')).toBeVisible();
});

test('where everything should live: the dry cabinet takes what it holds, and one tap says it is done', async ({ page, request }) => {
  const [damp, dry] = [
    await post(running, request, routes.places, { ...SHELF, name: 'Wet shelf' }),
    await post(running, request, routes.places, { ...SHELF, name: 'Small cabinet', kind: 'dry-cabinet', volumeL: 6 }),
  ];
  await logged(request, damp.id, 'On the wet shelf', 30, 76);
  await logged(request, dry.id, 'In the small cabinet', 30, 44);
  for (const name of ['Veldane 35/2', 'Veldane 50/2', 'Veldane 90/4']) {
    const { id } = await post(running, request, routes.gear, { name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });
    await request.put(running.url + routes.itemPlace(id), { data: { placeId: damp.id } });
  }
  await page.goto(`${running.url}/storage`);
  await page.getByRole('link', { name: 'Where should it live?' }).click();
  const carry = page.getByRole('listitem').filter({ has: heading(page, 'From Wet shelf to Small cabinet') });
  // 3.6 L may be filled: two lenses of 1.5 L.
  await carry.getByRole('button', { name: 'I moved all 2' }).click();
  await expect(carry).toBeHidden();
  await page.goto(`${running.url}/storage/${dry.id}`);
  await expect(page.getByRole('link', { name: /^Veldane/ })).toHaveCount(2);
});

test('in from the cold: will it fog, how long to wait, and the wait stands on Today', async ({ page, request }) => {
  await post(running, request, routes.gear, { name: 'Cold lens', kind: 'lens', traits: {}, notes: '', acquiredOn: null });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${running.url}/warm-up?startC=18&roomC=21&roomHumidityPct=40`);
  await expect(page.getByText('It will not fog')).toBeVisible();
  await page.getByLabel('How cold is it, °C').fill('cold');
  await expect(page.getByText('A number from -40 to 50.')).toBeVisible();
  await page.getByLabel('How cold is it, °C').fill('-5');
  await expect(page.getByText(/It fogs: leave it shut for \d+ min/)).toBeVisible();
  await page.getByLabel('The room, % RH').fill('97');
  await expect(page.getByText('It fogs, and does not clear in this room')).toBeVisible();
  await page.getByLabel('The room, % RH').fill('50');
  await button(page, /^Start a timer for/).click();
  await page.getByRole('link', { name: 'See Today' }).click();
  await expect(heading(page, 'Waiting')).toBeVisible();
  await expect(page.getByText(/Leave it shut for \d+ min more/)).toBeVisible();
  await button(page, 'Stop waiting').click();
  await expect(heading(page, 'Waiting')).toHaveCount(0);
});
