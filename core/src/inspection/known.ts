import type { BenchEnd, Because, CleaningPlan, Finding, ItemKind, Outcome, Schools, Traits, Verdict } from '../care/index.js';
import { surfacesOf } from '../care/index.js';
import type { Surface } from '../care/knowledge/index.js';
import { assessSurface } from './assess.js';
import type { Testimony } from './together.js';

type Thing = { kind: ItemKind; traits: Traits };
/** What is known of one surface, and what it comes to. */
export type Known = { surface: Surface; findings: Omit<Finding, 'surface'>[]; verdict: Verdict; because: Because };

const assessed = (thing: Thing, surface: Surface, findings: readonly Omit<Finding, 'surface'>[], schools?: Partial<Schools>): Known => ({
  surface,
  findings: [...findings],
  ...assessSurface(
    thing,
    findings.map((f) => ({ ...f, surface })),
    schools,
  ),
});

/**
 * What a finished look makes known: of every surface that somebody looked at and this thing has. What was only expected
 * there, and that nobody has confirmed, was not seen.
 */
export const knownFromLook = (thing: Thing, answers: readonly Testimony[], schools?: Partial<Schools>): Known[] =>
  answers
    .filter((a) => !a.noted && surfacesOf(thing.kind, thing.traits).includes(a.surface))
    .map(({ surface, findings }) => assessed(thing, surface, findings, schools));

/** What an end at the bench says of a surface whatever else is known of it; null where a fresh assessment says it. */
const VERDICT_OF: Record<Outcome, { verdict: Verdict; because: BenchEnd } | null> = {
  'clean-enough': null,
  left: null,
  'not-reached': null,
  'stopped-by-grit': null,
  'stopped-by-salt': null,
  'film-left': { verdict: 'clean', because: { reason: 'film-left' } },
  'lies-deeper': { verdict: 'hand-over', because: { reason: 'lies-deeper' } },
  'is-damage': { verdict: 'leave', because: { reason: 'is-damage' } },
  'did-not-come-off': { verdict: 'hand-over', because: { reason: 'did-not-come-off' } },
  'shutter-closed-on-it': { verdict: 'hand-over', because: { reason: 'shutter-closed-on-it' } },
};

/** What still lies on a surface after it was cleaned: what no step of the plan was for. */
function leftOn({ surface, findings }: Pick<Known, 'surface' | 'findings'>, outcome: Outcome, plan: CleaningPlan): Known['findings'] {
  if (outcome !== 'clean-enough') return findings;
  const removed = new Set(plan.steps.filter((s) => s.surface === surface).flatMap((s) => s.removes));
  return findings.filter((f) => !removed.has(f.soil));
}

/** What an ended cleaning makes known: of every surface that was known and worked on. */
export const knownFromCleaning = (
  thing: Thing,
  before: readonly Pick<Known, 'surface' | 'findings'>[],
  { plan, outcomes, schools }: { plan: CleaningPlan; outcomes: Partial<Record<Surface, Outcome>>; schools?: Partial<Schools> | undefined },
): Known[] =>
  before.flatMap((state) => {
    const outcome = outcomes[state.surface];
    if (outcome === undefined || outcome === 'not-reached') return [];
    return { ...assessed(thing, state.surface, leftOn(state, outcome, plan), schools), ...VERDICT_OF[outcome] };
  });

/** What was told of a thing: a look's answers, or how a cleaning ended; and when. */
export type ToldOf = { at: string } & ({ look: readonly Testimony[] } | { cleaning: Parameters<typeof knownFromCleaning>[2] });
export type KnownSince = Known & { knownSince: string };

/**
 * What all of it together makes known, as if it had been told in the order in which it happened: what is left where a look is
 * taken back or corrected. Of two of one moment the one that stands later in the list was told later.
 */
export function knownFromAll(thing: Thing, told: readonly ToldOf[], schools?: Partial<Schools>): KnownSince[] {
  const known = new Map<Surface, KnownSince>();
  const inTime = told.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  for (const { at: knownSince, ...what } of inTime) {
    const now = 'look' in what ? knownFromLook(thing, what.look, schools) : knownFromCleaning(thing, [...known.values()], what.cleaning);
    for (const state of now) known.set(state.surface, { ...state, knownSince });
  }
  return [...known.values()];
}
