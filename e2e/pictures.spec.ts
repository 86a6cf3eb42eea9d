import { routes, type Outing, type Shelf } from '@bright-keeper/contract';
import { expect, test, type Page } from '@playwright/test';
import sharp from 'sharp';
import { start, type Running } from './server.js';

/** An empty household on a day of its own: no clock decides what is past. */
let running: Running;
test.beforeAll(async () => void (running = await start()));
test.afterAll(async () => void (await running.kill('SIGTERM')));
test.describe.configure({ mode: 'serial' });

type File = { name: string; mimeType: string; buffer: Buffer };
type Shot = { day: string; time: string; lens: 'Tidewell 24-70/4' | 'Tidewell 70-200/4' };

const STAMP = '2000:01:01 00:00:00';
const heads = new Map<string, Buffer>();
/** A JPEG whose head says which camera, lens and moment; the stamp of one that is there is written over. */
async function shot({ day, time, lens }: Shot, number: number): Promise<File> {
  if (!heads.has(lens)) {
    const blank = sharp({ create: { width: 8, height: 8, channels: 3, background: '#777' } }).jpeg();
    const exif = {
      IFD0: { Make: 'Skerrow', Model: 'Skerrow M1' },
      IFD2: { DateTimeOriginal: STAMP, LensModel: lens, BodySerialNumber: '4711', FNumber: '8/1', FocalLength: '70/1' },
    };
    heads.set(lens, await blank.withExif(exif).toBuffer());
  }
  const buffer = Buffer.from(heads.get(lens)!);
  buffer.write(`${day.replaceAll('-', ':')} ${time}`, buffer.indexOf(STAMP), 'latin1');
  return { name: `IMG_${String(number).padStart(4, '0')}.JPG`, mimeType: 'image/jpeg', buffer };
}

const two = (n: number): string => String(n).padStart(2, '0');
/** Two thousand pictures: four days of 499 in spring 2020, each with three lens changes, and four that say nothing. */
async function twoThousand(): Promise<File[]> {
  const files: File[] = [];
  for (const day of ['2020-03-07', '2020-03-21', '2020-04-11', '2020-05-02'])
    for (let i = 0; i < 499; i += 1) {
      const time = `${two(9 + Math.floor(i / 60))}:${two(i % 60)}:10`;
      const lens = Math.floor(i / 125) % 2 === 0 ? 'Tidewell 24-70/4' : 'Tidewell 70-200/4';
      files.push(await shot({ day, time, lens }, files.length + 1));
    }
  const bare = await sharp({ create: { width: 8, height: 8, channels: 3, background: '#777' } })
    .jpeg()
    .toBuffer();
  for (let i = 0; i < 3; i += 1) files.push({ name: `bare ${i}.jpg`, mimeType: 'image/jpeg', buffer: bare });
  files.push({ name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture at all') });
  return files;
}

const choose = (page: Page, files: File[]) => page.getByLabel('Choose pictures').setInputFiles(files);
const outings = async (page: Page): Promise<Outing[]> => (await (await page.request.get(running.url + routes.outings)).json()) as Outing[];

test('two thousand pictures of an empty household: cameras put on the shelf, outings found and noted, and nothing the second time', async ({
  page,
}) => {
  await page.goto(`${running.url}/outings`);
  await page.getByRole('link', { name: 'From pictures' }).click();
  const files = await twoThousand();
  expect(files).toHaveLength(2000);
  await choose(page, files);
  await expect(page.getByRole('status')).toHaveText('2000 of 2000 read');
  await expect(page.getByText('4 without a date in its head, or not readable: left out.')).toBeVisible();
  await expect(page.getByText('No picture of a camera on your shelf yet')).toBeVisible();

  await page.getByRole('button', { name: 'Put it on the shelf: Skerrow M1' }).click();
  await expect(page.getByRole('heading', { name: 'Outings found (4)' })).toBeVisible();
  for (const lens of ['Tidewell 24-70/4', 'Tidewell 70-200/4'])
    await page.getByRole('button', { name: `Put it on the shelf: ${lens}` }).click();
  const spring = page.getByRole('listitem').filter({ hasText: 'Sat, 7 March 2020' });
  await expect(spring).toContainText('499 frames, 3 lens changes');
  await expect(spring).toContainText('Skerrow M1, Tidewell 24-70/4, Tidewell 70-200/4');
  await spring.getByLabel('Name of the outing').fill('Dunes before the storm');
  await spring.getByLabel('Where the outing').selectOption({ label: 'Shore' });
  await page.getByRole('listitem').filter({ hasText: 'Sat, 2 May 2020' }).getByRole('checkbox').uncheck();
  await page.getByRole('button', { name: 'Note 3 outings' }).click();
  await expect(page.getByText('3 outings are noted. The calendar counts them.')).toBeVisible();

  const noted = await outings(page);
  const { items } = (await (await page.request.get(running.url + routes.gear)).json()) as Shelf;
  const body = items.find((i) => i.name === 'Skerrow M1')!;
  expect(body).toMatchObject({ kind: 'mirrorless-body', particulars: { serial: '4711', maker: 'Skerrow' } });
  expect(noted).toHaveLength(3);
  expect(noted.at(-1)).toMatchObject({ name: 'Dunes before the storm', place: 'shore', from: '2020-03-07', frames: 499, lensChanges: 3 });
  expect(noted.at(-1)!.used[body.id]).toEqual({ frames: 499, lensChanges: 3 });

  // The same files again, on another day: the camera is known by its number, and only what was left out is new.
  await page.reload();
  await choose(page, files);
  await expect(page.getByRole('heading', { name: 'Outings found (4)' })).toBeVisible();
  await expect(page.getByText('Noted, and the pictures say the same')).toHaveCount(3);
  await page.getByRole('listitem').filter({ hasText: 'Sat, 2 May 2020' }).getByRole('checkbox').uncheck();
  await expect(page.getByText('There is nothing to take in')).toBeVisible();
});

test('an outing that was noted by hand gets its counts; a clock that was wrong is set right first', async ({ page }) => {
  await page.goto(`${running.url}/outings/pictures`);
  const [fourth] = (await outings(page)).filter((o) => o.from === '2020-04-11');
  await page.request.delete(running.url + routes.outing(fourth!.id));
  const byHand = { name: 'Lambs', from: '2020-04-10', to: '2020-04-12', place: 'other', itemIds: [], met: ['rain'], frames: null, lensChanges: null, hours: null, note: 'wet' }; // prettier-ignore
  await page.request.post(running.url + routes.outings, { data: byHand });
  await page.reload();
  const lens = 'Tidewell 24-70/4';
  const wrong = await Promise.all(Array.from({ length: 9 }, (_, i) => shot({ day: '2091-01-01', time: `00:0${i}:00`, lens }, 7000 + i)));
  await choose(page, wrong);
  await expect(page.getByText('9 of its pictures are dated after today')).toBeVisible();
  await expect(page.getByText('Outings found (0)')).toBeVisible();
  await page.getByLabel('It was taken really on').fill('2020-04-11T06:30');
  const row = page.getByRole('listitem').filter({ hasText: 'Lambs' });
  await expect(row).toContainText('Noted; the pictures say more of it');
  await expect(row).toContainText('Sat, 11 April 2020');
  await page.getByRole('button', { name: 'Add to one that is noted' }).click();
  await expect(page.getByText('One is brought up to date.')).toBeVisible();
  const [lambs] = (await outings(page)).filter((o) => o.name === 'Lambs');
  expect(lambs).toMatchObject({ from: '2020-04-10', to: '2020-04-12', met: ['rain'], note: 'wet', frames: 9, lensChanges: 0 });
});

test('reading is stopped and taken up, and a folder says what in it is no picture', async ({ page }) => {
  await page.goto(`${running.url}/outings/pictures`);
  const files = await twoThousand();
  await choose(page, [...files, { name: 'IMG_0001.xmp', mimeType: 'text/plain', buffer: Buffer.from('<x/>') }]);
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('status')).toContainText(', stopped');
  await page.getByRole('button', { name: 'Go on' }).click();
  await expect(page.getByRole('status')).toHaveText('2001 of 2001 read');
  await expect(page.getByText('1 no picture by its name: not read.')).toBeVisible();
  await expect(page.getByText('499 frames').first()).toBeVisible();
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await expect(page.getByRole('status')).toHaveCount(0);
});
