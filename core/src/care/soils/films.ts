import {
  EYE_SIDE,
  FILM_IN_BAY,
  FILM_IN_CHAMBER,
  FILM_ON_CAP,
  FILM_ON_CELLS,
  FILM_ON_CONTACTS,
  FILM_ON_LEATHER,
  FILM_ON_MATTE,
  FILM_ON_MIRROR,
  FILM_ON_MOUNT,
  FILM_ON_RING,
  FILM_ON_SCREEN,
  FILM_ON_SENSOR,
  FILM_ON_SHELL,
  FILM_ON_THREAD,
  FILM_ON_TRACK,
  NO_HARM_ON_A_WASHED_MIRROR,
  SKIN_ON_A_WASHED_MIRROR,
  TRACE_ON_GLASS,
  VIEWED,
} from './reasons.js';
import { always, by, from, soil, upTo, type SoilFacts } from './soil.js';

/** What lies on everything a film lies on but glass, sensor and mirrors of telescopes: the rungs are the same for all films. */
const elsewhere: SoilFacts['on'] = {
  display: { ...FILM_ON_SCREEN, takes: by('damp-wipe') },
  shell: { ...FILM_ON_SHELL, takes: by('dry-wipe', 'damp-wipe') },
  leather: { ...FILM_ON_LEATHER, takes: by('dry-wipe', 'damp-wipe') },
  seal: { ...FILM_ON_RING, takes: by('damp-pad') },
  thread: { ...FILM_ON_THREAD, takes: by('damp-swab') },
  mount: { ...FILM_ON_MOUNT, takes: by('dry-wipe', 'damp-swab') },
  contacts: { ...FILM_ON_CONTACTS, takes: by('dry-wipe', 'damp-swab') },
  cells: { ...FILM_ON_CELLS, takes: by('dry-wipe', 'damp-swab') },
  bay: { ...FILM_IN_BAY, takes: by('damp-swab') },
  sensor: { ...FILM_ON_SENSOR, takes: by('sensor-swab') },
  mirror: { ...FILM_ON_MIRROR, takes: by('dab') },
  matte: { ...FILM_ON_MATTE, ends: 'workshop' },
  chamber: { ...FILM_IN_CHAMBER, ends: 'accept', actFrom: 4 },
  cap: { ...FILM_ON_CAP, takes: by('soap-wash') },
  track: { ...FILM_ON_TRACK, takes: by('dry-swab') },
};
type Families = keyof typeof elsewhere;

/** The same, with the place each has in the list a look offers, and what differs. */
const films = (
  onGlass: NonNullable<SoilFacts['on']['glass']>,
  asked: Partial<Record<Families, number>>,
  more: SoilFacts['on'] = {},
): SoilFacts['on'] => ({
  glass: onGlass,
  ...Object.fromEntries(
    (Object.keys(elsewhere) as Families[]).map((family) => [
      family,
      { ...elsewhere[family], ...(asked[family] === undefined ? {} : { asked: asked[family] }), ...more[family] },
    ]),
  ),
  ...(more.bath ? { bath: more.bath } : {}),
});

/** What skin, smoke and wiping leave. */
export const FILMS = {
  fingerprint: soil({
    name: 'fingerprint',
    nature: 'film',
    pattern: 'whorl',
    tell: 'Ridges that flash when you tilt the glass.',
    actFrom: 2,
    why: 'It lowers contrast into the light and feeds fungus.',
    words: ['print', 'thumb', 'thumbprint', 'finger', 'fingers', 'prints', 'touched'],
    on: films(
      {
        act: 'A print on the glass veils into the light and feeds fungus.',
        leave: TRACE_ON_GLASS,
        takes: { 'dry-wipe': upTo(2), 'damp-wipe': always },
        finish: by('carbon-tip', 'breath'),
        asked: 2,
      },
      { display: 1, shell: 7, leather: 10, mount: 9, contacts: 3, sensor: 6, mirror: 3, matte: 3, cap: 10, track: 5 },
      {
        display: { ...FILM_ON_SCREEN, takes: { 'dry-wipe': upTo(2), 'damp-wipe': always } },
        bath: { ...SKIN_ON_A_WASHED_MIRROR, ends: 'workshop', actFrom: 1, asked: 4 },
      },
    ),
    at: { ...VIEWED, ...EYE_SIDE },
  }),
  'skin-oil': soil({
    name: 'skin oil',
    nature: 'film',
    pattern: 'veil',
    tell: 'A greasy bloom with no ridges, from nose, cheek or lashes.',
    actFrom: 2,
    why: 'It lowers contrast into the light and feeds fungus.',
    words: [
      'skin',
      'nose',
      'cheek',
      'lashes',
      'mascara',
      'sunscreen',
      'sun cream',
      'suncream',
      'hand cream',
      'lotion',
      'make-up',
      'makeup',
      'sweat',
      'sanitiser',
      'sanitizer',
      'hand gel',
    ],
    on: films(
      {
        act: 'Skin oil on the glass veils into the light and feeds fungus.',
        leave: TRACE_ON_GLASS,
        takes: { 'carbon-tip': upTo(2), 'damp-wipe': always },
        finish: { chamois: from(3), ...by('carbon-tip', 'breath') },
        asked: 5,
      },
      { display: 2, shell: 4, leather: 5, seal: 5, mount: 4, contacts: 2, cells: 3, sensor: 11, mirror: 9, matte: 8, cap: 11 },
      {
        display: { ...FILM_ON_SCREEN, takes: { 'dry-wipe': upTo(2), 'damp-wipe': always } },
        shell: { ...FILM_ON_SHELL, takes: { 'dry-wipe': upTo(2), ...by('damp-wipe', 'soap-wash') } },
        bath: { ...SKIN_ON_A_WASHED_MIRROR, ends: 'workshop', actFrom: 1, asked: 8 },
      },
    ),
    at: { ...VIEWED, ...EYE_SIDE },
  }),
  grease: soil({
    name: 'grease film',
    nature: 'film',
    pattern: 'veil',
    holds: ['grease'],
    tell: 'A grey veil that turns coloured at a slant: kitchen, smoke, oil.',
    actFrom: 2,
    why: 'It lowers contrast into the light, and dust sticks to it.',
    words: ['greasy', 'kitchen', 'smoke', 'cooking', 'oily film', 'nicotine', 'fat'],
    on: films(
      {
        act: 'A grease film takes contrast from everything into the light, and dust sticks to it.',
        leave: TRACE_ON_GLASS,
        takes: { 'damp-wipe': always, 'solvent-wipe': from(3) },
        finish: { chamois: from(3), ...by('carbon-tip', 'breath') },
        asked: 11,
      },
      { display: 11, shell: 6, leather: 11, seal: 8, mount: 3, contacts: 7, sensor: 3, mirror: 4, matte: 4, chamber: 4, cap: 6 },
      {
        shell: { ...FILM_ON_SHELL, takes: by('damp-wipe', 'soap-wash') },
        mount: { ...FILM_ON_MOUNT, takes: by('damp-swab') },
        contacts: { ...FILM_ON_CONTACTS, takes: by('damp-swab', 'contact-eraser') },
        cells: { ...FILM_ON_CELLS, takes: by('damp-swab', 'contact-eraser') },
        bath: { act: 'A film on a telescope mirror leaves in its bath.', leave: NO_HARM_ON_A_WASHED_MIRROR, ends: 'workshop', actFrom: 3 },
      },
    ),
    at: VIEWED,
  }),
  smear: soil({
    name: 'smear',
    nature: 'film',
    pattern: 'arcs',
    tell: 'Arcs that follow the strokes of an earlier wipe.',
    actFrom: 2,
    why: 'It flares when light comes from the side.',
    words: ['smeared', 'streak', 'streaks', 'streaky', 'smudge', 'smudges', 'smudged', 'residue', 'streaks after cleaning', 'wiped'],
    on: films(
      {
        act: 'A smear flares when light comes from the side.',
        leave: TRACE_ON_GLASS,
        takes: { 'dry-wipe': upTo(2), 'carbon-tip': upTo(2), breath: upTo(2), 'damp-wipe': always },
        finish: by('carbon-tip', 'breath'),
        asked: 3,
      },
      { display: 3, sensor: 5, mirror: 5, contacts: 6, cells: 5, shell: 16, cap: 13 },
      {
        display: { ...FILM_ON_SCREEN, takes: { 'dry-wipe': upTo(2), 'damp-wipe': always } },
        contacts: { ...FILM_ON_CONTACTS, takes: by('dry-wipe', 'damp-swab', 'contact-eraser') },
        cells: { ...FILM_ON_CELLS, takes: by('dry-wipe', 'damp-swab', 'contact-eraser') },
        bath: {
          act: 'A smear on a telescope mirror leaves in its bath; it was wiped before, and should not be again.',
          leave: NO_HARM_ON_A_WASHED_MIRROR,
          ends: 'workshop',
          actFrom: 4,
        },
      },
    ),
    at: {
      ...VIEWED,
      'viewfinder-window': EYE_SIDE['viewfinder-window'],
      'eye-lens': { act: 'A smear on the eye lens veils the view against any lamp.', leave: 'A trace here is not seen in the view.' },
    },
  }),
};
