import { only, type Kind } from './kind.js';
import { accessorySection } from './sections/accessory.js';

export const accessory: Kind = {
  name: 'accessory',
  plural: 'accessories',
  defaults: { electronicContacts: false, rubberisedCoating: false, paintedLettering: true, value: null },
  presets: [],
  surfaces: ['body-shell', only('sticky-coating', (t) => !!t.rubberisedCoating), only('contacts', (t) => !!t.electronicContacts), 'case'],
  acrossMm: {},
  litres: 0.5,
  before: [['body-shell', 'contacts']],
  opening: { by: 'workshop', bar: 'flash' },
  prepare: [{ line: 'switched-off-battery-out', when: ({ on }) => on('contacts') }],
  close: [],
  rhythms: ['look-over'],
  looks: {},
  section: accessorySection,
};
