import { type Basis, ourChoice } from '../care/knowledge/index.js';
import { dewPointC as dewPointOf } from './saturation.js';

const KELVIN = 273.15;
/** W/(m² K⁴) */
const STEFAN_BOLTZMANN = 5.670374419e-8;
const EMISSIVITY_OF_GLASS = 0.9;
/** What clouds add to a clear sky's own radiation, of what it lacks to a black one (our choice). */
const CLOUD_SHARE = 0.84;
/** A heated front is kept so far above the dew point, K. */
const MARGIN_K = 1;
/** What of a strap's warmth reaches the front (our choice). */
export const STRAP_SHARE = 0.25;

export const DEW_BASIS: Basis = ourChoice(
  'The balance of a front between the sky (Berdahl & Martin 1984; clouds our choice) and the air around it (McAdams), with an emissivity of 0.9. Of a strap’s warmth a quarter reaches the glass (our choice). The sun is not reckoned with.',
);

export type OpenSky = {
  airC: number;
  humidityPct: number;
  /** m/s */
  windMs: number;
  /** Share of the sky, 0 clear to 1 overcast. */
  cloud: number;
  /** How far a hood stands out over the half of its width; 0 without one. */
  hoodRatio: number;
};
export type Dew = {
  /** Of a front that has been out for a while. */
  glassC: number;
  dewPointC: number;
  dew: boolean;
  /** Warmth that keeps it a degree above the dew point; 0 where none is needed. */
  wattsPerM2: number;
};

/** Warmth of the air to the glass at rest and in wind, W/(m² K): McAdams. */
const convection = (windMs: number): number => 5.7 + 3.8 * windMs;
/** How much of what a front sees is sky: the middle of a disc behind a round hood. */
const skyShare = (hoodRatio: number): number => 1 / (1 + hoodRatio ** 2);

/** The temperature at which a black body would radiate like the sky, K: Berdahl & Martin 1984. */
function skyK({ airC, cloud }: OpenSky, dewPointC: number): number {
  const t = dewPointC / 100;
  const clear = 0.711 + 0.56 * t + 0.73 * t ** 2;
  const emissivity = clear + cloud * (1 - clear) * CLOUD_SHARE;
  // No sky shines more than the air below it: the fit ends where nights do.
  return (airC + KELVIN) * Math.min(1, emissivity) ** 0.25;
}

/** What a front at this temperature loses to sky and air, W/m²; below 0 it gains. It grows with the temperature. */
function loss(glassC: number, sky: OpenSky, dewPointC: number): number {
  const radiated = EMISSIVITY_OF_GLASS * STEFAN_BOLTZMANN * skyShare(sky.hoodRatio) * ((glassC + KELVIN) ** 4 - skyK(sky, dewPointC) ** 4);
  return radiated + convection(sky.windMs) * (glassC - sky.airC);
}

const STEPS = 60;

/**
 * Does a front glass that looks at the open night sky take dew, and what warmth keeps it clear?
 *
 * @throws RangeError for air a hygrometer cannot read, wind below 0, cloud beyond 0 to 1, or a hood below 0.
 */
export function dewOnGlass(sky: OpenSky): Dew {
  const { airC, humidityPct, windMs, cloud, hoodRatio } = sky;
  if (!(airC > -60 && airC < 60)) throw new RangeError('airC must lie between -60 and 60');
  if (!(humidityPct > 0 && humidityPct <= 100)) throw new RangeError('humidityPct must lie above 0 and up to 100');
  if (!(windMs >= 0)) throw new RangeError('windMs must not be below 0');
  if (!(cloud >= 0 && cloud <= 1)) throw new RangeError('cloud must lie between 0 and 1');
  if (!(hoodRatio >= 0)) throw new RangeError('hoodRatio must not be below 0');
  const dewPointC = dewPointOf(airC, humidityPct);
  // It is never warmer than the air and never colder than the sky: between them by halves.
  let [low, high] = [skyK(sky, dewPointC) - KELVIN, airC];
  for (let i = 0; i < STEPS; i += 1) {
    const middle = (low + high) / 2;
    if (loss(middle, sky, dewPointC) > 0) high = middle;
    else low = middle;
  }
  const glassC = (low + high) / 2;
  return { glassC, dewPointC, dew: glassC < dewPointC, wattsPerM2: Math.max(0, loss(dewPointC + MARGIN_K, sky, dewPointC)) };
}

/** What a strap draws to keep a front of this diameter clear, W. */
export const strapWatts = ({ wattsPerM2 }: Dew, frontMm: number): number => (wattsPerM2 * Math.PI * (frontMm / 2000) ** 2) / STRAP_SHARE;
