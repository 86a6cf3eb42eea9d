import { isSkipped } from '../journal.js';
import { commonPractice } from '../../care/knowledge/index.js';
import type { Due, DutyKind } from './duty.js';
import { recurringOfHygrometer } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=12', from: 'last-done' }],
  earlyDays: 30,
  lateDays: 30,
  minutes: 10,
} as const;

/** A sensor drifts by about a percent a year; a jar of wet salt tells by how much. */
export const saltTest: DutyKind = {
  about: 'hygrometer',
  kinds: 'every',
  settledBy: { deed: 'salt-test' },
  name: 'Salt test',
  what: 'Shut it in over wet salt for a night, and note what it reads.',
  gravity: 'routine',
  setUp: 'salt-jars',
  minutes: rhythm.minutes,
  doneBy: 'salt-test',
  rhythm,
  basis: commonPractice,
};

export const saltTestDue: Due<'hygrometer'> = {
  appliesTo: (device) => !device.outdoor,
  dueFrom: (device, context, code) => {
    const last = context.journal.last({ kind: 'hygrometer', id: device.id }, (d) => d.kind === 'salt-test' || isSkipped(d, code));
    return recurringOfHygrometer(device, code, rhythm, last, context).map((found) => ({
      ...found,
      facts: { says: 'salt-test', lastAt: last?.at ?? null },
    }));
  },
};
