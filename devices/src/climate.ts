import { air, MS_PER_HOUR, MS_PER_DAY } from '@bright-keeper/core';

/** Air as it is at an instant. */
export type Air = { temperatureC: number; humidityPct: number };
/** The made-up places: what the weather station stands in, and what hygrometers lie in. */
export const SPOTS = ['outdoors', 'room', 'cupboard', 'dry-cabinet'] as const;
export type Spot = (typeof SPOTS)[number];
/** What happens to the climate of a made-up household on top of the seasons. Instants in ms. */
export type Story = { wetFrom?: number; wetTo?: number; powerCutFrom?: number; powerCutTo?: number };

const YEAR_DAYS = 365.2425;

/** A number from 0 to 1 that is always the same for the same seed and step (an integer hash). */
export function hash(seed: number, step: number): number {
  let x = Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b) ^ Math.imul(step | 0, 0xc2b2ae35);
  x = Math.imul(x ^ (x >>> 15), 0x2c1b3c6d);
  x = Math.imul(x ^ (x >>> 12), 0x297a2d39);
  return ((x ^ (x >>> 15)) >>> 0) / 4_294_967_296;
}

/** Smooth noise from -1 to 1 that turns about once a period: the same at the same instant, with nothing stored. */
function noise(seed: number, ms: number, periodMs: number): number {
  const position = ms / periodMs;
  const step = Math.floor(position);
  const share = (1 - Math.cos(Math.PI * (position - step))) / 2;
  return 2 * (hash(seed, step) * (1 - share) + hash(seed, step + 1) * share) - 1;
}

/** 1 in early August, -1 in early February. */
const season = (ms: number): number => Math.cos(2 * Math.PI * (ms / MS_PER_DAY / YEAR_DAYS - 0.6));
/** 1 in the middle of the afternoon, -1 before dawn. */
const afternoon = (ms: number): number => Math.cos(2 * Math.PI * (ms / MS_PER_DAY - 0.625));

const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** The weather of the Saltmarch Isles: damp west-wind winters, hot still late summers. All made up. */
export function outdoors(ms: number, story: Story = {}): Air {
  const wet = ms >= (story.wetFrom ?? Infinity) && ms < (story.wetTo ?? Infinity);
  const temperatureC =
    12 + 6.5 * season(ms) + 2.4 * afternoon(ms) + 2.6 * noise(11, ms, 4 * MS_PER_DAY) + 0.8 * noise(12, ms, 9 * MS_PER_HOUR);
  const humidityPct =
    79 - 3 * season(ms) - 7 * afternoon(ms) + 9 * noise(13, ms, 5 * MS_PER_DAY) + 4 * noise(14, ms, 16 * MS_PER_HOUR) + (wet ? 14 : 0);
  return { temperatureC, humidityPct: clamp(humidityPct, 34, 98.5) };
}

/** Wind and rain of the same isles, mean m/s and mm/h: it blows harder in winter and by day, and rains where the air is nearly full. */
export function windAndRain(ms: number): { windMs: number; rainMmPerH: number } {
  const { humidityPct } = outdoors(ms);
  const windMs = 4.5 - 1.2 * season(ms) + afternoon(ms) + 3 * noise(31, ms, 3 * MS_PER_DAY) + noise(32, ms, 5 * MS_PER_HOUR);
  const rainMmPerH = humidityPct > 88 ? (humidityPct - 90) * 0.35 + 0.8 * noise(33, ms, 6 * MS_PER_HOUR) : 0;
  return { windMs: tenths(windMs), rainMmPerH: tenths(rainMmPerH) };
}
const tenths = (value: number): number => Math.round(Math.max(0, value) * 10) / 10;

/** What walls let through of a day’s swing, and how much later: a first-order lag of 20 hours, worked out. */
const WALLS_H = 20;
const SWING = (2 * Math.PI * WALLS_H) / 24;
const SWING_LEFT = 1 / Math.hypot(1, SWING);
const SWING_LATE_MS = (Math.atan(SWING) / (2 * Math.PI)) * MS_PER_DAY;

/** Heated when it is cold outside, else a little warmer than the air there, a day behind it; people and kettles add their vapour. */
function room(ms: number, story: Story): Air {
  const out = outdoors(ms, story);
  const slow =
    12 + 6.5 * season(ms) + 2.4 * SWING_LEFT * afternoon(ms - SWING_LATE_MS) + 2.6 * noise(11, ms - WALLS_H * MS_PER_HOUR, 4 * MS_PER_DAY);
  const heated = 19.6 + 0.6 * afternoon(ms) + 0.4 * noise(21, ms, 7 * MS_PER_HOUR);
  const temperatureC = Math.max(heated, slow + 2.5);
  const vapour = air.absoluteHumidityGm3(out.temperatureC, out.humidityPct) + 1.1 + 0.4 * noise(22, ms, 5 * MS_PER_HOUR);
  return { temperatureC, humidityPct: clamp(air.humidityPctFrom(temperatureC, vapour), 15, 97) };
}

/** The mean of the room over the last hours: what a cupboard makes of it. */
function slowRoom(ms: number, hours: number, story: Story): Air {
  const steps = 8;
  let [t, v] = [0, 0];
  for (let i = 0; i < steps; i++) {
    const a = room(ms - (i * hours * MS_PER_HOUR) / steps, story);
    t += a.temperatureC / steps;
    v += air.absoluteHumidityGm3(a.temperatureC, a.humidityPct) / steps;
  }
  return { temperatureC: t, humidityPct: clamp(air.humidityPctFrom(t, v), 1, 99) };
}

/** Is somebody at the door? A quarter of an hour at a time, a few times a week, by day. */
function isOpen(spot: Spot, ms: number): boolean {
  const quarter = Math.floor(ms / (15 * 60_000));
  const hour = (ms / MS_PER_HOUR) % 24;
  return hour > 8 && hour < 19 && hash(spot.length * 31, quarter) < 0.02;
}

/** Against the outer wall: cooler, so damper, and slower than the room. */
function cupboard(ms: number, story: Story): Air {
  if (isOpen('cupboard', ms)) return room(ms, story);
  const slow = slowRoom(ms, 36, story);
  const temperatureC = slow.temperatureC - 1.9;
  const vapour = air.absoluteHumidityGm3(slow.temperatureC, slow.humidityPct);
  return { temperatureC, humidityPct: clamp(air.humidityPctFrom(temperatureC, vapour), 10, 97) };
}

const SET_POINT_PCT = 42;
/** Dries to its set-point, but wets nothing; and without current it drifts towards the room within two days. */
function dryCabinet(ms: number, story: Story): Air {
  const { temperatureC: slowC } = slowRoom(ms, 6, story);
  const temperatureC = slowC + 0.8;
  const around = room(ms, story).humidityPct;
  const within = slowRoom(ms, 40, story);
  const passive = air.humidityPctFrom(temperatureC, air.absoluteHumidityGm3(within.temperatureC, within.humidityPct));
  const held = Math.min(passive, SET_POINT_PCT + 1.2 * noise(41, ms, 3 * MS_PER_HOUR)) + (isOpen('dry-cabinet', ms) ? 6 : 0);
  const { powerCutFrom = Infinity, powerCutTo = Infinity } = story;
  const backMs = ms - powerCutTo;
  const cutMs = ms >= powerCutFrom ? Math.min(ms, powerCutTo) - powerCutFrom : 0;
  const drift = cutMs > 0 ? (1 - Math.exp(-cutMs / (40 * MS_PER_HOUR))) * (backMs > 0 ? Math.exp(-backMs / (8 * MS_PER_HOUR)) : 1) : 0;
  return { temperatureC, humidityPct: clamp(held + drift * Math.max(0, around - held), 5, 97) };
}

/** The air at a made-up spot, always the same for the same instant and story. */
export function airAt(spot: Spot, at: Date | number, story: Story = {}): Air {
  const ms = typeof at === 'number' ? at : at.getTime();
  switch (spot) {
    case 'outdoors':
      return outdoors(ms, story);
    case 'room':
      return room(ms, story);
    case 'cupboard':
      return cupboard(ms, story);
    case 'dry-cabinet':
      return dryCabinet(ms, story);
    default:
      return spot satisfies never;
  }
}
