/** What a hygrometer said at an instant: ISO instant, degC, % RH over liquid water. */
export type Reading = { at: string; temperatureC: number; humidityPct: number };

/** An hour of weather as a station foretells it: wind over open ground and rain where it tells them. */
export type WeatherHour = Reading & { windMs?: number; rainMmPerH?: number };

/** How far the clock of a device may run ahead, ms: beyond it a reading lies in the future (our choice). */
export const CLOCK_AHEAD_MS = 10 * 60_000;

/** What a hygrometer can have seen. Outside it is a fault, not a climate. */
export const READING_RANGE = { temperatureC: { min: -40, max: 85 }, humidityPct: { min: 0, max: 100 } } as const;
/** What weather can be, with a margin over what was ever measured. */
export const WEATHER_RANGE = { windMs: { min: 0, max: 120 }, rainMmPerH: { min: 0, max: 500 } } as const;
