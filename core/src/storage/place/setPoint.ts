import { saturatedGm3 } from '../../air/index.js';
import type { Warmth } from './ownAir.js';
import type { Together } from './together.js';

export type HeldAir = { setPointPct: number; deadBandPct: number; /** Half the width of its 95 % interval. */ half: number };

/** The air around has to be so much damper for the cabinet to have something to hold, % RH. */
const DAMPER_PCT = 3;
/** It has to hold in so many of the hours to be believed, and so well, % RH between the tenth and the ninetieth hour of a hundred. */
const HELD_SHARE = 0.2;
const LOOSEST_PCT = 12;

const medianOf = (sorted: Float64Array): number => sorted[Math.floor(sorted.length / 2)]!;

/** At what a cabinet holds its air, from the hours in which the air around would be damper; null where nothing is held. */
export function fitSetPoint({ drive, insidePct }: Together, { saturated }: Warmth, blockPoints: number): HeldAir | null {
  const holding = insidePct.map((pct, i) => {
    const aroundPct = (100 * drive.vapourGm3[i]!) / (saturated[i] ?? saturatedGm3(drive.temperatureC[i]!));
    return aroundPct > pct + DAMPER_PCT ? pct : NaN;
  });
  const measured = insidePct.filter((pct) => !Number.isNaN(pct)).length;
  const held = holding.filter((pct) => !Number.isNaN(pct)).sort();
  if (held.length < Math.max(24, HELD_SHARE * measured)) return null;
  const band = held[Math.floor(held.length * 0.9)]! - held[Math.floor(held.length * 0.1)]!;
  if (band > LOOSEST_PCT) return null;
  const medians: number[] = [];
  for (let from = 0; from < holding.length; from += blockPoints) {
    const block = holding.slice(from, from + blockPoints).filter((pct) => !Number.isNaN(pct));
    if (block.length > 0) medians.push(medianOf(block.sort()));
  }
  const mean = medians.reduce((sum, m) => sum + m, 0) / medians.length;
  const variance = medians.reduce((sum, m) => sum + (m - mean) ** 2, 0) / Math.max(1, medians.length - 1);
  return { setPointPct: medianOf(held), deadBandPct: band, half: 2 * Math.sqrt(variance / medians.length) };
}
