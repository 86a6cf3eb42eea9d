import { air, MS_PER_HOUR, MS_PER_MINUTE } from '@bright-keeper/core';
import { airAt, hash, type Spot, type Story } from './climate.js';

/** A cheap sensor: off by something, drifting, noisy, and sometimes not heard. */
export type SensorSpec = {
  spot: Spot;
  seed: number;
  offsetPct: number;
  /** How much more it reads each year. */
  driftPctPerYear: number;
  /** The drift begins here, ms. */
  madeMs: number;
  story?: Story;
};

const MS_PER_YEAR = 365.25 * 86_400_000;
const NOISE_C = 0.08;
const NOISE_PCT = 0.5;
/** Hours in a hundred in which its radio does not get through. */
const DROP_OUT = 0.01;

const rounded = (value: number, step: number): number => Math.round(value / step) * step;

/** Does it get through in this hour? */
export const isHeard = ({ seed }: SensorSpec, ms: number): boolean => hash(seed + 77, Math.floor(ms / MS_PER_HOUR)) >= DROP_OUT;

/** What it reads at an instant: 0.1 degC and 0.1 % RH steps. */
export function read(spec: SensorSpec, ms: number): air.Reading {
  const { temperatureC, humidityPct } = airAt(spec.spot, ms, spec.story);
  const minute = Math.floor(ms / MS_PER_MINUTE);
  const jitter = (salt: number) => hash(spec.seed + salt, minute) + hash(spec.seed + salt + 1, minute) - 1;
  const drift = (spec.driftPctPerYear * (ms - spec.madeMs)) / MS_PER_YEAR;
  return {
    at: new Date(ms).toISOString(),
    temperatureC: Number(rounded(temperatureC + NOISE_C * jitter(1), 0.1).toFixed(1)),
    humidityPct: Number(Math.min(99.9, Math.max(1, rounded(humidityPct + spec.offsetPct + drift + NOISE_PCT * jitter(5), 0.1))).toFixed(1)),
  };
}

/** What it read from one instant to another, without the hours it was not heard. */
export function history(spec: SensorSpec, fromMs: number, toMs: number, everyMs: number): air.Reading[] {
  const readings: air.Reading[] = [];
  for (let ms = Math.ceil(fromMs / everyMs) * everyMs; ms <= toMs; ms += everyMs) if (isHeard(spec, ms)) readings.push(read(spec, ms));
  return readings;
}
