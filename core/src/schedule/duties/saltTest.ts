import { isSkipped } from '../journal.js';
import { commonPractice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import { hygrometerDuty } from './duty.js';
import { countedFrom, recurring, type Counted } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=12', from: 'last-done' }],
  earlyDays: 30,
  lateDays: 30,
  minutes: 10,
} as const;

/** A sensor drifts by about a percent a year; a jar of wet salt tells by how much. */
export const saltTest = hygrometerDuty({
  name: 'Salt test',
  what: 'Shut it in over wet salt for a night, and note what it reads.',
  gravity: 'routine',
  setUp: 'salt-jars',
  minutes: rhythm.minutes,
  doneBy: 'salt-test',
  rhythm,
  basis: commonPractice,
  appliesTo: (device) => !device.outdoor,
  dueFrom: ({ id, addedAt }, context, code) => {
    const last = context.journal.last({ kind: 'hygrometer', id }, (d) => d.kind === 'salt-test' || isSkipped(d, code));
    const counted: Counted = last
      ? countedFrom(last)
      : { on: localDay(addedAt, context.facts.timeZone), at: null, because: { because: 'since-on-the-shelf' }, done: false };
    return recurring({ code, standard: rhythm, subject: { id }, counted }, context).map((found) => ({
      ...found,
      facts: { says: 'salt-test', lastAt: last?.at ?? null },
    }));
  },
});
