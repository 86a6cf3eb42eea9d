import type { Kind } from './kind.js';
import { CAPS_ON } from './presets.js';
import { reflectorSection } from './sections/reflector.js';

export const reflector: Kind = {
  name: 'mirror telescope',
  plural: 'mirror telescopes',
  lookedThrough: true,
  presets: [],
  surfaces: ['primary-mirror', 'secondary-mirror', 'front-cap', 'barrel', 'focus-ring', 'rear-cap'],
  acrossMm: {},
  litres: 60,
  before: [['secondary-mirror', 'primary-mirror']],
  opening: { by: 'workshop', bar: 'nothing-behind-a-ring' },
  prepare: [{ line: 'both-ends-capped', when: () => true }],
  close: [CAPS_ON],
  looks: {},
  section: reflectorSection,
};
