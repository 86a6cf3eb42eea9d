import type { Kind } from './kind.js';
import { CAPS_ON, COATING_BY_YEAR, WASH_FACE } from './presets.js';
import { eyepieceSection } from './sections/eyepiece.js';

/** Light enters at the field lens and leaves at the eye. */
export const eyepiece: Kind = {
  name: 'eyepiece',
  plural: 'eyepieces',
  lookedThrough: true,
  presets: COATING_BY_YEAR,
  surfaces: ['field-lens', 'inner-glass', 'eye-lens', 'rear-cap', 'barrel', 'eyecup', 'front-cap'],
  acrossMm: { 'field-lens': 28, 'eye-lens': 24 },
  litres: 0.3,
  before: [],
  opening: { by: 'owner', rings: { 'front-group': 'field-lens', 'rear-group': 'eye-lens' } },
  prepare: [WASH_FACE, { line: 'eyecup-off', when: ({ on }) => on('eyecup') }],
  close: [CAPS_ON],
  looks: {},
  section: eyepieceSection,
};
