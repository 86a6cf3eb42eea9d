import { only, type Kind } from './kind.js';
import { CAPS_ON, COATING_BY_YEAR } from './presets.js';
import { refractorSection } from './sections/refractor.js';

export const refractor: Kind = {
  name: 'telescope with a glass front',
  plural: 'telescopes with a glass front',
  lookedThrough: true,
  presets: COATING_BY_YEAR,
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
  acrossMm: { objective: 80, corrector: 200 },
  litres: 15,
  before: [
    ['corrector', 'secondary-mirror'],
    ['secondary-mirror', 'primary-mirror'],
  ],
  opening: { by: 'workshop', bar: 'centred-front' },
  prepare: [
    {
      line: 'tube-level',
      when: ({ on }) => on('objective', 'corrector'),
    },
  ],
  close: [CAPS_ON],
  looks: {},
  section: refractorSection,
};
