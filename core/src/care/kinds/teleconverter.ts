import { only, type Kind } from './kind.js';
import { CAPS_ON, COATING_BY_YEAR, NO_CONTACTS_BEFORE_1980 } from './presets.js';
import { teleconverterSection } from './sections/teleconverter.js';

export const teleconverter: Kind = {
  name: 'teleconverter',
  plural: 'teleconverters',
  presets: [...COATING_BY_YEAR, NO_CONTACTS_BEFORE_1980],
  surfaces: [
    'front-glass',
    'inner-glass',
    'rear-glass',
    'front-cap',
    'body-mount',
    'barrel',
    only('mount-gasket', (t) => !!t.weatherSealed),
    'lens-mount',
    only('contacts', (t) => !!t.electronicContacts),
    'rear-cap',
  ],
  acrossMm: { 'front-glass': 38, 'rear-glass': 32 },
  litres: 0.5,
  before: [],
  opening: { by: 'owner', rings: { 'front-group': 'front-glass', 'rear-group': 'rear-glass' } },
  prepare: [{ line: 'off-camera-and-lens', when: () => true }],
  close: [CAPS_ON],
  looks: {},
  section: teleconverterSection,
};
