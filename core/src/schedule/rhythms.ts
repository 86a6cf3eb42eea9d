import type { ItemKind } from '../care/kinds/index.js';
import type { Trigger } from './triggers.js';

/** How a recurring duty recurs: what makes it due, how far it may slip either way, how long it takes. */
export type Rhythm = { triggers: readonly Trigger[]; earlyDays: number; lateDays: number; minutes: number };

/** For whom a changed rhythm holds: for every subject, for a kind of thing, or for one. */
export type RhythmScope = { for: 'all' } | { for: 'kind'; kind: ItemKind } | { for: 'subject'; id: string };
/** A rhythm as the keeper set it; null switches the duty off there. */
export type RhythmChange<Code extends string = string> = { code: Code; scope: RhythmScope; rhythm: Rhythm | null };

const scopeKey = (scope: RhythmScope): string =>
  scope.for === 'all' ? 'all' : scope.for === 'kind' ? `kind/${scope.kind}` : `subject/${scope.id}`;

/** Thousands of rules are asked for each thing and duty: they are sorted by what they hold for once. */
const sorted = new WeakMap<readonly RhythmChange[], ReadonlyMap<string, RhythmChange>>();
function byScope(changes: readonly RhythmChange[]): ReadonlyMap<string, RhythmChange> {
  const known = sorted.get(changes);
  if (known) return known;
  const made = new Map(changes.map((c) => [`${c.code} ${scopeKey(c.scope)}`, c]));
  sorted.set(changes, made);
  return made;
}

const DAYS_A_MONTH = 30;
/**
 * The same rhythm every so many months: what else makes it due (use, exposure, a time of risk) stays, and it slips neither
 * way by more than a third of it, so that one does not fall into the next.
 */
export function everyMonths(rhythm: Rhythm, months: number): Rhythm {
  const others = rhythm.triggers.filter((t) => t.on !== 'calendar' || t.while !== undefined);
  const slip = Math.floor((months * DAYS_A_MONTH) / 3);
  return {
    ...rhythm,
    triggers: [{ on: 'calendar', rrule: `FREQ=MONTHLY;INTERVAL=${months}`, from: 'last-done' }, ...others],
    earlyDays: Math.min(rhythm.earlyDays, slip),
    lateDays: Math.min(rhythm.lateDays, slip),
  };
}

/** The rhythm that holds for a subject: the narrowest change, else the default; null where it is switched off. */
export function rhythmFor(
  code: string,
  standard: Rhythm,
  subject: { id: string; kind?: ItemKind },
  changes: readonly RhythmChange[],
): Rhythm | null {
  if (changes.length === 0) return standard;
  const all = byScope(changes);
  const of = (scope: RhythmScope) => all.get(`${code} ${scopeKey(scope)}`);
  const found = of({ for: 'subject', id: subject.id }) ?? (subject.kind && of({ for: 'kind', kind: subject.kind })) ?? of({ for: 'all' });
  return found ? found.rhythm : standard;
}

/** The same list with one change made: it takes the place of an earlier one with the same scope. */
export const withChange = (changes: readonly RhythmChange[], change: RhythmChange): RhythmChange[] => [
  ...changes.filter((c) => !(c.code === change.code && sameScope(c.scope, change.scope))),
  change,
];

export const sameScope = (a: RhythmScope, b: RhythmScope): boolean => scopeKey(a) === scopeKey(b);
