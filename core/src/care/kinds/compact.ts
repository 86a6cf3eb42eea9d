import { only, type Kind } from './kind.js';
import { CELLS, FILM_PATH } from './parts.js';
import {
  BATTERY_BACK,
  BATTERY_OUT,
  DOOR_SHUT,
  FILM_BEFORE_1999,
  FILM_OUT,
  NO_BATTERY_BEFORE_1960,
  NO_RUBBER_BEFORE_1985,
} from './presets.js';
import { compactSection } from './sections/compact.js';
import type { Work } from './work.js';

/** The lens is out only for what it carries. */
const lensIsOut = ({ traits, on }: Work): boolean => !!traits.collapsible && on('front-glass', 'inner-barrel');

export const compact: Kind = {
  name: 'compact camera',
  plural: 'compact cameras',
  presets: [FILM_BEFORE_1999, NO_BATTERY_BEFORE_1960, NO_RUBBER_BEFORE_1985],
  surfaces: [
    'front-glass',
    'inner-glass',
    only('viewfinder-window', (t) => !!t.viewfinder),
    only('inner-barrel', (t) => !!t.collapsible),
    'body-shell',
    'grip-rubber',
    only('sticky-coating', (t) => !!t.rubberisedCoating),
    'dials',
    only('popup-flash', (t) => !!t.popupFlash),
    'strap-lugs',
    only('port-covers', (t) => !!t.digital),
    only('screen', (t) => !!t.digital),
    ...CELLS,
    only('card-bay', (t) => !!t.digital),
    ...FILM_PATH,
  ],
  acrossMm: { 'front-glass': 20, 'viewfinder-window': 10 },
  litres: 0.5,
  before: [],
  opening: { by: 'workshop', bar: 'flash' },
  prepare: [
    FILM_OUT,
    {
      line: 'lens-out-then-battery',
      outdoors: true,
      when: lensIsOut,
    },
    { ...BATTERY_OUT, when: (work) => BATTERY_OUT.when(work) && !lensIsOut(work) },
  ],
  close: [DOOR_SHUT, { ...BATTERY_BACK, when: (work) => lensIsOut(work) || BATTERY_BACK.when(work) }],
  looks: {},
  section: compactSection,
};
