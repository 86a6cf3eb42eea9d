import { only, type Kind } from './kind.js';
import { BATTERY_BACK, BATTERY_OUT } from './presets.js';
import { CASE, CELLS } from './parts.js';
import type { Work } from './work.js';
import { accessorySection } from './sections/accessory.js';

const contactsOnCells = ({ traits, on }: Work): boolean => !!traits.battery && on('contacts');

export const accessory: Kind = {
  name: 'accessory',
  plural: 'accessories',
  presets: [
    { trait: 'battery', value: true, when: (t) => !!t.electronicContacts, why: 'What has electronic contacts usually runs on cells.' },
  ],
  surfaces: [
    'body-shell',
    only('sticky-coating', (t) => !!t.rubberisedCoating),
    only('contacts', (t) => !!t.electronicContacts),
    ...CELLS,
    ...CASE,
  ],
  acrossMm: {},
  litres: 0.5,
  before: [['body-shell', 'contacts']],
  opening: { by: 'workshop', bar: 'flash' },
  prepare: [{ ...BATTERY_OUT, when: (work) => BATTERY_OUT.when(work) || contactsOnCells(work) }],
  close: [{ ...BATTERY_BACK, when: (work) => BATTERY_BACK.when(work) || contactsOnCells(work) }],
  looks: {},
  section: accessorySection,
};
