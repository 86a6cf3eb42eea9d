import { commonPractice } from '../../care/knowledge/index.js';
import { surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { recurringLook, recursFor } from './recurring.js';

const rhythm = {
  triggers: [
    { on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=3', from: 'last-done' },
    { on: 'use', of: 'outings', count: 10 },
  ],
  earlyDays: 14,
  lateDays: 14,
  minutes: 10,
} as const;

export const sensorFrame: DutyKind = {
  about: 'thing',
  kinds: ['slr-body', 'mirrorless-body'],
  settledBy: { deed: 'frame' },
  name: 'Sensor frame',
  what: 'A test frame at a small aperture: what stays put in it lies on the sensor.',
  gravity: 'routine',
  setUp: 'camera-open',
  minutes: rhythm.minutes,
  doneBy: 'frame',
  rhythm,
  basis: commonPractice,
};

export const sensorFrameDue: Due<'thing'> = {
  appliesTo: (thing) => recursFor(thing, sensorFrame, { has: 'sensor-cover' }),
  dueFrom: (thing, context, code) =>
    recurringLook(thing, code, rhythm, surfacesOfSight('sensor', thing), context, (d) => d.kind === 'frame'),
};
