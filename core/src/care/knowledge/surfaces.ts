/** What "good enough" is measured by where a surface of a family is judged (rule 31). */
export const MEASURES = ['picture', 'view', 'seal', 'movement', 'current', 'hand', 'looks'] as const;
export type Measure = (typeof MEASURES)[number];

/**
 * What a surface is like to the hand that cleans it, and what it is judged by. Surfaces of one family share a ladder.
 * `cells` is metal where a battery lies, `seal` a ring that keeps water out, `thread` what turns on a thread that may lie
 * open, `mirror` a reflex mirror with its silver on the surface, `matte` a focusing screen, `chamber` the box around the
 * mirror, `bath` a telescope mirror that only its maker's washing procedure may touch, `inner` glass that cannot be
 * reached without opening the thing, `foam` the light seals of a film body, `track` what film runs over.
 */
export const FAMILY_MEASURES = {
  glass: 'picture',
  sensor: 'picture',
  display: 'looks',
  shell: 'looks',
  leather: 'looks',
  bellows: 'picture',
  seal: 'seal',
  thread: 'movement',
  mount: 'hand',
  contacts: 'current',
  cells: 'current',
  bay: 'hand',
  cap: 'hand',
  inner: 'picture',
  blades: 'movement',
  mirror: 'view',
  matte: 'view',
  chamber: 'hand',
  bath: 'picture',
  track: 'picture',
  curtain: 'movement',
  foam: 'seal',
} as const satisfies Record<string, Measure>;
export const FAMILIES = Object.keys(FAMILY_MEASURES) as (keyof typeof FAMILY_MEASURES)[];
export type Family = keyof typeof FAMILY_MEASURES;

/** What the surface is made of where that alone decides about fluids. */
export type SurfaceStuff = 'glass' | 'plastic' | 'rubber' | 'metal' | 'painted' | 'oiled' | 'leather' | 'cloth';

export type SurfaceFacts = {
  name: string;
  family: Family;
  /** What it is judged by, where that is not what its family is judged by. */
  measure?: Measure;
  stuff: SurfaceStuff;
  /** Beside the mount opening: whatever is damp here is barely damp, and nothing may drip in. */
  nearOpening?: true;
  /** Comes off, so that it can be washed by itself. */
  comesOff?: true;
  /** Recessed or seamed: a swab reaches it, a cloth does not. */
  recessed?: true;
  /** Ribbed: a brush gets between the ribs. */
  ribbed?: true;
  /** Its name is spoken of as several. */
  plural?: true;
  /** What people say for it when they search. */
  words?: readonly string[];
};

export const SURFACES = {
  'front-glass': { name: 'front glass', words: ['front element'], family: 'glass', stuff: 'glass' },
  'rear-glass': { name: 'rear glass', words: ['rear element'], family: 'glass', stuff: 'glass', nearOpening: true },
  'inner-glass': { name: 'inner glass', family: 'inner', stuff: 'glass' },
  'filter-front': { name: 'filter, front face', family: 'glass', stuff: 'glass' },
  'filter-back': { name: 'filter, back face', family: 'glass', stuff: 'glass' },
  'viewfinder-window': {
    name: 'viewfinder window',
    words: ['viewfinder', 'finder', 'evf'],
    family: 'glass',
    measure: 'view',
    stuff: 'plastic',
    recessed: true,
  },
  'sensor-cover': { name: 'sensor cover glass', words: ['sensor'], family: 'sensor', stuff: 'glass', nearOpening: true },
  'eye-lens': { name: 'eye lens', words: ['eyepiece', 'eyelashes', 'lashes'], family: 'glass', measure: 'view', stuff: 'glass' },
  'field-lens': { name: 'field lens', family: 'glass', measure: 'view', stuff: 'glass' },
  objective: { name: 'objective', family: 'glass', measure: 'view', stuff: 'glass' },
  corrector: { name: 'corrector plate', family: 'glass', measure: 'view', stuff: 'glass' },
  'primary-mirror': { name: 'primary mirror', words: ['telescope mirror'], family: 'bath', measure: 'view', stuff: 'metal' },
  'secondary-mirror': { name: 'secondary mirror', family: 'bath', measure: 'view', stuff: 'metal' },
  'port-outside': { name: 'port, outside', family: 'glass', stuff: 'glass' },
  'port-inside': { name: 'port, inside', family: 'glass', stuff: 'glass' },
  'phone-lens': { name: 'phone lens', family: 'glass', stuff: 'glass' },
  'reflex-mirror': { name: 'reflex mirror', words: ['reflex mirror'], family: 'mirror', stuff: 'metal', nearOpening: true },
  'focusing-screen': {
    name: 'focusing screen',
    words: ['focusing screen', 'matte screen', 'ground glass'],
    family: 'matte',
    stuff: 'plastic',
    nearOpening: true,
  },
  barrel: { name: 'barrel', family: 'shell', stuff: 'painted' },
  'zoom-ring': { name: 'zoom ring', family: 'shell', stuff: 'rubber', ribbed: true },
  'focus-ring': { name: 'focus ring', family: 'shell', stuff: 'rubber', ribbed: true },
  'inner-barrel': { name: 'inner barrel', family: 'shell', stuff: 'painted' },
  'hood-outside': { name: 'hood, outside', family: 'shell', stuff: 'plastic', comesOff: true },
  'hood-inside': { name: 'hood, inside', family: 'shell', stuff: 'painted', comesOff: true },
  'hood-mount': { name: 'hood mount', family: 'shell', stuff: 'plastic', recessed: true },
  'filter-thread': { name: 'filter thread', family: 'thread', stuff: 'metal', recessed: true },
  'lens-mount': { name: 'lens mount', family: 'mount', stuff: 'metal', nearOpening: true },
  'mount-gasket': { name: 'mount gasket', family: 'seal', stuff: 'rubber', nearOpening: true },
  contacts: { name: 'contacts', family: 'contacts', stuff: 'metal', nearOpening: true, plural: true },
  'body-mount': { name: 'body mount', family: 'mount', stuff: 'metal', nearOpening: true },
  'mount-wall': { name: 'wall behind the mount', family: 'mount', stuff: 'painted', nearOpening: true },
  'release-button': { name: 'lens release', family: 'shell', stuff: 'metal', recessed: true },
  'aperture-blades': { name: 'aperture blades', family: 'blades', stuff: 'metal', plural: true },
  helicoid: { name: 'focus thread', family: 'thread', stuff: 'oiled' },
  'body-shell': { name: 'body shell', family: 'shell', stuff: 'painted' },
  'grip-rubber': { name: 'grip', family: 'shell', stuff: 'rubber' },
  dials: { name: 'dials and buttons', family: 'shell', stuff: 'painted', recessed: true, plural: true },
  'strap-lugs': { name: 'strap lugs', family: 'shell', stuff: 'metal', recessed: true, plural: true },
  'port-covers': { name: 'port covers', family: 'shell', stuff: 'rubber', recessed: true, plural: true },
  'mirror-box': { name: 'mirror box', family: 'chamber', stuff: 'painted', nearOpening: true },
  'popup-flash': { name: 'pop-up flash well', family: 'shell', stuff: 'plastic', recessed: true },
  'sticky-coating': { name: 'rubberised coating', family: 'shell', stuff: 'rubber' },
  'o-ring': { name: 'o-ring', family: 'seal', stuff: 'rubber', comesOff: true },
  'hot-shoe': { name: 'hot shoe', family: 'contacts', stuff: 'metal', recessed: true },
  screen: { name: 'screen', words: ['lcd', 'display', 'rear screen'], family: 'display', stuff: 'plastic' },
  eyecup: { name: 'eyecup', family: 'shell', stuff: 'rubber', comesOff: true },
  'battery-bay': { name: 'battery bay', words: ['battery compartment', 'battery door'], family: 'bay', stuff: 'plastic', recessed: true },
  'battery-contacts': { name: 'battery contacts', family: 'cells', stuff: 'metal', recessed: true, plural: true },
  'card-bay': { name: 'card bay', family: 'bay', stuff: 'plastic', recessed: true },
  'front-cap': { name: 'front cap', family: 'cap', stuff: 'plastic', comesOff: true },
  'rear-cap': { name: 'rear cap', family: 'cap', stuff: 'plastic', comesOff: true },
  'body-cap': { name: 'body cap', family: 'cap', stuff: 'plastic', comesOff: true },
  case: { name: 'case', family: 'cap', stuff: 'plastic', comesOff: true },
  'leather-case': { name: 'leather case', family: 'leather', stuff: 'leather', comesOff: true },
  'leather-covering': { name: 'leather covering', family: 'leather', stuff: 'leather' },
  bellows: { name: 'bellows', family: 'bellows', stuff: 'leather' },
  'film-gate': { name: 'film gate and rails', family: 'track', stuff: 'metal', plural: true },
  'shutter-curtain': { name: 'shutter curtain', family: 'curtain', stuff: 'cloth' },
  'light-seals': { name: 'light seals', family: 'foam', stuff: 'rubber', plural: true },
  'flash-window': { name: 'flash window', family: 'display', stuff: 'plastic' },
  gimbal: { name: 'stabilised arm', words: ['gimbal', 'joint'], family: 'thread', stuff: 'plastic' },
  propellers: { name: 'propellers', family: 'shell', stuff: 'plastic', plural: true },
} as const satisfies Record<string, SurfaceFacts>;

export type Surface = keyof typeof SURFACES;
export const SURFACE_IDS = Object.keys(SURFACES) as Surface[];

export const surfaceFacts = (surface: Surface): SurfaceFacts => SURFACES[surface];
export const familyOf = (surface: Surface): Family => SURFACES[surface].family;
/** What "good enough" means on this surface. */
export const measureOf = (surface: Surface): Measure => surfaceFacts(surface).measure ?? FAMILY_MEASURES[familyOf(surface)];
/** Does a battery lie here: is bloom on it what leaked from a cell, and caustic? */
export const holdsCells = (surface: Surface): boolean => surface === 'battery-bay' || familyOf(surface) === 'cells';

/** Families on which a dragged grain leaves a mark in the picture: the strict rules are theirs. */
export const isOptical = (surface: Surface): boolean => ['glass', 'sensor', 'mirror', 'matte', 'bath'].includes(familyOf(surface));
