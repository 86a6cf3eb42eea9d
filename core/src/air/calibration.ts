import { saltPointPct, type Salt } from './saltPoints.js';

/** One salt test: what a hygrometer read over the salt at that temperature. */
export type SaltTest = { salt: Salt; temperatureC: number; rawPct: number };
/** Salt tests of one occasion: one point shifts, two points also stretch. */
export type Calibration = { points: readonly SaltTest[] };
/** A straight line from what was read to what is so. */
export type Correction = { gain: number; offsetPct: number };
export const NO_CORRECTION: Correction = { gain: 1, offsetPct: 0 };

/** Beyond these a test was not left to settle, or the salt was dry. */
const GAINS = { least: 0.7, most: 1.4 };
const MOST_SHIFT_PCT = 20;
/** Two salts nearer than this make the gain a guess. */
const LEAST_SPREAD_PCT = 15;

/**
 * The correction that one or two salt tests give.
 *
 * @throws RangeError when there are none or more than two, two points lie within 15 % RH, the gain is outside
 * 0.7 to 1.4, or a shift exceeds 20 % RH: then the test itself went wrong.
 * @example MgCl2 read as 36 and NaCl as 74 at 25 degC: gain 1.1187, offset -7.49
 */
export function correctionOf({ points }: Calibration): Correction {
  const [low, high] = [...points].sort((a, b) => a.rawPct - b.rawPct);
  if (!low || points.length > 2) throw new RangeError(`a calibration has one or two salt points, not ${points.length}`);
  const lowTrue = saltPointPct(low.salt, low.temperatureC);
  if (!high) {
    const offsetPct = lowTrue - low.rawPct;
    if (!(Math.abs(offsetPct) <= MOST_SHIFT_PCT))
      throw new RangeError(`the salt test is ${offsetPct.toFixed(1)} % RH off: let it settle in the closed bag for a day and read again`);
    return { gain: 1, offsetPct };
  }
  const spread = saltPointPct(high.salt, high.temperatureC) - lowTrue;
  if (!(spread >= LEAST_SPREAD_PCT)) throw new RangeError('the two salts lie too close or are swapped: take, say, MgCl2 and NaCl');
  const gain = spread / (high.rawPct - low.rawPct);
  if (!(gain >= GAINS.least && gain <= GAINS.most))
    throw new RangeError(
      `the two salt tests give a gain of ${gain.toFixed(2)}, outside ${GAINS.least} to ${GAINS.most}: one of them went wrong`,
    );
  return { gain, offsetPct: lowTrue - gain * low.rawPct };
}

const clamp = (pct: number): number => Math.min(100, Math.max(0, pct));
export const applyCorrection = (rawPct: number, { gain, offsetPct }: Correction): number => clamp(gain * rawPct + offsetPct);

/** What a reading really is, % RH, kept within 0 to 100. */
export const correctedHumidityPct = (rawPct: number, calibration: Calibration): number =>
  applyCorrection(rawPct, correctionOf(calibration));

export type DatedCorrection = Correction & { at: string };

/**
 * The correction over time, its instants in ms since 1970: drift between two calibrations is taken as even; before the
 * first and after the last it stays. To be made once for a whole log.
 */
export function correctionOver(dated: readonly DatedCorrection[]): (atMs: number) => Correction {
  const [first, last] = [dated[0], dated.at(-1)];
  if (!first || !last) return () => NO_CORRECTION;
  const ms = dated.map((d) => Date.parse(d.at));
  return (atMs) => {
    const after = ms.findIndex((at) => at > atMs);
    if (after === 0) return first;
    if (after < 0) return last;
    const [a, b] = [dated[after - 1]!, dated[after]!];
    const share = (atMs - ms[after - 1]!) / (ms[after]! - ms[after - 1]!);
    return { gain: a.gain + share * (b.gain - a.gain), offsetPct: a.offsetPct + share * (b.offsetPct - a.offsetPct) };
  };
}

/** How much a hygrometer drifts, % RH a year at 60 % RH; null with fewer than two calibrations half a year apart. */
export function driftPctPerYear(dated: readonly DatedCorrection[]): number | null {
  const [first, last] = [dated[0], dated.at(-1)];
  if (!first || !last) return null;
  const years = (Date.parse(last.at) - Date.parse(first.at)) / (365.25 * 86_400_000);
  return years >= 0.5 ? (applyCorrection(60, first) - applyCorrection(60, last)) / years : null;
}
