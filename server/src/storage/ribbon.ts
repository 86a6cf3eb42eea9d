import type { RibbonDay } from '@bright-keeper/contract';
import { air, type fungus, type storage } from '@bright-keeper/core';

const MS_PER_DAY = 86_400_000;

/** What is finer than is drawn, or than was read, is only carried about. */
export const rounded = (value: number, digits: number): number => Math.round(value * 10 ** digits) / 10 ** digits;

/** The extremes of each day, and where the early warning stood at its end. */
export function ribbonOf(hours: readonly storage.Part[], log: air.AirLog, { dose, daysPast }: fungus.WarningColumns): RibbonDay[] {
  const days = new Map<string, { sum: number; n: number; min: number; max: number }>();
  for (const { at, count, humidityPct } of hours) {
    const day = new Date(at).toISOString().slice(0, 10);
    const d = days.get(day) ?? { sum: 0, n: 0, min: Infinity, max: -Infinity };
    days.set(day, {
      sum: d.sum + humidityPct.mean * count,
      n: d.n + count,
      min: Math.min(d.min, humidityPct.min),
      max: Math.max(d.max, humidityPct.max),
    });
  }
  return [...days.entries()].map(([day, { sum, n, min, max }]) => {
    // A day that has only begun stands where the last whole hour left it.
    const last = air.firstFrom(log.ms, Date.parse(day) + MS_PER_DAY) - 1;
    return {
      day,
      meanPct: rounded(sum / n, 2),
      minPct: rounded(min, 2),
      maxPct: rounded(max, 2),
      dose: rounded(dose[last] ?? 0, 4),
      daysPast: rounded(daysPast[last] ?? 0, 2),
    };
  });
}
