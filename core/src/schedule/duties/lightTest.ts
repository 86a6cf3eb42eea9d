import { commonPractice } from '../../care/knowledge/index.js';
import { surfacesOfSight } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { recurringLook, recursFor } from './recurring.js';

const rhythm = {
  triggers: [
    { on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=3', from: 'last-done' },
    { on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=1', from: 'last-done', while: 'fungus-risk' },
  ],
  earlyDays: 14,
  lateDays: 14,
  minutes: 8,
} as const;

export const lightTest: DutyKind = {
  about: 'thing',
  kinds: ['lens', 'teleconverter', 'eyepiece', 'binocular', 'refractor', 'viewfinder-loupe', 'film-camera'],
  settledBy: { seeing: 'inside' },
  name: 'Look through it with a torch',
  what: 'A light test: every surface under the lamp, and a torch through from behind.',
  gravity: 'routine',
  setUp: 'torch-and-loupe',
  minutes: rhythm.minutes,
  doneBy: 'look',
  rhythm,
  basis: commonPractice,
};

export const lightTestDue: Due<'thing'> = {
  appliesTo: (thing) => recursFor(thing, lightTest),
  dueFrom: (thing, context, code) => recurringLook(thing, code, rhythm, surfacesOfSight('inside', thing), context),
};
