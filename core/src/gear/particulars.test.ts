import { describe, expect, it } from 'vitest';
import { ITEM_KINDS } from '../care/kinds/index.js';
import { TRAITS } from '../care/index.js';
import {
  checkParticular,
  hasTag,
  ofKind,
  PARTICULAR_GROUPS,
  PARTICULAR_IDS,
  particularFacts,
  particularsOf,
  sameSerial,
  PARTICULARS,
  sharedWithTheNext,
  tagged,
  wordsTold,
  type ParticularFacts,
  type Particulars,
} from './particulars.js';

describe('what an inventory holds', () => {
  it.each(PARTICULAR_IDS)('is whole: %s', (id) => expect(checkParticular(id, particularFacts(id))).toEqual([]));

  it('asks nothing that the care of a thing asks already', () => {
    const asked = Object.values(TRAITS).map((facts: { name: string }) => facts.name.toLowerCase());
    expect(PARTICULAR_IDS.filter((id) => asked.includes(particularFacts(id).name.toLowerCase()) || id in TRAITS)).toEqual([]);
  });

  it('has a name of its own for each, and each stands under a heading', () => {
    const names = PARTICULAR_IDS.map((id) => particularFacts(id).name.toLowerCase());
    expect(new Set(names).size).toBe(names.length);
    expect(new Set(PARTICULAR_IDS.map((id) => particularFacts(id).group))).toEqual(new Set(PARTICULAR_GROUPS));
  });

  it.each<[string, Partial<ParticularFacts>, RegExp]>([
    ['no name', { name: '' }, /wants a name/],
    ['a hint that is no sentence', { hint: 'so that' }, /no sentence/],
    ['no kind', { of: [] }, /names no kind/],
    ['no length', { longest: 0 }, /greatest length/],
  ])('refuses one with %s', (_, wrong, words) => {
    const whole: ParticularFacts = { name: 'A', group: 'identity', input: 'text', longest: 5, of: 'every-kind' };
    expect(checkParticular('a', { ...whole, ...wrong } as ParticularFacts).join()).toMatch(words);
  });
  it('refuses a range that is none, and a choice of one', () => {
    const told = { name: 'A', group: 'fit', of: 'every-kind' } as const;
    expect(checkParticular('a', { ...told, input: 'number', min: 2, max: 2, unit: '' })).toHaveLength(1);
    expect(checkParticular('a', { ...told, input: 'choice', choices: ['x', 'x'] })).toHaveLength(1);
  });

  it('asks a body for the mount it takes, a lens for the one it goes on, a converter for both, a filter for none', () => {
    const mounts = (kind: (typeof ITEM_KINDS)[number]) => particularsOf(kind).filter((p) => p === 'mount' || p === 'takesMount');
    expect(mounts('slr-body')).toEqual(['takesMount']);
    expect(mounts('lens')).toEqual(['mount']);
    expect(mounts('teleconverter')).toEqual(['mount', 'takesMount']);
    expect(mounts('filter')).toEqual([]);
  });

  it('keeps of a corrected kind what the other has as well, whatever kinds they are', () => {
    const every: Particulars = Object.fromEntries(PARTICULAR_IDS.map((id) => [id, 'x']));
    for (const from of ITEM_KINDS)
      for (const to of ITEM_KINDS) {
        const kept = ofKind(to, ofKind(from, every));
        expect(Object.keys(kept)).toEqual(particularsOf(to).filter((id) => particularsOf(from).includes(id)));
      }
  });

  it('gives the next of its kind all but what is of one thing alone', () => {
    expect(
      sharedWithTheNext({ maker: 'Corvane', serial: '4711', threadMm: 52, paid: 90, warrantyUntil: '2027-01-01', tags: ['kit'] }),
    ).toEqual({ maker: 'Corvane', threadMm: 52, tags: ['kit'] });
  });

  it('is tagged and untagged without doubling, in whatever letters, and never beyond its room', () => {
    expect(tagged({ tags: ['Kit'] }, 'kit', true)).toEqual({ tags: ['Kit'] });
    expect(tagged({ maker: 'A' }, 'kit', true)).toEqual({ maker: 'A', tags: ['kit'] });
    expect(tagged({ maker: 'A', tags: ['Kit'] }, 'kit', false)).toEqual({ maker: 'A' });
    expect(tagged({ tags: ['a', 'b'] }, 'a', false)).toEqual({ tags: ['b'] });
    expect(tagged({ tags: ['a'] }, 'b', false)).toEqual({ tags: ['a'] });
    const full = { tags: Array.from({ length: PARTICULARS.tags.most }, (_, i) => `t${i}`) };
    expect(tagged(full, 'one more', true)).toBe(full);
  });

  it('tells in words what is searched for in words, and nothing that is measured or paid', () => {
    expect(wordsTold({ maker: 'Corvane', tags: ['kit', 'old'], massG: 150, condition: 'used', boughtFrom: 'A fair' })).toEqual([
      'Corvane',
      'kit',
      'old',
      'A fair',
    ]);
    expect(wordsTold({})).toEqual([]);
    expect([hasTag({ tags: ['Kit'] }, 'kIT'), hasTag({ tags: ['Kit'] }, 'ki'), hasTag({}, 'kit')]).toEqual([true, false, false]);
  });

  it('tells serials apart by their letters and digits only', () => {
    expect(sameSerial('ab 12-345')).toBe(sameSerial('AB12345'));
    expect(sameSerial('AB12346')).not.toBe(sameSerial('AB12345'));
    expect(sameSerial(' - ')).toBe('');
    expect(sameSerial(undefined)).toBe('');
  });
});
