import { only, type Kind } from './kind.js';
import { CASE, CELLS, COVERING, FILM_PATH } from './parts.js';
import { BATTERY_BACK, BATTERY_OUT, COATING_BY_YEAR, DOOR_SHUT, FILM_OUT, LEATHER_BEFORE_1975, NO_BATTERY_BEFORE_1960 } from './presets.js';
import { filmCameraSection } from './sections/filmCamera.js';

/** A film camera whose lens stays on: folding, twin lens, or a finder camera. */
export const filmCamera: Kind = {
  name: 'film camera with a fixed lens',
  plural: 'film cameras with a fixed lens',
  presets: [...COATING_BY_YEAR, NO_BATTERY_BEFORE_1960, LEATHER_BEFORE_1975],
  surfaces: [
    'front-glass',
    'inner-glass',
    'aperture-blades',
    only('objective', (t) => !!t.twinLens),
    only('reflex-mirror', (t) => !!t.twinLens),
    only('focusing-screen', (t) => !!t.twinLens),
    only('viewfinder-window', (t) => !t.twinLens),
    only('bellows', (t) => !!t.bellows),
    'helicoid',
    'body-shell',
    ...COVERING,
    'dials',
    'strap-lugs',
    ...FILM_PATH,
    ...CELLS,
    ...CASE,
  ],
  acrossMm: { 'front-glass': 28, objective: 28, 'viewfinder-window': 10, 'reflex-mirror': 60 },
  litres: 1,
  before: [['bellows', 'front-glass']],
  opening: { by: 'workshop', bar: 'shutter-inside' },
  prepare: [
    FILM_OUT,
    { line: 'bellows-out-slowly', outdoors: true, when: ({ traits, on }) => !!traits.bellows && on('front-glass', 'bellows', 'helicoid') },
    BATTERY_OUT,
  ],
  close: [BATTERY_BACK, DOOR_SHUT],
  looks: {},
  section: filmCameraSection,
};
