import { only, type Kind } from './kind.js';
import { CAPS_ON, COATING_BY_YEAR, NO_CONTACTS_BEFORE_1980, OPEN_THREAD_BEFORE_1970, RUBBER_FROM_1985 } from './presets.js';
import { lensSection } from './sections/lens.js';

const OFF_THE_CAMERA = ['rear-glass', 'lens-mount', 'mount-gasket', 'contacts', 'rear-cap'] as const;

export const lens: Kind = {
  name: 'lens',
  plural: 'lenses',
  defaults: {
    yearMade: null,
    coating: 'multi',
    makerForbidsFluids: false,
    opticMaterial: 'glass',
    frontMm: null,
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
  presets: [...COATING_BY_YEAR, NO_CONTACTS_BEFORE_1980, OPEN_THREAD_BEFORE_1970, RUBBER_FROM_1985],
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
    only('sticky-coating', (t) => !!t.rubberisedCoating),
    only('inner-barrel', (t) => !!t.zoomExtends || !!t.collapsible),
    only('zoom-ring', (t) => !!t.zoomExtends),
    'focus-ring',
    'helicoid',
    only('mount-gasket', (t) => !!t.weatherSealed),
    'lens-mount',
    only('contacts', (t) => !!t.electronicContacts),
    'rear-cap',
  ],
  acrossMm: { 'filter-front': 67, 'filter-back': 67, 'front-glass': 62, 'rear-glass': 35 },
  litres: 1.5,
  before: [],
  opening: { by: 'owner', rings: { 'front-group': 'front-glass', 'rear-group': 'rear-glass' } },
  prepare: [
    {
      say: 'Clean the body cap, then take the lens off over the table and cap the body. Never stand the lens on its rear element.',
      when: ({ on }) => on(...OFF_THE_CAMERA),
    },
    {
      say: 'Set the zoom where it is longest; for some that is the wide end.',
      when: ({ traits, on }) => !!traits.zoomExtends && on('inner-barrel', 'zoom-ring', 'barrel'),
    },
    {
      say: 'Unscrew the filter when its turn comes; it lies face up on a clean cloth.',
      when: ({ traits, on }) => !!traits.filterFitted && !traits.filterStuck && on('filter-back', 'front-glass', 'filter-thread'),
    },
    { say: 'Draw the lens out to its nearest focus, so that the thread lies open.', when: ({ on }) => on('helicoid') },
    { say: 'Hood off; it is done by itself, before the glass.', when: ({ on }) => on('hood-outside', 'hood-inside', 'hood-mount') },
  ],
  close: [
    {
      say: 'A checked, clean filter goes back on.',
      when: ({ traits, schools, on }) =>
        schools.filter === 'always' && !traits.filterStuck && on('filter-front', 'filter-back', 'front-glass'),
    },
    {
      say: 'The filter goes back on before sand, spray or a crowd; otherwise it may stay off.',
      when: ({ traits, schools, on }) =>
        schools.filter === 'harsh-places' && !!traits.filterFitted && !traits.filterStuck && on('filter-back', 'front-glass'),
    },
    {
      say: 'Your school leaves the filter off: keep it in its case.',
      when: ({ traits, schools, on }) =>
        schools.filter === 'never' && !!traits.filterFitted && !traits.filterStuck && on('filter-back', 'front-glass'),
    },
    CAPS_ON,
  ],
  rhythms: ['light-test', 'exercise'],
  looks: {},
  section: lensSection,
};
