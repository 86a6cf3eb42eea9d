import { whyNotComparable, type GlareDifference, type GlareTaken } from './glare.js';
import { daysApart } from './growth.js';

/** A test of one lens as its story needs it. */
export type GlareTold = GlareTaken & { /** ISO 8601. */ takenAt: string; glarePct: number; lowPct: number; highPct: number };

/** What a test is held against: the last one before a clean, the one before it, or that of about a year ago. */
export const GLARE_AGAINST = ['clean', 'before', 'year'] as const;
export type GlareAgainst = (typeof GLARE_AGAINST)[number];

export type GlareComparison<T extends GlareTold = GlareTold> = {
  against: GlareAgainst;
  other: T;
  /** The clean that lies between them, for `clean`. */
  cleanedAt: string | null;
  /** Why the two cannot be held against each other; then there is no change. */
  differences: GlareDifference[];
  /** Whether it is less or more, as far as the two tests can tell it from chance. */
  change: 'less' | 'more' | 'same' | null;
};

/** A year, and what still counts as one, days (our choice). */
const YEAR = 365;
const ABOUT = 90;

function compared<T extends GlareTold>(test: T, other: T, against: GlareAgainst, cleanedAt: string | null = null): GlareComparison<T> {
  const differences = whyNotComparable(other, test);
  const change = test.highPct < other.lowPct ? 'less' : test.lowPct > other.highPct ? 'more' : 'same';
  return { against, other, cleanedAt, differences, change: differences.length > 0 ? null : change };
}

/**
 * What each test of a lens tells beside the others: the first after a clean is held against the last before it, any other
 * against the one before; and each against that of about a year earlier.
 *
 * @param tests oldest first. @param cleanedAt when the lens was cleaned, ISO 8601, in any order.
 */
export function glareStory<T extends GlareTold>(tests: readonly T[], cleanedAt: readonly string[]): GlareComparison<T>[][] {
  return tests.map((test, i) => {
    const before = tests[i - 1];
    if (!before) return [];
    const clean =
      cleanedAt
        .filter((at) => at > before.takenAt && at <= test.takenAt)
        .sort()
        .at(-1) ?? null;
    const next = compared(test, before, clean ? 'clean' : 'before', clean);
    const offYear = (t: T): number => Math.abs(daysApart(t.takenAt, test.takenAt) - YEAR);
    const yearAgo = tests
      .slice(0, i - 1)
      .filter((t) => offYear(t) <= ABOUT)
      .sort((a, b) => offYear(a) - offYear(b))[0];
    return yearAgo ? [next, compared(test, yearAgo, 'year')] : [next];
  });
}
