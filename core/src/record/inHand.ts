import type { SchoolId, SchoolNote, Step } from '../care/index.js';
import type { Family, Soil } from '../care/knowledge/index.js';
import { chanceLarger } from './betaQuantile.js';
import { type Odds, oddsOf, type Tries } from './odds.js';
import { answeredSteps, type BenchOver } from './tries.js';

/** A way that a school chose, tried on a soil on a family of surfaces, and whether it did it. */
type SchoolTry = { school: SchoolId; choice: string; soil: Soil; family: Family; did: boolean };

/** What departs from the school is no try of it. */
const followedIn = ({ schoolNotes }: Step): SchoolNote[] => schoolNotes.filter(({ departs }) => !departs);

const schoolTriesOf = (bench: BenchOver): SchoolTry[] =>
  answeredSteps(bench).flatMap(({ step, on, did }) =>
    followedIn(step).flatMap(({ school, followed: choice }) => on.map((lies) => ({ school, choice, ...lies, did }))),
  );

export type ChoiceInHand = { choice: string } & Tries & Odds;
/** What one's own tries say of the choices of a school: too few, no difference that shows, or that one does it oftener. */
export type SchoolInHand = {
  school: SchoolId;
  choices: ChoiceInHand[];
  tells: { is: 'too-few'; of: number } | { is: 'no-difference' } | { is: 'better'; better: string; worse: string; sure: number };
};

/** So many tries of either before anything is said, and so sure that one is better (our choice). */
const LEAST_TRIES = 8;
const SURE = 0.95;
const UNIFORM = 0.5;

const countOf = (own: readonly SchoolTry[]): Tries => ({
  successes: own.filter((t) => t.did).length,
  failures: own.filter((t) => !t.did).length,
});
const keyOf = ({ school, soil, family }: SchoolTry): string => `${school}/${soil}/${family}`;

function tellsOf(choices: readonly ChoiceInHand[]): SchoolInHand['tells'] {
  const fewest = Math.min(...choices.map(({ successes, failures }) => successes + failures));
  if (fewest < LEAST_TRIES) return { is: 'too-few', of: fewest };
  const [best, ...others] = [...choices].sort((a, b) => b.mean - a.mean) as [ChoiceInHand, ...ChoiceInHand[]];
  const worst = others.at(-1)!;
  const sure = chanceLarger(best, worst);
  return sure > SURE ? { is: 'better', better: best.choice, worse: worst.choice, sure } : { is: 'no-difference' };
}

/**
 * Schools compared in one's own hands, those of which two choices or more were tried: only on the soils and surfaces on which
 * each of them was, so that whoever takes the one for dust and the other for grease is not told that dust is easier.
 */
export function schoolsInHand(benches: readonly BenchOver[]): SchoolInHand[] {
  const all = benches.flatMap(schoolTriesOf);
  const choicesAt = new Map<string, Set<string>>();
  for (const one of all) choicesAt.set(keyOf(one), (choicesAt.get(keyOf(one)) ?? new Set()).add(one.choice));
  const compared = all.filter((one) => choicesAt.get(keyOf(one))!.size > 1);
  return [...new Set(compared.map(({ school }) => school))].map((school) => {
    const own = compared.filter((one) => one.school === school);
    const choices = [...new Set(own.map(({ choice }) => choice))].map((choice) => {
      const tries = countOf(own.filter((one) => one.choice === choice));
      return { choice, ...tries, ...oddsOf({ ...tries, prior: UNIFORM }) };
    });
    return { school, choices, tells: tellsOf(choices) };
  });
}

/** Which choice of each school a bench followed. */
export const followedAt = (bench: BenchOver): Partial<Record<SchoolId, string>> =>
  Object.fromEntries(answeredSteps(bench).flatMap(({ step }) => followedIn(step).map(({ school, followed }) => [school, followed])));
