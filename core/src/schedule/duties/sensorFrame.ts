import { commonPractice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import { surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { openFor, recurringLook, recursFor } from './recurring.js';

/** A frame that could not tell is taken again while one remembers how it was taken (our choice). */
const SOON_DAYS = 14;

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
  dueFrom: (thing, context, code) => {
    const { sensor } = thing;
    if (sensor?.advice === 'look-again') {
      const frameOn = localDay(sensor.frameAt, context.facts.timeZone);
      return [{ window: openFor(frameOn, SOON_DAYS), facts: { says: 'sensor', advice: sensor.advice, shows: sensor.shows, frameOn } }];
    }
    return recurringLook(thing, code, rhythm, surfacesOfSight('sensor', thing), context, (d) => d.kind === 'frame');
  },
};
