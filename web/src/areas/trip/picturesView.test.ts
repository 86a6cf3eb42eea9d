import type { Outing, ShelfItem } from '@bright-keeper/contract';
import { trip } from '@bright-keeper/core';
import { describe, expect, it } from 'vitest';
import { allOf, isTimeToTell } from './pictures/allHeads';
import { fewestOver, isTaken, keyOfFound, matchesFrom, nameOf, picturesOf, saysWords, takenIn } from './pictures/picturesView';

const lens = (id: string, name: string, focalMm: number, longestMm?: number): ShelfItem =>
  ({ id, name, kind: 'lens', traits: { focalMm }, particulars: { ...(longestMm ? { longestMm } : {}) } }) as unknown as ShelfItem;
const WIDE = lens('w', 'Wide 24', 24);
const ZOOM = lens('z', 'Zoom 24-70', 24, 70);
const taken = (minute: number, over: Partial<trip.Picture> = {}): trip.Picture => ({
  name: `IMG_${String(minute).padStart(4, '0')}.JPG`,
  takenAt: `2026-05-01T10:${String(minute).padStart(2, '0')}:00`,
  body: 'b',
  lens: 'w',
  bodyIsCertain: true,
  focalMm: 24,
  fNumber: 8,
  place: null,
  ...over,
});
const found = (pictures: trip.Picture[]) => trip.outingsFrom(pictures).outings;

describe('pictures told by the things of the shelf', () => {
  it('leaves out bodies that are none, and keeps a lens that is none by its own name', () => {
    const heads = allOf([{ pictures: [taken(1), taken(2, { lens: 'x' }), taken(3, { body: 'c' }), taken(4, { body: null })], bodies: [], lenses: [], notPictures: 1, untold: 2 }]); // prettier-ignore
    expect(picturesOf(heads, { b: 'body', c: null }, { w: 'W', x: null }).map((p) => [p.body, p.lens])).toEqual([
      ['body', 'W'],
      ['body', 'x'],
    ]);
    expect(heads).toMatchObject({ notPictures: 1, untold: 2 });
  });
  it('is told anew as more of them are read, so that all of it costs what a few times do', () => {
    let [told, times, cost] = [0, 0, 0];
    for (let read = 0; read <= 50_000; read += 50) if (isTimeToTell(told, read)) [told, times, cost] = [read, times + 1, cost + read];
    expect(times).toBeGreaterThan(5);
    expect(cost).toBeLessThan(3 * 50_000);
  });
  it('matches what answers alone, and says what files say', () => {
    const says = new Map([['k', { maker: null, model: 'Zoom 24-70', serial: null }]]);
    expect(matchesFrom(says, [WIDE, ZOOM])).toEqual({ k: 'z' });
    expect(saysWords({ maker: 'Skerrow', model: 'SKERROW M1', serial: '4' })).toBe('SKERROW M1, number 4');
    expect(saysWords({ maker: 'Skerrow', model: 'M1', serial: null })).toBe('Skerrow M1');
    expect(nameOf({ from: '2026-05-01', to: '2026-05-02' })).toBe('Fri, 1 May 2026 to Sat, 2 May 2026');
  });
});

describe('what is taken in', () => {
  const [one] = found(Array.from({ length: 6 }, (_, i) => taken(i)));
  const proposal = (is: trip.FoundIs, noted: string | null = null): trip.Proposal => ({ found: one!, is, noted });
  it('is what is new and more than a handful, or says more; never what is noted so; all else when asked', () => {
    expect((['new', 'same', 'more', 'fewer'] as const).map((is) => isTaken(proposal(is), undefined))).toEqual([true, false, true, false]);
    const few = { ...proposal('new'), found: { ...one!, frames: trip.FEW_PICTURES - 1 } };
    expect([isTaken(few, undefined), isTaken(few, { take: true })]).toEqual([false, true]);
    expect([isTaken(proposal('same'), { take: true }), isTaken(proposal('fewer'), { take: true })]).toEqual([false, true]);
  });
  it('keeps what its keeper wrote of an outing, and what else came along', () => {
    const noted = { id: 'n', version: 3, name: 'Fair', place: 'town', from: '2026-05-01', to: '2026-05-03', itemIds: ['tripod'], met: ['rain'], frames: null, lensChanges: 2, hours: null, used: {}, note: 'wet' } as Outing; // prettier-ignore
    const withoutChanges = { ...one!, lensChanges: null };
    const { added, changed } = takenIn([{ ...proposal('more', 'n'), found: withoutChanges }], {}, [noted], new Set(['b', 'w']));
    expect(added).toEqual([]);
    expect(changed).toEqual([{ ...noted, itemIds: ['tripod', 'b', 'w'], frames: 6, hours: 0.1, used: { b: one!.used.b, w: one!.used.w } }]);
  });
  it('a new one is called as its keeper says, else by its days; what is not ours is not along', () => {
    const said = { [keyOfFound(proposal('new'))]: { name: ' Fair ', place: 'shore' } as const };
    expect(takenIn([proposal('new')], said, [], new Set(['b'])).added[0]).toMatchObject({ name: 'Fair', place: 'shore', itemIds: ['b'] });
    expect(takenIn([proposal('new')], {}, [], new Set(['b'])).added[0]).toMatchObject({ name: 'Fri, 1 May 2026', place: 'other' });
  });
});

describe('how few changes would have done', () => {
  const ranges = [
    { id: 'w', fromMm: 24, toMm: 24 },
    { id: 'z', fromMm: 24, toMm: 70 },
  ];
  it('sums over outings whose lenses are known; what a file rounds lies in the range of its lens', () => {
    const pictures = [taken(1), taken(2, { lens: 'z', focalMm: 70.4 }), taken(3, { focalMm: 23.9 }), taken(4, { lens: 'z', focalMm: 50 })];
    expect(fewestOver(found(pictures), pictures, ranges)).toEqual({ made: 3, oneBody: 0, twoBodies: 0 });
    expect(fewestOver(found(pictures), pictures, [ranges[0]!])).toBeNull();
    expect(fewestOver(found([taken(1)]), [taken(1)], ranges)).toBeNull();
  });
});
