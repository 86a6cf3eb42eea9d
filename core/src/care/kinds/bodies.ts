import type { Line, Preset } from './kind.js';
import {
  BATTERY_BACK,
  BATTERY_OUT,
  CAPS_ON,
  FILM_BEFORE_1999,
  NO_CONTACTS_BEFORE_1980,
  NO_RUBBER_BEFORE_1985,
  NOT_SEALED_BEFORE_1985,
} from './presets.js';

export const BODY_PRESETS: readonly Preset[] = [FILM_BEFORE_1999, NO_CONTACTS_BEFORE_1980, NO_RUBBER_BEFORE_1985, NOT_SEALED_BEFORE_1985];

/** What bodies with a mount share: the lens comes off only for what lies behind it, and each word on power once, in order. */
export const BODY_PREPARE: readonly Line[] = [
  BATTERY_OUT,
  {
    say: 'Charged battery back in, or mains: before the sensor is opened, and it stays in until the sensor is done.',
    when: ({ on, by }) => by('sensor-swab') && on('battery-bay', 'battery-contacts'),
  },
  {
    say: 'Battery full or on mains, and it stays in until the sensor is done.',
    when: ({ on, by }) => by('sensor-swab') && !on('battery-bay', 'battery-contacts'),
  },
  {
    say: 'Brush the outside round the mount and blow it before the lens comes off, so that nothing falls in.',
    when: ({ on }) => on('sensor-cover'),
  },
  {
    say: 'Lens off over the table, rear cap on it at once; body cap on until the mount’s turn.',
    when: ({ open }) => open,
  },
];

export const BODY_CLOSE: readonly Line[] = [
  { say: 'Take one more test frame with the lens you will use next.', when: ({ on }) => on('sensor-cover') },
  BATTERY_BACK,
  { ...CAPS_ON, when: ({ open, on }) => open || on('body-cap') },
];
