import { describe, expect, it } from 'vitest';
import { TRAITS, type TraitId, type Traits } from '../knowledge/traits.js';
import {
  capsOf,
  checkKind,
  defaultsOf,
  hasSurface,
  ITEM_KINDS,
  kindFacts,
  presetsFor,
  retrait,
  sectionOf,
  surfacesOf,
  traitsOf,
  withDefaults,
  type Kind,
} from './index.js';
import { SURFACE_IDS } from '../knowledge/surfaces.js';
import { BEFORE } from '../knowledge/order.js';

const PAIRS = ITEM_KINDS.flatMap((from) => ITEM_KINDS.filter((to) => to !== from).map((to) => [from, to] as const));

describe('a kind of thing', () => {
  it.each(ITEM_KINDS)('%s is whole: sizes, rings, relations, presets, and every surface drawn once', (kind) => {
    expect(checkKind(kindFacts(kind), defaultsOf(kind))).toEqual([]);
  });

  it.each(ITEM_KINDS)('%s keeps every label inside its drawing', (kind) => {
    const { width, height, regions } = sectionOf(kind, {});
    for (const { at, surface } of regions) {
      expect(at[0] > 0 && at[0] < width, surface).toBe(true);
      expect(at[1] > 0 && at[1] < height, surface).toBe(true);
    }
  });

  it.each(ITEM_KINDS)('%s has each of its surfaces, whichever are asked for one by one, and a case is no cap', (kind) => {
    for (const traits of [{}, ...Object.keys(TRAITS).map((t) => ({ [t]: true })), { digital: false }]) {
      const own = surfacesOf(kind, traits);
      expect(SURFACE_IDS.filter((s) => hasSurface(kind, traits, s)).sort()).toEqual([...own].sort());
      for (const cap of capsOf(kind, traits)) expect(own).toContain(cap);
    }
    expect(capsOf(kind)).not.toContain('case');
  });

  it.each(ITEM_KINDS)('%s has no surface that stands outside the working order', (kind) => {
    const own = surfacesOf(kind, {});
    const related = new Set(BEFORE.flatMap((r) => [...r]));
    for (const surface of own) if (surface !== 'inner-glass' && surface !== 'aperture-blades') expect(related, surface).toContain(surface);
  });

  it.each<[string, Partial<Kind>, RegExp]>([
    ['a face without a size', { acrossMm: {} }, /acrossMm lacks front-glass/],
    [
      'a ring that lays bare nothing',
      { opening: { by: 'owner', rings: { 'front-group': 'objective', 'rear-group': 'rear-glass' } } },
      /lays bare objective/,
    ],
    ['a surface nobody draws', { surfaces: [...kindFacts('lens').surfaces, 'strap-lugs'] }, /draws strap-lugs not at all/],
    ['a preset of a trait it does not have', { presets: kindFacts('compact').presets }, /a preset sets digital/],
    ['a relation to a stranger', { before: [['screen', 'barrel']] }, /before names screen/],
    ['no name', { name: '' }, /name/],
  ])('with %s is named as broken', (_, change, fault) => {
    expect(checkKind({ ...kindFacts('lens'), ...change }, defaultsOf('lens')).join('\n')).toMatch(fault);
  });
});

/** What kind and year tell: common practice. */
describe('the traits one did not touch', () => {
  it.each([
    ['lens', 1938, { coating: 'none', electronicContacts: false, helicoidExposed: true, rubberisedCoating: false }],
    ['lens', 1962, { coating: 'single', electronicContacts: false, helicoidExposed: true }],
    ['lens', 1975, { coating: 'multi', electronicContacts: false, helicoidExposed: false }],
    ['lens', 1996, { electronicContacts: true, rubberisedCoating: true }],
    ['slr-body', 1954, { digital: false, electronicContacts: false, rubberisedCoating: false }],
    ['slr-body', 1990, { digital: false, electronicContacts: true, rubberisedCoating: true }],
    ['slr-body', 2008, { digital: true }],
    ['mirrorless-body', 1956, { digital: false, weatherSealed: false }],
    ['compact', 1988, { digital: false }],
    ['binocular', 1960, { rubberisedCoating: false, coating: 'single' }],
    ['eyepiece', 1950, { coating: 'single' }],
  ] as const)('of a %s of %i are as was usual then', (kind, yearMade, expected) => {
    expect(withDefaults(kind, { yearMade })).toMatchObject(expected);
  });

  it('give way to what was said', () => {
    expect(withDefaults('lens', { yearMade: 1938, coating: 'multi' }).coating).toBe('multi');
    expect(withDefaults('port', {}).opticMaterial).toBe('acrylic');
  });

  it('follow one another: a collapsible lens has an open thread', () => {
    expect(withDefaults('lens', { collapsible: true }).helicoidExposed).toBe(true);
  });

  it('take a film body’s sensor, screen and card away', () => {
    for (const kind of ['slr-body', 'mirrorless-body', 'compact'] as const) {
      const own = surfacesOf(kind, { yearMade: 1985 });
      for (const gone of ['sensor-cover', 'screen', 'card-bay'] as const) expect(own, `${kind} ${gone}`).not.toContain(gone);
    }
  });

  it('each say why, and only where they hold', () => {
    for (const kind of ITEM_KINDS)
      for (const { why, trait } of kindFacts(kind).presets) expect(why.length, `${kind} ${trait}`).toBeGreaterThan(10);
    expect(presetsFor('lens', { yearMade: 2015 }).map((p) => p.trait)).toEqual(['rubberisedCoating']);
  });
});

describe('a changed form', () => {
  it.each(PAIRS)('that goes from %s to %s keeps nothing of the old design', (from, to) => {
    const own = (traits: Traits) => Object.fromEntries(Object.entries(traits).filter(([t]) => traitsOf(from).includes(t as TraitId)));
    const old = withDefaults(from, own({ yearMade: 1960, value: 120 }));
    const flipped = Object.fromEntries(Object.entries(old).map(([t, v]) => [t, typeof v === 'boolean' ? !v : v]));
    const next = retrait(from, flipped, { kind: to });
    const year = traitsOf(from).includes('yearMade') && traitsOf(to).includes('yearMade') ? { yearMade: 1960 } : {};
    const value = traitsOf(from).includes('value') && traitsOf(to).includes('value') ? { value: 120 } : {};
    expect(next).toEqual(withDefaults(to, { ...year, ...value }));
    expect(Object.keys(next).sort()).toEqual([...traitsOf(to)].sort());
  });

  it('never plans an acrylic port as glass, whatever it was before', () => {
    for (const from of ITEM_KINDS.filter((k) => k !== 'port'))
      expect(retrait(from, withDefaults(from, {}), { kind: 'port' }).opticMaterial, from).toBe('acrylic');
    expect(retrait('port', withDefaults('port', {}), { kind: 'lens' }).opticMaterial).toBe('glass');
  });

  it('moves what still stands as preset when the year is told, and leaves what was set by hand', () => {
    const form = { ...withDefaults('lens', {}), rubberisedCoating: true };
    const old = retrait('lens', form, { trait: 'yearMade', value: 1958 });
    expect(old).toMatchObject({ yearMade: 1958, coating: 'single', electronicContacts: false, rubberisedCoating: true });
    expect(retrait('lens', old, { trait: 'yearMade', value: 2010 })).toMatchObject({ coating: 'multi', electronicContacts: true });
  });

  it('goes back with a choice that is taken back: a port said to be glass, then acrylic again', () => {
    const glass = retrait('port', withDefaults('port', {}), { trait: 'opticMaterial', value: 'glass' });
    expect(glass.coating).toBe('multi');
    expect(retrait('port', glass, { trait: 'opticMaterial', value: 'acrylic' })).toEqual(withDefaults('port', {}));
  });

  it('asks of each kind only traits that are known', () => {
    for (const kind of ITEM_KINDS) for (const trait of traitsOf(kind)) expect(TRAITS, trait).toHaveProperty(trait);
  });
});
