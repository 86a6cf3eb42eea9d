import type { Box } from '../box.js';

/**
 * What a place makes of the air around it, as its own log tells. Vapour c in it follows the air around by
 * `dc/dt = n (c_out + dv - c) + kb (c_sat(T) phi - c)`, and what its walls and contents hold follows by
 * `dphi/dt = (RH - phi) / tb`: the state space form of building physics, two stores in a row.
 */
export type FittedPlace = {
  volumeL: number;
  /** Complete changes of its air with the air around, a day, n: leak and usual openings together. */
  airChangesPerDay: number;
  /** How often it is opened a week, as the keeper says: each swaps half of its air, which is part of the changes above. */
  openingsPerWeek: number;
  /** What people, walls and a cellar add to the air that comes in, dv, g/m3. */
  vapourExcessGm3: number;
  /** `fades`: so much at 0 degC outside and none from 20 degC on, as in the classes of EN ISO 13788. */
  excess: 'steady' | 'fades';
  /** How fast walls and contents give and take, kb, a day; 0 where they do nothing that shows. */
  bufferPerDay: number;
  /** How slowly they follow, tb, days. */
  bufferDays: number;
  /** How much warmer than the air around it is, dT, K: a cold outer wall is below nothing. */
  warmerC: number;
  /** How slowly its temperature follows, tauT, h. */
  lagH: number;
  /** It is heated to no less than this, degC; null where it is not heated by itself. */
  heatedToC: number | null;
  /** A dry cabinet holds its air at this, % RH, by a dead band so wide; null where there is none. */
  setPointPct: number | null;
  deadBandPct: number;
  desiccant: NonNullable<Box['desiccant']> | null;
};

/** What is fitted, by name, with the unit of its name. */
export type FittedId = keyof Pick<
  FittedPlace,
  'airChangesPerDay' | 'vapourExcessGm3' | 'bufferPerDay' | 'bufferDays' | 'warmerC' | 'lagH' | 'heatedToC' | 'setPointPct'
>;

/** An opening swaps half of the air, as log 2 complete changes spread over the time would. */
const CHANGES_AN_OPENING = Math.LN2;
/** What openings alone change, a day. */
export const changesByOpenings = (openingsPerWeek: number): number => (CHANGES_AN_OPENING * openingsPerWeek) / 7;
