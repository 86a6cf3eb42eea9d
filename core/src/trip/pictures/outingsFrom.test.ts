import { describe, expect, it } from 'vitest';
import { changesSeen, isTwoBodies } from './changesSeen.js';
import { aperturesOf, apertureOfShare, neverUsed } from './habits.js';
import { homeOf, isAtHome } from './home.js';
import { dated, outingsFrom } from './outingsFrom.js';
import { clockMs, eachOnce, numberOf, type DatedPicture, type Picture } from './picture.js';
import { tellPictures, withClocks } from './tellPictures.js';
import { yearOf } from './testing/year.js';

const picture = (takenAt: string, over: Partial<Picture> = {}): Picture => ({
  name: `P${takenAt.replace(/\D/g, '')}.jpg`,
  takenAt,
  body: 'body',
  lens: 'wide',
  bodyIsCertain: true,
  focalMm: 24,
  fNumber: 8,
  place: null,
  ...over,
});
const inOrder = (...all: Picture[]): DatedPicture[] => all.map((p) => ({ ...p, ms: clockMs(p.takenAt)! }));

describe('outings from a year of pictures whose truth is known', () => {
  it.each([1, 2, 3, 4, 5, 6, 7, 8])('seed %i: at least 95 in 100 found to the picture, and no lens change that was none', (seed) => {
    const { pictures, outings, home } = yearOf(seed);
    const found = outingsFrom(pictures, { home }).outings;
    const exact = outings.filter((o) => found.some((f) => f.from === o.from && f.to === o.to && f.frames === o.frames));
    expect(exact.length / outings.length).toBeGreaterThanOrEqual(0.95);
    for (const f of found) {
      const truth = outings.find((o) => f.from >= o.from && f.to <= o.to);
      // A lens put on and taken off without a picture is not seen: never more than there were.
      expect(f.lensChanges, f.from).toBeLessThanOrEqual(truth?.lensChanges ?? 0);
    }
    const seen = found.reduce((sum, f) => sum + (f.lensChanges ?? 0), 0);
    expect(seen / outings.reduce((sum, o) => sum + o.lensChanges, 0)).toBeGreaterThan(0.9);
  });

  it('finds home by itself, and the same outings with it', () => {
    const { pictures, home } = yearOf(9);
    const told = tellPictures(pictures, { homeEnds: true });
    expect(told.home!.place).toEqual(home);
    expect(told.outings).toEqual(outingsFrom(pictures, { home }).outings);
    expect(told.aside.atHome).toBeGreaterThan(0);
  });

  it('says the same whatever the order of the files, and of each picture once', () => {
    const { pictures } = yearOf(10);
    const once = outingsFrom(pictures);
    expect(outingsFrom([...pictures].reverse())).toEqual(once);
    const twice = outingsFrom([...pictures, ...pictures]);
    expect(twice.outings).toEqual(once.outings);
    expect(twice.aside.twice - once.aside.twice).toBe(pictures.length);
  });

  it.each([2, 6, 16, 30, 60])('loses no picture and makes none, with a pause of %i hours', (pauseHours) => {
    const { pictures } = yearOf(11);
    const { outings, aside } = outingsFrom(pictures, { pauseHours });
    expect(outings.reduce((sum, o) => sum + o.frames, 0) + aside.twice).toBe(pictures.length);
    outings.forEach((o, i) => i > 0 && expect(o.firstMs - outings[i - 1]!.lastMs).toBeGreaterThan(pauseHours * 3_600_000));
  });

  it('a longer pause never makes more outings', () => {
    const { pictures } = yearOf(12);
    const many = [1, 4, 12, 16, 24, 48].map((pauseHours) => outingsFrom(pictures, { pauseHours }).outings.length);
    expect(many).toEqual([...many].sort((a, b) => b - a));
  });
});

describe('what no outing is made from', () => {
  it('is counted by why: no date, a clock that was never set, a day to come', () => {
    const { outings, aside } = outingsFrom(
      [
        picture('no'),
        picture('2026-02-30Tx'),
        picture('1980-01-01T00:00:00'),
        picture('2026-06-02T00:00:00'),
        picture('2026-06-01T23:59:59'),
      ],
      { today: '2026-06-01' },
    );
    expect(aside).toEqual({ undated: 2, neverSet: 1, ahead: 1, twice: 0, atHome: 0 });
    expect(outings).toHaveLength(1);
  });
  it('nothing at all is no outing', () => expect(outingsFrom([]).outings).toEqual([]));
  it('a pause of nothing is refused', () => expect(() => outingsFrom([], { pauseHours: 0 })).toThrow(RangeError));
  it('a clock set right brings its pictures back, those of the other body stay', () => {
    const frames = [picture('2027-01-01T10:00:00'), picture('2026-01-01T10:00:00', { body: 'other' })];
    const set = withClocks(frames, { body: -365 * 86_400_000 });
    expect(set.map((p) => p.takenAt)).toEqual(['2026-01-01T10:00:00.000', '2026-01-01T10:00:00']);
    expect(outingsFrom(set, { today: '2026-06-01' }).outings).toHaveLength(1);
  });
});

describe('one picture is counted once', () => {
  const at = '2026-05-01T10:00:00';
  it.each([
    ['raw and JPEG', ['IMG_0001.JPG', 'IMG_0001.CR2'], 1],
    ['an edit under the name the camera gave', ['IMG_0001.JPG', 'IMG_0001-Edit.tif', 'IMG_0001 (1).jpg'], 1],
    ['two of a burst', ['IMG_0001.JPG', 'IMG_0002.JPG'], 2],
    ['own names that begin alike', ['lake.jpg', 'lake 2.jpg'], 2],
    ['five digits are no camera name', ['IMG_00011.jpg', 'IMG_00012.jpg'], 2],
  ])('%s', (_, names, many) => expect(eachOnce(inOrder(...names.map((name) => picture(at, { name }))))).toHaveLength(many));
  it('two bodies that count alike in one second are two', () =>
    expect(eachOnce(inOrder(picture(at), picture(at, { body: 'other' })))).toHaveLength(2));
  it.each([
    ['IMG_0412.JPG', 412],
    ['_DSC9999.NEF', 9999],
    ['DSC00412.ARW', 412],
    ['img_0412.jpg', null],
    ['2026-05-03.jpg', null],
  ])('%s has the number %s (names of eight characters, JEITA CP-3461)', (name, number) => expect(numberOf({ name })).toBe(number));
});

describe('lens changes as pictures tell them', () => {
  const seq = (...lenses: (string | null)[]) =>
    inOrder(...lenses.map((lens, i) => picture(`2026-05-01T10:${String(i).padStart(2, '0')}:00`, { lens })));
  it.each<[string, (string | null)[], number | null]>([
    ['one lens all day', ['a', 'a', 'a'], 0],
    ['there and back', ['a', 'b', 'a'], 2],
    ['what does not tell its name is no change', ['a', null, 'a'], 0],
    ['nor hides one', ['a', null, 'b'], 1],
    ['no name at all', [null, null], null],
  ])('%s', (_, lenses, many) => expect(changesSeen(seq(...lenses))?.length ?? null).toBe(many));

  it('faster than hands: two bodies without a number are told as two, a numbered one changed nothing', () => {
    const fast = (bodyIsCertain: boolean) =>
      inOrder(picture('2026-05-01T10:00:00', { bodyIsCertain }), picture('2026-05-01T10:00:02', { lens: 'long', bodyIsCertain }));
    expect([isTwoBodies(fast(false)), changesSeen(fast(false))]).toEqual([true, null]);
    expect([isTwoBodies(fast(true)), changesSeen(fast(true))]).toEqual([false, []]);
  });
  it('two counters that go back and forth are two bodies; one that runs over, or is set anew once, is one', () => {
    const numbered = (...numbers: number[]) =>
      inOrder(
        ...numbers.map((n, i) =>
          picture(`2026-05-01T1${i}:00:00`, { name: `IMG_${String(n).padStart(4, '0')}.JPG`, bodyIsCertain: false }),
        ),
      );
    expect(isTwoBodies(numbered(10, 7000, 11, 7001, 12, 7002, 13, 7003))).toBe(true);
    expect(isTwoBodies(numbered(9998, 9999, 1, 2))).toBe(false);
    expect(isTwoBodies(numbered(4000, 4001, 1, 2, 3))).toBe(false);
  });
  it('a body whose changes nobody sees makes those of the outing unknown, and of its lenses', () => {
    const [outing] = outingsFrom([
      picture('2026-05-01T10:00:00'),
      picture('2026-05-01T10:05:00', { lens: 'long' }),
      picture('2026-05-01T10:06:00', { body: 'other', lens: null }),
    ]).outings;
    expect(outing).toMatchObject({
      frames: 3,
      lensChanges: null,
      used: { body: { frames: 2, lensChanges: 1 }, long: { lensChanges: null } },
    });
  });
  it('of a lens they are those in which it came off or went on', () => {
    const [outing] = outingsFrom(['wide', 'long', 'wide'].map((lens, i) => picture(`2026-05-01T10:0${i}:00`, { lens }))).outings;
    expect(outing!.used).toEqual({
      body: { frames: 3, lensChanges: 2 },
      wide: { frames: 2, lensChanges: 2 },
      long: { frames: 1, lensChanges: 2 },
    });
  });
});

describe('home and habits', () => {
  const on = (day: number, place: Picture['place']) => picture(`2026-05-${String(day).padStart(2, '0')}T10:00:00`, { place });
  const here = { latitude: 51.2, longitude: 4.1 };
  it('is where most days are, from five on, and nowhere where two places are alike', () => {
    const days = (n: number, place: Picture['place'], from = 1) => Array.from({ length: n }, (_, i) => on(from + i, place));
    const of = (all: Picture[]) => homeOf(dated(all, undefined).pictures);
    expect(of(days(4, here))).toBeNull();
    expect(of(days(5, here))).toEqual({ place: here, days: 5 });
    expect(of([...days(5, here), ...days(5, { latitude: 0, longitude: 0 }, 10)])).toBeNull();
    expect(of(days(9, null))).toBeNull();
  });
  it('reaches to the next field, over the line of dates as well', () => {
    expect(isAtHome({ latitude: 51.3, longitude: 4 }, here)).toBe(true);
    expect(isAtHome({ latitude: 51.4, longitude: 4.1 }, here)).toBe(false);
    expect(isAtHome({ latitude: 0, longitude: -180 }, { latitude: 0, longitude: 180 })).toBe(true);
    expect(isAtHome(null, here)).toBe(false);
  });
  it('says at which apertures pictures are taken', () => {
    const f = (fNumber: number | null, i: number) => picture(`2026-05-01T10:00:0${i}`, { fNumber });
    const told = aperturesOf(dated([2.8, 8, 8, 8, 16, null].map(f), undefined).pictures);
    expect(told).toEqual([
      { value: 2.8, frames: 1 },
      { value: 8, frames: 3 },
      { value: 16, frames: 1 },
    ]);
    expect([apertureOfShare(told, 0.5), apertureOfShare(told, 0.9), apertureOfShare([], 0.5)]).toEqual([8, 16, null]);
  });
  it('names what no picture used of a zoom: gaps of a quarter of its range by ratio', () => {
    const at = (...values: number[]) => values.map((value) => ({ value, frames: 3 }));
    expect(neverUsed({ fromMm: 24, toMm: 105 }, at(24, 105))).toEqual([{ fromMm: 24, toMm: 105 }]);
    expect(neverUsed({ fromMm: 24, toMm: 105 }, at(24, 30, 35, 50, 70, 105))).toEqual([{ fromMm: 70, toMm: 105 }]);
    expect(neverUsed({ fromMm: 24, toMm: 105 }, at(35))).toEqual([
      { fromMm: 24, toMm: 35 },
      { fromMm: 35, toMm: 105 },
    ]);
    expect(neverUsed({ fromMm: 24, toMm: 105 }, [])).toEqual([]);
    expect(neverUsed({ fromMm: 50, toMm: 50 }, at(50))).toEqual([]);
  });
});
