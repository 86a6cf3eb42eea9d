import { only, type Kind } from './kind.js';
import { CASE } from './parts.js';
import { CAPS_ON, COATING_BY_YEAR, NO_RUBBER_BEFORE_1985, NOT_SEALED_BEFORE_1985, WASH_FACE } from './presets.js';
import { binocularSection } from './sections/binocular.js';

export const binocular: Kind = {
  name: 'binocular',
  plural: 'binoculars',
  lookedThrough: true,
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
    ...CASE,
  ],
  acrossMm: { objective: 42, 'eye-lens': 22 },
  litres: 2,
  before: [],
  // Its two halves were set parallel on a bench; an objective that was turned has to be set again.
  opening: { by: 'workshop', bar: 'centred-front' },
  prepare: [WASH_FACE, { line: 'eyecups-down', outdoors: true, when: ({ on }) => on('eye-lens') }],
  close: [CAPS_ON],
  looks: {},
  section: binocularSection,
};
