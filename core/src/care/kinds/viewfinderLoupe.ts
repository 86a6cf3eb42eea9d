import type { Kind } from './kind.js';
import { WASH_FACE } from './presets.js';
import { loupeSection } from './sections/viewfinderLoupe.js';

export const viewfinderLoupe: Kind = {
  name: 'viewfinder loupe',
  plural: 'viewfinder loupes',
  defaults: { coating: 'multi', opticMaterial: 'glass', value: null },
  presets: [],
  surfaces: ['field-lens', 'eye-lens', 'barrel', 'eyecup', 'case'],
  acrossMm: { 'field-lens': 36, 'eye-lens': 30 },
  litres: 0.5,
  before: [],
  opening: { by: 'owner', rings: { 'front-group': 'field-lens', 'rear-group': 'eye-lens' } },
  prepare: [WASH_FACE],
  close: [{ line: 'into-its-case', when: () => true }],
  rhythms: ['light-test'],
  looks: {},
  section: loupeSection,
};
