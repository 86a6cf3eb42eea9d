import type { ToldBy } from './alertFacts.js';

/** Two hygrometers in one place that disagree: what each says, the wetter first, and since when they have. */
export type Disagreement = { wetter: ToldBy; drier: ToldBy; at: string; since: string };

/** Is it not known which is right? Two that were both tested since and still differ do not stand in the same air. */
export const isDisputed = (apart: Disagreement | null): boolean =>
  apart !== null && [apart.wetter, apart.drier].some(({ testedAt }) => testedAt === null || testedAt <= apart.since);
