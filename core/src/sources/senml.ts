import type { Reading, WeatherHour } from '../air/index.js';
import { toCelsius } from './fieldNames.js';
import { joined, joinedReadings, type PushedForecast, type PushedReadings, type Quantity, type SetAside, type Telling } from './joined.js';
import { batteryVital, signalVital, type Vitals } from './vitals.js';

/** One record of a SenML pack (RFC 8428), as far as hygrometers use it. */
export type SenmlRecord = {
  bn?: string;
  bt?: number;
  bu?: string;
  bv?: number;
  bver?: number;
  n?: string;
  u?: string;
  t?: number;
  v?: number;
};

/** Times below this many seconds count from now (RFC 8428, section 4.5.3). */
const RELATIVE_BELOW_S = 2 ** 28;
/** Version of the base this code understands (RFC 8428, section 4.4). */
const VERSION = 10;

/** A ratio may be of anything, a battery too: it is a humidity where its name says so. */
const NAMES_HUMIDITY = /hum|(^|[^a-z])rh([^a-z]|$)/i;
/** Units of a ratio, and how many percent one of each is (RFC 8428, section 12.1; RFC 8798, table 1; both from memory). */
const RATIOS_PCT: Record<string, number> = { '/': 100, '/100': 1, '/1000': 0.1 };

type Carried = { quantity: Quantity; value: number };
type Reads = (name: string, unit: string | undefined, value: number) => Carried | null;

const NAMES_BATTERY = /batt/i;
/** What is above one milliwatt by so many decibels is below a watt by 30 fewer. */
const DBM_PER_DBW = 30;

/**
 * What a record says of the device itself: what is left in its battery (%EL; a ratio whose name says battery), or how
 * strong it is heard (dBW, RFC 8428; dBm, RFC 8798; both from memory).
 */
function vitalOf(name: string, unit: string | undefined, value: number): Vitals {
  const ratioPct = RATIOS_PCT[unit ?? ''];
  if (ratioPct !== undefined) return NAMES_BATTERY.test(name) ? batteryVital(value * ratioPct) : {};
  switch (unit) {
    case '%EL':
      return batteryVital(value);
    case 'dBm':
      return signalVital(value);
    case 'dBW':
      return signalVital(value + DBM_PER_DBW);
    default:
      return {};
  }
}

/** Which quantity a record carries, in our units; null for a unit that is neither. */
function quantityOf(name: string, unit: string | undefined, value: number): Carried | null {
  const ratioPct = RATIOS_PCT[unit ?? ''];
  if (ratioPct !== undefined) return NAMES_HUMIDITY.test(name) ? { quantity: 'humidityPct', value: value * ratioPct } : null;
  switch (unit) {
    case 'Cel':
      return { quantity: 'temperatureC', value };
    case 'K':
      return { quantity: 'temperatureC', value: toCelsius.K(value) };
    case '%RH':
      return { quantity: 'humidityPct', value };
    default:
      return null;
  }
}

/** Speeds and rates of rain, and how much of ours one of each is (RFC 8428, section 12.1; RFC 8798, table 1; both from memory). */
const WEATHER_UNITS: Record<string, { quantity: Quantity; per: number }> = {
  'm/s': { quantity: 'windMs', per: 1 },
  'km/h': { quantity: 'windMs', per: 1 / 3.6 },
  'mm/h': { quantity: 'rainMmPerH', per: 1 },
};

/** Gusts are no mean wind: what is called so is left out. */
const NAMES_GUST = /gust/i;

const weatherOf: Reads = (name, unit, value) => {
  const known = unit === undefined || NAMES_GUST.test(name) ? undefined : WEATHER_UNITS[unit];
  return known ? { quantity: known.quantity, value: value * known.per } : quantityOf(name, unit, value);
};

/**
 * The readings in a SenML pack: base fields resolved, times made absolute, temperature and humidity of the same
 * instant joined. What cannot be a reading is set aside with its index and reason, and the rest is kept.
 *
 * Source: RFC 8428, sections 4.1 to 4.6.
 */
export function readSenml(pack: readonly SenmlRecord[], now: Date): PushedReadings {
  const { tellings, setAside, vitals } = tellingsIn(pack, now, quantityOf);
  return joinedReadings(tellings, setAside, vitals, now);
}

/**
 * The hours of a forecast in a SenML pack: as readings, with mean wind (m/s, km/h) and rain (mm/h) where it tells them.
 *
 * @param aheadMs how far ahead of now an hour may lie, ms.
 */
export function readForecast(pack: readonly SenmlRecord[], now: Date, aheadMs: number): PushedForecast {
  const { tellings, setAside } = tellingsIn(pack, now, weatherOf);
  return joined(tellings, setAside, now, aheadMs);
}

function tellingsIn(pack: readonly SenmlRecord[], now: Date, reads: Reads): { tellings: Telling[]; setAside: SetAside[]; vitals: Vitals } {
  // A label that ends so must be understood, or nothing of the pack may be taken (section 4.4).
  const strange = pack.findIndex((record) => Object.keys(record).some((label) => label.endsWith('_')));
  if (strange >= 0) return { tellings: [], setAside: [{ index: strange, reason: 'must-be-understood' }], vitals: {} };
  const tellings: Telling[] = [];
  const setAside: SetAside[] = [];
  const vitals: Vitals = {};
  let base: SenmlRecord = {};
  pack.forEach((record, index) => {
    base = {
      ...base,
      ...(record.bn === undefined ? {} : { bn: record.bn }),
      ...(record.bt === undefined ? {} : { bt: record.bt }),
      ...(record.bu === undefined ? {} : { bu: record.bu }),
      ...(record.bv === undefined ? {} : { bv: record.bv }),
    };
    if ((record.bver ?? VERSION) > VERSION) return void setAside.push({ index, reason: 'wrong-version' });
    if (record.v === undefined) return;
    const seconds = (base.bt ?? 0) + (record.t ?? 0);
    const ms = seconds < RELATIVE_BELOW_S ? now.getTime() + seconds * 1000 : seconds * 1000;
    // Before 1970, or no number of ours at all.
    if (!(ms >= 0)) return void setAside.push({ index, reason: 'no-time' });
    const said = [(base.bn ?? '') + (record.n ?? ''), record.u ?? base.bu, record.v + (base.bv ?? 0)] as const;
    const ofItself = vitalOf(...said);
    if (Object.keys(ofItself).length > 0) return void Object.assign(vitals, ofItself);
    const known = reads(...said);
    if (!known) return void setAside.push({ index, reason: 'unknown-unit' });
    tellings.push({ index, of: base.bn ?? '', ms, ...known });
  });
  return { tellings, setAside, vitals };
}

/** Readings as a SenML pack, the first record carrying the base; of weather with its wind and rain. */
export function toSenml(name: string, readings: readonly (Reading | WeatherHour)[]): SenmlRecord[] {
  const first = readings[0];
  if (!first) return [];
  const bt = Date.parse(first.at) / 1000;
  return readings.flatMap((reading, i) => {
    const { at, temperatureC, humidityPct, windMs, rainMmPerH }: WeatherHour = reading;
    const t = Math.round((Date.parse(at) / 1000 - bt) * 1000) / 1000;
    return [
      { ...(i === 0 ? { bn: `${name}:`, bt } : {}), n: 'temperature', u: 'Cel', t, v: temperatureC },
      { n: 'humidity', u: '%RH', t, v: humidityPct },
      ...(windMs === undefined ? [] : [{ n: 'wind', u: 'm/s', t, v: windMs }]),
      ...(rainMmPerH === undefined ? [] : [{ n: 'rain', u: 'mm/h', t, v: rainMmPerH }]),
    ];
  });
}
