import type { Kind } from './kind.js';
import { CASE } from './parts.js';
import { filterSection } from './sections/filter.js';

export const filter: Kind = {
  name: 'filter',
  plural: 'filters',
  presets: [],
  surfaces: ['filter-front', 'filter-back', 'filter-thread', ...CASE],
  acrossMm: { 'filter-front': 67, 'filter-back': 67 },
  litres: 0.15,
  before: [],
  opening: { by: 'workshop', bar: 'nothing-behind-a-ring' },
  prepare: [],
  close: [{ line: 'blow-out-the-case', when: () => true }],
  looks: {},
  section: filterSection,
};
