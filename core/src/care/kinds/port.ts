import type { Kind } from './kind.js';
import { portSection } from './sections/port.js';

export const port: Kind = {
  name: 'underwater port',
  plural: 'underwater ports',
  presets: [
    { trait: 'coating', value: 'multi', when: (t) => t.opticMaterial === 'glass', why: 'Glass ports are coated; acrylic ones seldom are.' },
  ],
  surfaces: ['port-outside', 'port-inside', 'o-ring', 'barrel', 'case'],
  acrossMm: { 'port-outside': 120, 'port-inside': 110 },
  litres: 6,
  before: [
    ['barrel', 'o-ring'],
    ['o-ring', 'port-inside'],
    ['port-outside', 'port-inside'],
  ],
  opening: { by: 'workshop', bar: 'nothing-behind-a-ring' },
  prepare: [
    { line: 'rinse-and-dry', when: ({ on }) => on('port-outside', 'o-ring', 'barrel') },
    { line: 'glass-or-acrylic', when: ({ wet, on }) => wet && on('port-outside', 'port-inside') },
  ],
  close: [
    { line: 'look-at-the-lens-behind', when: ({ on }) => on('port-outside', 'port-inside') },
    { line: 'o-ring-back', when: ({ on }) => on('o-ring') },
    { line: 'into-its-case', when: () => true },
  ],
  looks: {},
  section: portSection,
};
