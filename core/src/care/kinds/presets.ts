import type { Traits } from '../knowledge/traits.js';
import type { Line, Preset } from './kind.js';

/*
 * What the year made tells about design, as a keeper would guess it. Common practice throughout; each can be
 * changed on the thing itself.
 */
const madeBefore =
  (year: number) =>
  ({ yearMade }: Traits): boolean =>
    yearMade != null && yearMade < year;
const madeFrom =
  (year: number) =>
  ({ yearMade }: Traits): boolean =>
    yearMade != null && yearMade >= year;

export const COATING_BY_YEAR: readonly Preset[] = [
  { trait: 'coating', value: 'single', when: madeBefore(1970), why: 'Up to about 1970 glass has one soft layer.' },
  { trait: 'coating', value: 'none', when: madeBefore(1945), why: 'Before about 1945 glass is bare.' },
];
export const NO_CONTACTS_BEFORE_1980: Preset = {
  trait: 'electronicContacts',
  value: false,
  when: madeBefore(1980),
  why: 'Before about 1980 nothing electronic passes the mount.',
};
export const FILM_BEFORE_1999: Preset = {
  trait: 'digital',
  value: false,
  when: madeBefore(1999),
  why: 'Before about 1999 a body holds film: no sensor, no screen, no card.',
};
export const NO_BATTERY_BEFORE_1960: Preset = {
  trait: 'battery',
  value: false,
  when: madeBefore(1960),
  why: 'Before about 1960 a camera runs on springs: no battery, no switch.',
};
export const LEATHER_BEFORE_1975: Preset = {
  trait: 'leatherCovered',
  value: true,
  when: madeBefore(1975),
  why: 'Up to about 1975 bodies are covered in leather or leathercloth.',
};
export const NO_RUBBER_BEFORE_1985: Preset = {
  trait: 'rubberisedCoating',
  value: false,
  when: madeBefore(1985),
  why: 'Rubberised finishes came in about 1985.',
};
export const RUBBER_FROM_1985: Preset = {
  trait: 'rubberisedCoating',
  value: true,
  when: madeFrom(1985),
  why: 'From about 1985 on a rubberised finish is common.',
};
export const NOT_SEALED_BEFORE_1985: Preset = {
  trait: 'weatherSealed',
  value: false,
  when: madeBefore(1985),
  why: 'Seals against the weather came later.',
};
export const OPEN_THREAD_BEFORE_1970: Preset = {
  trait: 'helicoidExposed',
  value: true,
  when: (traits) => !!traits.collapsible || madeBefore(1970)(traits),
  why: 'Collapsible and old manual lenses run on an open focus thread.',
};

/** What the face touches is dirty again at once. */
export const WASH_FACE: Line = {
  line: 'wash-your-face',
  when: ({ on }) => on('eye-lens', 'eyecup'),
};
/** A film body is opened empty, and shut once without film. */
export const FILM_OUT: Line = {
  line: 'film-out-first',
  outdoors: true,
  when: ({ on }) => on('film-gate', 'light-seals', 'shutter-curtain'),
};
export const DOOR_SHUT: Line = { line: 'door-shut-empty', when: ({ on }) => on('film-gate', 'light-seals') };
export const BATTERY_OUT: Line = {
  line: 'battery-out',
  outdoors: true,
  when: ({ on }) => on('battery-bay', 'battery-contacts'),
};
export const BATTERY_BACK: Line = {
  line: 'battery-back',
  when: ({ on, by }) => on('battery-bay', 'battery-contacts') && !by('sensor-swab'),
};
export const CAPS_ON: Line = { line: 'caps-on', when: () => true };
