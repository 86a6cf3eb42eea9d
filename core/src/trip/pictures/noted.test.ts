import { describe, expect, it } from 'vitest';
import { besideNoted, type NotedOuting } from './noted.js';
import { outingsFrom, type FoundOuting } from './outingsFrom.js';
import { yearOf } from './testing/year.js';
import { whichThing, type FileSays, type NamedThing } from './whichThing.js';

const asNoted = (found: FoundOuting, id: string): NotedOuting => ({ ...found, id, itemIds: Object.keys(found.used) });
const every = () => true;

describe('what was found beside what is noted', () => {
  const { outings } = outingsFrom(yearOf(3).pictures);

  it('is new where nothing is noted; the same where it was taken in: the same files again change nothing', () => {
    expect(besideNoted(outings, [], every).map((p) => p.is)).toEqual(outings.map(() => 'new'));
    const noted = outings.map((o, i) => asNoted(o, String(i).padStart(3, '0')));
    const again = besideNoted(outings, noted, every);
    expect(new Set(again.map((p) => p.is))).toEqual(new Set(['same']));
    expect(again.map((p) => p.noted)).toEqual(noted.map((n) => n.id));
  });

  it('says more of what was noted by hand, and is not the whole where more was noted', () => {
    const byHand = { ...asNoted(outings[4]!, 'x'), frames: null, lensChanges: null, hours: null, used: {} };
    expect(besideNoted([outings[4]!], [byHand], every)[0]).toMatchObject({ is: 'more', noted: 'x' });
    expect(besideNoted([outings[4]!], [{ ...byHand, frames: 100_000 }], every)[0]).toMatchObject({ is: 'fewer', noted: 'x' });
  });

  it('two found of one that is noted are told as one, with the sum of their pictures', () => {
    const [a, b] = [outings[2]!, outings[3]!];
    const noted = { ...asNoted(a, 'tour'), from: a.from, to: b.to };
    const [one, ...more] = besideNoted([a, b], [noted], every);
    expect(more).toEqual([]);
    expect(one!.found).toMatchObject({ from: a.from, to: b.to, frames: a.frames + b.frames });
    expect(one!.found.used.first!.frames).toBe(a.used.first!.frames + b.used.first!.frames);
  });

  it('what is not ours neither counts nor is missed', () => {
    const noted = { ...asNoted(outings[0]!, 'x'), itemIds: [], used: {} };
    expect(besideNoted([outings[0]!], [noted], () => false)[0]!.is).toBe('same');
    expect(besideNoted([outings[0]!], [noted], every)[0]!.is).toBe('more');
  });

  it('of two that are noted on the day the one with more of its days, then the earlier', () => {
    const one = { ...outings[0]!, from: '2026-05-02', to: '2026-05-04' };
    const day = (id: string, from: string, to: string): NotedOuting => ({ ...asNoted(one, id), from, to });
    expect(besideNoted([one], [day('a', '2026-05-01', '2026-05-02'), day('b', '2026-05-03', '2026-05-09')], every)[0]!.noted).toBe('b');
    expect(besideNoted([one], [day('b', '2026-05-04', '2026-05-09'), day('a', '2026-05-01', '2026-05-02')], every)[0]!.noted).toBe('a');
  });
});

describe('which thing a file speaks of', () => {
  const things: NamedThing[] = [
    { id: '1', name: 'Walkabout', maker: 'Corvane', model: 'M5', serial: 'AB 123' },
    { id: '2', name: 'Old M5', maker: 'Corvane', model: 'M5', serial: 'AB 124' },
    { id: '3', name: 'Corvane 35 mm f/2', model: 'Aster 35mm F2' },
    { id: '4', name: 'Aster 24-105mm F4 zoom' },
  ];
  const says = (model: string | null, serial: string | null = null, maker: string | null = 'Corvane'): FileSays => ({
    maker,
    model,
    serial,
  });
  it.each<[string, FileSays, unknown]>([
    ['its number, however written', says('M5', 'ab-124'), { id: '2', by: 'serial' }],
    ['a number nobody has: not the one of that model with another', says('M5', 'ZZ 9'), { id: null, mayBe: [] }],
    ['no number, two of the model', says('M5'), { id: null, mayBe: ['1', '2'] }],
    ['the only one of its model', says('ASTER 35MM F2'), { id: '3', by: 'model' }],
    ['its name holds the words', says('Aster 24-105mm F4'), { id: '4', by: 'name' }],
    ['nothing said', says(null), { id: null, mayBe: [] }],
    ['words of which one is missing', says('Aster 24-70mm F4'), { id: null, mayBe: [] }],
  ])('%s', (_, file, which) => expect(whichThing(file, things)).toEqual(which));
  it('the maker before the model is the same model', () =>
    expect(whichThing(says('CORVANE X1', 'q'), [{ id: '9', name: 'x', maker: 'Corvane', model: 'X1' }])).toEqual({ id: '9', by: 'model' }));
  it('two with one number are never chosen between', () =>
    expect(whichThing(says('M5', '7'), [{ id: 'a', name: 'a', serial: '7' }, { id: 'b', name: 'b', serial: '7' }])).toEqual({ id: null, mayBe: ['a', 'b'] })); // prettier-ignore
});
