import { only, type Kind } from './kind.js';
import { CAPS_ON, COATING_BY_YEAR, NO_CONTACTS_BEFORE_1980, OPEN_THREAD_BEFORE_1970, RUBBER_FROM_1985 } from './presets.js';
import { lensSection } from './sections/lens.js';

const OFF_THE_CAMERA = ['rear-glass', 'lens-mount', 'mount-gasket', 'contacts', 'rear-cap'] as const;

export const lens: Kind = {
  name: 'lens',
  plural: 'lenses',
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
      line: 'off-the-camera',
      when: ({ on }) => on(...OFF_THE_CAMERA),
    },
    {
      line: 'zoom-at-its-longest',
      when: ({ traits, on }) => !!traits.zoomExtends && on('inner-barrel', 'zoom-ring', 'barrel'),
    },
    {
      line: 'filter-off-in-turn',
      when: ({ traits, on }) => !!traits.filterFitted && !traits.filterStuck && on('filter-back', 'front-glass', 'filter-thread'),
    },
    { line: 'thread-laid-open', when: ({ on }) => on('helicoid') },
    { line: 'hood-off', when: ({ on }) => on('hood-outside', 'hood-inside', 'hood-mount') },
  ],
  close: [
    {
      line: 'filter-back-on',
      when: ({ traits, schools, on }) =>
        schools.filter === 'always' && !traits.filterStuck && on('filter-front', 'filter-back', 'front-glass'),
    },
    {
      line: 'filter-for-harsh-places',
      when: ({ traits, schools, on }) =>
        schools.filter === 'harsh-places' && !!traits.filterFitted && !traits.filterStuck && on('filter-back', 'front-glass'),
    },
    {
      line: 'filter-stays-off',
      when: ({ traits, schools, on }) =>
        schools.filter === 'never' && !!traits.filterFitted && !traits.filterStuck && on('filter-back', 'front-glass'),
    },
    CAPS_ON,
  ],
  looks: {},
  section: lensSection,
};
