import type { FrameSpot, GlareInput, SensorFrameInput } from '@bright-keeper/contract';
import { sensor, MS_PER_DAY } from '@bright-keeper/core';
import { SensorService, type SetClock } from '@bright-keeper/server';
import type { INestApplicationContext } from '@nestjs/common';
import sharp from 'sharp';

const BODY = 'Skerrow M2';
const HAZED = 'Ostrane 135/3.5 (1962)';

const FRAME = { width: 6000, height: 4000, fNumber: 16 } as const;
const PIXEL_MM = 36 / FRAME.width;
/** The cover glass lies this far above the photosites, in air, mm. */
const COVER_MM = 1.4;
const PREVIEW = { width: 1200, height: 800 } as const;
/** Light of the plain surface, 0 to 1. */
const LIGHT = 0.58;

/** A speck by where it lies and how wide it is, µm. */
type Speck = readonly [x: number, y: number, um: number];
const STAY: Speck[] = [[0.318, 0.702, 17], [0.846, 0.377, 15]]; // prettier-ignore
const WENT: Speck[] = [[0.122, 0.214, 62], [0.411, 0.148, 38], [0.583, 0.533, 71], [0.742, 0.802, 29], [0.236, 0.486, 44], [0.905, 0.655, 33], [0.662, 0.264, 25]]; // prettier-ignore
const CAME: Speck[] = [[0.187, 0.832, 34], [0.529, 0.318, 29], [0.771, 0.561, 41]]; // prettier-ignore

/** What lay on the sensor when, and what was done before the frame was taken. */
const FRAMES: { daysAgo: number; specks: Speck[]; tries: sensor.SensorTry[]; note: string }[] = [
  { daysAgo: 303, specks: [...STAY, ...WENT], tries: [], note: '' },
  { daysAgo: 301, specks: STAY, tries: ['blow', 'swab'], note: 'After the first swab.' },
  { daysAgo: 3, specks: [...STAY, ...CAME], tries: [], note: '' },
];

function spotOf([x, y, um]: Speck): FrameSpot {
  const { depth, fwhm, diameter } = sensor.shadowOf(COVER_MM / FRAME.fNumber / PIXEL_MM, um / 1000 / PIXEL_MM);
  return { x, y, depth, fwhmPx: fwhm, diameterPx: diameter, kind: 'dust', confidence: 0.97, by: 'found' };
}

/** The frame as it would look: plain, darker toward the corners, and the shadows in it. */
function picture(specks: readonly Speck[]): Promise<Buffer> {
  const { width, height } = PREVIEW;
  const scale = width / FRAME.width / PIXEL_MM;
  const cone = (COVER_MM / FRAME.fNumber) * scale;
  const data = new Uint8Array(width * height);
  for (let y = 0; y < height; y += 1) {
    for (let x = 0; x < width; x += 1) {
      let light = LIGHT * (1 - 0.2 * ((x / width - 0.5) ** 2 + (y / height - 0.5) ** 2));
      for (const [sx, sy, um] of specks) {
        const [dx, dy] = [x - sx * width, y - sy * height];
        if (Math.abs(dx) < 40 && Math.abs(dy) < 40) light *= 1 - sensor.shareTaken(cone, (um / 1000) * scale, Math.hypot(dx, dy));
      }
      data[y * width + x] = Math.round(255 * sensor.encodedOf(light));
    }
  }
  return sharp(data, { raw: { width, height, channels: 1 } })
    .jpeg({ quality: 90 })
    .toBuffer();
}

const GLARE: { daysAgo: number; pct: number; note: string }[] = [
  { daysAgo: 262, pct: 7.4, note: '' },
  { daysAgo: 20, pct: 10.9, note: 'The haze behind the front group has grown.' },
];

/** Frames of a body over its year with a swab between, and two tests of a lens in which haze grows. */
export async function takeFrames(
  context: INestApplicationContext,
  clock: SetClock,
  loadedAt: Date,
  itemIds: ReadonlyMap<string, string>,
): Promise<void> {
  const sensors = context.get(SensorService);
  const at = (daysAgo: number): Date => new Date(loadedAt.getTime() - daysAgo * MS_PER_DAY - 7_200_000);
  for (const [i, { daysAgo, specks, tries, note }] of FRAMES.entries()) {
    clock.set(at(daysAgo));
    const spots = specks.map(spotOf);
    const input: SensorFrameInput = {
      itemId: itemIds.get(BODY)!,
      takenAt: at(daysAgo).toISOString(),
      ...FRAME,
      workingAt: 16,
      iso: 100,
      exposureS: 0.5,
      focalMm: 85,
      body: BODY,
      lens: 'Corvane 85/1.8',
      fileName: `SKM2-000${i + 1}.jpg`,
      spots,
      noise: 0.008,
      unfit: [],
      tries,
      note,
    };
    const { id } = await sensors.add(input);
    await sensors.keepPicture(id, 'preview', await picture(specks));
  }
  for (const { daysAgo, pct, note } of GLARE) {
    clock.set(at(daysAgo));
    const input: GlareInput = {
      itemId: itemIds.get(HAZED)!,
      takenAt: at(daysAgo).toISOString(),
      glarePct: pct,
      lowPct: pct - 0.2,
      highPct: pct + 0.2,
      blackPct: 0.3,
      fNumber: 8,
      iso: 200,
      exposureS: 1 / 60,
      body: BODY,
      style: null,
      note,
    };
    await sensors.addGlare(input);
  }
}
