import { describe, expect, it } from 'vitest';
import { alsoOn } from './inTwoPlaces.js';

const outing = (id: string, from: string, to: string, itemIds: string[] = ['a'], kit: string | null = null) => ({
  ...{ id, from: `2026-03-${from}`, to: `2026-03-${to}`, itemIds, kit },
});
const THIS = outing('this', '10', '14', ['a', 'b'], 'Belt pouch');

describe('what is on two outings at once', () => {
  it.each<[string, ReturnType<typeof outing>, string[], string | null]>([
    ['the days between', outing('o', '11', '12'), ['a'], null],
    ['days around it', outing('o', '01', '30', ['b', 'c']), ['b'], null],
    ['the end of it', outing('o', '13', '20', ['a', 'b']), ['a', 'b'], null],
    ['the kit alone, written otherwise', outing('o', '13', '20', [], 'belt POUCH'), [], 'Belt pouch'],
  ])('is told: %s', (_, other, itemIds, kit) => expect(alsoOn(THIS, [other])).toEqual([{ outing: other, itemIds, kit }]));

  it.each([
    ['one ends the day the other begins', outing('o', '14', '16')],
    ['one begins the day the other ends', outing('o', '08', '10')],
    ['other days', outing('o', '20', '22')],
    ['other things', outing('o', '10', '14', ['c'])],
    ['itself, as it was noted', outing('this', '10', '14')],
  ])('is nothing: %s', (_, other) => expect(alsoOn(THIS, [other])).toEqual([]));

  it('two outings of one day are morning and evening', () =>
    expect(alsoOn(outing('m', '10', '10'), [outing('e', '10', '10')])).toEqual([]));

  it('is told from both sides alike', () => {
    const all = [THIS, outing('x', '12', '18'), outing('y', '14', '15', ['b']), outing('z', '09', '11', ['b'], 'Belt pouch')];
    for (const one of all)
      for (const other of all)
        expect(alsoOn(one, [other]).map((also) => also.itemIds.sort())).toEqual(alsoOn(other, [one]).map((also) => also.itemIds.sort()));
  });
});
