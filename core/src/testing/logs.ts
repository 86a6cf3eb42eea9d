import type { Reading } from '../air/index.js';
import { MS_PER_HOUR } from '../units.js';

export const LOG_START = '2026-01-01T00:00:00.000Z';

/** A log at even intervals from an invented rule: hour since its start to temperature and humidity. */
export function logOf(hours: number, rule: (hour: number) => [temperatureC: number, humidityPct: number], everyH = 1): Reading[] {
  const start = Date.parse(LOG_START);
  return Array.from({ length: Math.floor(hours / everyH) + 1 }, (_, i) => {
    const [temperatureC, humidityPct] = rule(i * everyH);
    return { at: new Date(start + i * everyH * MS_PER_HOUR).toISOString(), temperatureC, humidityPct };
  });
}

/** A small seeded generator (mulberry32), 0 to 1. */
export function seeded(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4_294_967_296;
  };
}

/** Normally distributed noise from a seeded generator. */
export const gauss = (random: () => number): number =>
  Math.sqrt(-2 * Math.log(Math.max(random(), 1e-12))) * Math.cos(2 * Math.PI * random());
