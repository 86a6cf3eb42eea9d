import { spawn } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { CHROMIUM, ensureChromium } from './chromium.mjs';
import { ensureInstalled, ROOT } from './run.mjs';

const PORT = 4899;
const NETWORK_PORT = PORT + 2;
const URL_HERE = `http://localhost:${PORT}`;
const OUT = join(ROOT, 'docs', 'screenshots');
const DESK = { width: 1280, height: 800 };
const TALL = { width: 1280, height: 1480 };
const PHONE = { width: 390, height: 844 };
const LONG_PHONE = { width: 390, height: 1180 };

/** A program on a directory of its own, so that the pictures never show anybody's data. */
function startProgram(script, port, more = {}) {
  const dataDir = mkdtempSync(join(tmpdir(), 'bright-keeper-shots-'));
  const env = {
    ...process.env,
    DATABASE_URL: '',
    PORT: String(port),
    BRIGHT_KEEPER_DATA: dataDir,
    BRIGHT_KEEPER_DEMO_DATA: dataDir,
    ...more,
  };
  const program = spawn(process.execPath, [join(ROOT, script)], { env });
  return new Promise((resolve, reject) => {
    program.stdout.on('data', (text) => String(text).includes(' is at ') && resolve(program));
    program.on('exit', (code) => reject(new Error(`${script} ended with ${code}`)));
    program.stderr.pipe(process.stderr);
  });
}

function end(program) {
  program.removeAllListeners('exit');
  program.kill('SIGTERM');
}

async function api(method, path, body) {
  const response = await fetch(URL_HERE + path, {
    method,
    headers: { 'content-type': 'application/json' },
    body: body && JSON.stringify(body),
  });
  if (!response.ok) throw new Error(`${method} ${path}: ${await response.text()}`);
  return response.json();
}

/** What was tapped until one stands on this rung of this surface: the others are left as they are, the rungs below it did not do. */
function standingAt(care, plan, surface, method) {
  const events = [{ type: 'ready' }];
  for (;;) {
    const { phase, step, round } = care.benchState(plan, events);
    if (phase === 'close') throw new Error(`no ${method} on the ${surface}`);
    const here = round ? round.steps.some((s) => s.surface === surface) : step.surface === surface;
    if (phase === 'step' && here && step.method === method) return events;
    if (!here) events.push({ type: 'leave-surface', surface: step.surface });
    else if (phase === 'step' || phase === 'round') events.push({ type: 'done', step: step.id });
    else events.push({ type: 'answer', step: step.id, answer: 'no-change' });
  }
}

/** A look and a cleaning under way, as a keeper would have left them. */
async function prepare(care) {
  const { items } = await api('GET', '/api/gear?limit=200');
  const idOf = (name) => items.find((i) => i.name === name).id;
  const lens = idOf('Corvane 35/2');
  const fresh = idOf('Corvane 28/2');
  const look = await api('POST', '/api/inspection/looks', { itemId: fresh });
  await api('PUT', `/api/inspection/looks/${look.id}`, {
    version: look.version,
    at: 'front-glass',
    answers: [
      { surface: 'front-glass', findings: [{ soil: 'fingerprint', severity: 3 }], note: '' },
      { surface: 'inner-glass', findings: [{ soil: 'internal-dust', severity: 1 }], note: '' },
      { surface: 'rear-glass', findings: [], note: '' },
    ],
  });
  const cleaning = await api('POST', '/api/care/cleanings', { itemId: lens, place: 'home' });
  const events = standingAt(care, cleaning.plan, 'front-glass', 'damp-wipe');
  await api('PUT', `/api/care/cleanings/${cleaning.id}`, { version: cleaning.version, events });
  await api('POST', '/api/household/backups');
  const { places } = await api('GET', '/api/storage/places');
  const outings = await api('GET', '/api/trip/outings');
  const placeOf = (name) => places.find((p) => p.name === name).id;
  return {
    cupboard: placeOf('Oak cupboard'),
    body: idOf('Skerrow M2'),
    sensorClean: await sensorClean(care, idOf('Skerrow M2')),
    lens,
    old: items.find((i) => i.name.startsWith('Ostrane 58')).id,
    look: look.id,
    cleaning: cleaning.id,
    outing: outings.find((o) => o.name === 'Round the north coast').id,
  };
}

/** A sensor clean with the swab about to go in. */
async function sensorClean(care, itemId) {
  const { id, version, plan } = await api('POST', '/api/care/cleanings', { itemId, place: 'home' });
  const swab = plan.steps.find((s) => s.sensor);
  const events = [
    ...standingAt(care, plan, 'sensor-cover', 'sensor-swab'),
    { type: 'rehearsed', step: swab.id },
    { type: 'power-checked', step: swab.id, heldOpen: 'exposure' },
    { type: 'exposure', step: swab.id, at: new Date(Date.now() + 15_000).toISOString(), seconds: 40 },
  ];
  await api('PUT', `/api/care/cleanings/${id}`, { version, events });
  return id;
}

/** A household that two keep, open to its network, and a phone that was let in. */
async function openToNetwork(browser) {
  const passphrase = 'four lenses on one shelf';
  await api('PUT', '/api/access/passphrase', { passphrase, endOthers: false });
  await api('PUT', '/api/access/network', { open: true, sessionDays: 30 });
  await api('POST', '/api/access/keepers', { name: 'Ben', role: 'reader', ownName: 'Ada' });
  const phone = await browser.newContext({ ignoreHTTPSErrors: true });
  await phone.request.post(`https://localhost:${NETWORK_PORT}/api/access/sign-in`, {
    data: { passphrase, keeper: 'Ada', name: 'Phone in the bag' },
  });
  await phone.close();
}

/** A phone out of reach that looked at a lens, while the same look was gone on with at home; and then noted some rain. */
async function outOfReach(page, look) {
  await page.evaluate(() => localStorage.setItem('keeps-here', 'yes'));
  await page.reload();
  await page.getByText('things are kept with their pages').waitFor();
  const away = (isAway) => page.context().setOffline(isAway);
  await away(true);
  await page.goto(`${URL_HERE}/look/${look}`);
  await page.getByRole('button', { name: 'Not there after all' }).click();
  await page.getByText('Kept here, to be carried over').waitFor();
  const { version, at, answers } = await api('GET', `/api/inspection/looks/${look}`);
  const [front, ...others] = answers;
  const seen = { ...front, findings: [...front.findings, { soil: 'dust', severity: 2 }] };
  await api('PUT', `/api/inspection/looks/${look}`, { version, at, answers: [seen, ...others] });
  await away(false);
  await page
    .getByRole('link', { name: /needs you/ })
    .first()
    .waitFor();
  await away(true);
  await page.goto(`${URL_HERE}/field?happened=rain`);
  await page.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'Note it, and keep the rest for home' }).click();
  await page.getByText('Noted and kept here').waitFor();
  await page.goto(`${URL_HERE}/kept`);
  await page.getByRole('button', { name: /^Seen there/ }).click();
}

/** A list as somebody keeps it, chosen and read. */
async function chooseList(page) {
  await page.setInputFiles('input[type=file]', join(ROOT, 'server', 'src', 'shelf', 'lists', '02-deutsch-semikolon.csv'));
  await page.getByRole('table', { name: 'Rows of the file' }).waitFor();
}

/** Two days of made-up photographs by a camera of the shelf, read. */
async function choosePictures(page) {
  const { default: sharp } = await import('sharp');
  const stamp = '2000:01:01 00:00:00';
  const blank = sharp({ create: { width: 8, height: 8, channels: 3, background: '#777' } }).jpeg();
  const head = (LensModel) =>
    blank
      .withExif({
        IFD0: { Make: 'Skerrow', Model: 'Skerrow M1' },
        IFD2: { DateTimeOriginal: stamp, LensModel, FNumber: '8/1', FocalLength: '70/1' },
      })
      .toBuffer();
  const heads = await Promise.all(['Tidewell 24-70/4', 'Tidewell 70-200/4'].map(head));
  const files = ['2026:05:09', '2026:05:23'].flatMap((day) =>
    Array.from({ length: 120 }, (_, i) => {
      const buffer = Buffer.from(heads[Math.floor(i / 40) % 2]);
      const [hour, minute] = [9 + Math.floor(i / 60), i % 60].map((n) => String(n).padStart(2, '0'));
      buffer.write(`${day} ${hour}:${minute}:10`, buffer.indexOf(stamp), 'latin1');
      return { name: `IMG_${day.slice(8)}${String(i).padStart(2, '0')}.JPG`, mimeType: 'image/jpeg', buffer };
    }),
  );
  await page.getByLabel('Choose pictures').setInputFiles(files);
  await page.getByText('240 of 240 read').waitFor();
}

/** The first question of a case, answered. */
async function answerOne(page) {
  await page.getByText(/^A new one/).waitFor();
  await page.keyboard.press('1');
  await page.getByText(/^(Yes|No:)/).waitFor();
}

/** Every picture: its name, and what stands in it side by side: an address each, and where it differs from a desk by day. */
const pictures = ({ cupboard, sensorClean, body, lens, old, look, cleaning, outing }) => [
  ['today', ['/']],
  ['gear', ['/gear'], ['/gear', { size: PHONE }]],
  ['lists', ['/gear/import', { act: chooseList }], ['/gear/labels']],
  ['item', [`/gear/${lens}`]],
  ['look', [`/look/${look}`]],
  ['plan', [`/gear/${lens}/plan?surface=front-glass`]],
  ['bench', [`/bench/${cleaning}`], [`/bench/${sensorClean}`]],
  ['frames', [`/gear/${body}/frames`, { size: TALL }]],
  [
    'field-phone',
    ['/field?happened=spray', { size: PHONE }],
    ['/outings/lens-change?wind=raises-dust&air=spray&has=shelter', { size: PHONE }],
    ['/dew?airC=8&humidityPct=85', { size: PHONE }],
    ['/outings/pictures', { act: choosePictures }],
  ],
  [
    'outing',
    [`/outings/${outing}`],
    ['/outings/pack?ground=shore,mountain&days=4&weather=wind&kit=Belt+pouch'],
    [`/outings/${outing}`, { size: PHONE }],
  ],
  ['storage', ['/storage']],
  ['homes', ['/storage/homes']],
  ['place', [`/storage/${cupboard}?span=season`]],
  ['what-if', [`/storage/${cupboard}/what-if?ownWarmerC=0`]],
  ['calendar', ['/calendar']],
  ['supplies', ['/supplies']],
  ['handbook', ['/handbook']],
  [
    'access',
    ['/settings/access', { size: TALL, act: (page) => page.getByRole('button', { name: 'Show a code' }).click() }],
    ['/kept', { size: LONG_PHONE, act: (page) => outOfReach(page, look) }],
  ],
  [
    'record',
    [`/report?thing=${old}`, { size: TALL }],
    ['/offer?where=front&how=web&clean=300&asked=120', { size: TALL }],
    ['/practice?run=sensor', { size: TALL, act: answerOne }],
  ],
];

async function shoot(browser, [path, { size = DESK, act = null } = {}]) {
  const context = await browser.newContext({ viewport: size });
  const page = await context.newPage();
  await page.goto(URL_HERE + path, { waitUntil: 'networkidle' });
  await act?.(page);
  await page.evaluate(() => document.fonts.ready);
  const png = await page.screenshot();
  await context.close();
  return { png, ...size };
}

const GAP = 16;
/** One picture of several, side by side. */
async function sideBySide(shots) {
  const { default: sharp } = await import('sharp');
  const width = shots.reduce((sum, shot) => sum + shot.width + GAP, -GAP);
  const height = Math.max(...shots.map((shot) => shot.height));
  let left = 0;
  const parts = shots.map(({ png, width: own }) => {
    const part = { input: png, left, top: 0 };
    left += own + GAP;
    return part;
  });
  return sharp({ create: { width, height, channels: 3, background: '#c9d0ce' } })
    .composite(parts)
    .png()
    .toBuffer();
}

async function picture(browser, [name, ...views]) {
  const shots = [];
  for (const view of views) shots.push(await shoot(browser, view));
  writeFileSync(join(OUT, `${name}.png`), shots.length === 1 ? shots[0].png : await sideBySide(shots));
  console.log(`docs/screenshots/${name}.png`);
}

ensureInstalled();
ensureChromium();
// Imported only now: they need the packages that were just installed.
const { ensureBuilt } = await import('./build.mjs');
const { chromium } = await import('@playwright/test');
await ensureBuilt();
const { care } = await import('../core/dist/index.js');
const demo = await startProgram('server/dist/demo.js', PORT, {
  NETWORK_PORT: String(NETWORK_PORT),
  NETWORK_NAMES: 'keeper.home.arpa,localhost',
});
const browser = await chromium.launch(CHROMIUM);
// All of them, or those that are named.
const named = process.argv.slice(2);
try {
  await openToNetwork(browser);
  for (const one of pictures(await prepare(care))) if (named.length === 0 || named.includes(one[0])) await picture(browser, one);
} finally {
  await browser.close();
  end(demo);
}
