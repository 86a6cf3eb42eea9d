import type { Kind } from './kind.js';
import { CASE } from './parts.js';
import { WASH_FACE } from './presets.js';
import { loupeSection } from './sections/viewfinderLoupe.js';

export const viewfinderLoupe: Kind = {
  name: 'viewfinder loupe',
  plural: 'viewfinder loupes',
  lookedThrough: true,
  presets: [],
  surfaces: ['field-lens', 'eye-lens', 'barrel', 'eyecup', ...CASE],
  acrossMm: { 'field-lens': 36, 'eye-lens': 30 },
  litres: 0.5,
  before: [],
  opening: { by: 'owner', rings: { 'front-group': 'field-lens', 'rear-group': 'eye-lens' } },
  prepare: [WASH_FACE],
  close: [{ line: 'into-its-case', when: () => true }],
  looks: {},
  section: loupeSection,
};
