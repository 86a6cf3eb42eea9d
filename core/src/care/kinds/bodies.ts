import type { Line, Preset } from './kind.js';
import {
  BATTERY_BACK,
  BATTERY_OUT,
  CAPS_ON,
  DOOR_SHUT,
  FILM_BEFORE_1999,
  FILM_OUT,
  LEATHER_BEFORE_1975,
  NO_BATTERY_BEFORE_1960,
  NO_CONTACTS_BEFORE_1980,
  NO_RUBBER_BEFORE_1985,
  NOT_SEALED_BEFORE_1985,
} from './presets.js';

export const BODY_PRESETS: readonly Preset[] = [
  FILM_BEFORE_1999,
  NO_BATTERY_BEFORE_1960,
  LEATHER_BEFORE_1975,
  NO_CONTACTS_BEFORE_1980,
  NO_RUBBER_BEFORE_1985,
  NOT_SEALED_BEFORE_1985,
];

/** What bodies with a mount share: the lens comes off only for what lies behind it, and each word on power once, in order. */
export const BODY_PREPARE: readonly Line[] = [
  FILM_OUT,
  BATTERY_OUT,
  {
    line: 'power-back-for-the-sensor',
    when: ({ on, by }) => by('sensor-swab') && on('battery-bay', 'battery-contacts'),
  },
  {
    line: 'power-for-the-sensor',
    when: ({ on, by }) => by('sensor-swab') && !on('battery-bay', 'battery-contacts'),
  },
  {
    line: 'outside-before-the-lens-comes-off',
    when: ({ on }) => on('sensor-cover'),
  },
  {
    line: 'lens-off-body-capped',
    when: ({ open }) => open,
  },
];

export const BODY_CLOSE: readonly Line[] = [
  { line: 'one-more-test-frame', when: ({ on }) => on('sensor-cover') },
  BATTERY_BACK,
  DOOR_SHUT,
  { ...CAPS_ON, when: ({ open, on }) => open || on('body-cap') },
];
