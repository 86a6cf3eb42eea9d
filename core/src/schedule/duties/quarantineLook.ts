import { commonPractice } from '../../care/knowledge/index.js';
import { settledBy, surfacesOfSight, surfacesWith } from '../settling.js';
import type { Due, DutyKind } from './duty.js';
import { countedFrom, recurring, withSight } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=DAILY;INTERVAL=28', from: 'last-done' }],
  earlyDays: 4,
  lateDays: 4,
  minutes: 8,
} as const;

export const quarantineLook: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'growth' },
  name: 'Look again: quarantine',
  what: 'A torch through from behind: has it grown? Three clean looks in a row, at 4, 8 and 12 weeks, before it goes back.',
  gravity: 'harms',
  setUp: 'torch-and-loupe',
  minutes: rhythm.minutes,
  doneBy: 'look',
  rhythm,
  basis: commonPractice,
};

export const quarantineLookDue: Due<'thing'> = {
  appliesTo: (thing) => thing.status === 'quarantined',
  dueFrom: (thing, context, code) => {
    const subject = { kind: 'thing', id: thing.id } as const;
    const shut = context.journal.last(subject, (d) => d.kind === 'quarantined');
    // Where growth was found, and through it: it is there that one sees whether it has grown.
    const asked = [...new Set([...surfacesWith(thing, 'growth'), ...surfacesOfSight('inside', thing)])];
    const since = shut ? context.journal.after(shut) : context.journal.of(subject);
    const { by, seen } = settledBy(asked, since, code);
    const looked = by.at(-1);
    if (!shut && !looked) return [];
    const counted = looked
      ? countedFrom(looked)
      : { on: shut!.day, at: shut!.at, because: { because: 'quarantined' } as const, done: true };
    return recurring({ code, standard: rhythm, subject: thing, thing, counted }, context).map((found, i) =>
      withSight({ ...found, settled: by }, asked, i === 0 ? seen : []),
    );
  },
};
