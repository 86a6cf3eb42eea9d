import type { Kind } from './kind.js';
import { phoneSection } from './sections/phone.js';

export const phone: Kind = {
  name: 'phone',
  plural: 'phones',
  presets: [],
  surfaces: ['phone-lens', 'screen', 'body-shell', 'port-covers', 'case'],
  acrossMm: { 'phone-lens': 10 },
  litres: 0.3,
  before: [],
  opening: { by: 'workshop', bar: 'lithium-inside' },
  prepare: [
    { line: 'out-of-its-case', when: ({ on }) => on('screen', 'body-shell', 'case') },
    { line: 'nothing-wet-near-openings', when: ({ wet }) => wet },
  ],
  close: [],
  looks: {},
  section: phoneSection,
};
