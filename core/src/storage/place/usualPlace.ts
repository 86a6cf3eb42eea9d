import { saturatedGm3 } from '../../air/index.js';
import type { Box } from '../box.js';
import { LITRES_A_CUBIC_METRE } from '../waterInBox.js';
import { changesByOpenings, type FittedPlace } from './fittedPlace.js';

/** A lining gives and takes within the hour: so fast that only what it holds is felt, a day (our choice). */
const LINING_PER_DAY = 240;
const USUAL_C = 20;

/**
 * A place that was never held against a log: by what the keeper said of it and what is usual for its kind. Nothing that
 * is reckoned with it is a promise.
 */
export function usualPlace(
  { volumeL, airChangesPerDay, openingsPerWeek, bufferGPerPct = 0, desiccant }: Box,
  setPointPct: number | null,
): FittedPlace {
  // What a lining holds, g a cubic metre from dry to saturated, over how fast it gives: how slowly it follows.
  const holdsGm3 = (100 * bufferGPerPct * LITRES_A_CUBIC_METRE) / volumeL;
  return {
    volumeL,
    openingsPerWeek,
    airChangesPerDay: airChangesPerDay + changesByOpenings(openingsPerWeek),
    vapourExcessGm3: 0,
    excess: 'steady',
    bufferPerDay: holdsGm3 > 0 ? LINING_PER_DAY : 0,
    bufferDays: holdsGm3 > 0 ? holdsGm3 / (LINING_PER_DAY * saturatedGm3(USUAL_C)) : 1,
    warmerC: 0,
    lagH: 1,
    heatedToC: null,
    setPointPct,
    deadBandPct: 0,
    desiccant: setPointPct === null ? (desiccant ?? null) : null,
  };
}
