import { saturationPressureHPa } from '../air/index.js';
import { type Basis, published } from '../care/knowledge/index.js';

export const DESICCANT_KINDS = ['silica-gel', 'rice'] as const;
export type DesiccantKind = (typeof DESICCANT_KINDS)[number];

export const DESICCANTS: Record<DesiccantKind, { name: string; basis: Basis }> = {
  'silica-gel': {
    name: 'silica gel, type A',
    basis: published('Tóth isotherm, Chua/Ng et al. 2001 (from memory); checked against MIL-D-3464 and JIS Z 0701'),
  },
  rice: { name: 'rough rice', basis: published('ASAE/ASABE D245, modified Chung–Pfost, rough rice (from memory)') },
};

/** Tóth isotherm of type A silica gel: K0 in 1/kPa, heat in J/kg, qm in g/g. */
const GEL = { k0: 4.65e-10, heat: 2.71e6, qm: 0.4, t: 10 } as const;
/** Gas constant of water vapour, J/(kg K). */
const R_VAPOUR = 461.5;
const KELVIN = 273.15;
/** Chung–Pfost for rough rice; the result is % of dry mass. */
const RICE = { slope: 0.21732, offsetC: 35.703, divisor: 594.61 } as const;

/** The driest air a desiccant is asked about: the isotherms' logarithms end at 0. */
const DRIEST_PCT = 1e-6;
const WETTEST_PCT = 99.9999;

const gelAffinity = (temperatureC: number): number => GEL.k0 * Math.exp(GEL.heat / (R_VAPOUR * (temperatureC + KELVIN)));
const saturationKPa = (temperatureC: number): number => saturationPressureHPa(temperatureC) / 10;

function gelUptake(temperatureC: number, humidityPct: number): number {
  const q = gelAffinity(temperatureC) * (humidityPct / 100) * saturationKPa(temperatureC);
  return q / (1 + (q / GEL.qm) ** GEL.t) ** (1 / GEL.t);
}

function riceUptake(temperatureC: number, humidityPct: number): number {
  const emcPct = -Math.log((-(temperatureC + RICE.offsetC) / RICE.divisor) * Math.log(humidityPct / 100)) / RICE.slope;
  return Math.max(0, emcPct / 100);
}

/**
 * The gel's isotherm in its one variable, the affinity times the vapour pressure over the most a gram can hold:
 * x / (1 + x^10)^(1/10). A table with its slopes (cubic Hermite, right to 1e-10) serves every temperature, and is read
 * ten times as fast as the powers.
 */
const TOTH_END = 4;
const TOTH_STEPS = 2048;
const TOTH_STEP = TOTH_END / TOTH_STEPS;
const toth = new Float64Array(TOTH_STEPS + 2);
const tothSlope = new Float64Array(TOTH_STEPS + 2);
for (let i = 0; i < toth.length; i++) {
  const x = i * TOTH_STEP;
  const crowding = 1 + x ** GEL.t;
  toth[i] = x * crowding ** (-1 / GEL.t);
  tothSlope[i] = crowding ** (-1 / GEL.t - 1);
}

/**
 * What a desiccant takes up at one temperature. Asked for a humidity, it tells how much a gram holds and how steeply
 * that rises: the solver wants both, and finds them in one place of the table.
 */
export class Isotherm {
  /** What a gram holds, g, and how steeply that rises, g per % RH, at the humidity last asked for. */
  held = 0;
  slope = 0;
  /** How strongly a per cent of humidity acts on it, against other temperatures: what it holds, it holds where this times the humidity stays. */
  pull = 1;
  /** Of gel: x for each % RH. Of rice: the warmth in its equation. */
  #factor = 0;
  readonly #kind: DesiccantKind;

  constructor(kind: DesiccantKind) {
    this.#kind = kind;
  }

  /** @param saturationHPa the saturation pressure at that temperature, which whoever asks has at hand. */
  warmTo(temperatureC: number, saturationHPa: number): void {
    this.#factor =
      this.#kind === 'silica-gel'
        ? (gelAffinity(temperatureC) * saturationHPa) / 1000 / GEL.qm
        : (temperatureC + RICE.offsetC) / RICE.divisor;
    if (this.#kind === 'silica-gel') this.pull = this.#factor;
  }

  /** Nothing is checked here; the solver stays within 0 to 100 %. */
  ask(humidityPct: number): void {
    if (this.#kind === 'rice') this.#askRice(Math.min(Math.max(humidityPct, DRIEST_PCT), WETTEST_PCT) / 100);
    else this.#askGel(this.#factor * humidityPct);
  }

  #askGel(x: number): void {
    // Beyond the table it is full to a ten-millionth.
    if (x >= TOTH_END) {
      this.held = GEL.qm;
      this.slope = 0;
      return;
    }
    const i = Math.trunc(x / TOTH_STEP);
    const s = x / TOTH_STEP - i;
    const f0 = toth[i]!;
    const m0 = tothSlope[i]!;
    const m1 = tothSlope[i + 1]!;
    const rise = toth[i + 1]! - f0;
    this.held = GEL.qm * (f0 + s * (m0 * TOTH_STEP + s * (3 * rise - (2 * m0 + m1) * TOTH_STEP + s * ((m0 + m1) * TOTH_STEP - 2 * rise))));
    this.slope = GEL.qm * this.#factor * (m0 + s * (m1 - m0));
  }

  #askRice(share: number): void {
    this.held = Math.max(0, -Math.log(-this.#factor * Math.log(share)) / RICE.slope / 100);
    // Below the humidity at which the equation gives nothing, it holds nothing.
    this.slope = this.held > 0 ? -1 / (share * Math.log(share)) / RICE.slope / 10_000 : 0;
  }
}

/**
 * The water a desiccant holds in balance with such air, g per g of its dry mass.
 *
 * @throws RangeError outside 0 to 100 % RH.
 * @example desiccantUptake('silica-gel', 25, 40) // 0.210
 */
export function desiccantUptake(kind: DesiccantKind, temperatureC: number, humidityPct: number): number {
  if (!(humidityPct >= 0 && humidityPct <= 100)) throw new RangeError(`relative humidity ${humidityPct} is outside 0 to 100 %`);
  const pct = Math.min(Math.max(humidityPct, DRIEST_PCT), WETTEST_PCT);
  return kind === 'silica-gel' ? gelUptake(temperatureC, pct) : riceUptake(temperatureC, pct);
}

/** The air a desiccant with so much water is in balance with, % RH: the isotherms the other way round. */
export function balanceHumidityPct(kind: DesiccantKind, temperatureC: number, loadingGPerG: number): number {
  if (!(loadingGPerG >= 0)) throw new RangeError(`loading ${loadingGPerG} g/g is below nothing`);
  if (kind === 'rice') return 100 * Math.exp((-RICE.divisor / (temperatureC + RICE.offsetC)) * Math.exp(-RICE.slope * 100 * loadingGPerG));
  const w = Math.min(loadingGPerG, GEL.qm * 0.9999);
  const q = w / (1 - (w / GEL.qm) ** GEL.t) ** (1 / GEL.t);
  return Math.min(100, (100 * q) / (gelAffinity(temperatureC) * saturationKPa(temperatureC)));
}

/** What the colour of indicator gel says it holds, g/g (our choice, for the usual two-step indicators). */
export const INDICATOR_COLOURS = ['dry', 'turning', 'spent'] as const;
export type IndicatorColour = (typeof INDICATOR_COLOURS)[number];
export const loadingAtIndicator: Record<IndicatorColour, number> = { dry: 0.05, turning: 0.15, spent: 0.27 };
