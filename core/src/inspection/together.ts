import type { Finding } from '../care/index.js';
import type { Surface } from '../care/knowledge/index.js';

/** What one person says of one surface: what is on it, and in words. */
export type Testimony = { surface: Surface; findings: readonly Omit<Finding, 'surface'>[]; note: string; noted?: string };

/** One look that was gone on with in two places. */
export type TogetherSeen<T> = {
  /** Both as one, of where they differ this place's. */
  answers: T[];
  /** Of these surfaces the two say different things: which is right only a person knows. */
  differing: Surface[];
};

const bySoil = (a: Pick<Finding, 'soil'>, b: Pick<Finding, 'soil'>) => a.soil.localeCompare(b.soil);

/** The same words for the same testimony, in whatever order it was tapped or is kept. */
const wordsOf = (t: Testimony | undefined): string =>
  t === undefined
    ? ''
    : JSON.stringify([
        [...t.findings].sort(bySoil).map(({ soil, severity, sizeMm }) => [soil, severity, sizeMm ?? null]),
        t.note,
        t.noted ?? null,
      ]);

/** Whether two say the same of the same surfaces. */
export const saysTheSame = (a: readonly Testimony[], b: readonly Testimony[]): boolean =>
  a.length === b.length && a.every((one) => wordsOf(one) === wordsOf(b.find(({ surface }) => surface === one.surface)));

/**
 * Makes one of a look that was gone on with in two places: what only one of them changed is taken, and what both say alike.
 * A surface is one testimony: "nothing here" and "dust" are not put together to "dust".
 *
 * @param base what both began from.
 * @param mine what stands here now.
 * @param theirs what stands there now.
 */
export function seenTogether<T extends Testimony>(base: readonly T[], mine: readonly T[], theirs: readonly T[]): TogetherSeen<T> {
  const of = (answers: readonly T[], surface: Surface) => answers.find((a) => a.surface === surface);
  const surfaces = [...new Set([...theirs, ...mine].map((a) => a.surface))];
  const told = surfaces.map((surface) => {
    const [was, here, there] = [of(base, surface), of(mine, surface), of(theirs, surface)];
    const hereIsNew = wordsOf(here) !== wordsOf(was);
    const isDiffering = hereIsNew && wordsOf(there) !== wordsOf(was) && wordsOf(here) !== wordsOf(there);
    return { surface, answer: hereIsNew ? here : there, isDiffering };
  });
  return {
    answers: told.flatMap(({ answer }) => answer ?? []),
    differing: told.filter(({ isDiffering }) => isDiffering).map(({ surface }) => surface),
  };
}
