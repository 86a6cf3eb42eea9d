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

/** An isotherm at one temperature: what a gram holds at a humidity, and how steeply that rises, both per % RH. */
export type Isotherm = { held: (humidityPct: number) => number; slope: (humidityPct: number) => number };

/**
 * The isotherm of a desiccant at one temperature, with its derivative in closed form: what a balance that is
 * solved twice an hour for years wants. Nothing is checked here; the solver stays within 0 to 100 %.
 */
export function isothermAt(kind: DesiccantKind, temperatureC: number): Isotherm {
  if (kind === 'silica-gel') {
    const perPct = (gelAffinity(temperatureC) * saturationKPa(temperatureC)) / 100;
    // The tenth power by multiplying: `**` takes four times as long, and this is the innermost of all loops.
    const crowding = (pct: number) => {
      const x2 = ((perPct * pct) / GEL.qm) ** 2;
      const x4 = x2 * x2;
      return 1 + x4 * x4 * x2;
    };
    return {
      held: (pct) => perPct * pct * crowding(pct) ** (-1 / GEL.t),
      slope: (pct) => {
        const k = crowding(pct);
        return (perPct * k ** (-1 / GEL.t)) / k;
      },
    };
  }
  const a = (temperatureC + RICE.offsetC) / RICE.divisor;
  const share = (pct: number) => Math.min(Math.max(pct, DRIEST_PCT), WETTEST_PCT) / 100;
  const held = (pct: number) => Math.max(0, -Math.log(-a * Math.log(share(pct))) / RICE.slope / 100);
  return {
    held,
    // Below the humidity at which the equation gives nothing, it holds nothing.
    slope: (pct) => (held(pct) > 0 ? -1 / (share(pct) * Math.log(share(pct))) / RICE.slope / 10_000 : 0),
  };
}

/** The driest air a desiccant is asked about: the isotherms' logarithms end at 0. */
const DRIEST_PCT = 1e-6;
const WETTEST_PCT = 99.9999;

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
