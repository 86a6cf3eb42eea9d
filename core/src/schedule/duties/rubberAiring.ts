import { commonPractice } from '../../care/knowledge/index.js';
import { localDay } from '../day.js';
import { isTicked } from '../journal.js';
import type { Due, DutyKind } from './duty.js';
import { countedFrom, recurring } from './recurring.js';

const rhythm = {
  triggers: [{ on: 'calendar', rrule: 'FREQ=MONTHLY;INTERVAL=3', from: 'last-done' }],
  earlyDays: 14,
  lateDays: 14,
  minutes: 3,
} as const;

/** Rubbery finishes turn sticky where no air comes to them. */
export const rubberAiring: DutyKind = {
  about: 'thing',
  kinds: ['lens', 'slr-body', 'mirrorless-body', 'compact', 'binocular', 'accessory', 'flash'],
  settledBy: { deed: 'tick' },
  name: 'Air its rubber',
  what: 'Out of where it is shut in, a day open in a dry room; a finish that tacks already stays out.',
  gravity: 'routine',
  setUp: 'desk',
  minutes: rhythm.minutes,
  doneBy: 'mark',
  rhythm,
  basis: commonPractice,
};

export const rubberAiringDue: Due<'thing'> = {
  appliesTo: ({ status, traits, stay }) =>
    status === 'in-use' && !!traits.rubberisedCoating && stay !== null && stay.aired === false && !stay.forTravel,
  dueFrom: (thing, context, code) => {
    const since = thing.stay!.since;
    const ticked = context.journal.last({ kind: 'thing', id: thing.id }, (d) => isTicked(d, code));
    const counted =
      ticked && ticked.at > since
        ? countedFrom(ticked)
        : {
            on: localDay(since, context.facts.timeZone),
            at: null,
            because: { because: 'shut-in' as const, name: thing.stay!.name },
            done: false,
          };
    return recurring({ code, standard: rhythm, subject: thing, thing, counted }, context);
  },
};
