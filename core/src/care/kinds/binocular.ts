import { only, type Kind } from './kind.js';
import { CAPS_ON, COATING_BY_YEAR, NO_RUBBER_BEFORE_1985, NOT_SEALED_BEFORE_1985, WASH_FACE } from './presets.js';
import { binocularSection } from './sections/binocular.js';

export const binocular: Kind = {
  name: 'binocular',
  plural: 'binoculars',
  defaults: {
    yearMade: null,
    coating: 'multi',
    makerForbidsFluids: false,
    frontMm: null,
    weatherSealed: true,
    rubberisedCoating: true,
    value: null,
    servicePrice: null,
  },
  presets: [...COATING_BY_YEAR, NO_RUBBER_BEFORE_1985, NOT_SEALED_BEFORE_1985],
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
  acrossMm: { objective: 42, 'eye-lens': 22 },
  litres: 2,
  before: [],
  // Its two halves were set parallel on a bench; an objective that was turned has to be set again.
  opening: { by: 'workshop', bar: 'centred-front' },
  prepare: [WASH_FACE, { line: 'eyecups-down', when: ({ on }) => on('eye-lens') }],
  close: [CAPS_ON],
  rhythms: ['light-test', 'exercise'],
  looks: {},
  section: binocularSection,
};
