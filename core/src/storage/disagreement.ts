import { dewPointC } from '../air/index.js';
import type { ToldBy } from './alertFacts.js';

/** Two hygrometers in one place that disagree: what each says, the wetter first, and since when they have. */
export type Disagreement = { wetter: ToldBy; drier: ToldBy; at: string; since: string };

/** Is it not known which is right? Two that were both tested since and still differ do not stand in the same air. */
export const isDisputed = (apart: Disagreement | null): boolean =>
  apart !== null && [apart.wetter, apart.drier].some(({ testedAt }) => testedAt === null || testedAt <= apart.since);

/** One that reads so much warmer beside another lies in the sun, or on something warm, K (our choice). */
const WARMER_K = 2;
/** Dew points that differ by no more are those of one air, K (our choice: what 2 % RH and 0.3 K of an instrument make). */
const SAME_WATER_K = 1;
const DRIEST_PCT = 1;

/** How much warmer the drier of two reads, K: negative where it is the wetter that does; null where they are as warm. */
export function warmerBy({ wetter, drier }: Pick<Disagreement, 'wetter' | 'drier'>): number | null {
  const warmerK = drier.temperatureC - wetter.temperatureC;
  return Math.abs(warmerK) >= WARMER_K ? warmerK : null;
}

/** Do both find the same water in the air? Air is drier where it is warmer: then neither of them is wrong. */
export function isOnlyWarmth(pair: Pick<Disagreement, 'wetter' | 'drier'>): boolean {
  const dew = ({ temperatureC, humidityPct }: ToldBy) => dewPointC(temperatureC, Math.max(DRIEST_PCT, humidityPct));
  return warmerBy(pair) !== null && Math.abs(dew(pair.wetter) - dew(pair.drier)) <= SAME_WATER_K;
}
