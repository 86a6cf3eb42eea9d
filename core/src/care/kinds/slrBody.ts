import { BODY_CLOSE, BODY_PREPARE, BODY_PRESETS } from './bodies.js';
import { only, type Kind } from './kind.js';
import { CELLS, COVERING, CURTAIN, FILM_PATH } from './parts.js';
import { slrSection } from './sections/slrBody.js';

export const slrBody: Kind = {
  name: 'SLR body',
  plural: 'SLR bodies',
  presets: BODY_PRESETS,
  surfaces: [
    'reflex-mirror',
    'focusing-screen',
    only('sensor-cover', (t) => !!t.digital),
    'viewfinder-window',
    'body-cap',
    'body-mount',
    only('mount-gasket', (t) => !!t.weatherSealed),
    'mirror-box',
    only('contacts', (t) => !!t.electronicContacts),
    'release-button',
    'body-shell',
    ...COVERING,
    only('sticky-coating', (t) => !!t.rubberisedCoating),
    'dials',
    'hot-shoe',
    only('popup-flash', (t) => !!t.popupFlash),
    'strap-lugs',
    only('port-covers', (t) => !!t.digital),
    only('screen', (t) => !!t.digital),
    'eyecup',
    ...CELLS,
    only('card-bay', (t) => !!t.digital),
    ...FILM_PATH,
    CURTAIN,
  ],
  acrossMm: { 'viewfinder-window': 18, 'reflex-mirror': 40 },
  litres: 2,
  before: [],
  opening: { by: 'workshop', bar: 'flash' },
  prepare: [
    ...BODY_PREPARE,
    {
      line: 'mirror-box-first',
      when: ({ on }) => on('sensor-cover'),
    },
  ],
  close: BODY_CLOSE,
  looks: {},
  section: slrSection,
};
