import { frameInput, JOI_OPTIONS, routes, type SensorFrame, type SensorFrames } from '@bright-keeper/contract';
import { care, inspection, sensor } from '@bright-keeper/core';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { endPage, keptDocument, Refusal, showPage, type Handler } from '../../testing/page';
import { workerOf } from '../../testing/worker';
import type { ToldOfFrame } from '../../workers/frame.worker';
import { FramesPage } from './FramesPage';
import { draftOf, factsOf, rowsOf, stopNear } from './framesView';
import { SpecksAtTheBench } from './SpecksAtTheBench';
import { specksCsv, specksJson } from './takeAway';

afterEach(endPage);

const BODY = 'b0000000-0000-7000-8000-000000000001';
const spot = (x: number, y: number, more: object = {}) =>
  ({ x, y, depth: 0.12, fwhmPx: 24, diameterPx: 32, kind: 'dust', confidence: 0.9, by: 'found', ...more }) as const;
const frame = (id: string, spots: SensorFrame['spots'], more: Partial<SensorFrame> = {}): SensorFrame => ({
  id,
  version: 1,
  itemId: BODY,
  takenAt: '2026-03-01T10:00:00.000Z',
  fNumber: 16,
  workingAt: 16,
  iso: 100,
  exposureS: 0.5,
  focalMm: 85,
  body: 'Corvane Z',
  lens: null,
  fileName: 'one.jpg',
  width: 6000,
  height: 4000,
  spots,
  noise: 0.01,
  unfit: [],
  tries: [],
  note: '',
  preview: null,
  original: null,
  exposures: 0,
  lensChanges: 0,
  ...more,
});
const NINE = Array.from({ length: 9 }, (_, i) => spot(0.1 + 0.3 * (i % 3), 0.12 + 0.3 * Math.floor(i / 3), { fwhmPx: 14 + 3 * i }));
const first = frame('f1', NINE);
const second = frame('f2', NINE.slice(7), { takenAt: '2026-03-02T10:00:00.000Z', tries: ['blow'], fileName: 'two.jpg' });

const ITEM = { id: BODY, name: 'Corvane Z', kind: 'mirrorless-body', traits: {}, surfaces: [], noted: [], archivedAt: null };
const SETTINGS = {
  version: 1,
  schools: { ...care.DEFAULT_SCHOOLS, sensor: 'self' },
  timeZone: 'UTC',
  currency: 'EUR',
  sensorRehearsedOn: null,
  drawerIsAll: false,
};
const table = (frames: SensorFrames, more: Record<string, Handler> = {}): Record<string, Handler> => ({
  [`GET ${routes.item(BODY)}`]: ITEM,
  [`GET ${routes.settings}`]: SETTINGS,
  [`GET ${routes.sensorFrames}`]: frames,
  [`GET ${routes.supplies}`]: { supplies: [], isAll: false, along: null },
  ...more,
});
const showFrames = (frames: SensorFrame[], more: Record<string, Handler> = {}, outside = {}) =>
  showPage(FramesPage, '/gear/:id/frames', `/gear/${BODY}/frames`, table({ frames, dismissed: [] }, more), outside);
const view = () => screen.findByRole('group', { name: /^The frame at/ });
const choose = (file: File) => fireEvent.change(document.querySelector('input[type=file]')!, { target: { files: [file] } });
const jpeg = new File([new Uint8Array([0xff, 0xd8, 0xff])], 'new.jpg', {
  type: 'image/jpeg',
  lastModified: Date.parse('2026-03-05T08:00:00Z'),
});
const reading = (spots: sensor.Spot[], fNumber: number | null = 16) => ({
  taken: { takenAt: null, fNumber, iso: 100, exposureS: 1, focalMm: 24, body: 'Corvane Z', lens: null, style: null },
  width: 6000,
  height: 4000,
  detection: { spots, noise: 0.01, fitness: { clippedShare: 0, light: 0.5, textured: false, tooWideOpen: false } },
  preview: new Blob(['x'], { type: 'image/jpeg' }),
  isPreview: false,
});
const bare = NINE.map(({ by: _, ...s }) => s);

describe('what a frame is taken for', () => {
  it('stops are those a lens has, the nearest by light', () => expect([1.2, 6.3, 13, 100].map(stopNear)).toEqual([2.8, 5.6, 11, 32]));
  it('what shows at the apertures in use is never left by the plan', () => {
    const item = { kind: 'mirrorless-body', traits: {} } as const;
    for (const shows of [1, 3, 9, 40]) {
      expect(inspection.assessSurface(item, care.specksFound(shows), care.DEFAULT_SCHOOLS).verdict).toBe('clean');
    }
    expect(care.specksFound(0)).toEqual([]);
  });
  it('a draft takes what the file says, and else the day of the file and the aperture of before', () => {
    const draft = draftOf(
      { id: BODY, traits: {} },
      jpeg,
      reading(bare, null),
      [{ ...second, workingAt: 8 }],
      new Date('2026-03-06T00:00:00Z'),
    );
    expect(draft.input).toMatchObject({ takenAt: '2026-03-05T08:00:00.000Z', fNumber: 16, workingAt: 8, fileName: 'new.jpg', unfit: [] });
    const small = draftOf(
      { id: BODY, traits: {} },
      jpeg,
      { ...reading(bare), width: 1500, height: 1000 },
      [second],
      new Date('2026-03-06T00:00:00Z'),
    );
    expect(small.input.unfit).toEqual(['resized']);
    // The body's own pixels tell it, too, and of the very first frame.
    const own = (megapixels: number) =>
      draftOf({ id: BODY, traits: { megapixels } }, jpeg, reading(bare), [], new Date('2026-03-06T00:00:00Z')).input.unfit;
    expect([own(24), own(45)]).toEqual([[], ['resized']]);
  });
  it('of a frame that was really searched can be kept, whatever is known of body and aperture', () => {
    const [width, height] = [600, 400];
    const data = new Uint8Array(width * height).fill(196);
    for (let i = 0; i < data.length; i += 1) data[i]! += (i * 7919) % 3;
    for (const [cx, cy] of [[150, 120], [420, 260]] as const)
      for (let y = cy - 9; y <= cy + 9; y += 1) for (let x = cx - 9; x <= cx + 9; x += 1) if (Math.hypot(x - cx, y - cy) <= 9) data[y * width + x] = 140; // prettier-ignore
    for (const { widthMm } of [...Object.values(sensor.formats), { widthMm: null }])
      for (const fNumber of [16, null]) {
        const detection = sensor.detectDust({ width, height, data }, { ...(fNumber && { fNumber }), ...(widthMm && { sensorWidthMm: widthMm }) }); // prettier-ignore
        expect(detection.spots.length).toBeGreaterThan(0);
        const { input } = draftOf({ id: BODY, traits: {} }, jpeg, { ...reading([], fNumber), width, height, detection }, [], new Date('2026-03-06T00:00:00Z')); // prettier-ignore
        expect(frameInput.validate(input, JOI_OPTIONS).error?.details).toBeUndefined();
      }
  });
  it('leaves as CSV and JSON with each speck once, and where it lies as one faces it', () => {
    const story = sensor.storyOf([factsOf(first)], [], 'self');
    const rows = rowsOf(story.chapters[0]!, first, sensor.formats['full-frame'], 'upright', 16);
    const lines = specksCsv(rows).trim().split('\r\n');
    expect(lines).toHaveLength(10);
    expect(new Set(lines.map((l) => l.split(',').length))).toEqual(new Set([14]));
    const { specks, frame: told } = JSON.parse(specksJson(rows, first)) as {
      specks: { y: number; facingY: number; xMm: number; x: number }[];
      frame: object;
    };
    expect(told).toMatchObject({ fileName: 'one.jpg', fNumber: 16 });
    for (const s of specks) {
      expect(s.facingY).toBeCloseTo(1 - s.y, 9);
      expect(s.xMm).toBeCloseTo(36 * s.x, 9);
    }
  });
});

describe('the page of a sensor’s frames', () => {
  it('begins with nothing, and says what a frame would tell', async () => {
    showFrames([]);
    expect(await screen.findByText('There is no frame of this body yet.')).toBeTruthy();
  });

  it('shows the last one: what changed, what it needs, and every speck', async () => {
    showFrames([first, second]);
    expect((await view()).getAttribute('aria-label')).toBe('The frame at f/16: 2 of 2 specks show');
    expect(screen.getByText('Swab it', { selector: 'p' })).toBeTruthy();
    expect(within(screen.getByRole('region', { name: 'What it needs' })).getByText(/7 gone, 2 stayed/)).toBeTruthy();
    expect(within(screen.getByRole('table', { name: 'Specks' })).getAllByRole('row')).toHaveLength(3);
    // The earlier frame by a tap, in the address too.
    fireEvent.click(screen.getByText(/9 specks, 9 at f\/16/));
    await waitFor(() => expect(screen.getByRole('group', { name: /9 of 9 specks show/ })).toBeTruthy());
  });

  it('puts retouching by hand beside a clean, in the drawer’s own prices', async () => {
    const swabs = { id: 's1', thing: 'sensor-swab', role: 'sensor', state: 'clean', stock: 10, packPrice: 40, packSize: 10, widthMm: 24 };
    showFrames([first], { [`GET ${routes.supplies}`]: { supplies: [swabs], isAll: false, along: null } });
    await view();
    const verdict = screen.getByRole('region', { name: 'What it needs' });
    // Nine specks at six seconds: 54 s a picture, 7 min a panorama of eight, 3 hours for two hundred.
    expect(verdict.textContent).toContain('a picture 54 s, a panorama 7 min, a year 3.0 h');
    fireEvent.change(within(verdict).getByLabelText('and panoramas'), { target: { value: '25' } });
    expect(verdict.textContent).toContain('a year 6.0 h');
    expect(await within(verdict).findByText(/a clean of one’s own: \d+ min and €\d+/)).toBeTruthy();
    expect(verdict.textContent).toContain('a workshop’s: 40 to €75 (common practice)');
  });

  it('says where specks lie, told by frames with another lens', async () => {
    const sitting = (id: string, minute: number, lens: string, spots: SensorFrame['spots']) =>
      frame(id, spots, { takenAt: `2026-03-01T10:0${minute}:00.000Z`, lens });
    showFrames([sitting('f1', 0, 'A', NINE), sitting('f2', 4, 'B', NINE.slice(0, 7))]);
    await view();
    const verdict = screen.getByRole('region', { name: 'What it needs' });
    expect(verdict.textContent).toContain('Told by what stays where from frame to frame: 7 lie on the sensor.');
    fireEvent.click(screen.getByText(/9 specks, 7 at f\/16/));
    await waitFor(() =>
      expect(screen.getByRole('region', { name: 'What it needs' }).textContent).toContain(
        '2 lie in the lens or in what was photographed. Only what may',
      ),
    );
    expect(screen.getAllByRole('cell', { name: /in the lens or in what was photographed/ })).toHaveLength(2);
  });

  it('what is not sure is shown and counts for nothing: one looks again, and no mask covers it', async () => {
    const unsure = spot(0.5, 0.5, { confidence: 0.7 });
    showFrames([frame('f1', [unsure])]);
    expect((await view()).getAttribute('aria-label')).toBe('The frame at f/16: 0 of 0 specks show, 1 unsure');
    const verdict = screen.getByRole('region', { name: 'What it needs' });
    expect(verdict.textContent).toContain('Look again');
    expect(verdict.textContent).toContain('too unsure to touch a sensor for');
    expect(within(verdict).queryByText('See the plan')).toBeNull();
    expect(screen.getByText(/70 %/).textContent).toBe('70 %, look again');
    endPage();
    // Beside one that is sure it is said to count for nothing.
    showFrames([frame('f1', [NINE[0]!, unsure])]);
    expect((await view()).getAttribute('aria-label')).toBe('The frame at f/16: 1 of 1 specks show, 1 unsure');
    expect(screen.getByRole('region', { name: 'What it needs' }).textContent).toContain(
      '1 more place may be a speck, and counts for nothing here',
    );
  });

  it('places that are as dark and narrow at every aperture are pixels, and left out', async () => {
    const pixel = spot(0.4, 0.4, { fwhmPx: 3.2, diameterPx: 4, depth: 0.5 });
    showFrames([frame('f1', [NINE[0]!, pixel]), frame('f2', [pixel], { fNumber: 8, takenAt: '2026-03-01T10:05:00.000Z' })]);
    expect((await view()).getAttribute('aria-label')).toBe('The frame at f/16: 0 of 0 specks show');
    expect(screen.getByRole('region', { name: 'What it needs' }).textContent).toContain(
      '1 place is as dark and as narrow at every aperture',
    );
  });

  it('asks about other apertures as fast as a hand slides', async () => {
    const page = showFrames([first]);
    await view();
    const slider = screen.getByRole('slider', { name: 'Aperture' });
    for (const value of ['5', '4', '3', '2', '1']) fireEvent.change(slider, { target: { value } });
    expect(screen.getByRole('group', { name: /^The frame at f\/4: 0 of 9 specks show$/ })).toBeTruthy();
    await waitFor(() => expect(page.address()).toContain('f=4'));
  });

  it('turns the map to how the camera is held', async () => {
    showFrames([frame('f1', [spot(0.1, 0.1)])]);
    await view();
    expect(screen.getByRole('img', { name: /bottom left/ })).toBeTruthy();
    fireEvent.change(screen.getByRole('combobox', { name: 'How you hold the camera' }), { target: { value: 'overhead-top-away' } });
    expect(await screen.findByRole('img', { name: /top right/ })).toBeTruthy();
  });

  it('dismisses what is no dust, and takes away what a hand had put there', async () => {
    const byHand = spot(0.5, 0.5, { by: 'hand' });
    const page = showFrames([frame('f1', [NINE[0]!, byHand])], {
      [`POST ${routes.dismissedSpots}`]: { id: 'd', x: NINE[0]!.x, y: NINE[0]!.y, at: '2026-03-01T10:00:00Z' },
      [`PUT ${routes.sensorFrame('f1')}`]: frame('f1', [NINE[0]!]),
    });
    await view();
    fireEvent.click(screen.getByRole('button', { name: 'Number 1 is no dust' }));
    await waitFor(() => expect(page.written()[0]).toMatchObject({ path: routes.dismissedSpots, body: { itemId: BODY, x: NINE[0]!.x } }));
    fireEvent.click(screen.getByRole('button', { name: 'Number 2 is no dust' }));
    await waitFor(() =>
      expect(page.written()[1]).toMatchObject({ path: routes.sensorFrame('f1'), body: { version: 1, spots: [NINE[0]] } }),
    );
  });

  it('corrects what was said of a frame, and says when it was changed elsewhere', async () => {
    showFrames([first, second], {
      [`PUT ${routes.sensorFrame('f2')}`]: new Refusal({ status: 409, code: 'stale', title: 'It was changed elsewhere' }),
    });
    await view();
    fireEvent.click(screen.getByRole('button', { name: 'Swabbed' }));
    expect(await screen.findByText('It was changed elsewhere')).toBeTruthy();
  });

  it.each([
    ['what shows', first, 1],
    ['that nothing does', frame('f0', []), 0],
  ] as const)('writes %s as a look, and goes on to the plan', async (_, shown, findings) => {
    const look = {
      id: 'l',
      itemId: BODY,
      itemName: 'Corvane Z',
      version: 1,
      startedAt: '',
      finishedAt: null,
      at: null,
      answers: [{ surface: 'screen', findings: [], note: '' }],
    };
    const kept = keptDocument(look);
    const page = showFrames([shown], {
      [`POST ${routes.looks}`]: look,
      [`PUT ${routes.look('l')}`]: kept.put,
      [`POST ${routes.lookFinish('l')}`]: ITEM,
    });
    await view();
    fireEvent.click(screen.getByRole('button', { name: 'See the plan' }));
    expect(await screen.findByText('somewhere else')).toBeTruthy();
    expect(page.address()).toBe(`/gear/${BODY}/plan`);
    const saved = page.written().find((c) => c.method === 'PUT')!.body as { answers: { surface: string; findings: unknown[] }[] };
    expect(saved.answers.map((a) => [a.surface, a.findings.length])).toEqual([['screen', 0], ['sensor-cover', findings]]); // prettier-ignore
  });
});

describe('reading a frame', () => {
  const withWorker = (readFrame: (file: File, told: ToldOfFrame, onProgress: (done: number) => void) => unknown) => ({
    startWorker: () => workerOf({ readFrame }),
  });

  it('tells how far it is, then what is there; kept with its picture, and the original only when asked', async () => {
    const page = showFrames(
      [second],
      {
        [`POST ${routes.sensorFrames}`]: { ...second, id: 'f3' },
        [`PUT ${routes.framePicture('f3', 'preview')}`]: undefined,
        [`PUT ${routes.framePicture('f3', 'original')}`]: undefined,
      },
      withWorker((_, __, onProgress) => {
        onProgress(0.5);
        return { read: reading(bare) };
      }),
    );
    await view();
    choose(jpeg);
    expect(await screen.findByRole('button', { name: 'Keep this frame' })).toBeTruthy();
    // Another focal length than before: what that does is said.
    expect(screen.getByText(/The frame before was taken at 85 mm/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Blown' }));
    fireEvent.click(screen.getByRole('checkbox', { name: /Keep the file as it came/ }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep this frame' }));
    await waitFor(() =>
      expect(page.written().map((c) => c.path)).toEqual([
        routes.sensorFrames,
        routes.framePicture('f3', 'preview'),
        routes.framePicture('f3', 'original'),
      ]),
    );
    expect(page.written()[0]!.body).toMatchObject({ tries: ['blow'], fNumber: 16, itemId: BODY });
  });

  it('is kept once, though its picture failed on the way and is sent again', async () => {
    const answers: unknown[] = [new Refusal({ status: 507, code: 'disk-full', title: 'The disk is nearly full' }), undefined];
    const page = showFrames(
      [],
      { [`POST ${routes.sensorFrames}`]: { ...second, id: 'f3' }, [`PUT ${routes.framePicture('f3', 'preview')}`]: () => answers.shift() },
      withWorker(() => ({ read: reading(bare) })),
    );
    await screen.findByText('There is no frame of this body yet.');
    choose(jpeg);
    fireEvent.click(await screen.findByRole('button', { name: 'Keep this frame' }));
    expect(await screen.findByText('The disk is nearly full')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Keep this frame' }));
    await waitFor(() => expect(screen.queryByRole('button', { name: 'Keep this frame' })).toBeNull());
    expect(page.written().map((c) => c.method)).toEqual(['POST', 'PUT', 'PUT']);
  });

  it('asks for the aperture where the file does not say it, searches at it, and says nothing before', async () => {
    const asked: ToldOfFrame[] = [];
    showFrames(
      [],
      {},
      withWorker((_, told) => {
        asked.push(told);
        return { read: reading(bare, null) };
      }),
    );
    await screen.findByText('There is no frame of this body yet.');
    choose(jpeg);
    expect(await screen.findByText('At which aperture was it taken? The file does not say.')).toBeTruthy();
    expect(screen.getByText(/^9 dark places were found in it/)).toBeTruthy();
    const keep = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Keep this frame' });
    expect(keep().disabled).toBe(true);
    expect(screen.queryByRole('region', { name: 'What it needs' })).toBeNull();
    const field = screen.getByLabelText('or f/');
    fireEvent.change(field, { target: { value: '0' } });
    expect(screen.getByText('Give an f-number from 0.7 to 128.')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Lens (the file does not say)'), { target: { value: 'Ostrane 58/2' } });
    fireEvent.click(screen.getByRole('button', { name: 'f/22' }));
    expect((await view()).getAttribute('aria-label')).toMatch(/^The frame at f\/16/);
    expect(asked.map((t) => t.fNumber)).toEqual([null, 22]);
    expect(keep().disabled).toBe(false);
    // What was said of it meanwhile is still there; another aperture is searched at before it is kept.
    expect(screen.getByLabelText<HTMLInputElement>('Lens (the file does not say)').value).toBe('Ostrane 58/2');
    fireEvent.change(screen.getByLabelText('Taken at f/'), { target: { value: '11' } });
    expect(keep().disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Search it at f/11' }));
    await waitFor(() => expect(asked.map((t) => t.fNumber)).toEqual([null, 22, 11]));
    await waitFor(() => expect(keep().disabled).toBe(false));
  });

  it('says that the sensor is not told, and hands its width to the search where it is', async () => {
    const widths: (number | null)[] = [];
    const worker = withWorker((_, told) => {
      widths.push(told.sensorWidthMm);
      return { read: reading(bare) };
    });
    showFrames([], {}, worker);
    await screen.findByText('There is no frame of this body yet.');
    choose(jpeg);
    expect((await screen.findByRole('link', { name: 'Tell its sensor' })).getAttribute('href')).toBe(`/gear/${BODY}/edit`);
    endPage();
    showFrames([], { [`GET ${routes.item(BODY)}`]: { ...ITEM, traits: { sensorFormat: 'aps-c' } } }, worker);
    await screen.findByText('There is no frame of this body yet.');
    choose(jpeg);
    await screen.findByRole('button', { name: 'Keep this frame' });
    expect(screen.queryByRole('link', { name: 'Tell its sensor' })).toBeNull();
    expect(widths).toEqual([null, sensor.formats['aps-c'].widthMm]);
  });

  it('several are read one after another, in the order they were taken; what cannot be is told and does not hold up the rest', async () => {
    const told = [{ read: reading(bare) }, { unreadable: 'broken-off' }, { read: reading(bare) }];
    const page = showFrames(
      [],
      { [`POST ${routes.sensorFrames}`]: { ...second, id: 'f3' }, [`PUT ${routes.framePicture('f3', 'preview')}`]: undefined },
      withWorker(() => told.shift()),
    );
    await screen.findByText('There is no frame of this body yet.');
    const named = (name: string, hour: number) =>
      new File(['x'], name, { lastModified: Date.parse('2026-03-05T08:00:00Z') + hour * 3.6e6 });
    fireEvent.change(document.querySelector('input[type=file]')!, {
      target: { files: [named('third.jpg', 3), named('broken.jpg', 1), named('first.jpg', 0)] },
    });
    const draft = () => screen.findByRole('region', { name: 'The frame that was read' });
    expect((await draft()).textContent).toContain('first.jpg');
    expect(screen.getByText('2 more to read after it')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Lens (the file does not say)'), { target: { value: 'Ostrane 58/2' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep this frame' }));
    await waitFor(() => expect(screen.queryByText('first.jpg')).toBeNull());
    expect((await draft()).textContent).toContain('third.jpg');
    fireEvent.click(screen.getByRole('button', { name: 'Drop it' }));
    expect(await screen.findByText(/breaks off or is damaged/)).toBeTruthy();
    expect(screen.queryByRole('region', { name: 'The frame that was read' })).toBeNull();
    expect(page.written()[0]!.body).toMatchObject({ fileName: 'first.jpg', lens: 'Ostrane 58/2' });
  });

  it.each([
    [{ unreadable: 'broken-off' }, /breaks off or is damaged/],
    [{ unreadable: 'too-large' }, /more than 110 megapixels/],
    [{ unreadable: 'cmyk' }, /for print/],
  ])('says why it could not: %o', async (told, said) => {
    showFrames(
      [],
      {},
      withWorker(() => told),
    );
    await screen.findByText('There is no frame of this body yet.');
    choose(jpeg);
    expect(await screen.findByText(said)).toBeTruthy();
  });

  it('is stopped by a tap, and what comes after that is not heard', async () => {
    let finish: (told: unknown) => void = () => {};
    showFrames(
      [],
      {},
      withWorker(() => new Promise((resolve) => (finish = resolve))),
    );
    await screen.findByText('There is no frame of this body yet.');
    choose(jpeg);
    fireEvent.click(await screen.findByRole('button', { name: 'Stop' }));
    finish({ read: reading(bare) });
    await waitFor(() => expect(screen.queryByText('Reading new.jpg')).toBeNull());
    expect(screen.queryByRole('button', { name: 'Keep this frame' })).toBeNull();
  });
});

describe('at the bench', () => {
  it('the swab step shows where the specks lie', async () => {
    showPage(() => <SpecksAtTheBench itemId={BODY} />, '/bench', '/bench', table({ frames: [first, second], dismissed: [] }));
    expect(await screen.findByRole('region', { name: 'Where the specks lie' })).toBeTruthy();
    expect(screen.getByRole('img', { name: /^The sensor as you face it: \d+ top, \d+ top right|bottom/ })).toBeTruthy();
  });
  it('nothing stands there without a frame', async () => {
    const page = showPage(() => <SpecksAtTheBench itemId={BODY} />, '/bench', '/bench', table({ frames: [], dismissed: [] }));
    await waitFor(() => expect(page.calls.length).toBeGreaterThanOrEqual(2));
    expect(screen.queryByRole('region')).toBeNull();
  });
});
