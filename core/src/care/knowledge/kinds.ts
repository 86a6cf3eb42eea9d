import type { Surface } from './surfaces.js';
import type { TraitId, Traits } from './traits.js';

/**
 * A kind of thing: the traits that matter for it with their defaults, and its surfaces in the order light
 * meets them, then the shell from front to back. A surface with `when` is there only with that trait.
 */
export type KindFacts = {
  name: string;
  plural: string;
  defaults: Traits;
  surfaces: readonly (Surface | { surface: Surface; when: (traits: Traits) => boolean })[];
};

const only = (surface: Surface, when: (traits: Traits) => boolean) => ({ surface, when });

export const KINDS = {
  lens: {
    name: 'lens',
    plural: 'lenses',
    defaults: {
      yearMade: null,
      coated: true,
      makerForbidsFluids: false,
      opticMaterial: 'glass',
      weatherSealed: false,
      zoomExtends: false,
      collapsible: false,
      helicoidExposed: false,
      electronicContacts: true,
      rubberisedCoating: false,
      paintedLettering: true,
      hoodFitted: true,
      filterFitted: false,
      filterStuck: false,
      radioactiveGlass: false,
      value: null,
      servicePrice: null,
    },
    surfaces: [
      only('filter-front', (t) => !!t.filterFitted),
      only('filter-back', (t) => !!t.filterFitted),
      'front-glass',
      'inner-glass',
      'aperture-blades',
      'rear-glass',
      'front-cap',
      only('hood-outside', (t) => !!t.hoodFitted),
      only('hood-inside', (t) => !!t.hoodFitted),
      only('hood-mount', (t) => !!t.hoodFitted),
      'filter-thread',
      'barrel',
      only('inner-barrel', (t) => !!t.zoomExtends || !!t.collapsible),
      only('zoom-ring', (t) => !!t.zoomExtends),
      'focus-ring',
      'helicoid',
      only('mount-gasket', (t) => !!t.weatherSealed),
      'lens-mount',
      only('contacts', (t) => !!t.electronicContacts),
      'rear-cap',
    ],
  },
  filter: {
    name: 'filter',
    plural: 'filters',
    defaults: { coated: true, makerForbidsFluids: false, opticMaterial: 'glass', value: null },
    surfaces: ['filter-front', 'filter-back', 'filter-thread', 'case'],
  },
  'mirrorless-body': {
    name: 'mirrorless body',
    plural: 'mirrorless bodies',
    defaults: {
      yearMade: null,
      weatherSealed: true,
      electronicContacts: true,
      rubberisedCoating: true,
      paintedLettering: true,
      sensorFormat: 'full-frame',
      sensorStabilised: true,
      sensorCleaningMode: true,
      viewfinder: true,
      value: null,
      servicePrice: null,
    },
    surfaces: [
      'sensor-cover',
      only('viewfinder-window', (t) => !!t.viewfinder),
      'body-cap',
      'body-mount',
      only('mount-gasket', (t) => !!t.weatherSealed),
      'mount-wall',
      only('contacts', (t) => !!t.electronicContacts),
      'release-button',
      'body-shell',
      'grip-rubber',
      'dials',
      'hot-shoe',
      'strap-lugs',
      'port-covers',
      'screen',
      only('eyecup', (t) => !!t.viewfinder),
      'battery-bay',
      'battery-contacts',
      'card-bay',
    ],
  },
} as const satisfies Record<string, KindFacts>;

export type ItemKind = keyof typeof KINDS;
export const ITEM_KINDS = Object.keys(KINDS) as ItemKind[];
export const kindFacts = (kind: ItemKind): KindFacts => KINDS[kind];

/** The traits that change advice for a kind, in the order they are asked. */
export const traitsOf = (kind: ItemKind): TraitId[] => Object.keys(KINDS[kind].defaults) as TraitId[];

/** The given traits over the defaults of the kind. */
export const withDefaults = (kind: ItemKind, traits: Traits): Traits => ({ ...KINDS[kind].defaults, ...traits });

/** The surfaces a thing of this kind with these traits has, light path first, then the shell. */
export function surfacesOf(kind: ItemKind, traits: Traits = {}): Surface[] {
  const all = withDefaults(kind, traits);
  return kindFacts(kind).surfaces.flatMap((entry) => {
    if (typeof entry === 'string') return [entry];
    return entry.when(all) ? [entry.surface] : [];
  });
}
