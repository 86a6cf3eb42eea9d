import { only, type Kind } from './kind.js';
import { BATTERY_BACK, NO_RUBBER_BEFORE_1985 } from './presets.js';
import { flashSection } from './sections/flash.js';

/** A flash unit: its capacitor keeps its charge, so it is never opened. */
export const flash: Kind = {
  name: 'flash unit',
  plural: 'flash units',
  presets: [NO_RUBBER_BEFORE_1985],
  surfaces: [
    'flash-window',
    'body-shell',
    only('sticky-coating', (t) => !!t.rubberisedCoating),
    'dials',
    'hot-shoe',
    'battery-bay',
    'battery-contacts',
    'case',
  ],
  acrossMm: {},
  litres: 1,
  before: [],
  opening: { by: 'workshop', bar: 'flash' },
  prepare: [{ line: 'flash-off-cells-out', outdoors: true, when: () => true }],
  close: [{ ...BATTERY_BACK, line: 'cells-stay-out', when: () => true }],
  looks: {},
  section: flashSection,
};
