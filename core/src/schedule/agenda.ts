import { addDays, addMonths, daysBetween, earlier, inOrder, later, localDay, type Day } from './day.js';
import { urgencyOf, type Urgency } from './dueWindows.js';
import { FINDERS } from './duties/finders.js';
import { awayOf, DUTY_CODES, dutyFacts, type Context, type DutyCode, type DutyFacts, type Window } from './duties/index.js';
import type { Facts, OutingFacts, ThingFacts } from './facts.js';
import { foretoldOf } from './foretold.js';
import { GRAVITY_WEIGHT, gravityRank, type Gravity } from './gravity.js';
import { isTicked, Journal, type DatedEntry, type Entry } from './journal.js';
import type { RhythmChange } from './rhythms.js';
import type { SetUpId } from './setUps.js';
import { subjectKey, type NamedSubject } from './subjects.js';
import type { Use } from './triggers.js';

/** Something that falls due: derived from facts, journal and rhythms, never stored. */
export type Duty = {
  /** The same duty keeps it while it waits, whatever becomes of its day. */
  id: string;
  code: DutyCode;
  subject: NamedSubject;
  window: Window;
  minutes: number;
  gravity: Gravity;
  setUp: SetUpId;
  urgency: Urgency;
  facts: DutyFacts;
  /** 0 for the one at hand, 1 for the one after it, if that were done on its day … */
  ahead: number;
  /** Where the day is a guess: between which days it is likely to lie. */
  estimate: { from: Day; to: Day } | null;
  /** Put off until this day by the keeper. */
  snoozedUntil: Day | null;
  /** Put on this day by the keeper. */
  plannedOn: Day | null;
};

export type Agenda = { today: Day; duties: Duty[] };

/** Of a thing that is away only its return is asked for. */
const WHILE_AWAY: readonly DutyCode[] = ['due-back', 'warm-up'];

function usesByThing(outings: readonly OutingFacts[], today: Day): (itemId: string) => readonly Use[] {
  const uses = new Map<string, Use[]>();
  for (const { to, notedAt, itemIds, met, counts, countsOf = {} } of outings) {
    if (to > today) continue;
    for (const id of itemIds)
      uses.set(id, [...(uses.get(id) ?? []), { day: to, notedAt, counts: { outings: 1, ...counts, ...countsOf[id] }, met }]);
  }
  for (const list of uses.values()) list.sort((a, b) => a.day.localeCompare(b.day));
  return (itemId) => uses.get(itemId) ?? [];
}

/** A thing is at risk where the air of its place asks for a word, log or no log to spare. */
/** The places in which growth is not ruled out. */
export const dampPlaces = (places: Facts['places']): string[] =>
  places.filter((p) => p.assessment && p.assessment.best.level !== 'safe').map((p) => p.id);

function riskByThing(places: Facts['places']): (thing: ThingFacts) => boolean {
  const risky = new Set(dampPlaces(places));
  return ({ stay }) => stay !== null && risky.has(stay.placeId);
}

function foretoldByPlace({ places, timeZone }: Facts, today: Day): Context['foretold'] {
  const of = new Map(places.map((p) => [p.id, foretoldOf(p, today, timeZone)]));
  return (placeId) => of.get(placeId) ?? [];
}

type Said = { snoozedUntil: Day | null; plannedOn: Day | null };
const NOTHING_SAID: Said = { snoozedUntil: null, plannedOn: null };
/** What the keeper said of a duty: put off until a day, or put on one. */
function saidOf(code: DutyCode, subject: NamedSubject, { journal, today }: Context, settled: DatedEntry | undefined): Said {
  const since = journal.of(subject);
  if (!since.some((e) => e.data.kind === 'snoozed' || e.data.kind === 'planned')) return NOTHING_SAID;
  const { doneBy } = dutyFacts(code);
  // What was said of it was said of that time: once it is done, it is said no more.
  const byLooking = doneBy === 'look' || doneBy === 'plan';
  const last = since.findLastIndex(
    ({ id, data }) => isTicked(data, code) || (settled ? id === settled.id : byLooking && (data.kind === 'look' || data.kind === 'clean')),
  );
  const after = since.slice(last + 1);
  const snoozed = after.findLast((e) => e.data.kind === 'snoozed' && e.data.task === code)?.data;
  const planned = after.findLast((e) => e.data.kind === 'planned' && e.data.task === code)?.data;
  const plannedOn = planned?.kind === 'planned' ? planned.day : null;
  return {
    snoozedUntil: snoozed?.kind === 'snoozed' && snoozed.until > today ? snoozed.until : null,
    // A day that went by without it is no plan any more.
    plannedOn: plannedOn && plannedOn >= today ? plannedOn : null,
  };
}

/** Put off: it is not asked for before that day, and not late before its own last one. */
const snoozedWindow = ({ earliest, due, latest }: Window, until: Day): Window => ({
  earliest: later(earliest, until),
  due: later(due, until),
  latest: later(latest, until),
});

/** Ranked by consequence and by what waiting costs: what is gravest, and of that what has waited longest. */
export function byConsequence(a: Duty, b: Duty): number {
  return (
    gravityRank(a.gravity) - gravityRank(b.gravity) ||
    URGENCY_RANK[a.urgency] - URGENCY_RANK[b.urgency] ||
    inOrder(a.window.latest, b.window.latest) ||
    inOrder(a.window.due, b.window.due) ||
    inOrder(a.subject.name, b.subject.name) ||
    inOrder(a.id, b.id)
  );
}
const URGENCY_RANK: Record<Urgency, number> = { overdue: 0, due: 1, soon: 2, later: 3 };

/** How many times it has been done: what numbers the occurrences, so that each keeps its name when its day moves. */
function timesDone(code: DutyCode, subject: NamedSubject, { journal }: Context): number {
  const { doneBy } = dutyFacts(code);
  return journal.count(
    subject,
    (d) =>
      isTicked(d, code) ||
      (doneBy === 'look' && (d.kind === 'look' || d.kind === 'clean')) ||
      (doneBy === 'salt-test' && d.kind === 'salt-test') ||
      (doneBy === 'gel' && d.kind === 'gel') ||
      (doneBy === 'wash' && d.kind === 'washed'),
  );
}

/**
 * Everything that is due or falls due up to a day: one list that all pages read, the gravest first.
 *
 * @param changes the rhythms the keeper has set; what none of them covers follows the default.
 * @param options.now an instant. `until` a local day; left out, 12 months ahead.
 */
export function agendaFrom(...asked: AgendaQuestion): Agenda {
  const steps = agendaInSteps(...asked);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

type AgendaQuestion = [
  facts: Facts,
  entries: readonly Entry[],
  changes: readonly RhythmChange[],
  options: { now: string; until?: Day; only?: readonly DutyCode[] },
];

/** The same in steps, one for each kind of duty: of a thousand things it takes longer than others should wait. */
export function* agendaInSteps(...[facts, entries, changes, { now, until, only }]: AgendaQuestion): Generator<void, Agenda> {
  const today = localDay(now, facts.timeZone);
  const journal = new Journal(entries, facts.timeZone, now);
  const context: Context = {
    facts,
    journal,
    changes,
    now,
    today,
    until: until ?? addMonths(today, 12),
    usesOf: usesByThing(facts.outings, today),
    foretold: foretoldByPlace(facts, today),
    fungusRisk: riskByThing(facts.places),
  };
  const away = new Set(facts.things.filter((t) => awayOf(t, context)).map((t) => t.id));
  const found: Duty[][] = [];
  for (const code of only ?? DUTY_CODES) {
    found.push(dutiesOf(code, context, away));
    yield;
  }
  return { today, duties: found.flat().sort(byConsequence) };
}

function dutiesOf(code: DutyCode, context: Context, away: ReadonlySet<string>): Duty[] {
  const kind = dutyFacts(code);
  const duties: Duty[] = [];
  for (const { subject, found } of FINDERS[code](code, context)) {
    if (subject.kind === 'thing' && away.has(subject.id) && !WHILE_AWAY.includes(code)) continue;
    const settled = found[0]?.settled;
    const said = saidOf(code, subject, context, settled?.at(-1));
    const done = kind.rhythm ? (settled?.length ?? timesDone(code, subject, context)) : 0;
    const known = `${code}/${subjectKey(subject)}`;
    const before = new Map<string, number>();
    for (const { window, part, minutes, gravity, facts, estimate } of found) {
      const key = part ? `${known}/${part}` : known;
      const ahead = before.get(key) ?? 0;
      before.set(key, ahead + 1);
      const { snoozedUntil, plannedOn } = ahead === 0 ? said : NOTHING_SAID;
      const held = snoozedUntil ? snoozedWindow(window, snoozedUntil) : window;
      duties.push({
        id: kind.rhythm ? `${key}/${done + ahead}` : key,
        code,
        subject,
        window: held,
        minutes: minutes ?? kind.minutes,
        gravity: gravity ?? kind.gravity,
        setUp: kind.setUp,
        urgency: urgencyOf(held, context.today),
        facts,
        ahead,
        estimate: estimate ?? null,
        snoozedUntil,
        plannedOn,
      });
    }
  }
  return duties;
}

/** What is at hand: its window is open or over, and it is not put off. Nothing that only follows something else. */
export const isAtHand = ({ ahead, urgency, snoozedUntil }: Duty): boolean => ahead === 0 && urgency !== 'later' && snoozedUntil === null;

/**
 * One look answers every duty of a thing that is done by looking: of those at hand only the first by consequence is
 * asked for, by the last day of any of them.
 */
export function oneLookEach(duties: readonly Duty[]): Duty[] {
  const isLookAtHand = (d: Duty) => isAtHand(d) && dutyFacts(d.code).doneBy === 'look' && d.subject.kind === 'thing';
  const latest = new Map<string, Day>();
  for (const d of duties.filter(isLookAtHand))
    latest.set(d.subject.id, earlier(latest.get(d.subject.id) ?? d.window.latest, d.window.latest));
  const asked = new Set<string>();
  return duties.flatMap((d) => {
    if (!isLookAtHand(d)) return [d];
    if (asked.has(d.subject.id)) return [];
    asked.add(d.subject.id);
    const last = later(latest.get(d.subject.id)!, d.window.earliest);
    return [{ ...d, window: { ...d.window, due: earlier(d.window.due, last), latest: last } }];
  });
}

/** A timer runs out by itself, and what an outing asks for out there is seen to out there. */
const needsNobodyHere = ({ code, subject }: Duty): boolean =>
  dutyFacts(code).doneBy === 'timer' || (subject.kind === 'outing' && code !== 'look-before-outing');

/** What a week away would do: what would be late on coming back and is not yet, the costliest first. */
export function lateOnReturn(duties: readonly Duty[], { today, backOn }: { today: Day; backOn: Day }): Duty[] {
  const days = (d: Duty) => Math.max(0, daysBetween(later(d.window.latest, today), backOn));
  return duties
    .filter((d) => d.ahead === 0 && d.window.earliest <= today && d.window.latest < backOn && !needsNobodyHere(d))
    .sort((a, b) => days(b) * GRAVITY_WEIGHT[b.gravity] - days(a) * GRAVITY_WEIGHT[a.gravity] || byConsequence(a, b));
}

/** What is late already is given so long to be caught up with (our choice: harm waits for no second day, routine for a month's weekends). */
const GRACE_DAYS: Readonly<Record<Gravity, number>> = { spreads: 0, harms: 0, worsens: 7, spoils: 14, routine: 28 };

/**
 * The window as a planner of future days sees it: nothing is done before today, and what is late, or will be before
 * the first day there is time, is caught up with from that day on, the graver the sooner.
 */
export function openWindow({ window, gravity }: Pick<Duty, 'window' | 'gravity'>, today: Day, firstFree: Day): Window {
  const { earliest, due, latest } = window;
  const last = latest >= firstFree ? latest : addDays(firstFree, GRACE_DAYS[gravity]);
  return { earliest: later(earliest, today), due: earlier(later(due, today), last), latest: last };
}
