import { routes, type BenchDays, type NewFeed } from '@bright-keeper/contract';
import { schedule } from '@bright-keeper/core';
import { expect, test, type Page } from '@playwright/test';
import { post, start, type Running } from './server.js';

let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(() => running.kill('SIGTERM'));
test.describe.configure({ mode: 'serial' });

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name, exact: typeof name === 'string' });
const lens = (name: string) => ({ name, kind: 'lens', traits: {}, notes: '', acquiredOn: null });
const today = new Date().toISOString().slice(0, 10);
const cellOf = (page: Page, day: string) =>
  page.getByRole('cell', {
    name: new Date(`${day}T12:00:00`).toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'long', year: 'numeric' }),
  });
/** What may be moved: the next time of the same, which a month may show as well, may not. */
const chip = (page: Page, name: string) => page.getByRole('button', { name: new RegExp(`^${name}: Look through it`), disabled: false });

/** Every day, an hour: so that the test does not hang on the weekday it runs on. */
const EVERY_DAY = { version: 1, weekdays: [0, 1, 2, 3, 4, 5, 6], minutesPerDay: 60, startsAt: '16:00', away: [] };

test('a rhythm is changed for one lens, and the year moves before it is saved and after', async ({ page, request }) => {
  await post(running, request, routes.gear, lens('Corvane 35/2'));
  await post(running, request, routes.gear, lens('Corvane 85/1.8'));
  await page.goto(`${running.url}/calendar`);
  await page.getByRole('link', { name: 'Rhythms' }).click();
  await button(page, 'Change: Look through it with a torch').click();
  await expect(page.getByText(/^The next year stays as it is: 10 times in the next year, 80 min\./)).toBeVisible();
  await page.getByLabel(/^For/).selectOption('Only Corvane 35/2');
  await page.getByLabel('How many').first().fill('1');
  await expect(page.getByText('Due every month or every month while the fungus risk is raised', { exact: false })).toBeVisible();
  // The windows of a month would overlap: it says so, and what would do.
  await page.getByLabel('Days early').fill('20');
  await expect(page.getByText(/would open before the last one closes/)).toBeVisible();
  await expect(button(page, 'Save this rhythm')).toBeDisabled();
  await page.getByLabel('Days early').fill('7');
  await expect(page.getByText(/instead of 10 times in the next year/)).toBeVisible();
  await button(page, 'Save this rhythm').click();
  await expect(page.getByText('Saved.')).toBeVisible();
  await expect(page.getByText(/^Corvane 35\/2: Every month/)).toBeVisible();
  await page.goto(`${running.url}/calendar?view=year&duty=light-test`);
  await expect(page.getByRole('slider', { name: 'Weeks of the next year' })).toHaveAttribute('aria-valuetext', /2 tasks, 16 min/);
});

test('a task is dragged within its window by mouse and by keys; a forbidden day takes it back and says why', async ({ page, request }) => {
  await request.put(running.url + routes.benchTimes, { data: EVERY_DAY });
  await page.goto(`${running.url}/calendar?view=month`);
  const tomorrow = schedule.addDays(today, 1);
  const yesterday = schedule.addDays(today, -1);
  const drag = async (name: string, day: string) => {
    await chip(page, name).scrollIntoViewIfNeeded();
    const from = (await chip(page, name).boundingBox())!;
    const to = (await cellOf(page, day).boundingBox())!;
    await page.mouse.move(from.x + 20, from.y + 8);
    await page.mouse.down();
    await page.mouse.move(from.x + 30, from.y + 12, { steps: 3 });
    await page.mouse.move(to.x + to.width / 2, to.y + to.height / 2, { steps: 8 });
    await expect(cellOf(page, yesterday)).toHaveAttribute('aria-disabled', 'true');
    if (day === tomorrow) await expect(cellOf(page, tomorrow)).toHaveClass(/outline-lamp/);
    await page.mouse.up();
  };
  await expect(cellOf(page, today).getByRole('button', { name: /Corvane 85/ })).toBeVisible();
  await drag('Corvane 85/1.8', yesterday);
  await expect(page.getByText('Corvane 85/1.8 stays where it is: that day is over.')).toBeVisible();
  await drag('Corvane 85/1.8', tomorrow);
  await expect(cellOf(page, tomorrow).getByRole('button', { name: /Corvane 85/ })).toBeVisible();

  // The same with keys alone: take it, one day on, put it down.
  await chip(page, 'Corvane 35/2').focus();
  await page.keyboard.press('Space');
  await expect(cellOf(page, yesterday)).toHaveAttribute('aria-disabled', 'true');
  await page.keyboard.press('ArrowRight');
  await expect(cellOf(page, tomorrow)).toHaveClass(/outline-lamp/);
  await page.keyboard.press('Space');
  await expect(cellOf(page, tomorrow).getByRole('button', { name: /Corvane 35/ })).toBeVisible();
  const { plan } = (await (await request.get(running.url + routes.benchDays)).json()) as BenchDays;
  expect(plan.days.map((d) => [d.day, d.tasks.length])).toContainEqual([tomorrow, 2]);
});

test('a bench day is run: one drawer list, thing after thing, each ticked when it is looked at', async ({ page }) => {
  await page.goto(running.url);
  await page.getByRole('link', { name: 'Open this bench day' }).click();
  await expect(page.getByRole('heading', { name: /^At the bench/ })).toBeVisible();
  await expect(page.getByText('a torch', { exact: true })).toBeVisible();
  await button(page, /^(Start this day|Do it now)$/).click();
  for (const done of [1, 2]) {
    // A look that has just begun offers to be dropped.
    await expect(button(page, 'Drop this look')).toBeVisible();
    // One surface seen is not a torch through all of it: each is looked at, and then it is done.
    while ((await button(page, 'Nothing here').count()) > 0) await button(page, 'Nothing here').click();
    await button(page, 'Finish the look').click();
    await expect(page).toHaveURL(/\/gear\//);
    await expect(page.getByText(`Bench day: ${done} of 2 done`)).toBeVisible();
    if (done === 1) await page.getByLabel('Bench day').getByRole('button', { name: 'Look' }).click();
  }
  await expect(page.getByText('All of it is done. Bench tidy, caps on, hands off.')).toBeVisible();
  await page.getByLabel('Bench day').getByRole('button', { name: 'Close' }).click();
  await expect(page.getByLabel('Bench day')).toHaveCount(0);
  await page.goto(running.url);
  await expect(page.getByText('Nothing is due.')).toBeVisible();
});

test('a calendar is subscribed to, fetched and revoked', async ({ page, request }) => {
  await page.goto(`${running.url}/calendar/others`);
  const made = page.waitForResponse((r) => r.url().endsWith(routes.feeds) && r.request().method() === 'POST');
  await button(page, 'Make an address').click();
  const { path } = (await (await made).json()) as NewFeed;
  await expect(page.getByText(path, { exact: false })).toBeVisible();
  const fetched = await request.get(running.url + path);
  expect(fetched.headers()['content-type']).toContain('text/calendar');
  expect(await fetched.text()).toContain('Corvane 35/2: Look through it with a torch');
  expect((await request.get(running.url + path, { headers: { 'if-none-match': fetched.headers().etag! } })).status()).toBe(304);
  await button(page, 'I have it').click();
  await button(page, 'Revoke Care').click();
  await expect(button(page, 'Revoke Care')).toHaveCount(0);
  expect((await request.get(running.url + path)).status()).toBe(404);
});

test('another calendar’s busy time moves the bench day; what is broken in it is told', async ({ page, request }) => {
  await post(running, request, routes.gear, lens('Tidewell 24-70/4'));
  const day = ((await (await request.get(running.url + routes.benchDays)).json()) as BenchDays).plan.days[0]!.day;
  const stamp = (text: string) => text.replaceAll(/[-:]/g, '');
  const busyCalendar = [
    'BEGIN:VCALENDAR',
    'VERSION:2.0',
    'BEGIN:VEVENT',
    'UID:1',
    `DTSTART;VALUE=DATE:${stamp(day)}`,
    `DTEND;VALUE=DATE:${stamp(schedule.addDays(day, 1))}`,
    'SUMMARY:a secret',
    'END:VEVENT',
    'BEGIN:VEVENT',
    'UID:2',
    'DTSTART:nonsense',
    'END:VEVENT',
    'END:VCALENDAR',
  ].join('\r\n');
  await page.goto(`${running.url}/calendar/others`);
  await page
    .getByLabel('From an .ics file')
    .setInputFiles({ name: 'family.ics', mimeType: 'text/calendar', buffer: Buffer.from(busyCalendar) });
  await expect(page.getByText('1 busy stretch from 1 event', { exact: false })).toBeVisible();
  await page.getByText('1 entry could not be read; the others were kept').click();
  await expect(page.getByText(/^Line 11, DTSTART/)).toBeVisible();
  const after = (await (await request.get(running.url + routes.benchDays)).json()) as BenchDays;
  expect(after.plan.days.map((d) => d.day)).not.toContain(day);
  await page.goto(`${running.url}/calendar`);
  await expect(page.getByText(/1 day has less time because another calendar is busy/)).toBeVisible();
});

test('an outing is noted: the salt it met is asked for today, and putting it off is taken back', async ({ page }) => {
  await page.goto(`${running.url}/outings`);
  await button(page, 'Note an outing').click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Breakwater');
  await page.getByLabel('Salt').check();
  await page.getByLabel('Tidewell 24-70/4').check();
  await button(page, 'Note it').click();
  await expect(page.getByText(/met salt/)).toBeVisible();
  await page.goto(running.url);
  const row = page.getByRole('listitem').filter({ hasText: 'home from an outing' }).first();
  await expect(row).toContainText('It met salt outdoors, which does not wait.');
  await row.getByRole('button', { name: /^More about/ }).click();
  await page.getByRole('menuitem', { name: 'Put off for a week' }).click();
  await expect(page.getByText(/home from an outing – put off\./)).toBeVisible();
  await expect(page.getByRole('listitem').filter({ hasText: 'met salt' })).toHaveCount(0);
  await button(page, 'Take it back').click();
  await expect(page.getByRole('listitem').filter({ hasText: 'met salt' }).first()).toBeVisible();
});

test('a lens that is lent is not asked for; when it is back it is looked at', async ({ page }) => {
  await page.goto(`${running.url}/gear`);
  await page.getByRole('link', { name: 'Corvane 35/2' }).first().click();
  await button(page, 'It goes away…').click();
  await page.getByLabel('Where is it?').selectOption('On loan');
  await button(page, 'It is away').click();
  await expect(page.getByText('Whom is it lent to? A name is enough.')).toBeVisible();
  await page.getByLabel('Lent to').fill('Mara');
  await button(page, 'It is away').click();
  await expect(page.getByText(/^It is on loan to Mara since/)).toBeVisible();
  // No day was agreed: all that is asked is that it comes back, after three months.
  const due = page.getByRole('listitem').filter({ hasText: 'It is due back' });
  await expect(due).toContainText('no day was agreed');
  await expect(page.getByText('Exercise it')).toHaveCount(0);
  await button(page, 'It is back').first().click();
  await expect(page.getByText('Look at it: it is back')).toBeVisible();
});

test('a task is dragged by touch: a short press takes it, a swipe scrolls past it', async ({ browser, request }) => {
  await post(running, request, routes.gear, lens('Halden 50/1.4'));
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 820, height: 1180 } });
  const page = await context.newPage();
  const fingers = await context.newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
    fingers.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] });
  await page.goto(`${running.url}/calendar?view=month`);
  const halden = chip(page, 'Halden 50/1.4');
  const tomorrow = cellOf(page, schedule.addDays(today, 1));
  /** Where a finger takes it, once the page has come to rest. */
  const grip = async (): Promise<{ x: number; y: number }> => {
    await halden.scrollIntoViewIfNeeded();
    const before = (await halden.boundingBox())!;
    await page.waitForTimeout(150);
    const { x, y } = (await halden.boundingBox())!;
    return y === before.y ? { x: x + 20, y: y + 8 } : grip();
  };

  let start = await grip();
  await touch('touchStart', start);
  await touch('touchMove', { ...start, y: start.y - 60 });
  await touch('touchEnd');
  await expect(tomorrow.getByRole('button', { name: /Halden/ })).toHaveCount(0);

  // The swipe has scrolled the page.
  start = await grip();
  const to = (await tomorrow.boundingBox())!;
  const end = { x: to.x + to.width / 2, y: to.y + to.height / 2 };
  await touch('touchStart', start);
  // The forbidden days are shown as soon as the press has taken it.
  await expect(cellOf(page, schedule.addDays(today, -1))).toHaveAttribute('aria-disabled', 'true');
  await touch('touchMove', { x: (start.x + end.x) / 2, y: (start.y + end.y) / 2 });
  // The finger rests until the day shows that it would take it, as a person's does.
  await expect(async () => {
    await touch('touchMove', end);
    await expect(tomorrow).toHaveClass(/outline-lamp/, { timeout: 500 });
  }).toPass();
  await touch('touchEnd');
  await expect(tomorrow.getByRole('button', { name: /Halden/ })).toBeVisible();
  await context.close();
});
