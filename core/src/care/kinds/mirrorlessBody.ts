import { BODY_CLOSE, BODY_PREPARE, BODY_PRESETS } from './bodies.js';
import { only, type Kind } from './kind.js';
import { CELLS, COVERING, CURTAIN, FILM_PATH } from './parts.js';
import { bodySection } from './sections/mirrorlessBody.js';

export const mirrorlessBody: Kind = {
  name: 'mirrorless body',
  plural: 'mirrorless bodies',
  presets: BODY_PRESETS,
  surfaces: [
    only('sensor-cover', (t) => !!t.digital),
    only('viewfinder-window', (t) => !!t.viewfinder),
    'body-cap',
    'body-mount',
    only('mount-gasket', (t) => !!t.weatherSealed),
    'mount-wall',
    only('contacts', (t) => !!t.electronicContacts),
    'release-button',
    'body-shell',
    ...COVERING,
    only('sticky-coating', (t) => !!t.rubberisedCoating),
    'dials',
    'hot-shoe',
    'strap-lugs',
    only('port-covers', (t) => !!t.digital),
    only('screen', (t) => !!t.digital),
    only('eyecup', (t) => !!t.viewfinder),
    ...CELLS,
    only('card-bay', (t) => !!t.digital),
    ...FILM_PATH,
    CURTAIN,
  ],
  acrossMm: { 'viewfinder-window': 18 },
  litres: 1.5,
  before: [],
  opening: { by: 'workshop', bar: 'flash' },
  prepare: BODY_PREPARE,
  close: BODY_CLOSE,
  looks: {},
  section: bodySection,
};
