import { only, type Kind } from './kind.js';
import { BATTERY_BACK } from './presets.js';
import { droneSection } from './sections/drone.js';

/** A camera that flies, or one held still by motors: no fluid near its joints, and its arm is never forced. */
export const drone: Kind = {
  name: 'drone or stabilised small camera',
  plural: 'drones and stabilised small cameras',
  presets: [],
  surfaces: [
    only('filter-front', (t) => !!t.filterFitted),
    only('filter-back', (t) => !!t.filterFitted),
    'front-glass',
    'gimbal',
    'body-shell',
    'propellers',
    'port-covers',
    'card-bay',
    'battery-bay',
    'battery-contacts',
    'case',
  ],
  acrossMm: { 'filter-front': 20, 'filter-back': 20, 'front-glass': 12 },
  litres: 5,
  before: [
    ['propellers', 'body-shell'],
    ['body-shell', 'gimbal'],
    ['gimbal', 'filter-front'],
  ],
  opening: { by: 'workshop', bar: 'lithium-inside' },
  prepare: [{ line: 'motors-off-propellers-off', outdoors: true, when: () => true }],
  close: [{ ...BATTERY_BACK, line: 'arm-free-before-power', when: () => true }],
  looks: {},
  section: droneSection,
};
