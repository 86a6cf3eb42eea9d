import { hasSurface } from '../../care/kinds/index.js';
import type { Surface } from '../../care/knowledge/index.js';
import type { DueBecause } from '../because.js';
import { addDays, daysBetween, later, localDay, type Day } from '../day.js';
import { laterCalls, windowOf } from '../dueWindows.js';
import type { HygrometerFacts, ThingFacts } from '../facts.js';
import { isTicked, type DatedEntry, type JournalData } from '../journal.js';
import { rhythmFor, type Rhythm } from '../rhythms.js';
import { settledBy } from '../settling.js';
import { firstCall, type Call } from '../triggers.js';
import { isForKind, type Context, type DutyKind, type Found } from './duty.js';

/** From when a duty is counted: the last time it was done, or the day its subject came. */
export type Counted = { on: Day; at: string | null; because: DueBecause; /** It was done before: an early one counts. */ done: boolean };

export const isLook = (data: JournalData): boolean => data.kind === 'look' || data.kind === 'clean';

/** What an entry says of why the next one is counted from it. */
export function countedFrom({ day, at, data }: DatedEntry): Counted {
  const because: DueBecause =
    data.kind === 'skipped'
      ? { because: 'skipped', reason: data.reason }
      : { because: data.kind === 'look' ? 'last-look' : data.kind === 'clean' ? 'last-clean' : 'last-done' };
  return { on: day, at, because, done: true };
}

/** The last entry that did this duty for a thing. */
export function lastDoneOf(thing: ThingFacts, code: string, byLooking: boolean, { journal }: Context): DatedEntry | null {
  return journal.last({ kind: 'thing', id: thing.id }, (data) => isTicked(data, code) || (byLooking && isLook(data)));
}

/** Why it is due, where something else than time made it so. */
function becauseOf(call: Call, counted: Counted, fungusRisk: boolean, rhythm: Rhythm): DueBecause[] {
  switch (call.by) {
    case 'use': {
      const of = rhythm.triggers.find((t) => t.on === 'use')!.of;
      return [{ because: 'used', of, count: call.count! }, ...(call.estimate ? [counted.because] : [])];
    }
    case 'exposure':
      return [{ because: 'met-outdoors', met: call.met! }];
    case 'climate':
      return [{ because: 'air-foretells' }];
    case 'idleness':
      return [{ because: 'not-used' }];
    case 'calendar': {
      const fixed = rhythm.triggers.some((t) => t.on === 'calendar' && t.from !== 'last-done');
      const closer = fungusRisk && rhythm.triggers.some((t) => t.on === 'calendar' && t.while === 'fungus-risk');
      return [
        counted.because,
        ...(fixed ? [{ because: 'fixed-day' } as const] : []),
        ...(closer ? [{ because: 'fungus-risk' } as const] : []),
      ];
    }
    default:
      return call.by satisfies never;
  }
}

type Asked = {
  code: string;
  standard: Rhythm;
  subject: { id: string; kind?: ThingFacts['kind'] };
  counted: Counted;
  thing?: ThingFacts;
  /** Whose air is asked what it foretells, where it is not that of the thing. */
  placeId?: string | undefined;
  /** It has never been done and is due from this day on, whatever the rhythm. */
  dueAtOnce?: DueBecause;
};

/** What recurs: the one at hand and those that follow up to the context's end, by the rhythm that holds for the subject. */
export function recurring(
  { code, standard, subject, counted, thing, placeId = thing?.stay?.placeId, dueAtOnce }: Asked,
  context: Context,
): Found[] {
  const rhythm = rhythmFor(code, standard, subject, context.changes);
  if (!rhythm) return [];
  const { today, until, facts } = context;
  const fungusRisk = thing ? context.fungusRisk(thing) : false;
  const first: Call | null = dueAtOnce
    ? { due: counted.on, by: 'calendar' }
    : firstCall(rhythm.triggers, {
        lastDone: counted.on,
        ...(counted.at && counted.done ? { lastDoneAt: counted.at } : {}),
        earlyDays: counted.done ? rhythm.earlyDays : 0,
        today,
        zone: facts.timeZone,
        uses: thing ? context.usesOf(thing.id) : [],
        foretold: placeId ? context.foretold(placeId) : [],
        fungusRisk,
      });
  if (!first) return [];
  const found = (call: Call, because: DueBecause[]): Found => ({
    window: windowOf(call, rhythm),
    minutes: rhythm.minutes,
    facts: { says: 'rhythm', because },
    ...(call.estimate ? { estimate: call.estimate } : {}),
  });
  const atHand = found(first, dueAtOnce ? [dueAtOnce] : becauseOf(first, counted, fungusRisk, rhythm));
  // What has waited since it came is not early before that day.
  if (dueAtOnce) atHand.window.earliest = counted.on;
  if (thing) moveAfterReturn(atHand, thing, context);
  const all = [atHand];
  for (const call of laterCalls(first, rhythm, { today, fungusRisk })) {
    if (call.due > until) break;
    all.push(found(call, [{ because: 'last-done' }]));
  }
  return all;
}

/** What fell due while it was away is not late: its window opens when it is back. */
function moveAfterReturn({ window, facts }: Found, thing: ThingFacts, { journal }: Context): void {
  const back = journal.last({ kind: 'thing', id: thing.id }, (d) => d.kind === 'back');
  if (!back || window.latest >= back.day || facts.says !== 'rhythm') return;
  const late = daysBetween(window.due, window.latest);
  Object.assign(window, { earliest: back.day, due: back.day, latest: addDays(back.day, late) });
  facts.because = [...facts.because, { because: 'came-back' }];
}

export const dayOfAdding = (thing: { addedAt: string }, { facts }: Context): Day => localDay(thing.addedAt, facts.timeZone);

/** From when the first time is counted: the day it came, or its turn among many. Where the air is damp nothing waits for a turn. */
const firstDay = (thing: ThingFacts, context: Context): Day =>
  addDays(dayOfAdding(thing, context), context.fungusRisk(thing) ? 0 : (thing.turn ?? 0));

/** Is the thing here? What is at a workshop or on loan is not looked at. */
export function awayOf({ id }: { id: string }, { journal }: Pick<Context, 'journal'>) {
  const last = journal.last({ kind: 'thing', id }, (d) => d.kind === 'away' || d.kind === 'back');
  return last?.data.kind === 'away' ? { ...last.data, since: last.day } : null;
}

/** Does this duty recur for a thing of its kind, and is the thing in use? A duty names the kinds it is for. */
export const recursFor = (thing: ThingFacts, duty: DutyKind, { has, lacks }: { has?: Surface; lacks?: Surface } = {}): boolean => {
  if (thing.status !== 'in-use' || !isForKind(duty, thing.kind)) return false;
  const owns = (surface: Surface) => hasSurface(thing.kind, thing.traits, surface);
  return (!has || owns(has)) && (!lacks || !owns(lacks));
};

/** What recurs of a hygrometer, counted from the last entry that did it, or from the day it came. */
export const recurringOfHygrometer = (
  { id, addedAt }: Pick<HygrometerFacts, 'id' | 'addedAt'>,
  code: string,
  standard: Rhythm,
  last: DatedEntry | null,
  context: Context,
): Found[] => {
  const counted: Counted = last
    ? countedFrom(last)
    : { on: localDay(addedAt, context.facts.timeZone), at: null, because: { because: 'since-on-the-shelf' }, done: false };
  return recurring({ code, standard, subject: { id }, counted }, context);
};

/**
 * A look that recurs: it is settled when all that it asks for was seen; what was never wholly looked at is due at once.
 *
 * @param asked the surfaces that have to be seen.
 * @param also what else counts as one.
 */
export const recurringLook = (
  thing: ThingFacts,
  code: string,
  standard: Rhythm,
  asked: readonly Surface[],
  context: Context,
  also?: (data: JournalData) => boolean,
): Found[] => {
  const { by, seen } = settledBy(asked, context.journal.of({ kind: 'thing', id: thing.id }), code, also);
  const last = by.at(-1);
  const because: DueBecause = { because: seen.length > 0 ? 'half-looked-at' : 'never-looked-at' };
  const counted: Counted = last ? countedFrom(last) : { on: firstDay(thing, context), at: null, because, done: false };
  const all = recurring({ code, standard, subject: thing, thing, counted, ...(last ? {} : { dueAtOnce: because }) }, context);
  return all.map((found, i) => withSight({ ...found, settled: by }, asked, i === 0 ? seen : []));
};

/** The same, with what has to be seen and how much of it was. */
export function withSight(found: Found, asked: readonly Surface[], seen: readonly Surface[]): Found {
  const { facts } = found;
  return facts.says === 'rhythm' ? { ...found, facts: { ...facts, sight: { asked: [...asked], seen: [...seen] } } } : found;
}

/** What recurs and is ticked off; counted from the day the thing came until it was done once. */
export const recurringMark = (
  thing: ThingFacts,
  code: string,
  standard: Rhythm,
  context: Context,
  also?: (data: JournalData) => boolean,
): Found[] => {
  const marked = lastDoneOf(thing, code, false, context);
  const other = also ? context.journal.last({ kind: 'thing', id: thing.id }, also) : null;
  const last = marked && other ? (marked.at > other.at ? marked : other) : (marked ?? other);
  const counted: Counted = last
    ? countedFrom(last)
    : { on: firstDay(thing, context), at: null, because: { because: 'since-on-the-shelf' }, done: false };
  return recurring({ code, standard, subject: thing, thing, counted }, context);
};

/** A window that opens on a day and stays open so long. */
export const openFor = (from: Day, days: number): Found['window'] => ({ earliest: from, due: from, latest: addDays(from, days) });
/** A window around a day that lies so many days after another. */
export const around = (from: Day, afterDays: number, slack: number): Found['window'] => {
  const due = addDays(from, afterDays);
  return { earliest: later(addDays(due, -slack), from), due, latest: addDays(due, slack) };
};
