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
      only('sticky-coating', (t) => !!t.rubberisedCoating),
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
  'slr-body': {
    name: 'SLR body',
    plural: 'SLR bodies',
    defaults: {
      yearMade: null,
      digital: true,
      weatherSealed: false,
      electronicContacts: true,
      rubberisedCoating: true,
      paintedLettering: true,
      popupFlash: false,
      sensorFormat: 'full-frame',
      sensorStabilised: false,
      sensorCleaningMode: true,
      value: null,
      servicePrice: null,
    },
    surfaces: [
      'reflex-mirror',
      'focusing-screen',
      only('sensor-cover', (t) => !!t.digital),
      'viewfinder-window',
      'body-cap',
      'body-mount',
      only('mount-gasket', (t) => !!t.weatherSealed),
      'mirror-box',
      only('contacts', (t) => !!t.electronicContacts),
      'release-button',
      'body-shell',
      'grip-rubber',
      only('sticky-coating', (t) => !!t.rubberisedCoating),
      'dials',
      'hot-shoe',
      only('popup-flash', (t) => !!t.popupFlash),
      'strap-lugs',
      only('port-covers', (t) => !!t.digital),
      only('screen', (t) => !!t.digital),
      'eyecup',
      'battery-bay',
      'battery-contacts',
      only('card-bay', (t) => !!t.digital),
    ],
  },
  compact: {
    name: 'compact camera',
    plural: 'compact cameras',
    defaults: {
      yearMade: null,
      collapsible: true,
      viewfinder: false,
      popupFlash: true,
      rubberisedCoating: false,
      paintedLettering: true,
      weatherSealed: false,
      value: null,
      servicePrice: null,
    },
    surfaces: [
      'front-glass',
      'inner-glass',
      only('viewfinder-window', (t) => !!t.viewfinder),
      only('inner-barrel', (t) => !!t.collapsible),
      'body-shell',
      'grip-rubber',
      only('sticky-coating', (t) => !!t.rubberisedCoating),
      'dials',
      only('popup-flash', (t) => !!t.popupFlash),
      'strap-lugs',
      'port-covers',
      'screen',
      'battery-bay',
      'battery-contacts',
      'card-bay',
    ],
  },
  phone: {
    name: 'phone',
    plural: 'phones',
    defaults: { coated: true, weatherSealed: true },
    surfaces: ['phone-lens', 'screen', 'body-shell', 'port-covers', 'case'],
  },
  teleconverter: {
    name: 'teleconverter',
    plural: 'teleconverters',
    defaults: {
      yearMade: null,
      coated: true,
      makerForbidsFluids: false,
      weatherSealed: false,
      electronicContacts: true,
      paintedLettering: true,
      value: null,
      servicePrice: null,
    },
    surfaces: [
      'front-glass',
      'inner-glass',
      'rear-glass',
      'front-cap',
      'body-mount',
      'barrel',
      only('mount-gasket', (t) => !!t.weatherSealed),
      'lens-mount',
      only('contacts', (t) => !!t.electronicContacts),
      'rear-cap',
    ],
  },
  eyepiece: {
    name: 'eyepiece',
    plural: 'eyepieces',
    defaults: { yearMade: null, coated: true, makerForbidsFluids: false, paintedLettering: true, value: null },
    surfaces: ['field-lens', 'inner-glass', 'eye-lens', 'rear-cap', 'barrel', 'eyecup', 'front-cap'],
  },
  binocular: {
    name: 'binocular',
    plural: 'binoculars',
    defaults: {
      yearMade: null,
      coated: true,
      makerForbidsFluids: false,
      weatherSealed: true,
      rubberisedCoating: true,
      value: null,
      servicePrice: null,
    },
    surfaces: [
      'objective',
      'inner-glass',
      'eye-lens',
      'front-cap',
      'body-shell',
      only('sticky-coating', (t) => !!t.rubberisedCoating),
      'focus-ring',
      'strap-lugs',
      'eyecup',
      'rear-cap',
      'case',
    ],
  },
  refractor: {
    name: 'telescope with a glass front',
    plural: 'telescopes with a glass front',
    defaults: {
      yearMade: null,
      coated: true,
      makerForbidsFluids: false,
      correctorFront: false,
      hoodFitted: true,
      paintedLettering: true,
      value: null,
      servicePrice: null,
    },
    surfaces: [
      only('objective', (t) => !t.correctorFront),
      only('corrector', (t) => !!t.correctorFront),
      only('secondary-mirror', (t) => !!t.correctorFront),
      only('primary-mirror', (t) => !!t.correctorFront),
      only('inner-glass', (t) => !t.correctorFront),
      'front-cap',
      only('hood-outside', (t) => !!t.hoodFitted),
      only('hood-inside', (t) => !!t.hoodFitted),
      'barrel',
      'focus-ring',
      'rear-cap',
    ],
  },
  reflector: {
    name: 'mirror telescope',
    plural: 'mirror telescopes',
    defaults: { yearMade: null, paintedLettering: true, value: null, servicePrice: null },
    surfaces: ['primary-mirror', 'secondary-mirror', 'front-cap', 'barrel', 'focus-ring', 'rear-cap'],
  },
  port: {
    name: 'underwater port',
    plural: 'underwater ports',
    defaults: { opticMaterial: 'acrylic', coated: false, makerForbidsFluids: false, domed: true, value: null, servicePrice: null },
    surfaces: ['port-outside', 'port-inside', 'o-ring', 'barrel', 'case'],
  },
  'viewfinder-loupe': {
    name: 'viewfinder loupe',
    plural: 'viewfinder loupes',
    defaults: { coated: true, opticMaterial: 'glass', value: null },
    surfaces: ['field-lens', 'eye-lens', 'barrel', 'eyecup', 'case'],
  },
  accessory: {
    name: 'accessory',
    plural: 'accessories',
    defaults: { electronicContacts: false, rubberisedCoating: false, paintedLettering: true, value: null },
    surfaces: ['body-shell', only('sticky-coating', (t) => !!t.rubberisedCoating), only('contacts', (t) => !!t.electronicContacts), 'case'],
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
