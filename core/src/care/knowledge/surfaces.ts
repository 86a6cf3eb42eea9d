/**
 * What a surface is like to the hand that cleans it. Surfaces of one family share a ladder. `mirror` is a reflex
 * mirror with its silver on the surface, `matte` a focusing screen, `chamber` the box around the mirror, `bath` a telescope mirror that only its
 * maker's washing procedure may touch, `inner` whatever cannot be reached without opening the thing.
 */
export const FAMILIES = [
  'glass',
  'sensor',
  'display',
  'shell',
  'mount',
  'contacts',
  'cap',
  'inner',
  'mirror',
  'matte',
  'chamber',
  'bath',
] as const;
export type Family = (typeof FAMILIES)[number];

/** What the surface is made of where that alone decides about fluids. */
export type SurfaceStuff = 'glass' | 'plastic' | 'rubber' | 'metal' | 'painted' | 'oiled';

export type SurfaceFacts = {
  name: string;
  family: Family;
  stuff: SurfaceStuff;
  /** Beside the mount opening: whatever is damp here is barely damp, and nothing may drip in. */
  nearOpening?: true;
  /** Comes off, so that it can be washed by itself. */
  comesOff?: true;
  /** Recessed or seamed: a swab reaches it, a cloth does not. */
  recessed?: true;
  /** Ribbed: a brush gets between the ribs. */
  ribbed?: true;
};

export const SURFACES = {
  'front-glass': { name: 'front glass', family: 'glass', stuff: 'glass' },
  'rear-glass': { name: 'rear glass', family: 'glass', stuff: 'glass', nearOpening: true },
  'inner-glass': { name: 'inner glass', family: 'inner', stuff: 'glass' },
  'filter-front': { name: 'filter, front face', family: 'glass', stuff: 'glass' },
  'filter-back': { name: 'filter, back face', family: 'glass', stuff: 'glass' },
  'viewfinder-window': { name: 'viewfinder window', family: 'glass', stuff: 'plastic', recessed: true },
  'sensor-cover': { name: 'sensor cover glass', family: 'sensor', stuff: 'glass', nearOpening: true },
  'eye-lens': { name: 'eye lens', family: 'glass', stuff: 'glass' },
  'field-lens': { name: 'field lens', family: 'glass', stuff: 'glass' },
  objective: { name: 'objective', family: 'glass', stuff: 'glass' },
  corrector: { name: 'corrector plate', family: 'glass', stuff: 'glass' },
  'primary-mirror': { name: 'primary mirror', family: 'bath', stuff: 'metal' },
  'secondary-mirror': { name: 'secondary mirror', family: 'bath', stuff: 'metal' },
  'port-outside': { name: 'port, outside', family: 'glass', stuff: 'glass' },
  'port-inside': { name: 'port, inside', family: 'glass', stuff: 'glass' },
  'phone-lens': { name: 'phone lens', family: 'glass', stuff: 'glass' },
  'reflex-mirror': { name: 'reflex mirror', family: 'mirror', stuff: 'metal', nearOpening: true },
  'focusing-screen': { name: 'focusing screen', family: 'matte', stuff: 'plastic', nearOpening: true },
  barrel: { name: 'barrel', family: 'shell', stuff: 'painted' },
  'zoom-ring': { name: 'zoom ring', family: 'shell', stuff: 'rubber', ribbed: true },
  'focus-ring': { name: 'focus ring', family: 'shell', stuff: 'rubber', ribbed: true },
  'inner-barrel': { name: 'inner barrel', family: 'shell', stuff: 'painted' },
  'hood-outside': { name: 'hood, outside', family: 'shell', stuff: 'plastic', comesOff: true },
  'hood-inside': { name: 'hood, inside', family: 'shell', stuff: 'painted', comesOff: true },
  'hood-mount': { name: 'hood mount', family: 'shell', stuff: 'plastic', recessed: true },
  'filter-thread': { name: 'filter thread', family: 'shell', stuff: 'metal', recessed: true },
  'lens-mount': { name: 'lens mount', family: 'mount', stuff: 'metal', nearOpening: true },
  'mount-gasket': { name: 'mount gasket', family: 'mount', stuff: 'rubber', nearOpening: true },
  contacts: { name: 'contacts', family: 'contacts', stuff: 'metal', nearOpening: true },
  'body-mount': { name: 'body mount', family: 'mount', stuff: 'metal', nearOpening: true },
  'mount-wall': { name: 'wall behind the mount', family: 'mount', stuff: 'painted', nearOpening: true },
  'release-button': { name: 'lens release', family: 'shell', stuff: 'metal', recessed: true },
  'aperture-blades': { name: 'aperture blades', family: 'inner', stuff: 'metal' },
  helicoid: { name: 'focus thread', family: 'inner', stuff: 'oiled' },
  'body-shell': { name: 'body shell', family: 'shell', stuff: 'painted' },
  'grip-rubber': { name: 'grip', family: 'shell', stuff: 'rubber' },
  dials: { name: 'dials and buttons', family: 'shell', stuff: 'painted', recessed: true },
  'strap-lugs': { name: 'strap lugs', family: 'shell', stuff: 'metal', recessed: true },
  'port-covers': { name: 'port covers', family: 'shell', stuff: 'rubber', recessed: true },
  'mirror-box': { name: 'mirror box', family: 'chamber', stuff: 'painted', nearOpening: true },
  'popup-flash': { name: 'pop-up flash well', family: 'shell', stuff: 'plastic', recessed: true },
  'sticky-coating': { name: 'rubberised coating', family: 'shell', stuff: 'rubber' },
  'o-ring': { name: 'o-ring', family: 'shell', stuff: 'rubber', comesOff: true },
  'hot-shoe': { name: 'hot shoe', family: 'contacts', stuff: 'metal', recessed: true },
  screen: { name: 'screen', family: 'display', stuff: 'plastic' },
  eyecup: { name: 'eyecup', family: 'shell', stuff: 'rubber', comesOff: true },
  'battery-bay': { name: 'battery bay', family: 'shell', stuff: 'plastic', recessed: true },
  'battery-contacts': { name: 'battery contacts', family: 'contacts', stuff: 'metal', recessed: true },
  'card-bay': { name: 'card bay', family: 'shell', stuff: 'plastic', recessed: true },
  'front-cap': { name: 'front cap', family: 'cap', stuff: 'plastic', comesOff: true },
  'rear-cap': { name: 'rear cap', family: 'cap', stuff: 'plastic', comesOff: true },
  'body-cap': { name: 'body cap', family: 'cap', stuff: 'plastic', comesOff: true },
  case: { name: 'case', family: 'cap', stuff: 'plastic', comesOff: true },
} as const satisfies Record<string, SurfaceFacts>;

export type Surface = keyof typeof SURFACES;
export const SURFACE_IDS = Object.keys(SURFACES) as Surface[];

export const surfaceFacts = (surface: Surface): SurfaceFacts => SURFACES[surface];
export const familyOf = (surface: Surface): Family => SURFACES[surface].family;

/** Families on which a dragged grain leaves a mark in the picture: the strict rules are theirs. */
export const isOptical = (surface: Surface): boolean => ['glass', 'sensor', 'mirror', 'matte', 'bath'].includes(familyOf(surface));
