import { isTicked } from '../journal.js';
import { commonPractice } from '../../care/knowledge/index.js';
import { addDays, later } from '../day.js';
import type { OutingFacts, ThingFacts } from '../facts.js';
import { settledBy, surfacesOfSight } from '../settling.js';
import type { Context, Due, DutyKind } from './duty.js';
import { countedFrom, dayOfAdding, recurring, withSight, type Counted } from './recurring.js';

const MINUTES_A_THING = 3;

const thingsOf = ({ itemIds }: OutingFacts, { facts }: Context): ThingFacts[] => facts.things.filter((t) => itemIds.includes(t.id));

/** What is packed is looked at the day before, while there is still time to clean it. */
export const lookBeforeOuting: DutyKind = {
  about: 'outing',
  kinds: 'every',
  settledBy: { seeing: 'outside' },
  name: 'Look at what is packed',
  what: 'Glass, battery, caps and kit of everything that comes along.',
  gravity: 'spoils',
  setUp: 'torch-and-loupe',
  minutes: MINUTES_A_THING,
  doneBy: 'mark',
  basis: commonPractice,
};

export const lookBeforeOutingDue: Due<'outing'> = {
  appliesTo: ({ from }, { today }) => from >= today,
  dueFrom: (outing, context, code) => {
    const { journal } = context;
    const dayBefore = addDays(outing.from, -1);
    const done = journal.last({ kind: 'outing', id: outing.id }, (d) => isTicked(d, code));
    if (done) return [];
    const things = thingsOf(outing, context).filter((t) => {
      const since = journal.of({ kind: 'thing', id: t.id }).filter((e) => e.day >= dayBefore);
      return settledBy(surfacesOfSight('outside', t), since, code).by.length === 0;
    });
    if (things.length === 0) return [];
    return [
      {
        window: { earliest: addDays(dayBefore, -2), due: dayBefore, latest: outing.from },
        facts: { says: 'outing', when: 'before', from: outing.from, things: things.map(({ id, name }) => ({ id, name })) },
        minutes: MINUTES_A_THING * things.length,
      },
    ];
  },
};

const rhythm = {
  triggers: [
    { on: 'use', of: 'outings', count: 1 },
    { on: 'exposure', to: ['sand', 'salt', 'rain'], withinHours: 24 },
  ],
  earlyDays: 0,
  lateDays: 2,
  minutes: 5,
} as const;

/** What came home is looked at within two days; after sand, salt or rain on the same day. */
export const lookAfterOuting: DutyKind = {
  about: 'thing',
  kinds: 'every',
  settledBy: { seeing: 'outside' },
  name: 'Look at it: home from an outing',
  what: 'Look, air out, dry; then it goes back to where it lives.',
  gravity: 'spoils',
  setUp: 'torch-and-loupe',
  minutes: rhythm.minutes,
  doneBy: 'look',
  rhythm,
  basis: commonPractice,
};

export const lookAfterOutingDue: Due<'thing'> = {
  appliesTo: (thing, context) => thing.status === 'in-use' && context.usesOf(thing.id).length > 0,
  dueFrom: (thing, context, code) => {
    const asked = surfacesOfSight('outside', thing);
    const { by, seen } = settledBy(asked, context.journal.of({ kind: 'thing', id: thing.id }), code);
    const last = by.at(-1);
    const firstUse = context.usesOf(thing.id)[0]!.day;
    // What was never looked at counts from before its first outing.
    const counted: Counted = last
      ? countedFrom(last)
      : {
          on: addDays(firstUse < dayOfAdding(thing, context) ? firstUse : dayOfAdding(thing, context), -1),
          at: null,
          because: { because: 'never-looked-at' },
          done: false,
        };
    const [next] = recurring({ code, standard: rhythm, subject: thing, thing, counted }, context);
    // An outing that is only foreseen from the rate of the last year asks for nothing yet.
    if (!next || next.estimate) return [];
    const met = next.facts.says === 'rhythm' && next.facts.because.some((b) => b.because === 'met-outdoors');
    const found = {
      ...next,
      window: { ...next.window, latest: later(next.window.latest, next.window.due) },
      ...(met ? { gravity: 'harms' as const } : {}),
      settled: by,
    };
    return [withSight(found, asked, seen)];
  },
};
