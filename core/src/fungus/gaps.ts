import type { Reading } from '../air/index.js';

const MS_PER_HOUR = 3_600_000;
/** A silence longer than this is a gap: what went on in it is not known. */
export const GAP_H = 6;
/** What a gap is filled with looks so far to either side, days (our choice). */
const LOOK_DAYS = 30;
const FILL_STEP_H = 6;
/** A silent week may have been a little worse, or better, than any that was heard, % RH (our choice). */
const MARGIN_PCT = 3;

export type Gap = { from: string; to: string };

/** Where a log is silent for more than six hours. */
export function gapsOf(readings: readonly Reading[]): Gap[] {
  const gaps: Gap[] = [];
  let before: Reading | null = null;
  let beforeMs = 0;
  for (const reading of readings) {
    const ms = Date.parse(reading.at);
    if (before && ms - beforeMs > GAP_H * MS_PER_HOUR) gaps.push({ from: before.at, to: reading.at });
    before = reading;
    beforeMs = ms;
  }
  return gaps;
}

/** The day-long mean of the dampest and the driest day around an instant. */
function extremesNear(readings: readonly Reading[], fromMs: number, toMs: number): { damp: Reading; dry: Reading } {
  const reach = LOOK_DAYS * 24 * MS_PER_HOUR;
  const days = new Map<string, { sumT: number; sumH: number; n: number }>();
  for (const { at, temperatureC, humidityPct } of readings) {
    const ms = Date.parse(at);
    if (ms < fromMs - reach || ms > toMs + reach) continue;
    const day = days.get(at.slice(0, 10)) ?? { sumT: 0, sumH: 0, n: 0 };
    days.set(at.slice(0, 10), { sumT: day.sumT + temperatureC, sumH: day.sumH + humidityPct, n: day.n + 1 });
  }
  const means = [...days.values()].map(({ sumT, sumH, n }) => ({ at: '', temperatureC: sumT / n, humidityPct: sumH / n }));
  means.sort((a, b) => a.humidityPct - b.humidityPct);
  return { dry: means[0]!, damp: means.at(-1)! };
}

/**
 * The log with its gaps filled: `worst` a little damper than the dampest day within a month of the gap, `best` a little
 * drier than the driest. The truth lies between.
 */
export function filledGaps(readings: readonly Reading[], how: 'best' | 'worst'): Reading[] {
  const gaps = gapsOf(readings);
  if (gaps.length === 0) return [...readings];
  const filled: Reading[] = [];
  let next = 0;
  for (const reading of readings) {
    filled.push(reading);
    const gap = gaps[next];
    if (gap?.from !== reading.at) continue;
    next += 1;
    const [fromMs, toMs] = [Date.parse(gap.from), Date.parse(gap.to)];
    const { damp, dry } = extremesNear(readings, fromMs, toMs);
    const { temperatureC } = how === 'worst' ? damp : dry;
    const humidityPct = how === 'worst' ? Math.min(100, damp.humidityPct + MARGIN_PCT) : Math.max(1, dry.humidityPct - MARGIN_PCT);
    for (let ms = fromMs + FILL_STEP_H * MS_PER_HOUR; ms < toMs; ms += FILL_STEP_H * MS_PER_HOUR)
      filled.push({ at: new Date(ms).toISOString(), temperatureC, humidityPct });
  }
  return filled;
}
