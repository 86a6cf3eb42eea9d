export { absoluteHumidityGm3, humidityPctFrom, saturatedGm3, vapourGm3 } from './absoluteHumidity.js';
export {
  applyCorrection,
  type Calibration,
  correctedHumidityPct,
  type Correction,
  correctionOf,
  correctionOver,
  type DatedCorrection,
  driftPctPerYear,
  NO_CORRECTION,
  type SaltTest,
} from './calibration.js';
export { atOf, between, columnsOf, emptyLog, firstFrom, instantMs, joined, part, readingsOf, type AirLog, type Log } from './airLog.js';
export { type Dew, DEW_BASIS, dewOnGlass, type OpenSky, STRAP_SHARE, strapWatts } from './dewOnGlass.js';
export { fourDigits, twoDigits } from './digits.js';
export { CLOCK_AHEAD_MS, type Reading, READING_RANGE, WEATHER_RANGE, type WeatherHour } from './reading.js';
export { APART_PCT, type Apart, apartNow, type Careful, type Instrument, type Said, sameAir } from './sameAir.js';
export { type Salt, saltName, saltPointPct, SALTS, saltUncertaintyPct } from './saltPoints.js';
export { dewPointC, saturationPressureHPa } from './saturation.js';
export { type Zone, type ZoneId, zoneOf, ZONES, ZONES_BASIS } from './zones.js';
