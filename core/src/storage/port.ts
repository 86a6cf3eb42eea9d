import { absoluteHumidityGm3, humidityPctFrom, saturatedGm3 } from '../air/index.js';
import { type Basis, ourChoice } from '../care/knowledge/index.js';
import { desiccantUptake } from './desiccants.js';
import { DRIED_LOADING } from './gel.js';

/** At so much nothing settles on the coldest spot either, which is a little colder than the rest, % RH (our choice). */
export const CLEAR_PCT = 80;
const L_PER_M3 = 1000;

export const PORT_BASIS: Basis = ourChoice(
  'The vapour that was closed in, cooled to the water (Buck 1996); gel by its isotherm, freshly dried, down to 80 % RH at the glass. What wet hands, towels and leaks bring in is not reckoned with.',
);

/** Air that is closed into a housing, and the water it is taken into. */
export type ClosedIn = { volumeL: number; closedC: number; closedPct: number; waterC: number };
export type PortFog = {
  fogs: boolean;
  /** What it comes to at the water's temperature, % RH; above 100 the rest has settled. */
  coldPct: number;
  /** The vapour closed in, and what of it settles, g. */
  vapourG: number;
  settlesG: number;
  /** Gel, freshly dried, that keeps it at 80 % RH, g; 0 where none is needed. */
  gelG: number;
};

/**
 * Does a port fog from within when it is taken into colder water, and what dries it enough?
 *
 * @throws RangeError for a volume that is not above 0; as the air does for what no hygrometer reads.
 */
export function portFog({ volumeL, closedC, closedPct, waterC }: ClosedIn): PortFog {
  if (!(volumeL > 0)) throw new RangeError('volumeL must be above 0');
  const volumeM3 = volumeL / L_PER_M3;
  const closed = absoluteHumidityGm3(closedC, closedPct);
  const held = saturatedGm3(waterC);
  const coldPct = humidityPctFrom(waterC, closed);
  const tooMuchG = volumeM3 * Math.max(0, closed - (CLEAR_PCT / 100) * held);
  const takes = desiccantUptake('silica-gel', waterC, CLEAR_PCT) - DRIED_LOADING['silica-gel'];
  return {
    fogs: coldPct > 100,
    coldPct,
    vapourG: volumeM3 * closed,
    settlesG: volumeM3 * Math.max(0, closed - held),
    gelG: tooMuchG / takes,
  };
}
