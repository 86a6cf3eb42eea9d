import type { ItemKind } from '../care/kinds/index.js';
import type { Trigger } from './triggers.js';

/** How a recurring duty recurs: what makes it due, how far it may slip either way, how long it takes. */
export type Rhythm = { triggers: readonly Trigger[]; earlyDays: number; lateDays: number; minutes: number };

/** For whom a changed rhythm holds: for every subject, for a kind of thing, or for one. */
export type RhythmScope = { for: 'all' } | { for: 'kind'; kind: ItemKind } | { for: 'subject'; id: string };
/** A rhythm as the keeper set it; null switches the duty off there. */
export type RhythmChange<Code extends string = string> = { code: Code; scope: RhythmScope; rhythm: Rhythm | null };

const NARROWNESS: Record<RhythmScope['for'], number> = { all: 0, kind: 1, subject: 2 };
const holdsFor = (scope: RhythmScope, { id, kind }: { id: string; kind?: ItemKind }): boolean =>
  scope.for === 'all' || (scope.for === 'kind' ? scope.kind === kind : scope.id === id);

/** The rhythm that holds for a subject: the narrowest change, else the default; null where it is switched off. */
export function rhythmFor(
  code: string,
  standard: Rhythm,
  subject: { id: string; kind?: ItemKind },
  changes: readonly RhythmChange[],
): Rhythm | null {
  const found = changes
    .filter((c) => c.code === code && holdsFor(c.scope, subject))
    .reduce<RhythmChange | null>((best, c) => (!best || NARROWNESS[c.scope.for] > NARROWNESS[best.scope.for] ? c : best), null);
  return found ? found.rhythm : standard;
}

/** The same list with one change made: it takes the place of an earlier one with the same scope. */
export const withChange = (changes: readonly RhythmChange[], change: RhythmChange): RhythmChange[] => [
  ...changes.filter((c) => !(c.code === change.code && sameScope(c.scope, change.scope))),
  change,
];

export const sameScope = (a: RhythmScope, b: RhythmScope): boolean =>
  a.for === b.for && (a.for !== 'kind' || a.kind === (b as typeof a).kind) && (a.for !== 'subject' || a.id === (b as typeof a).id);
