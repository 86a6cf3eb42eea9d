import { routes, type Item, type SensorFrames } from '@bright-keeper/contract';
import { expect, test, type Page } from '@playwright/test';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import sharp from 'sharp';
import { start, type Running } from './server.js';

/** The nine specks below as a JPEG of quality 98, encoded by Debian's heif-enc (x265, quality 80). */
const NINE_HEIC = join(import.meta.dirname, 'fixtures', 'nine.heic');
const folder = mkdtempSync(join(tmpdir(), 'bright-keeper-frames-'));
const at = (name: string): string => join(folder, name);

type Speck = { x: number; y: number; wide: number; depth: number };
/** Nine specks, each seen at f/16; where the sensor recorded them. */
const NINE: Speck[] = Array.from({ length: 9 }, (_, i) => ({
  x: 0.13 + 0.36 * (i % 3) + 0.013 * i,
  y: 0.17 + 0.31 * Math.floor(i / 3) + 0.011 * i,
  wide: 24 + 6 * i,
  depth: 0.08 + 0.03 * i,
}));

/** A plain bright frame with soft discs in it, as a camera would write it. */
async function photograph(
  name: string,
  specks: Speck[],
  { width = 3000, height = 2000, orientation = 1, fNumber = '16/1', format = 'jpeg', lens = '', at: time = '10:00:00' } = {},
): Promise<string> {
  const data = Buffer.alloc(width * height, 196);
  for (const { x, y, wide, depth } of specks) {
    const [cx, cy] = [x * width, y * height];
    for (let py = Math.floor(cy - wide); py <= cy + wide; py += 1) {
      for (let px = Math.floor(cx - wide); px <= cx + wide; px += 1) {
        const r = Math.hypot(px + 0.5 - cx, py + 0.5 - cy);
        const share = depth * Math.min(1, Math.max(0, (wide * 0.65 - r) / (wide * 0.3)));
        if (share > 0) data[py * width + px] = Math.round(255 * (1.055 * (0.552 * (1 - share)) ** (1 / 2.4) - 0.055));
      }
    }
  }
  const exif = {
    IFD0: { Model: 'Corvane Z', Orientation: String(orientation) },
    IFD2: { FNumber: fNumber, ISOSpeedRatings: '100', DateTimeOriginal: `2026:03:10 ${time}`, ...(lens ? { LensModel: lens } : {}) },
  };
  const file = at(name);
  const image = sharp(data, { raw: { width, height, channels: 1 } }).withExif(exif);
  await (format === 'jpeg' ? image.jpeg({ quality: 95 }) : format === 'png' ? image.png() : image.tiff({ compression: 'deflate' })).toFile(
    file,
  );
  return file;
}

/** A raw file as cameras write it: a TIFF of what the photosites counted (here none of it), and the picture beside it. */
async function raw(name: string, specks: Speck[]): Promise<string> {
  const entries: [tag: number, value: number][] = [[256, 64], [257, 64], [258, 16], [259, 1], [262, 32_803], [273, 8], [277, 1], [278, 64], [279, 16]]; // prettier-ignore
  const head = Buffer.alloc(8 + 2 + 12 * entries.length + 4);
  head.write('II*\0', 'latin1');
  head.writeUInt32LE(8, 4);
  head.writeUInt16LE(entries.length, 8);
  for (const [i, [tag, value]] of entries.entries()) {
    head.writeUInt16LE(tag, 10 + 12 * i);
    head.writeUInt16LE(3, 12 + 12 * i);
    head.writeUInt32LE(1, 14 + 12 * i);
    head.writeUInt16LE(value, 18 + 12 * i);
  }
  writeFileSync(at(name), Buffer.concat([head, readFileSync(await photograph(`in-${name}.jpg`, specks))]));
  return at(name);
}

/** Faint and narrow: as likely grain as dust. */
const FAINT = [0.3, 0.5, 0.7].map((x, i) => ({ x, y: 0.4 + 0.1 * i, wide: 7, depth: 0.04 }));

/** A frame with grain, dead pixels and faint shadows. The grain is the same each time. */
async function grainy(name: string, { dead, faint }: { dead: number; faint: Speck[] }): Promise<string> {
  const [width, height] = [3000, 2000];
  let state = 7;
  const random = (): number => (state = (Math.imul(state, 1_103_515_245) + 12_345) >>> 0) / 4_294_967_296;
  const data = Buffer.alloc(width * height);
  for (let i = 0; i < data.length; i += 1) data[i] = 188 + 14 * ((random() + random() + random()) / 3);
  for (const { x, y, wide, depth } of faint)
    for (let py = -wide; py <= wide; py += 1)
      for (let px = -wide; px <= wide; px += 1) {
        const i = (Math.round(y * height) + py) * width + Math.round(x * width) + px;
        if (Math.hypot(px, py) < wide / 2) data[i] = data[i]! * (1 - depth) ** (1 / 2.2);
      }
  for (let n = 0; n < dead; n += 1) data[Math.floor(random() * data.length)] = 20;
  await sharp(data, { raw: { width, height, channels: 1 } })
    .withExif({
      IFD0: { Model: 'Corvane K' },
      IFD2: { FNumber: '16/1', ISOSpeedRatings: '100', DateTimeOriginal: '2026:03:10 10:00:00', LensModel: 'Ostrane 58/2' },
    })
    .jpeg({ quality: 92 })
    .toFile(at(name));
  return at(name);
}

/** The glare card, photographed with so much light where it should be black. */
async function cardPhotograph(name: string, glarePct: number, white = 0.6): Promise<string> {
  const [width, height] = [1500, 1000];
  const discs = [[0.5, 0.5], [0.2, 0.22], [0.8, 0.22], [0.2, 0.78], [0.8, 0.78]] as const; // prettier-ignore
  const data = Buffer.alloc(width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      const isBlack = discs.some(([dx, dy]) => Math.hypot(x - dx * width, y - dy * height) < 0.05 * height);
      const light = white * (isBlack ? glarePct / 100 : 1);
      data[y * width + x] = Math.min(255, Math.round(255 * (light <= 0.0031308 ? 12.92 * light : 1.055 * light ** (1 / 2.4) - 0.055)));
    }
  }
  await sharp(data, { raw: { width, height, channels: 1 } })
    .withExif({ IFD0: { Model: 'Corvane Z' }, IFD2: { FNumber: '8/1', ISOSpeedRatings: '200', ExposureTime: '1/60' } })
    .jpeg({ quality: 95 })
    .toFile(at(name));
  return at(name);
}

test.describe('pictures that measure', () => {
  // One household: what was kept by one is what the next begins with.
  test.describe.configure({ mode: 'serial' });
  let server: Running;
  let body: string;
  let lens: string;
  test.beforeAll(async ({ request }) => {
    server = await start();
    const add = async (name: string, kind: string, traits: object): Promise<string> =>
      ((await (await request.post(server.url + routes.gear, { data: { name, kind, traits, notes: '', acquiredOn: null } })).json()) as Item)
        .id;
    [body, lens] = [await add('Corvane Z', 'mirrorless-body', { sensorFormat: 'full-frame' }), await add('Ostrane 58/2', 'lens', {})];
  });
  test.afterAll(() => server.kill('SIGTERM'));

  const choose = (page: Page, file: string) => page.locator('input[type=file]').first().setInputFiles(file);
  const group = (page: Page) => page.getByRole('group', { name: /^The frame at/ });
  const kept = async (page: Page): Promise<SensorFrames> =>
    (await (await page.request.get(`${server.url}${routes.sensorFrames}?itemId=${body}`)).json()) as SensorFrames;

  test('a frame is dropped, read, asked about at other apertures, corrected and kept', async ({ page }) => {
    await page.goto(`${server.url}/gear/${body}`);
    await page.getByRole('link', { name: 'Dust on the sensor' }).click();
    await expect(page.getByText('There is no frame of this body yet.')).toBeVisible();
    await choose(page, await photograph('first.jpg', NINE));
    await expect(group(page)).toHaveAccessibleName('The frame at f/16: 9 of 9 specks show');
    await expect(page.getByText('Blow it')).toBeVisible();
    // The slider: at wide apertures shadows wash out.
    const slider = page.getByRole('slider', { name: 'Aperture' });
    await slider.focus();
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowLeft');
    await expect(group(page)).toHaveAccessibleName(/^The frame at f\/4: [0-5] of 9 specks show$/);
    for (let i = 0; i < 4; i += 1) await page.keyboard.press('ArrowRight');
    await page.getByRole('button', { name: 'Keep this frame' }).click();
    await expect(page.getByRole('heading', { name: 'Over time' })).toBeVisible();

    const { frames } = await kept(page);
    for (const { x, y } of NINE) expect(frames[0]!.spots.some((s) => Math.hypot(s.x - x, s.y - y) < 0.001)).toBe(true);
    // One is no dust, in this frame and every other; one is put in by hand.
    await page.getByRole('button', { name: 'Number 1 is no dust' }).click();
    await expect(group(page)).toHaveAccessibleName('The frame at f/16: 8 of 8 specks show');
    await page.getByRole('button', { name: 'Add one by hand' }).click();
    await group(page).click({ position: { x: 30, y: 30 } });
    await expect(group(page)).toHaveAccessibleName('The frame at f/16: 9 of 9 specks show');
    await page.reload();
    await expect(group(page)).toHaveAccessibleName('The frame at f/16: 9 of 9 specks show');
    await page.getByRole('button', { name: 'Take it back' }).click();
    await expect(group(page)).toHaveAccessibleName('The frame at f/16: 10 of 10 specks show');
  });

  test('what a blow moved is told, and what stayed is planned for and shown at the bench', async ({ page }) => {
    await page.goto(`${server.url}/gear/${body}/frames`);
    await choose(page, await photograph('second.jpg', NINE.slice(7)));
    await page.getByRole('button', { name: 'Blown', exact: true }).click();
    await expect(page.getByText('8 gone, 2 stayed.')).toBeVisible();
    await expect(page.getByText('Swab it').first()).toBeVisible();
    await page.getByRole('button', { name: 'Keep this frame' }).click();
    await page.getByRole('button', { name: 'See the plan' }).click();
    await expect(page).toHaveURL(/\/plan$/);
    await page.getByRole('button', { name: 'Start cleaning' }).click();
    await expect(page).toHaveURL(/\/bench\//);
    await page.getByRole('button', { name: 'Ready', exact: true }).click();
    await expect(page.getByRole('heading', { name: 'Blow' })).toBeVisible();
  });

  test('numbers, places and sizes leave as a table, as JSON and as a mask as large as the frame', async ({ page }) => {
    await page.goto(`${server.url}/gear/${body}/frames`);
    const download = async (name: string): Promise<Buffer> => {
      const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name, exact: true }).click()]);
      return readFileSync(await file.path());
    };
    const csv = (await download('Table (CSV)')).toString();
    expect(csv.split('\r\n')[0]).toMatch(/^number,x,y,x_mm/);
    expect(csv.trim().split('\r\n')).toHaveLength(3);
    const json = JSON.parse((await download('JSON')).toString()) as { specks: { x: number; facingY: number; y: number }[] };
    for (const s of json.specks) expect(s.facingY).toBeCloseTo(1 - s.y, 9);
    const mask = sharp(await download('Mask for retouching'));
    expect(await mask.metadata()).toMatchObject({ width: 3000, height: 2000, format: 'png' });
    const { data, info } = await mask.raw().toBuffer({ resolveWithObject: true });
    const [first] = NINE.slice(7) as [Speck];
    const lit = (x: number, y: number) => data[(Math.round(y * 2000) * 3000 + Math.round(x * 3000)) * info.channels]!;
    expect([lit(first.x, first.y), lit(0.02, 0.02)]).toEqual([255, 0]);
    expect((await sharp(await download('Numbered picture')).metadata()).width).toBeGreaterThan(900);
  });

  test('a rotation the camera asked for is not carried out: places are as the sensor recorded them', async ({ page }) => {
    for (const orientation of [3, 6]) {
      await page.goto(`${server.url}/gear/${body}/frames`);
      await choose(page, await photograph(`turned-${orientation}.jpg`, [NINE[0]!], { orientation }));
      await expect(page.getByText('3000 × 2000')).toBeVisible();
      const speck = page.getByRole('region', { name: 'The frame that was read' });
      await expect(speck).toBeVisible();
      await page.getByRole('button', { name: 'Keep this frame' }).click();
      await expect(page.getByRole('heading', { name: 'Over time' })).toBeVisible();
      const { frames } = await kept(page);
      const last = frames.find((f) => f.fileName === `turned-${orientation}.jpg`)!;
      expect(last.spots).toHaveLength(1);
      expect(Math.hypot(last.spots[0]!.x - NINE[0]!.x, last.spots[0]!.y - NINE[0]!.y)).toBeLessThan(0.002);
      await page.request.delete(server.url + routes.sensorFrame(last.id));
    }
  });

  test('PNG, sixteen bits, TIFF and the picture inside a raw file are read as well', async ({ page }) => {
    const sixteen = at('sixteen.png');
    await sharp(await photograph('eight.png', NINE, { format: 'png' }))
      .toColourspace('grey16')
      .png()
      .toFile(sixteen);
    for (const file of [at('eight.png'), sixteen, await photograph('frame.tif', NINE, { format: 'tiff' }), await raw('raw.dng', NINE)]) {
      await page.goto(`${server.url}/gear/${body}/frames`);
      await choose(page, file);
      // What is written anew has lost what the camera wrote: it is asked for, and nothing is said before.
      if (file !== at('eight.png')) {
        await expect(page.getByText('9 dark places were found in it.')).toBeVisible();
        await expect(page.getByRole('button', { name: 'Keep this frame' })).toBeDisabled();
        await page.getByRole('button', { name: 'f/16', exact: true }).click();
      }
      await expect(group(page), file).toHaveAccessibleName(/9 of 9 specks show$/);
      await expect(page.getByText('Read from the picture inside the raw file')).toHaveCount(file.endsWith('dng') ? 1 : 0);
    }
  });

  test('HEIC is read as well, with what the camera wrote', async ({ page }) => {
    await page.goto(`${server.url}/gear/${body}/frames`);
    await choose(page, NINE_HEIC);
    await expect(group(page)).toHaveAccessibleName(/9 of 9 specks show$/);
    // The aperture came with it: nothing is asked.
    await expect(page.getByRole('button', { name: 'Keep this frame' })).toBeEnabled();
  });

  test('a clean frame is clean, and dead pixels in it are no dust; what is unsure asks for another frame', async ({ page, request }) => {
    const add = async (name: string, traits: object): Promise<string> =>
      (
        (await (
          await request.post(server.url + routes.gear, { data: { name, kind: 'mirrorless-body', traits, notes: '', acquiredOn: null } })
        ).json()) as Item
      ).id;
    const own = await add('Corvane K', { sensorFormat: 'full-frame', megapixels: 6 });
    const verdict = page.getByRole('region', { name: 'What it needs' });
    await page.goto(`${server.url}/gear/${own}/frames`);
    await choose(page, await grainy('clean.jpg', { dead: 0, faint: [] }));
    await expect(verdict).toContainText('No specks were found on the sensor. Where the camera maps its own dust away');
    await page.getByRole('button', { name: 'Drop it' }).click();
    await choose(page, await grainy('dead.jpg', { dead: 300, faint: [] }));
    await expect(verdict).toContainText('Leave it');
    await page.getByRole('button', { name: 'Drop it' }).click();
    await choose(page, await grainy('unsure.jpg', { dead: 0, faint: FAINT }));
    await expect(verdict).toContainText('Look again');
    await expect(verdict).toContainText('too unsure to touch a sensor for');
    await page.getByRole('button', { name: 'Keep this frame' }).click();
    await expect(verdict.getByRole('button')).toHaveCount(0);
    // It is the duty of the body now, and leads here.
    await page.goto(`${server.url}/gear/${own}`);
    await page
      .getByRole('link', { name: /See the frames/ })
      .first()
      .click();
    await expect(page).toHaveURL(new RegExp(`/gear/${own}/frames`));
  });

  test('what cannot be read is refused with the reason, and the page goes on', async ({ page }) => {
    const whole = readFileSync(await photograph('whole.jpg', NINE));
    writeFileSync(at('broken.jpg'), whole.subarray(0, whole.length / 2));
    writeFileSync(at('text.jpg'), 'no picture at all');
    writeFileSync(at('phone.heic'), Buffer.concat([Buffer.from([0, 0, 0, 24]), Buffer.from('ftypheic'), Buffer.alloc(4000)]));
    // A PNG of a few bytes that says it has 40,000 × 40,000 pixels.
    const bomb = readFileSync(await photograph('small.png', [], { width: 100, height: 100, format: 'png' }));
    bomb.writeUInt32BE(40_000, 16);
    bomb.writeUInt32BE(40_000, 20);
    writeFileSync(at('bomb.png'), bomb);
    await sharp({ create: { width: 200, height: 200, channels: 3, background: '#aaa' } })
      .toColourspace('cmyk')
      .tiff()
      .toFile(at('print.tif'));
    await page.goto(`${server.url}/gear/${body}/frames`);
    for (const [name, said] of [
      ['broken.jpg', /breaks off or is damaged/],
      ['text.jpg', /no JPEG, PNG, TIFF or WebP/],
      ['phone.heic', /This HEIC cannot be measured: it is broken/],
      ['bomb.png', /more than 110 megapixels/],
      ['print.tif', /for print \(CMYK\)/],
    ] as const) {
      await choose(page, at(name));
      await expect(page.getByText(said), name).toBeVisible();
    }
    await choose(page, at('whole.jpg'));
    await expect(group(page)).toHaveAccessibleName(/9 of 9 specks show$/);
  });

  test('reading can be stopped, and an unfit frame says how to take a better one', async ({ page }) => {
    const large = await photograph('large.jpg', NINE, { width: 9000, height: 6000 });
    await page.goto(`${server.url}/gear/${body}/frames`);
    await choose(page, large);
    await expect(page.getByText('Reading large.jpg')).toBeVisible();
    await page.getByRole('button', { name: 'Stop' }).click();
    await expect(page.getByText('Reading large.jpg')).toHaveCount(0);
    await choose(page, await photograph('open.jpg', NINE, { fNumber: '28/10' }));
    await expect(page.getByText('The aperture is too wide: shadows wash out.')).toBeVisible();
    await page.getByRole('button', { name: 'Drop it' }).click();
    await expect(page.getByRole('button', { name: 'Keep this frame' })).toHaveCount(0);
  });

  test('three frames at once, with two lenses, tell the sensor from the lens and the scene', async ({ page, request }) => {
    const other = (
      (await (
        await request.post(server.url + routes.gear, {
          data: { name: 'Corvane Q', kind: 'mirrorless-body', traits: { megapixels: 6 }, notes: '', acquiredOn: null },
        })
      ).json()) as Item
    ).id;
    const onSensor = NINE.slice(0, 6);
    const [inLens, inScene] = [NINE[6]!, NINE[7]!];
    await page.goto(`${server.url}/gear/${other}/frames`);
    await page
      .locator('input[type=file]')
      .first()
      .setInputFiles([
        await photograph('a1.jpg', [...onSensor, inLens, inScene], { lens: 'Ostrane 58/2', at: '10:00:00' }),
        await photograph('a2.jpg', [...onSensor, inLens], { lens: 'Ostrane 58/2', at: '10:02:00' }),
        await photograph('b.jpg', onSensor, { lens: 'Ostrane 135/3.5', at: '10:05:00' }),
      ]);
    const draft = page.getByRole('region', { name: 'The frame that was read' });
    for (const left of [2, 1, 0]) {
      await expect(draft).toBeVisible();
      if (left > 0) await expect(draft).toContainText(`${left} more to read after it`);
      await page.getByRole('button', { name: 'Keep this frame' }).click();
      await expect(draft).toHaveCount(0);
    }
    const verdict = page.getByRole('region', { name: 'What it needs' });
    await expect(verdict).toContainText('Told by what stays where from frame to frame: 6 lie on the sensor.');
    await page.getByRole('button', { name: /8 specks/ }).click();
    await expect(verdict).toContainText('6 lie on the sensor, 1 lies in the lens, 1 lies in what was photographed');
    await expect(verdict).toContainText('6 specks show at f/16');
    await expect(verdict).toContainText(/a clean of one’s own: \d+ min and/);
  });

  test('how large the largest speck on the front is decides whether it is touched', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`${server.url}/gear/${lens}`);
    await page.getByRole('button', { name: /^Look/ }).first().click();
    await page.getByRole('button', { name: 'dust', exact: true }).click();
    await expect(page.getByText('Clean it', { exact: true })).toBeVisible();
    await page.getByRole('button', { name: /a grain of sand/ }).click();
    await page.getByLabel('Focal length (of a zoom the shortest), mm').fill('58');
    await page.getByLabel('Smallest aperture you use, f/').fill('11');
    await page.getByRole('button', { name: 'Keep with the lens' }).click();
    await expect(page.getByText(/Dust of 0.5 mm cannot show at 58 mm and f\/11/)).toBeVisible();
    await expect(page.getByRole('img', { name: 'At f/11: nothing shows' })).toBeVisible();
    await page.getByRole('button', { name: /a match head/ }).click();
    await expect(page.getByText(/cannot show/)).toHaveCount(0);
    await page.getByRole('button', { name: /a grain of sand/ }).click();
    await page.getByRole('link', { name: 'See it in a plain sky, at each aperture' }).click();
    await expect(page.getByRole('status')).toContainText('a reason to leave the glass alone');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    await page.goBack();
    await page.getByRole('button', { name: 'Finish the look' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Ostrane 58/2' })).toBeVisible();
  });

  test('the glare test from the card on the screen to the change after a clean', async ({ page }) => {
    await page.goto(`${server.url}/gear/${lens}/glare`);
    await page.getByRole('link', { name: 'Show the card on this screen' }).click();
    await expect(page.getByRole('button', { name: /^The glare card/ })).toBeVisible();
    // The card photographed as the screen shows it is found in the picture, and has no glare of its own.
    const screen = at('screen.png');
    await page.screenshot({ path: screen });
    await sharp(screen).linear(0.8, 0).png().toFile(at('dimmed.png'));
    await page.getByRole('button', { name: /^The glare card/ }).click();
    await choose(page, at('dimmed.png'));
    const read = page.getByRole('region', { name: 'The test that was read' });
    await expect(read).toContainText('0.0 %');
    await expect(read).toContainText('5 discs of the card found');
    await page.getByRole('button', { name: 'Drop it' }).click();

    for (const [name, glare] of [
      ['before.jpg', 9.2],
      ['after.jpg', 3.1],
    ] as const) {
      await choose(page, await cardPhotograph(name, glare));
      await expect(read).toBeVisible();
      const told = Number(/([\d.]+) %/.exec(await read.innerText())![1]);
      expect(Math.abs(told / glare - 1)).toBeLessThan(0.05);
      await page.getByRole('button', { name: 'Keep this test' }).click();
      await expect(read).toHaveCount(0);
    }
    await expect(page.getByText(/^Less than the time before, 9\.\d %\.$/)).toBeVisible();
    await choose(page, await cardPhotograph('clipped.jpg', 3, 1.4));
    await expect(page.getByText(/The white of the card is clipped/)).toBeVisible();
  });

  test('a mark on the front glass that never shows is a reason to leave it, on a phone too', async ({ page }) => {
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goto(`${server.url}/gear/${lens}`);
    await page.getByRole('link', { name: 'Does a mark show?' }).click();
    await page.getByRole('button', { name: /a grain of dust/ }).click();
    await expect(page.getByRole('status')).toContainText('a reason to leave the glass alone');
    await page.getByRole('button', { name: /a lentil/ }).click();
    await expect(page.getByRole('status')).toContainText('it can be seen, in skies above all');
    await page.getByLabel('Focal length, mm').fill('0');
    await expect(page.getByText('From 2 to 2000.')).toBeVisible();
    await page.reload();
    await expect(page.getByLabel('Focal length, mm')).toHaveValue('0');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  });

  test('a look is photographed, and its photograph stays in the log', async ({ page }) => {
    await page.goto(`${server.url}/gear/${lens}`);
    await page.getByRole('button', { name: 'Look at it' }).click();
    await choose(page, await cardPhotograph('glass.jpg', 5));
    await expect(page.getByRole('img', { name: /as it was seen/ })).toBeVisible();
    await page.getByRole('button', { name: 'Nothing here' }).click();
    await page.getByRole('button', { name: 'Finish the look' }).click();
    await expect(page.getByRole('list', { name: 'Timeline' }).getByRole('img', { name: 'Front glass' })).toBeVisible();
  });
});
