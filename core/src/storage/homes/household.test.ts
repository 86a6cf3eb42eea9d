import { describe, expect, it } from 'vitest';
import { ITEM_KINDS } from '../../care/kinds/index.js';
import { PLACE_KINDS } from '../index.js';
import { litresOf, roomOf } from './homeCost.js';
import {
  bestHomes,
  broughtBy,
  homeCost,
  homesOf,
  householdQuestion,
  MORE_PLACES,
  withOneMore,
  type Housed,
  type Household,
  type PlaceClimate,
} from './index.js';

const place = (id: string, kind: PlaceClimate['kind'], meanPct: number | null, more: Partial<PlaceClimate> = {}): PlaceClimate => ({
  id,
  name: id,
  kind,
  volumeL: 300,
  meanPct,
  highPct90: meanPct === null ? null : meanPct + 4,
  level: 'safe',
  disputed: false,
  ...more,
});
const dampShelf = place('shelf', 'shelf', 74, { level: 'act' });
const box = place('box', 'sealed-box', 44);
const cabinet = place('cabinet', 'dry-cabinet', 43);
const bag = place('bag', 'soft-bag', 55);
const thing = (id: string, placeId: string | null, more: Partial<Housed> = {}): Housed => ({
  id,
  kind: 'lens',
  traits: {},
  sick: false,
  placeId,
  daysOutAYear: 0,
  ...more,
});
const housed = (things: Housed[], places: PlaceClimate[], school: Household['school'] = 'by-climate') => {
  const household = { things, places, school };
  return homesOf(household, bestHomes(householdQuestion(household)));
};
const homeOf = (one: Housed, places: PlaceClimate[], school?: Household['school']) => housed([one], places, school).homes.get(one.id)!;

describe('where a thing lives best', () => {
  it('is a controlled place in a damp climate, and never the travel bag', () => {
    expect(homeOf(thing('a', 'shelf'), [dampShelf, box, bag]).placeId).toBe('box');
    expect(homeOf(thing('a', 'bag'), [place('dry shelf', 'shelf', 46), bag]).placeId).toBe('dry shelf');
  });
  it('is where it lies unless another place is clearly better', () => {
    expect(homeOf(thing('a', 'cabinet'), [cabinet, box])).toMatchObject({ placeId: 'cabinet', stays: true });
    expect(homeOf(thing('a', 'shelf'), [dampShelf, box]).stays).toBe(false);
  });
  it('is never a place of which nothing is known, while there is one that was measured dry', () => {
    expect(homeOf(thing('a', 'bag'), [bag, place('new', 'cupboard', null), place('old', 'cupboard', 50)]).placeId).toBe('old');
    expect(homeOf(thing('a', 'shelf'), [place('shelf', 'shelf', 58), place('new', 'dry-cabinet', null)]).placeId).toBe('shelf');
  });
  it('gives a rubbery finish air, keeps leather out of what is too dry for it, and what is taken out often at hand', () => {
    const rubbery = homeOf(thing('a', null, { kind: 'mirrorless-body', traits: { rubberisedCoating: true } }), [box, cabinet]);
    expect(rubbery.placeId).toBe('cabinet');
    expect(rubbery.reasons).toContainEqual({ says: 'wants-air-and-has-it' });
    const [dry, fair] = [place('dry', 'dry-cabinet', 32), place('fair', 'cupboard', 52)];
    const leather = thing('a', 'dry', { kind: 'slr-body', traits: { leatherCovered: true } });
    expect(homeCost(leather, dry, 'by-climate')).toBeGreaterThan(homeCost(thing('b', 'dry'), dry, 'by-climate'));
    expect(homeOf(leather, [place('dry', 'dry-cabinet', 24), fair]).placeId).toBe('fair');
    const [boxed, shelved] = [place('boxed', 'sealed-box', 45), place('shelved', 'shelf', 45)];
    expect(homeOf(thing('a', null), [boxed, shelved]).placeId).toBe('boxed');
    expect(homeOf(thing('a', null, { daysOutAYear: 60 }), [boxed, shelved]).placeId).toBe('shelved');
  });
  it('follows the school where the climate allows both; and is no place where there is none', () => {
    expect(homeOf(thing('a', null), [box, cabinet], 'sealed-box').placeId).toBe('box');
    expect(homeOf(thing('a', null), [])).toEqual({ placeId: null, stays: true, reasons: [] });
  });
});

describe('where everything lives best', () => {
  it('never sends more into a place than it holds: thirty things, one cabinet of 80 L', () => {
    const small = place('small', 'dry-cabinet', 44, { volumeL: 80 });
    const things = Array.from({ length: 30 }, (_, i) => thing(`t${i}`, 'shelf', { kind: ITEM_KINDS[i % ITEM_KINDS.length]! }));
    const { homes, moves } = housed(things, [{ ...dampShelf, volumeL: 500 }, small]);
    const inSmall = things.filter((t) => homes.get(t.id)!.placeId === 'small');
    expect(inSmall.length).toBeGreaterThan(3);
    expect(inSmall.reduce((sum, t) => sum + litresOf(t), 0)).toBeLessThanOrEqual(roomOf(small));
    expect(moves.map((m) => m.thingId).sort()).toEqual(inSmall.map((t) => t.id).sort());
  });
  it('keeps a thing with fungus alone: it leaves the others first, and nobody moves in with it', () => {
    const sick = thing('sick', 'cabinet', { sick: true });
    const well = [thing('b', 'cabinet'), thing('c', 'shelf')];
    const { homes, moves } = housed([sick, ...well], [cabinet, place('spare', 'cupboard', 50), dampShelf]);
    expect(homes.get('sick')).toMatchObject({ placeId: 'spare' });
    expect(homes.get('sick')!.reasons).toContainEqual({ says: 'alone-there' });
    expect(homes.get('c')!.placeId).toBe('cabinet');
    expect(moves.map((m) => m.thingId)).toEqual(['sick', 'c']);
    // Where there is no place of its own, it is set apart outside of them all.
    expect(housed([sick, well[0]!], [cabinet]).moves).toMatchObject([{ thingId: 'sick', toId: null }]);
    for (const other of [sick, thing('sick too', 'shelf', { sick: true })])
      expect(housed([sick, { ...other, id: 'other' }, ...well], [cabinet, dampShelf, box]).homes.get('other')!.placeId).not.toBe(
        housed([sick, { ...other, id: 'other' }, ...well], [cabinet, dampShelf, box]).homes.get('sick')!.placeId,
      );
  });
  it('lets what lies somewhere lie, though it is fuller than it should be', () => {
    const full = { ...cabinet, volumeL: 2 };
    const things = ['a', 'b', 'c'].map((id) => thing(id, 'cabinet'));
    expect(housed(things, [full, bag]).moves).toEqual([]);
    expect(housed([...things, thing('new', 'shelf')], [full, dampShelf]).homes.get('new')!.placeId).toBe('shelf');
  });
  it('moves nothing that is away, and keeps its place for it', () => {
    const small = { ...cabinet, volumeL: (2 * litresOf({ kind: 'lens' })) / 0.6 };
    const { moves, homes } = housed(
      [thing('lent', 'cabinet', { away: true }), thing('a', 'shelf'), thing('b', 'shelf'), thing('at service', 'shelf', { away: true })],
      [small, dampShelf],
    );
    expect(moves.map((m) => m.toId)).toEqual(['cabinet']);
    for (const id of ['lent', 'at service']) expect(homes.get(id)!.stays).toBe(true);
  });
  it('moves one after another, each when there is room for it; in a circle one is put aside', () => {
    const one = { volumeL: litresOf({ kind: 'lens' }) / 0.6 + 0.01 };
    const two = [place('boxed', 'sealed-box', 45, one), place('shelved', 'shelf', 45, one)];
    const { moves } = housed([thing('often', 'boxed', { daysOutAYear: 150 }), thing('seldom', 'shelved')], two);
    expect(moves).toMatchObject([
      { thingId: 'often', toId: 'shelved', aside: true },
      { thingId: 'seldom', toId: 'boxed', aside: false },
    ]);
    const chain = [thing('a', 'shelf'), thing('b', 'dry', { traits: { rubberisedCoating: true } })];
    const places = [
      { ...dampShelf, ...one },
      { ...box, id: 'dry', name: 'dry', ...one },
      { ...cabinet, ...one },
    ];
    const chained = housed(chain, places);
    for (const m of chained.moves) expect(m.aside).toBe(false);
    expect(chained.moves.length).toBeGreaterThan(0);
  });
  it('is worth one more place where there is too little room, and is not where all is well', () => {
    const things = Array.from({ length: 12 }, (_, i) => thing(`t${i}`, 'shelf'));
    const damp = { things, places: [dampShelf], school: 'by-climate' as const };
    const well = { ...damp, places: [place('shelf', 'cupboard', 45)] };
    for (const more of MORE_PLACES) {
      const [before, after] = [damp, withOneMore(damp, more)].map((h) => bestHomes(householdQuestion(h))) as [never, never];
      expect(broughtBy(more, damp, before, after)).toBeGreaterThan(5);
      // Nobody buys a cabinet for the one thing that is to be set apart.
      const sick = { ...well, things: [...things, thing('sick', 'shelf', { sick: true })] };
      const [apart, boxed] = [sick, withOneMore(sick, more)].map((h) => bestHomes(householdQuestion(h))) as [never, never];
      expect(broughtBy(more, sick, apart, boxed)).toBeNull();
      // Nor on the word of no hygrometer at all.
      const unknown = { ...well, places: [place('shelf', 'shelf', null)] };
      const [blind, bought] = [unknown, withOneMore(unknown, more)].map((h) => bestHomes(householdQuestion(h))) as [never, never];
      expect(broughtBy(more, unknown, blind, bought)).toBeNull();
      // Nor on the word of one of two that disagree.
      const disputed = { ...damp, places: [{ ...dampShelf, disputed: true }] };
      expect(broughtBy(more, disputed, before, after)).toBeNull();
      const [as, with1] = [well, withOneMore(well, more)].map((h) => bestHomes(householdQuestion(h))) as [never, never];
      expect(broughtBy(more, well, as, with1)).toBeNull();
    }
  });
  it('is answered for every kind of thing and of place', () => {
    const things = ITEM_KINDS.map((kind) => thing(kind, null, { kind }));
    const places = PLACE_KINDS.map((kind) => place(kind, kind, 50, { volumeL: 1000 }));
    const { homes } = housed(things, places);
    for (const kind of ITEM_KINDS) expect(['soft-bag', 'hard-case', null]).not.toContain(homes.get(kind)!.placeId);
  });
});
