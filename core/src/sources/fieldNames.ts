import type { Quantity } from './joined.js';

/** What a temperature is told in. */
export const TEMPERATURE_UNITS = ['C', 'F', 'K'] as const;
export type TemperatureUnit = (typeof TEMPERATURE_UNITS)[number];

/** In degrees Celsius (BIPM, SI Brochure, 9th edition, 2.3.1; the Fahrenheit scale by its definition on it). */
export const toCelsius: Record<TemperatureUnit, (value: number) => number> = {
  C: (value) => value,
  F: (value) => ((value - 32) * 5) / 9,
  K: (value) => value - 273.15,
};

/** As devices call a field (common practice); a dew point or a set-point is called otherwise, and is none of these. */
const TEMPERATURE =
  /^(?:(?:air|room|ambient|sensor)[_-]?)?(?:t|temp|temperature)(?:[_-]?(?:deg)?[_-]?(c|celsius|f|fahrenheit|k|kelvin))?$/i;
const HUMIDITY = /^(?:(?:air|room|ambient|sensor|rel|relative)[_-]?)?(?:h|rh|hum|humidity)(?:[_-]?(?:pct|percent|rh))?$/i;

/** Which quantity a field of this name holds, and in which unit if the name says so; null where it is neither. */
export function fieldOf(name: string): { quantity: Quantity; unit: TemperatureUnit | null } | null {
  const temperature = TEMPERATURE.exec(name);
  if (temperature) return { quantity: 'temperatureC', unit: (temperature[1]?.[0]!.toUpperCase() as TemperatureUnit | undefined) ?? null };
  return HUMIDITY.test(name) ? { quantity: 'humidityPct', unit: null } : null;
}
