import { commonPractice } from '../../care/knowledge/index.js';
import { isSkipped, type JournalData } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { countedFrom, isLook, recurring } from './recurring.js';

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
    const answers = (d: JournalData) => isLook(d) || isSkipped(d, code);
    const looked = shut ? context.journal.after(shut).findLast((e) => answers(e.data)) : context.journal.last(subject, answers);
    if (!shut && !looked) return [];
    const counted = looked
      ? countedFrom(looked)
      : { on: shut!.day, at: shut!.at, because: { because: 'quarantined' } as const, done: true };
    return recurring({ code, standard: rhythm, subject: thing, thing, counted }, context);
  },
};
